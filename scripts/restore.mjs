// npm run restore -- file: puts a backup in the place of what is stored, which is kept under another name.
import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { handleSignals } from './lib/children.mjs';
import { Failure, main } from './lib/failure.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { startDatabase } from './lib/postgres.mjs';
import { readPrivateName } from './lib/which.mjs';

handleSignals();
await main(async () => {
  await ensurePackages();
  const [given] = process.argv.slice(2);
  if (!given) throw new Failure('usage: npm run restore -- file');
  const file = resolve(given);
  if (!existsSync(file)) throw new Failure(`There is no file ${file}.`);
  const database = await startDatabase(readPrivateName());
  try {
    const { restore } = await import('./lib/backup.mjs');
    const before = await restore(database, file);
    process.stdout.write(
      `Restored. What was stored before is kept as the database ${before}.\nStart Pilgrim again: npm start\n`,
    );
  } finally {
    await database.stop();
  }
});
process.exit();
