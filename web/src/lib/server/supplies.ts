import type { Job } from '@pilgrim/core';
import { withDatabase } from './database';

export interface SupplyRecord {
  readonly name: string;
  /** The supply part of a job, as typed. */
  readonly supply: Partial<Job['supply']>;
}

/** The supplies of a site by name; none where the site is not known. */
export const listSupplies = (site: string): Promise<SupplyRecord[]> =>
  withDatabase(
    (sql) => sql<SupplyRecord[]>`
      select supplies.name, document as supply from supplies join sites on sites.id = site_id
      where sites.name = ${site} order by supplies.name limit 200`,
  );

/** Keeps a supply of a site under a name, over an earlier one of that name. False where the site is not known. */
export const keepSupply = (site: string, name: string, supply: Job['supply']): Promise<boolean> =>
  withDatabase(async (sql) => {
    const { count } = await sql`
      insert into supplies (site_id, name, document)
      select id, ${name}, ${sql.json(supply)} from sites where name = ${site}
      on conflict (site_id, name) do update set document = excluded.document`;
    return count > 0;
  });
