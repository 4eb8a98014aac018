import type { Catalogue } from '@pilgrim/core';
import { searched, type Item } from '@pilgrim/core/catalogue/catalogue';
import type { JSONValue, Sql } from 'postgres';

/** Stores a catalogue under its name, replacing the items of an earlier one of that name. */
export async function storeCatalogue(sql: Sql, catalogue: Catalogue): Promise<void> {
  const items: Item[] = [...catalogue.motors, ...catalogue.drives, ...catalogue.parts];
  await sql.begin(async (transaction) => {
    const [row] = await transaction<{ id: string }[]>`
      insert into catalogues (name, currency) values (${catalogue.name}, ${catalogue.currency})
      on conflict (name) do update set loaded_at = now()
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

/** Every item of every catalogue, as one. Items were checked when they were stored. */
export async function loadCatalogue(sql: Sql): Promise<Catalogue> {
  const rows = await sql<{ document: Item }[]>`select document from catalogue_items order by catalogue_id, item_id`;
  const items = rows.map((row) => row.document);
  return {
    name: 'All catalogues',
    currency: 'USD',
    motors: items.filter((item) => item.kind === 'motor'),
    drives: items.filter((item) => item.kind === 'drive'),
    parts: items.filter((item) => item.kind !== 'motor' && item.kind !== 'drive'),
  };
}
