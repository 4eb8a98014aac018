// npm run abuse [part] [-- --slice]: treats a real server badly and looks what is lost. A slice of three minutes is part of
// npm test.
import { handleSignals, stopped } from './lib/children.mjs';
import { Failure, main } from './lib/failure.mjs';
import { ensurePackages } from './lib/packages.mjs';

const SEED = 20_261_126;
/** How much of each part: requests, kills, rounds, seconds, saves each, moments. */
const whole = {
  requests: 100_000,
  kills: 1000,
  outages: 30,
  states: 5,
  people: 60,
  writers: 40,
  stops: 40,
  backups: 1,
  documents: 20_000,
};
const slice = {
  requests: 1500,
  kills: 20,
  outages: 4,
  states: 1,
  people: 6,
  writers: 4,
  stops: 8,
  backups: 1,
  documents: 300,
};
/** Parts that start and stop the application themselves, or need none. */
const ALONE = new Set(['stops', 'backups', 'documents']);
/** ms for an answer while the database is away, and until all is well again; in the slice only to end what hangs. */
const PATIENCE = { whole: 5000, slice: 20_000 };
/** The first lines of what went wrong. */
const SHOWN = 12;

handleSignals();
// What it started ends with it.
void stopped.then(() => process.exit(130));
await main(async () => {
  await ensurePackages();
  const parts = process.argv.slice(2).filter((argument) => argument !== '--slice');
  const unknown = parts.find((part) => !(part in whole));
  if (unknown !== undefined)
    throw new Failure(`There is no part “${unknown}”; choose of ${Object.keys(whole).join(', ')}.`);
  const sliced = process.argv.includes('--slice');
  const counts = sliced ? slice : whole;
  const patience = sliced ? PATIENCE.slice : PATIENCE.whole;
  const wanted = parts.length > 0 ? parts : Object.keys(whole);
  const { startApp, stopApp } = await import('./abuse/app.mjs');
  const run = async (part, app) => (await import(`./abuse/${part}.mjs`))[part](app, counts[part], SEED);
  let failed = 0;
  const report = (part, { figure, bad }) => {
    process.stdout.write(`${bad.length === 0 ? 'ok  ' : 'MISS'} ${part}: ${figure}\n`);
    for (const line of bad.slice(0, SHOWN)) process.stdout.write(`     ${line}\n`);
    if (bad.length > 0) failed++;
  };
  const served = wanted.filter((part) => !ALONE.has(part));
  if (served.length > 0) {
    const app = await startApp();
    const origin = await app.up;
    if (!origin) throw new Failure(`Pilgrim did not start: ${app.said()}`);
    try {
      for (const part of served) report(part, await run(part, { origin, said: app.said, patience, sliced }));
    } finally {
      await stopApp(app);
    }
  }
  for (const part of wanted.filter((each) => ALONE.has(each))) report(part, await run(part, { sliced }));
  if (failed > 0) throw new Failure(`${failed} of ${wanted.length} trials found something.`);
});
process.exit();
