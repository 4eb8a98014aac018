import { readdirSync, readFileSync } from 'node:fs';
import type { Sql } from 'postgres';

export interface Migration {
  readonly version: number;
  readonly name: string;
  readonly sql: string;
}

/** The numbered migrations of a folder, in order. Their numbers must run 1, 2, 3 … */
export function readMigrations(folder: string): Migration[] {
  const migrations = readdirSync(folder)
    .filter((file) => /^\d{4}_.+\.sql$/.test(file))
    .toSorted()
    .map((file) => ({ version: Number(file.slice(0, 4)), name: file, sql: readFileSync(`${folder}/${file}`, 'utf8') }));
  migrations.forEach(({ version, name }, index) => {
    if (version !== index + 1) throw new Error(`migration ${name} should be number ${index + 1}`);
  });
  return migrations;
}

/** The database has migrations this program does not know. */
export class NewerDatabase extends Error {}

/** Brings the database to the newest migration, each in its own transaction, one process at a time. Returns the version. */
export async function migrate(sql: Sql, migrations: readonly Migration[]): Promise<number> {
  await sql`create table if not exists schema_version (
    version integer primary key,
    name text not null,
    applied_at timestamptz not null default now()
  )`;
  for (const migration of migrations) {
    await sql.begin(async (transaction) => {
      await transaction`select pg_advisory_xact_lock(471100)`;
      const [done] = await transaction`select 1 from schema_version where version = ${migration.version}`;
      if (done) return;
      await transaction.unsafe(migration.sql);
      await transaction`insert into schema_version (version, name) values (${migration.version}, ${migration.name})`;
    });
  }
  const [row] = await sql<{ version: number }[]>`select coalesce(max(version), 0)::int as version from schema_version`;
  const version = row?.version ?? 0;
  if (version > migrations.length) {
    throw new NewerDatabase(
      `The database is at version ${version}, this program knows ${migrations.length}. Start the newer program instead.`,
    );
  }
  return version;
}
