import { fileURLToPath } from 'node:url';
import postgres, { type Sql } from 'postgres';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { migrate, OtherMigrations, readMigrations, type Migration } from '../migrate.ts';

const root = new URL('../../', import.meta.url);
interface Server {
  readonly url: string;
  readonly stop: () => Promise<void>;
}
let server: Server;
let sql: Sql;

beforeAll(async () => {
  const { startDatabase } = (await import(new URL('scripts/lib/postgres.mjs', root).href)) as {
    startDatabase: (name: string, how: { fresh: boolean }) => Promise<Server>;
  };
  server = await startDatabase('unit', { fresh: true });
  sql = postgres(server.url, { max: 4, onnotice: () => undefined });
});
afterAll(async () => {
  await sql.end();
  await server.stop();
});
beforeEach(async () => {
  await sql`drop schema public cascade`;
  await sql`create schema public`;
});

const real = readMigrations(fileURLToPath(new URL('db/migrations', root)));
const first: Migration = { version: 1, name: '0001_first.sql', sql: 'create table one (id integer)' };
const second: Migration = { version: 2, name: '0002_second.sql', sql: 'create table two (id integer)' };
const tables = async () =>
  (await sql`select tablename from pg_tables where schemaname = 'public' order by 1`).map((row) =>
    String(row['tablename']),
  );

describe('migrations', () => {
  it('bring an empty database to the newest version, and change nothing the second time', async () => {
    expect(await migrate(sql, real)).toBe(real.length);
    const before = await sql`select * from schema_version order by version`;
    expect(await migrate(sql, real)).toBe(real.length);
    expect(await sql`select * from schema_version order by version`).toEqual(before);
    expect(await tables()).toContain('job_revisions');
  });

  it('leave all as it was where one of several fails', async () => {
    await migrate(sql, [first]);
    const broken = { version: 3, name: '0003_broken.sql', sql: 'create table three (id integer); select 1 / 0' };
    await expect(migrate(sql, [first, second, broken])).rejects.toThrow('division by zero');
    expect(await tables()).toEqual(['one', 'schema_version']);
    expect(await sql`select version from schema_version`).toEqual([{ version: 1 }]);
  });

  it('refuse where one that was applied reads differently now, and where the database is newer', async () => {
    await migrate(sql, [first, second]);
    const changed = { ...first, sql: `${first.sql};` };
    await expect(migrate(sql, [changed, second])).rejects.toThrow(OtherMigrations);
    await expect(migrate(sql, [changed, second])).rejects.toThrow(/0001_first\.sql is not what was applied/);
    await expect(migrate(sql, [first])).rejects.toThrow(/at version 2, this program knows 1/);
  });

  it('take a database of before checksums, and hold it to them from then on', async () => {
    await migrate(sql, [first]);
    await sql`alter table schema_version drop column checksum`;
    expect(await migrate(sql, [first])).toBe(1);
    await expect(migrate(sql, [{ ...first, sql: 'select 1' }])).rejects.toThrow(OtherMigrations);
  });

  it('are applied once where four processes start at once', async () => {
    expect(await Promise.all([1, 2, 3, 4].map(() => migrate(sql, [first, second])))).toEqual([2, 2, 2, 2]);
  });
});

describe('the private database', () => {
  it('is used by the owner of its tables, who is no superuser and makes no databases', async () => {
    const [who] = await sql`
      select rolsuper, rolcreatedb, rolcreaterole, rolreplication, rolbypassrls from pg_roles where rolname = current_user`;
    expect(Object.values(who ?? {})).toEqual([false, false, false, false, false]);
    await expect(sql`copy (select 1) to program 'true'`).rejects.toThrow(/must be superuser|permission denied/);
  });
});
