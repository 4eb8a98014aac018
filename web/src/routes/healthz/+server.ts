import { json } from '@sveltejs/kit';
import { withDatabase } from '$lib/server/database';
import { SCHEMA_VERSION } from '$lib/server/schema-version';

/** 200 with database and migration state; 503 when the database is away or at another version than this program. */
export async function GET(): Promise<Response> {
  try {
    const version = await withDatabase(async (sql) => {
      const [row] = await sql<{ version: number }[]>`select max(version)::int as version from schema_version`;
      return row?.version ?? 0;
    });
    const current = version === SCHEMA_VERSION;
    return json(
      { database: 'up', migration: version, expected: SCHEMA_VERSION, current },
      { status: current ? 200 : 503 },
    );
  } catch {
    return json({ database: 'away', expected: SCHEMA_VERSION, current: false }, { status: 503 });
  }
}
