// Backup and restore of a private database by PostgreSQL's own programs. A backup is one file, photographs included.
import { readdirSync } from 'node:fs';
import { binaries, check } from './cluster.mjs';
import { run } from './children.mjs';
import { Failure } from './failure.mjs';
import { root } from './root.mjs';
import { COMMON, DATABASE, OWNER, asSuperuser, connected, databasesOf, urlOf } from './tenant.mjs';

const PROOF = 'pilgrim_proof';

/** Runs one of PostgreSQL's programs against a database, its password not on the command line. */
async function pg(program, args, access, database, doing) {
  const url = new URL(urlOf(access, { database }));
  const env = {
    PATH: process.env.PATH,
    LANG: 'C.UTF-8',
    PGHOST: url.hostname,
    PGPORT: url.port,
    PGUSER: url.username,
    PGPASSWORD: url.password,
    PGDATABASE: database,
  };
  return check(await run(`${binaries()}/${program}`, args, { env }), doing);
}

/** Rows and a digest of each table, whatever the order of its rows. */
async function contents(sql) {
  const tables = await sql`select tablename from pg_tables where schemaname = 'public' order by tablename`;
  const found = {};
  for (const { tablename } of tables) {
    const [row] = await sql`
      select count(*)::text as rows, coalesce(sum(hashtextextended(t::text, 0)), 0)::text as digest from ${sql(tablename)} t`;
    found[tablename] = `${row.rows} rows, digest ${row.digest}`;
  }
  return found;
}

/** Restores a file into a database made for it. It is dropped again where that fails. */
async function restoreInto(access, file, database) {
  await asSuperuser(access, COMMON, async (sql) => {
    await sql.unsafe(`drop database if exists ${database}`);
    await sql.unsafe(`create database ${database} owner ${OWNER}`);
  });
  try {
    const whole = ['--single-transaction', '--exit-on-error', '--no-owner', '--no-privileges'];
    await pg('pg_restore', [...whole, '-d', database, file], access, database, 'Restoring the backup');
  } catch (error) {
    await drop(access, database);
    throw error;
  }
}

const drop = (access, database) =>
  asSuperuser(access, COMMON, (sql) => sql.unsafe(`drop database if exists ${database} with (force)`));

/** Writes a backup and proves it: restored into a database of its own it holds the same rows. Returns what it holds. */
export async function backup(access, file) {
  const held = await connected(urlOf(access), (sql) =>
    // One moment for both, while people go on saving.
    sql.begin('isolation level repeatable read read only', async (moment) => {
      const [{ snapshot }] = await moment`select pg_export_snapshot() as snapshot`;
      await pg('pg_dump', ['-Fc', `--snapshot=${snapshot}`, '-f', file], access, DATABASE, 'Writing the backup');
      return contents(moment);
    }),
  );
  await restoreInto(access, file, PROOF);
  const proof = await connected(urlOf(access, { database: PROOF }), contents);
  await drop(access, PROOF);
  const differs = Object.keys({ ...held, ...proof }).filter((table) => held[table] !== proof[table]);
  if (differs.length > 0) throw new Failure(`The backup does not hold what the database holds: ${differs.join(', ')}.`);
  return held;
}

/**
 * Puts a backup in the place of the database. What was there is kept under another name, which is returned. Refused
 * where the file is none of ours or of a newer program; then all is as it was.
 */
export async function restore(access, file) {
  await restoreInto(access, file, PROOF);
  const [state] = await connected(urlOf(access, { database: PROOF }), async (sql) => {
    const [table] = await sql`select 1 from pg_tables where schemaname = 'public' and tablename = 'schema_version'`;
    return table ? sql`select max(version)::int as version from schema_version` : [];
  });
  const known = readdirSync(`${root}/db/migrations`).filter((file) => file.endsWith('.sql')).length;
  if (!state?.version || state.version > known) {
    await drop(access, PROOF);
    throw new Failure(
      state?.version
        ? `The backup is of version ${state.version}, this program knows ${known}. Restore it with the newer program.`
        : 'The file is a backup, but not one of Pilgrim.',
    );
  }
  const before = `pilgrim_before_${new Date().toISOString().replace(/\D/g, '').slice(0, 14)}`;
  await asSuperuser(access, COMMON, async (sql) => {
    const there = await databasesOf(sql);
    if (there.has(DATABASE)) await sql.unsafe(`alter database ${DATABASE} rename to ${before}`);
    await sql.unsafe(`alter database ${PROOF} rename to ${DATABASE}`);
  });
  return before;
}
