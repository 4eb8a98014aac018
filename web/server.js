// The web server: the built application behind compression. Ends by itself on SIGTERM and SIGINT, within ten seconds.
import compression from 'compression';
import { createServer } from 'node:http';
import { fileURLToPath } from 'node:url';
import { setTimeout as after } from 'node:timers';

/** Bytes below which an answer is not worth compressing. */
const SMALL = 2048;
/** ms: for a request to arrive whole, for answers on their way when asked to end, and to end at the latest. */
const ARRIVES = 60_000;
const UNDER_WAY = 5000;
const LATEST = 9000;

let ending = false;
process.env.PILGRIM_WORKER = fileURLToPath(new URL('build/worker.js', import.meta.url));
const { handler } = await import('./build/handler.js');
const compress = compression({ threshold: SMALL });

const server = createServer((request, response) => {
  response.setHeader('x-content-type-options', 'nosniff');
  response.once('close', () => {
    if (ending) server.closeIdleConnections();
  });
  compress(request, response, () => {
    void handler(request, response, () => {
      response.statusCode = 404;
      response.end('There is no such page.');
    });
  });
});
server.requestTimeout = ARRIVES;
server.listen({ host: process.env.HOST ?? '127.0.0.1', port: Number(process.env.PORT ?? 4700) });

// When the database goes away under traffic, Postgres.js 3.4.9 writes to a socket that is gone and drops the answer to
// questions of its own; the query fails as well and is answered, so that this says nothing new. The same holds for any
// other end of a connection. Anything else ends the process: it is started again.
const OF_POSTGRES = /[\\/]postgres[\\/](?:src|cjs[\\/]src)[\\/]connection\.js/;
const OF_A_CONNECTION = new Set(['read', 'write', 'connect', 'shutdown']);
process.on('uncaughtException', (error) => {
  if (OF_POSTGRES.test(error.stack ?? '') || OF_A_CONNECTION.has(error.syscall)) return;
  process.stderr.write(`${error.stack ?? String(error)}\n`);
  process.exit(1);
});

function end(reason) {
  if (ending) return;
  ending = true;
  server.close(() => process.emit('sveltekit:shutdown', reason));
  server.closeIdleConnections();
  after(() => server.closeAllConnections(), UNDER_WAY).unref();
  after(() => process.exit(0), LATEST).unref();
}
process.on('SIGTERM', end);
process.on('SIGINT', end);
