// npm run backup [-- file]: everything that is stored, photographs included, as one file, while Pilgrim runs or not.
import { mkdirSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { handleSignals } from './lib/children.mjs';
import { main } from './lib/failure.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { reachDatabase } from './lib/postgres.mjs';
import { root } from './lib/root.mjs';
import { readPrivateName } from './lib/which.mjs';

handleSignals();
await main(async () => {
  await ensurePackages();
  const stamp = new Date().toISOString().slice(0, 16).replace(/[:T]/g, '-');
  const file = resolve(process.argv[2] ?? `${root}/.data/backups/pilgrim-${stamp}.dump`);
  mkdirSync(dirname(file), { recursive: true });
  const database = await reachDatabase(readPrivateName());
  try {
    const { backup } = await import('./lib/backup.mjs');
    const held = await backup(database, file);
    for (const [table, what] of Object.entries(held)) process.stdout.write(`${table}: ${what.split(',')[0]}\n`);
    process.stdout.write(`Written and proved by restoring it: ${file}\nKeep a copy on another machine.\n`);
  } finally {
    await database.stop();
  }
});
process.exit();
