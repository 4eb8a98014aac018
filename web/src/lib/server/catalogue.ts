import type { Catalogue } from '@pilgrim/core';
import {
  CannotStore,
  listCatalogues as listed,
  loadCatalogue,
  removeCatalogue,
  storeCatalogue,
} from '@pilgrim/db/store-catalogue';
import type { CatalogueRow } from '@pilgrim/db/store-catalogue';
import { error } from '@sveltejs/kit';
import { withDatabase } from './database';

interface Held {
  readonly version: string;
  readonly catalogue: Catalogue;
  /** The same as JSON, for the browser’s worker. */
  readonly text: string;
}

let held: Held | undefined;

/** The catalogue, held in memory and read again when one was loaded or removed since. */
export async function currentCatalogue(): Promise<Held> {
  return withDatabase(async (sql) => {
    const [row] = await sql<{ version: string }[]>`
      select coalesce(extract(epoch from max(loaded_at))::text, 'none') || '-' || count(*) as version from catalogues`;
    const version = row?.version ?? 'none';
    if (held?.version === version) return held;
    const catalogue = await loadCatalogue(sql);
    held = { version, catalogue, text: JSON.stringify(catalogue) };
    return held;
  });
}

export const listCatalogues = (): Promise<CatalogueRow[]> => withDatabase(listed);

/** Stores a catalogue; why it cannot be where it does not go with those that are there. */
export const addCatalogue = (catalogue: Catalogue): Promise<string | undefined> =>
  withDatabase(async (sql) => {
    try {
      await storeCatalogue(sql, catalogue);
      return undefined;
    } catch (cause) {
      if (cause instanceof CannotStore) return cause.message;
      throw cause;
    }
  });

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

export async function dropCatalogue(id: string): Promise<void> {
  const gone = UUID.test(id) && (await withDatabase((sql) => removeCatalogue(sql, id)));
  if (!gone) error(404, 'There is no such catalogue.');
}

/** One catalogue as a file that can be added again. */
export async function catalogueFile(id: string): Promise<Catalogue> {
  const found = UUID.test(id) ? await withDatabase((sql) => loadCatalogue(sql, id)) : undefined;
  if (!found || found.name === '') error(404, 'There is no such catalogue.');
  return found;
}
