import type { RecordKind, SiteRecord } from '$lib/job/site-records';
import { withDatabase } from './database';

/** The records of a kind of a site by name; none where the site is not known. */
export const listRecords = (site: string, kind: RecordKind): Promise<SiteRecord[]> =>
  withDatabase(
    (sql) => sql<SiteRecord[]>`
      select site_records.name, document from site_records join sites on sites.id = site_id
      where sites.name = ${site} and kind = ${kind} order by site_records.name limit 200`,
  );

/** Keeps a record of a site under a name, over an earlier one of that name. False where the site is not known. */
export const keepRecord = (site: string, kind: RecordKind, name: string, document: object): Promise<boolean> =>
  withDatabase(async (sql) => {
    const { count } = await sql`
      insert into site_records (site_id, kind, name, document)
      select id, ${kind}, ${name}, ${sql.json(document as never)} from sites where name = ${site}
      on conflict (site_id, kind, name) do update set document = excluded.document`;
    return count > 0;
  });
