// npm run abuse [part] [-- --slice]: treats a real server badly and looks what is lost. Parts: requests, kills, stops,
// outages. A slice of two minutes is part of npm test.
import { handleSignals } from './lib/children.mjs';
import { Failure, main } from './lib/failure.mjs';
import { ensurePackages } from './lib/packages.mjs';

const SEED = 20_261_126;
const whole = { requests: 100_000, kills: 1000, stops: 40, outages: 30 };
const slice = { requests: 1500, kills: 6, stops: 7, outages: 4 };
/** ms for an answer while the database is away, and until all is well again; in the slice only to end what hangs. */
const PATIENCE = { whole: 5000, slice: 20_000 };
/** The first lines of what went wrong. */
const SHOWN = 12;

handleSignals();
await main(async () => {
  ensurePackages();
  const parts = process.argv.slice(2).filter((argument) => argument !== '--slice');
  const unknown = parts.find((part) => !(part in whole));
  if (unknown !== undefined)
    throw new Failure(`There is no part “${unknown}”; choose of ${Object.keys(whole).join(', ')}.`);
  const sliced = process.argv.includes('--slice');
  const counts = sliced ? slice : whole;
  const patience = sliced ? PATIENCE.slice : PATIENCE.whole;
  const wanted = parts.length > 0 ? parts : Object.keys(whole);
  const { startApp, stopApp } = await import('./abuse/app.mjs');
  const run = {
    requests: async (origin, count) => (await import('./abuse/requests.mjs')).requests(origin, count, SEED),
    kills: async (origin, count) => (await import('./abuse/kills.mjs')).kills(origin, count, SEED),
    outages: async (origin, count, said) =>
      (await import('./abuse/outages.mjs')).outages({ origin, said, patience }, count, SEED),
  };
  let failed = 0;
  const report = (part, { figure, bad }) => {
    process.stdout.write(`${bad.length === 0 ? 'ok  ' : 'MISS'} ${part}: ${figure}\n`);
    for (const line of bad.slice(0, SHOWN)) process.stdout.write(`     ${line}\n`);
    if (bad.length > 0) failed++;
  };
  const served = wanted.filter((part) => part in run);
  if (served.length > 0) {
    const app = await startApp();
    const origin = await app.up;
    if (!origin) throw new Failure(`Pilgrim did not start: ${app.said()}`);
    try {
      for (const part of served) report(part, await run[part](origin, counts[part], app.said));
    } finally {
      await stopApp(app);
    }
  }
  if (wanted.includes('stops')) report('stops', await (await import('./abuse/stops.mjs')).stops(counts.stops, SEED));
  if (failed > 0) throw new Failure(`${failed} of ${wanted.length} trials found something.`);
});
process.exit();
