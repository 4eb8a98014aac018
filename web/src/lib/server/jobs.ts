import { ENGINE, jobSchema, type Job, type Solution, type StageName } from '@pilgrim/core';
import { insertJob, pageKept, updateJob, type JobState, type StoredResult } from '@pilgrim/db/store-jobs';
import { error } from '@sveltejs/kit';
import { currentCatalogue } from './catalogue';
import { withDatabase } from './database';
import { readKept, type KeptText } from './work/stored-result.ts';
import { beside } from './work/pool';
import type { Done } from './work/worker';

interface JobRow {
  readonly id: string;
  readonly tag: string;
  readonly title: string;
  readonly site: string;
  readonly state: JobState;
  readonly decision: string;
  readonly concern: string;
  readonly revision: number;
  readonly updatedAt: Date;
}

/** Which jobs a list shows: those at work, by where they stand, or those put away. */
export const shelves = ['all', 'stopped', 'open', 'ready', 'archived', 'removed'] as const;
type Shelf = (typeof shelves)[number];

export interface JobQuery {
  readonly search: string;
  readonly shelf: Shelf;
  readonly site: string;
  /** From 1. */
  readonly page: number;
}

export interface JobList {
  readonly jobs: readonly JobRow[];
  readonly counts: Readonly<Record<Shelf, number>>;
  readonly pages: number;
}

export interface StoredJob {
  readonly id: string;
  readonly revision: number;
  /** As JSON text: the page passes them on without reading them twice. */
  readonly document: string;
  readonly page: string;
  readonly details: string;
  /** Put away; it is shown, and takes nothing more until it is taken back. */
  readonly removed: boolean;
}

const LONGEST_TITLE = 200;
const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

const PAGE = 50;

/**
 * A page of jobs, those that need somebody first, then by last change, with how many stand on every shelf. The search looks in
 * tag, title, site and decision.
 */
export const listJobs = ({ search, shelf, site, page }: JobQuery): Promise<JobList> =>
  withDatabase(async (sql) => {
    const pattern = `%${search.replaceAll(/[\\%_]/g, '\\$&')}%`;
    const found = sql`
      from jobs left join sites on sites.id = site_id
      where ${search === '' ? sql`true` : sql`(tag || ' ' || title || ' ' || coalesce(sites.name, '') || ' ' || decision) ilike ${pattern}`}
      and ${site === '' ? sql`true` : sql`sites.name = ${site}`}`;
    const on = sql`case when removed_at is not null then 'removed' when archived_at is not null then 'archived' else state end`;
    const [rows, jobs] = await Promise.all([
      sql<{ shelf: Shelf; count: number }[]>`select ${on} as shelf, count(*)::int as count ${found} group by 1`,
      sql<JobRow[]>`
        select jobs.id, tag, title, coalesce(sites.name, '') as site, state, decision, concern, revision, updated_at as "updatedAt"
        ${found} and ${shelf === 'all' ? sql`removed_at is null and archived_at is null` : sql`${on} = ${shelf}`}
        order by array_position(array['stopped', 'open', 'ready'], state), updated_at desc
        limit ${PAGE} offset ${(page - 1) * PAGE}`,
    ]);
    const count = (wanted: Shelf): number => rows.find((row) => row.shelf === wanted)?.count ?? 0;
    const counts = {
      all: count('stopped') + count('open') + count('ready'),
      ...Object.fromEntries(shelves.slice(1).map((each) => [each, count(each)])),
    } as Record<Shelf, number>;
    return { jobs, counts, pages: Math.max(1, Math.ceil(counts[shelf] / PAGE)) };
  });

/** Puts a job away: archived where it is done with, removed where it should not have been; or takes it back. */
export const setJobStatus = (id: string, how: 'archived' | 'removed' | undefined): Promise<void> =>
  withDatabase(async (sql) => {
    if (!UUID.test(id)) error(404, 'There is no such job.');
    const { count } = await sql`
      update jobs set
        archived_at = case when ${how === undefined} then null when ${how === 'archived'} then now() else archived_at end,
        removed_at = case when ${how === undefined} then null when ${how === 'removed'} then now() else removed_at end
      where id = ${id}`;
    if (count === 0) error(404, 'There is no such job.');
  });

/** A new job that says what another says now. */
export async function copyJob(id: string): Promise<string> {
  const { job } = await loadRevision(id, null);
  return createJob({ ...job, title: `${job.title} (copy)`.slice(0, LONGEST_TITLE) });
}

interface FoundItem {
  readonly id: string;
  readonly kind: string;
  readonly name: string;
  readonly maker: string;
}

/** Catalogue items whose name or maker holds the search text. */
export const findItems = (search: string): Promise<FoundItem[]> =>
  withDatabase(
    (sql) => sql<FoundItem[]>`
      select item_id as id, kind, name, maker from catalogue_items
      where (name || ' ' || maker) ilike ${`%${search.replaceAll(/[\\%_]/g, '\\$&')}%`}
      order by name limit 20`,
  );

/**
 * A job at its newest revision, as the page of a stage needs it; 404 where there is none. A result of an older engine is
 * solved afresh.
 */
export async function loadJob(id: string, stage: StageName): Promise<StoredJob> {
  if (!UUID.test(id)) error(404, 'There is no such job.');
  const row = await withDatabase(async (sql) => {
    const [found] = await sql<(StoredJob & { engine: string })[]>`
      select jobs.id, jobs.revision, document::text as document, engine, page, page_details ->> ${stage} as details,
        removed_at is not null as removed
      from jobs join job_revisions on job_id = jobs.id and job_revisions.revision = jobs.revision
      where jobs.id = ${id}`;
    return found;
  });
  if (!row) error(404, 'There is no such job.');
  const { engine, ...job } = row;
  if (engine === ENGINE && job.page) return job;
  // The document may be of an earlier version as well: fields that were added since get their defaults.
  const document = jobSchema.parse(JSON.parse(job.document));
  const { head, details } = pageKept(await solveNow(document));
  return { ...job, document: JSON.stringify(document), page: head, details: details[stage] ?? '{}' };
}

interface RevisionText extends KeptText {
  readonly revision: number;
  readonly newest: number;
  readonly tag: string;
}

/** A revision as it is stored, the newest by default; 404 where there is none. */
export async function revisionText(id: string, wanted: string | null): Promise<RevisionText> {
  if (!UUID.test(id)) error(404, 'There is no such job.');
  const number = wanted === null ? undefined : /^[1-9]\d{0,8}$/.test(wanted) ? Number(wanted) : 0;
  if (number === 0) error(400, 'A revision is a whole number from 1, such as ?revision=3.');
  const row = await withDatabase(async (sql) => {
    const [found] = await sql<RevisionText[]>`
      select document::text as document, result::text as result, job_revisions.revision, jobs.revision as newest, tag
      from jobs join job_revisions on job_id = jobs.id
      where jobs.id = ${id} and job_revisions.revision = ${number ?? sql`jobs.revision`}`;
    return found;
  });
  if (!row) error(404, number === undefined ? 'There is no such job.' : `This job has no revision ${number}.`);
  return row;
}

/** Jobs of one site that a file holds. */
const MOST_OF_SITE = 200;

/** What is stored of the jobs at work of a site, by their tags, and how many there are in all. */
export const jobsOfSite = (site: string): Promise<{ jobs: KeptText[]; total: number }> =>
  withDatabase(async (sql) => {
    const at = sql`site_id = (select id from sites where name = ${site}) and removed_at is null and archived_at is null`;
    const [jobs, [count]] = await Promise.all([
      sql<KeptText[]>`
        select document::text as document, result::text as result
        from jobs join job_revisions on job_id = jobs.id and job_revisions.revision = jobs.revision
        where ${at} order by tag, title limit ${MOST_OF_SITE}`,
      sql<{ total: number }[]>`select count(*)::int as total from jobs where ${at}`,
    ]);
    return { jobs, total: count?.total ?? 0 };
  });

export interface RevisionRow {
  readonly revision: number;
  readonly savedAt: Date;
  readonly engine: string;
  readonly document: Job;
}

const REVISIONS = 30;

/** The saved revisions of a job up to one, the newest first, and one more to compare the last with. */
export async function listRevisions(
  id: string,
  upTo: number,
): Promise<{ rows: RevisionRow[]; newest: number; more: boolean }> {
  if (!UUID.test(id)) error(404, 'There is no such job.');
  const rows = await withDatabase(
    (sql) => sql<(Omit<RevisionRow, 'document'> & { document: string; newest: number })[]>`
      select job_revisions.revision, saved_at as "savedAt", engine, document::text as document, jobs.revision as newest
      from jobs join job_revisions on job_id = jobs.id
      where jobs.id = ${id} and job_revisions.revision <= ${upTo}
      order by job_revisions.revision desc limit ${REVISIONS + 1}`,
  );
  const [first] = rows;
  if (!first) error(404, 'There is no such job.');
  return {
    rows: rows.map(({ newest: _, document, ...row }) => ({ ...row, document: jobSchema.parse(JSON.parse(document)) })),
    newest: first.newest,
    more: rows.length > REVISIONS,
  };
}

/** Makes what a job said at a revision what it says now, as its newest revision. */
export async function restoreRevision(id: string, revision: string): Promise<void> {
  const { job, newest } = await loadRevision(id, revision);
  const saved = await saveJob(id, newest, job);
  if ('conflict' in saved) error(409, 'Somebody saved this job in the meantime. Look at its revisions again.');
}

export interface StoredRevision {
  readonly job: Job;
  /** As it was kept with the revision. */
  readonly solution: Solution;
  readonly revision: number;
  readonly newest: number;
}

/** The same, read. */
export async function loadRevision(id: string, wanted: string | null): Promise<StoredRevision> {
  const { revision, newest, ...text } = await revisionText(id, wanted);
  return { ...readKept(text), revision, newest };
}

/** Solves beside the thread that answers, with the catalogue that counts now. */
async function solving(kind: 'solve' | 'keep', job: Job, gone?: AbortSignal): Promise<Done> {
  const { version, text } = await currentCatalogue();
  const done = await beside({ kind, job, version, catalogue: undefined }, gone);
  return done.kind === 'lacking' ? beside({ kind, job, version, catalogue: text }, gone) : done;
}

export async function solveNow(job: Job, gone?: AbortSignal): Promise<Solution> {
  const done = await solving('solve', job, gone);
  if (done.kind !== 'solution') throw new Error('the worker gave no solution');
  return done.solution;
}

async function keptNow(job: Job): Promise<StoredResult> {
  const done = await solving('keep', job);
  if (done.kind !== 'kept') throw new Error('the worker kept nothing');
  return done.kept;
}

/** The document at its newest revision and its full solution, solved now. */
export async function loadSolved(id: string): Promise<{ job: Job; solution: Solution; revision: number }> {
  const { job, revision } = await loadRevision(id, null);
  return { job, revision, solution: await solveNow(job) };
}

export async function createJob(job: Job): Promise<string> {
  const kept = await keptNow(job);
  return withDatabase((sql) => insertJob(sql, job, kept));
}

export type Saved = { readonly revision: number } | { readonly conflict: StoredRevision };

/** Saves over revision `base`; where somebody saved first, hands back what is stored now. 410 where the job was removed. */
export async function saveJob(id: string, base: number, job: Job): Promise<Saved> {
  if (!UUID.test(id)) error(404, 'There is no such job.');
  const [found] = await withDatabase(
    (sql) => sql<{ removed: boolean }[]>`select removed_at is not null as removed from jobs where id = ${id}`,
  );
  if (found?.removed)
    error(410, 'This job was removed. Take it back first; what is typed is kept in this tab until then.');
  const kept = await keptNow(job);
  const revision = await withDatabase((sql) => updateJob(sql, id, base, job, kept));
  return revision === undefined ? { conflict: await loadRevision(id, null) } : { revision };
}
