import type { Job } from '@pilgrim/core';
import { withDatabase } from './database';

export interface Site {
  readonly name: string;
  readonly school: 'NEMA' | 'IEC';
  readonly paper: 'letter' | 'a4';
  readonly currency: string;
  /** Rules of thumb set for the site, as typed. */
  readonly practice: Job['sitePractice'];
}

export const listSites = (): Promise<Site[]> =>
  withDatabase((sql) => sql<Site[]>`select name, school, paper, currency, practice from sites order by name`);

export const findSite = (name: string): Promise<Site | undefined> =>
  withDatabase(async (sql) => {
    const [site] = await sql<Site[]>`
      select name, school, paper, currency, practice from sites where name = ${name.replaceAll('\u0000', '')}`;
    return site;
  });

/** False where there is no such site. */
export const keepPractice = (name: string, practice: Job['sitePractice']): Promise<boolean> =>
  withDatabase(async (sql) => {
    const { count } = await sql`update sites set practice = ${sql.json(practice)} where name = ${name}`;
    return count > 0;
  });
