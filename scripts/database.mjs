// node scripts/database.mjs start|stop|url <name>: the private database by hand. Names: demo, test.
import { main, Failure } from './lib/failure.mjs';
import { startDatabase, stopDatabase } from './lib/postgres.mjs';

await main(async () => {
  const [what, name] = process.argv.slice(2);
  if (!name || !['start', 'stop', 'url'].includes(what))
    throw new Failure('usage: node scripts/database.mjs start|stop|url demo|test');
  if (what === 'stop') stopDatabase(name);
  else process.stdout.write(`${(await startDatabase(name)).url}\n`);
});
