import { emptyJob } from '@pilgrim/core';
import { currentCatalogue } from '../catalogue';
import { log } from '../log';
import { beside, THREADS } from './pool';

/** How often each worker does its work before anybody waits for it. */
const ROUNDS = 4;

/** Starts the workers and lets them do what they will be asked for, so that the first who comes does not wait for a cold one. */
export async function warmUp(): Promise<void> {
  try {
    const job = emptyJob();
    const { version, text } = await currentCatalogue();
    const solved = Array.from({ length: THREADS.solves * ROUNDS }, () =>
      beside({ kind: 'keep', job, version, catalogue: text }),
    );
    const [done] = await Promise.all(solved);
    if (done?.kind !== 'kept') return;
    const { result } = done.kept;
    const document = JSON.stringify(job);
    for (let round = 0; round < ROUNDS; round++) await beside({ kind: 'paper', document, result, revision: 1 });
  } catch (cause) {
    log.info({ err: cause }, 'the workers start cold');
  }
}
