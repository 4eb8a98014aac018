import { error } from '@sveltejs/kit';
import { Piscina } from 'piscina';
import { log } from '../log';
import type { Done, Task } from './worker';

const THREADS = 2;
/** Tasks that may wait; more are refused for now. */
const WAITING = 100;
/** ms a task may take, the wait included, and MB a worker may hold. */
const LONGEST = 30_000;
const MEMORY = 400;
const BUSY = 'Too much is asked at once. Try again in a few seconds.';

let pool: Piscina<Task, Done> | undefined;
/** Tasks that run or wait. Counted here: the pool (5.3.2) sets tasks it cannot hand out aside, past the limit of its queue. */
let asked = 0;

/** The built worker; without it (while developing) tasks are done in place. */
function workers(): Piscina<Task, Done> | undefined {
  const filename = process.env['PILGRIM_WORKER'];
  if (filename === undefined) return undefined;
  if (pool) return pool;
  const opened = new Piscina<Task, Done>({
    filename,
    minThreads: 1,
    maxThreads: THREADS,
    idleTimeout: 60_000,
    resourceLimits: { maxOldGenerationSizeMb: MEMORY },
  });
  process.once('sveltekit:shutdown', () => void opened.destroy());
  pool = opened;
  return opened;
}

const codeOf = (cause: unknown): string =>
  cause instanceof Error ? `${cause.name} ${'code' in cause ? String(cause.code) : ''} ${cause.message}` : '';

/**
 * Does a task in a worker, with limits of time, memory and waiting. One that breaks them costs its worker and is refused in
 * words; one whose client has gone is dropped.
 */
export async function beside(task: Task, gone?: AbortSignal, longest = LONGEST): Promise<Done> {
  const opened = workers();
  if (!opened) return (await import('./worker')).default(task);
  if (asked >= THREADS + WAITING) error(503, BUSY);
  asked++;
  const late = AbortSignal.timeout(longest);
  try {
    return await opened.run(task, { signal: gone ? AbortSignal.any([late, gone]) : late });
  } catch (cause) {
    if (gone?.aborted) error(408, 'Nobody waits for this any more.');
    if (late.aborted && asked > THREADS) error(503, BUSY);
    log.warn({ err: cause, kind: task.kind }, 'a task was ended');
    if (late.aborted || /memory/i.test(codeOf(cause)))
      error(422, 'This takes longer or more memory than any real selection. Check the figures typed last.');
    throw cause;
  } finally {
    asked--;
  }
}
