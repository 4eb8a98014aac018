// npm start [-- --empty]: installs what is missing, starts a private PostgreSQL, migrates, seeds the demo, builds and
// serves. What it starts ends with it, whatever ends it; what dies before is started again.
import { setTimeout as wait } from 'node:timers/promises';
import { ensureBuild, prepareDatabase, serve } from './lib/app.mjs';
import { Stopped, handleSignals, isStopped, stopped } from './lib/children.mjs';
import { main, Failure } from './lib/failure.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { freePort, startDatabase } from './lib/postgres.mjs';
import { readName } from './lib/which.mjs';

const DEFAULT_PORT = 4700;
/** A web server that ends by an error of its own this often within this time, ms, is not started again; a killed one is. */
const TOO_OFTEN = 5;
const WITHIN = 60_000;

function readPort() {
  const port = Number(process.env.PORT ?? DEFAULT_PORT);
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    throw new Failure(`PORT must be a number from 1 to 65535, not “${process.env.PORT}”.`);
  return port;
}

function readArguments() {
  const unknown = process.argv.slice(2).filter((argument) => argument !== '--empty');
  if (unknown.length > 0) throw new Failure(`npm start knows --empty only, not “${unknown[0]}”.`);
  return { demo: !process.argv.includes('--empty') };
}

const say = (line) => process.stderr.write(`${line}\n`);

async function checkPort(port) {
  await freePort(port).catch((error) => {
    throw new Failure(
      error.code === 'EADDRINUSE'
        ? `Port ${port} is taken. Stop what uses it, or choose another: PORT=4701 npm start`
        : `Port ${port} cannot be used (${error.code}).`,
    );
  });
}

/** Serves until asked to end. */
async function keepServing(setting) {
  const deaths = [];
  for (;;) {
    // Killed while it starts, it is started again as at any other time.
    const app = await serve(setting).catch((error) => {
      if (!error.killed) throw error;
    });
    if (app) process.stdout.write(`Pilgrim is at ${app.origin}\n`);
    const why = app && (await Promise.race([stopped, app.exited]));
    await app?.stop();
    if (isStopped()) return;
    if (why && !why.signal) deaths.push(Date.now());
    if (deaths.length >= TOO_OFTEN && Date.now() - deaths.at(-TOO_OFTEN) < WITHIN)
      throw new Failure('The web server keeps stopping by itself; the lines above say why.');
    say('The web server stopped by itself and is started again …');
    await wait(500);
  }
}

handleSignals();
await main(async () => {
  const port = readPort();
  const { demo } = readArguments();
  await ensurePackages();
  say('Starting the database …');
  const own = process.env.DATABASE_URL ? undefined : await startDatabase(readName());
  const databaseUrl = process.env.DATABASE_URL ?? own.url;
  try {
    // After the database was taken: what an earlier start left is gone then.
    await checkPort(port);
    say(demo ? 'Preparing the database, with the demo where it is empty …' : 'Preparing the database …');
    await prepareDatabase(databaseUrl, { demo });
    await ensureBuild();
    say('Starting the web server …');
    await keepServing({ port, databaseUrl, owner: own?.owner, rig: demo });
  } finally {
    await own?.stop();
  }
}).catch((error) => {
  if (!(error instanceof Stopped)) throw error;
});
process.exit();
