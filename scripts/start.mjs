// npm start: installs what is missing, starts a private PostgreSQL, migrates, seeds the demo, builds and serves.
import { main, Failure } from './lib/failure.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { freePort, startDatabase } from './lib/postgres.mjs';
import { ensureBuild, prepareDatabase, serve } from './lib/app.mjs';

const DEFAULT_PORT = 4700;

function readPort() {
  const port = Number(process.env.PORT ?? DEFAULT_PORT);
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    throw new Failure(`PORT must be a number from 1 to 65535, not “${process.env.PORT}”.`);
  return port;
}

await main(async () => {
  const port = readPort();
  await freePort(port).catch((error) => {
    throw new Failure(
      error.code === 'EADDRINUSE'
        ? `Port ${port} is taken. Stop what uses it, or choose another: PORT=4701 npm start`
        : `Port ${port} cannot be used (${error.code}).`,
    );
  });
  ensurePackages();
  const own = process.env.DATABASE_URL ? undefined : await startDatabase('demo');
  const databaseUrl = process.env.DATABASE_URL ?? own.url;
  try {
    prepareDatabase(databaseUrl, { demo: true });
    ensureBuild();
    const app = await serve({ port, databaseUrl });
    process.stdout.write(`Pilgrim is at ${app.origin}\n`);
    const asked = new Promise((resolve) => {
      for (const signal of ['SIGINT', 'SIGTERM']) process.once(signal, () => resolve('asked'));
    });
    const why = await Promise.race([asked, app.exited]);
    await app.stop();
    if (why !== 'asked') throw new Failure('The web server stopped by itself; the lines above say why.');
  } finally {
    own?.stop();
  }
});
