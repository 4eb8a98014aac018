import { error } from '@sveltejs/kit';
import { Piscina } from 'piscina';
import { log } from '../log';
import type { Done, Task, WorkerSetting } from './worker';

/** Who does what: a solve, which somebody waits for while typing, never waits for a paper. */
const crewOf = (task: Task): keyof typeof THREADS =>
  task.kind === 'solve' || task.kind === 'keep' ? 'solves' : 'papers';
export const THREADS = { solves: 2, papers: 1 } as const;
/** Tasks that may wait; more are refused for now. */
const WAITING = 100;
/** ms a task may take, the wait included, and MB a worker may hold. */
const LONGEST = 30_000;
const MEMORY = 400;
const BUSY = 'Too much is asked at once. Try again in a few seconds.';

interface Crew {
  readonly pool: Piscina<Task, Done>;
  readonly threads: number;
  /** Tasks that run or wait. Counted here: the pool (5.3.2) sets tasks it cannot hand out aside, past the limit of its queue. */
  asked: number;
}
const crews = new Map<string, Crew>();

/** Threads of the built worker, all up from the start; without it (while developing) tasks are done in place. */
function crewFor(task: Task): Crew | undefined {
  const filename = process.env['PILGRIM_WORKER'];
  if (filename === undefined) return undefined;
  const name = crewOf(task);
  const known = crews.get(name);
  if (known) return known;
  const threads = THREADS[name];
  const pool = new Piscina<Task, Done>({
    filename,
    minThreads: threads,
    maxThreads: threads,
    resourceLimits: { maxOldGenerationSizeMb: MEMORY },
    // A paper may take a little longer, so that pages and saves do not.
    workerData: { yields: name === 'papers' } satisfies WorkerSetting,
  });
  process.once('sveltekit:shutdown', () => void pool.destroy());
  const crew = { pool, threads, asked: 0 };
  crews.set(name, crew);
  return crew;
}

const codeOf = (cause: unknown): string =>
  cause instanceof Error ? `${cause.name} ${'code' in cause ? String(cause.code) : ''} ${cause.message}` : '';

/**
 * Does a task in a worker, with limits of time, memory and waiting. One that breaks them costs its worker and is refused in
 * words; one whose client has gone is dropped.
 */
export async function beside(task: Task, gone?: AbortSignal, longest = LONGEST): Promise<Done> {
  const crew = crewFor(task);
  if (!crew) return (await import('./worker')).default(task);
  if (crew.asked >= crew.threads + WAITING) error(503, BUSY);
  crew.asked++;
  const late = AbortSignal.timeout(longest);
  try {
    return await crew.pool.run(task, { signal: gone ? AbortSignal.any([late, gone]) : late });
  } catch (cause) {
    if (gone?.aborted) error(408, 'Nobody waits for this any more.');
    if (late.aborted && crew.asked > crew.threads) error(503, BUSY);
    log.warn({ err: cause, kind: task.kind }, 'a task was ended');
    if (late.aborted || /memory/i.test(codeOf(cause)))
      error(422, 'This takes longer or more memory than any real selection. Check the figures typed last.');
    throw cause;
  } finally {
    crew.asked--;
  }
}
