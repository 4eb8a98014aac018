import { createHash } from 'node:crypto';
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

/** The database and this program do not know the same migrations. */
export class OtherMigrations extends Error {}

const checksumOf = ({ sql }: Migration): string => createHash('sha256').update(sql).digest('hex');

/**
 * Brings the database to the newest migration, all of them or none, one process at a time. Returns the version.
 * @throws {OtherMigrations} where it is at a newer version, or one that was applied has been changed since.
 */
export async function migrate(sql: Sql, migrations: readonly Migration[]): Promise<number> {
  return sql.begin(async (transaction) => {
    await transaction`select pg_advisory_xact_lock(471100)`;
    await transaction`create table if not exists schema_version (
      version integer primary key,
      name text not null,
      applied_at timestamptz not null default now()
    )`;
    await transaction`alter table schema_version add column if not exists checksum text`;
    const applied = await transaction<{ version: number; checksum: string | null }[]>`
      select version, checksum from schema_version order by version`;
    const newest = applied.at(-1)?.version ?? 0;
    if (newest > migrations.length) {
      throw new OtherMigrations(
        `The database is at version ${newest}, this program knows ${migrations.length}. Start the newer program instead.`,
      );
    }
    const before = new Map(applied.map((each) => [each.version, each.checksum]));
    for (const migration of migrations) {
      const { version, name, sql: text } = migration;
      const checksum = checksumOf(migration);
      const known = before.get(version);
      if (known === undefined) {
        await transaction.unsafe(text);
        await transaction`insert into schema_version ${transaction({ version, name, checksum })}`;
      } else if (known === null) {
        // Applied before checksums were kept.
        await transaction`update schema_version set checksum = ${checksum} where version = ${version}`;
      } else if (known !== checksum) {
        throw new OtherMigrations(
          `${name} is not what was applied to this database. Start the program that made it, or restore a backup.`,
        );
      }
    }
    return migrations.length;
  });
}
