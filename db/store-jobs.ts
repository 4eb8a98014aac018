import type { Job, OptionSolution, Solution } from '@pilgrim/core';
import { pageOf, type Page } from '@pilgrim/core/solve/page';
import type { JSONValue, Sql } from 'postgres';

export type JobState = 'stopped' | 'open' | 'ready';

/** Where a job stands, read off its solution. */
export function stateOf(solution: Solution): { state: JobState; decision: string } {
  const decision = solution.values['handover.decision']?.text ?? '';
  if (solution.findings.some((finding) => finding.severity === 'stop')) return { state: 'stopped', decision };
  return { state: solution.stages.handover.summary === '' ? 'open' : 'ready', decision };
}

/** What stands in the way of a job: its first stop, else what is needed first. */
export function concernOf({ findings, missing }: Solution): string {
  const stop = findings.find(({ severity }) => severity === 'stop');
  if (stop) return stop.message;
  const needed = missing.find(({ kind }) => kind === 'needed');
  return needed ? `Needed: ${needed.message}` : '';
}

const KEPT = 3;

/** Of the options their names and verdicts are kept: their figures are those of the comparison, the chosen one’s of the solution. */
const headOf = (option: OptionSolution): OptionSolution => ({
  ...option,
  values: {},
  findings: [],
  missing: [],
  stages: {},
  train: [],
});

/** What is kept of a solution with each revision: all of it but the tails of the long lists of catalogue items and the run-ups. */
function kept(solution: Solution): Solution {
  const { motors, drives } = solution.details;
  return {
    ...solution,
    options: Object.fromEntries(Object.entries(solution.options).map(([letter, option]) => [letter, headOf(option)])),
    details: {
      ...solution.details,
      starting: solution.details.starting.map(({ trace, ...start }) => start),
      motors: motors && { ...motors, fits: motors.fits.slice(0, KEPT), refused: motors.refused.slice(0, KEPT) },
      drives: drives && { ...drives, fits: drives.fits.slice(0, KEPT), refused: drives.refused.slice(0, KEPT) },
    },
  };
}

/** What the screens of a job bring of its solution. */
export const pageKept = (solution: Solution): Page => pageOf(kept(solution));

/** What is stored of a solution, ready to be sent: writing it as text costs more than storing it. */
export interface StoredResult {
  readonly engine: string;
  readonly state: JobState;
  readonly decision: string;
  /** What stands in its way, in a sentence; empty where nothing does. */
  readonly concern: string;
  readonly head: string;
  /** As JSON. */
  readonly result: string;
  readonly details: string;
}

export function keptOf(solution: Solution): StoredResult {
  const whole = kept(solution);
  const { head, details } = pageOf(whole);
  return {
    engine: solution.engine,
    ...stateOf(solution),
    concern: concernOf(solution),
    head,
    result: JSON.stringify(whole),
    details: JSON.stringify(details),
  };
}

/** ISO 4217, for where none is known. */
const NO_CURRENCY = 'XXX';

const asJson = (job: Job): JSONValue => job;

async function siteIdOf(sql: Sql, job: Job): Promise<string | null> {
  if (job.site === '') return null;
  const [site] = await sql<{ id: string }[]>`
    insert into sites (name, school, paper, currency)
    values (${job.site}, ${job.school}, ${job.paper}, ${/^[A-Za-z]{3}$/.test(job.currency) ? job.currency.toUpperCase() : NO_CURRENCY})
    on conflict (name) do update set name = excluded.name
    returning id`;
  return site?.id ?? null;
}

/** Stores a new job as its revision 1 and returns its id. */
export async function insertJob(sql: Sql, job: Job, result: StoredResult): Promise<string> {
  return sql.begin(async (transaction) => {
    const scoped = transaction as unknown as Sql;
    const siteId = await siteIdOf(scoped, job);
    const [row] = await scoped<{ id: string }[]>`
      insert into jobs (site_id, tag, title, state, decision, concern, revision)
      values (${siteId}, ${job.tag}, ${job.title}, ${result.state}, ${result.decision}, ${result.concern}, 1)
      returning id`;
    if (!row) throw new Error('the new job was not stored');
    await insertRevision(scoped, row.id, 1, job, result);
    return row.id;
  });
}

/** Saves over `base`. Returns the new revision, or undefined where somebody else saved first or the job is gone. */
export async function updateJob(
  sql: Sql,
  id: string,
  base: number,
  job: Job,
  result: StoredResult,
): Promise<number | undefined> {
  return sql.begin(async (transaction) => {
    const scoped = transaction as unknown as Sql;
    const siteId = await siteIdOf(scoped, job);
    const [row] = await scoped<{ revision: number }[]>`
      update jobs set site_id = ${siteId}, tag = ${job.tag}, title = ${job.title}, state = ${result.state},
        decision = ${result.decision}, concern = ${result.concern}, revision = revision + 1, updated_at = now()
      where id = ${id} and revision = ${base}
      returning revision`;
    if (!row) return undefined;
    await insertRevision(scoped, id, row.revision, job, result);
    return row.revision;
  });
}

async function insertRevision(sql: Sql, id: string, revision: number, job: Job, kept: StoredResult): Promise<void> {
  const { engine, result, head, details } = kept;
  await sql`insert into job_revisions (job_id, revision, document, engine, result, page, page_details)
    values (${id}, ${revision}, ${sql.json(asJson(job))}, ${engine}, ${result}::text::jsonb, ${head}, ${details}::text::jsonb)`;
}
