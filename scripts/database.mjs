// node scripts/database.mjs stop|start <name>: takes a private database that a script runs down, and up again. Names: demo, test.
import { main, Failure } from './lib/failure.mjs';
import { holdDatabase, letUp } from './lib/postgres.mjs';

await main(async () => {
  const [what, name] = process.argv.slice(2);
  if (!name || !['start', 'stop'].includes(what))
    throw new Failure('usage: node scripts/database.mjs start|stop demo|test');
  if (what === 'stop') await holdDatabase(name);
  else letUp(name);
});
