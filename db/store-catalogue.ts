import type { Catalogue } from '@pilgrim/core';
import { isDrivePart, searched, type Item } from '@pilgrim/core/catalogue/catalogue';
import type { JSONValue, Sql } from 'postgres';

/** Why a catalogue does not go with those that are there, in words for who brought it. */
export class CannotStore extends Error {}

/** Prices are compared as they stand and an item is named by its id alone. */
async function checkBeside(sql: Sql, { name, currency }: Catalogue, ids: readonly string[]): Promise<void> {
  const [other] = await sql<{ name: string; currency: string }[]>`
    select name, currency from catalogues where name <> ${name} and currency <> ${currency} limit 1`;
  if (other)
    throw new CannotStore(
      `Its prices are in ${currency || 'no currency'}, those of “${other.name}” in ${other.currency}. All catalogues need one currency.`,
    );
  const [taken] = await sql<{ id: string; name: string }[]>`
    select item_id as id, catalogues.name from catalogue_items join catalogues on catalogues.id = catalogue_id
    where catalogues.name <> ${name} and item_id = any(${[...ids]}) limit 1`;
  if (taken)
    throw new CannotStore(
      `The item “${taken.id}” stands in “${taken.name}” already. Every item needs an id of its own.`,
    );
}

/**
 * Stores a catalogue under its name, replacing the items of an earlier one of that name; throws `CannotStore` where it does
 * not go with the others.
 */
export async function storeCatalogue(sql: Sql, catalogue: Catalogue): Promise<void> {
  const items: Item[] = [...catalogue.motors, ...catalogue.drives, ...catalogue.parts, ...catalogue.accessories];
  const ids = items.map(({ id }) => id);
  const seen = new Set<string>();
  const twice = ids.find((id) => seen.size === seen.add(id).size);
  if (twice !== undefined)
    throw new CannotStore(`The item “${twice}” stands in it twice. Every item needs an id of its own.`);
  await sql.begin(async (transaction) => {
    await checkBeside(transaction as unknown as Sql, catalogue, ids);
    const [row] = await transaction<{ id: string }[]>`
      insert into catalogues (name, currency, pairs)
      values (${catalogue.name}, ${catalogue.currency}, ${transaction.json(catalogue.pairs)})
      on conflict (name) do update set loaded_at = now(), currency = excluded.currency, pairs = excluded.pairs
      returning id`;
    if (!row) throw new Error('the catalogue was not stored');
    await transaction`delete from catalogue_items where catalogue_id = ${row.id}`;
    const rows = items.map((item) => ({
      catalogue_id: row.id,
      item_id: item.id,
      kind: item.kind,
      name: item.name,
      maker: item.maker,
      price: item.price,
      ...searched(item),
      document: transaction.json(item as unknown as JSONValue),
    }));
    for (let at = 0; at < rows.length; at += 500)
      await transaction`insert into catalogue_items ${transaction(rows.slice(at, at + 500))}`;
  });
}

/** Every item of every catalogue as one, or those of one catalogue. Items were checked when they were stored. */
export async function loadCatalogue(sql: Sql, id?: string): Promise<Catalogue> {
  const one = id === undefined ? sql`true` : sql`catalogue_id = ${id}`;
  const catalogues = await sql<Pick<Catalogue, 'name' | 'currency' | 'pairs'>[]>`
    select name, currency, pairs from catalogues where ${id === undefined ? sql`true` : sql`id = ${id}`} order by loaded_at`;
  const [named] = catalogues;
  const rows = await sql<{ document: Item }[]>`
    select document from catalogue_items where ${one} order by catalogue_id, item_id`;
  const items = rows.map((row) => row.document);
  return {
    name: id === undefined ? 'All catalogues' : (named?.name ?? ''),
    currency: named?.currency ?? 'USD',
    motors: items.filter((item) => item.kind === 'motor'),
    drives: items.filter((item) => item.kind === 'drive'),
    parts: items.filter((item) => item.kind !== 'motor' && item.kind !== 'drive' && !isDrivePart(item)),
    accessories: items.filter(isDrivePart),
    pairs: catalogues.flatMap(({ pairs }) => pairs),
  };
}

export interface CatalogueRow {
  readonly id: string;
  readonly name: string;
  readonly currency: string;
  readonly loadedAt: Date;
  readonly kinds: Readonly<Record<string, number>>;
}

/** What catalogues there are, with how many items of each kind. */
export const listCatalogues = (sql: Sql): Promise<CatalogueRow[]> =>
  sql<CatalogueRow[]>`
    select id, name, currency, loaded_at as "loadedAt",
      (select coalesce(json_object_agg(kind, count), '{}') from
        (select kind, count(*)::int from catalogue_items where catalogue_id = catalogues.id group by kind) as counted) as kinds
    from catalogues order by name`;

/** Whether there was one. Jobs that chose from it keep what they were decided with. */
export async function removeCatalogue(sql: Sql, id: string): Promise<boolean> {
  const { count } = await sql`delete from catalogues where id = ${id}`;
  return count > 0;
}
