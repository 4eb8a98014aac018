import type { Catalogue } from '@pilgrim/core';
import { loadCatalogue } from '@pilgrim/db/store-catalogue';
import { withDatabase } from './database';

interface Held {
  readonly version: string;
  readonly catalogue: Catalogue;
  /** The same as JSON, for the browser’s worker. */
  readonly text: string;
}

let held: Held | undefined;

/** The catalogue, held in memory and read again when one was loaded since. */
export async function currentCatalogue(): Promise<Held> {
  return withDatabase(async (sql) => {
    const [row] = await sql<{ version: string }[]>`
      select coalesce(extract(epoch from max(loaded_at))::text, 'none') as version from catalogues`;
    const version = row?.version ?? 'none';
    if (held?.version === version) return held;
    const catalogue = await loadCatalogue(sql);
    held = { version, catalogue, text: JSON.stringify(catalogue) };
    return held;
  });
}
