// Migrates the database named by DATABASE_URL and, with --demo, fills an empty one. Run by the scripts.
import { dirname } from 'node:path';
import { fileURLToPath } from 'node:url';
import postgres from 'postgres';
import { migrate, OtherMigrations, readMigrations } from './migrate.ts';
import { seedDemo } from './seed.ts';

const url = process.env['DATABASE_URL'];
if (!url) throw new Error('DATABASE_URL is not set');
const sql = postgres(url, { max: 1, onnotice: () => undefined, connect_timeout: 10 });
try {
  await migrate(sql, readMigrations(`${dirname(fileURLToPath(import.meta.url))}/migrations`));
  if (process.argv.includes('--demo')) await seedDemo(sql);
} catch (error) {
  const message =
    error instanceof OtherMigrations
      ? error.message
      : `The database cannot be prepared: ${error instanceof Error ? error.message || error.name : 'unknown error'}.`;
  process.stderr.write(`pilgrim: ${message}\n`);
  process.exitCode = 1;
} finally {
  await sql.end({ timeout: 5 });
}
