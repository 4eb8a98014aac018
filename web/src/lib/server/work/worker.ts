import { readlinkSync } from 'node:fs';
import { constants, setPriority } from 'node:os';
import { isMainThread, workerData } from 'node:worker_threads';
import { solveByBoth, type Catalogue, type Job, type Solution } from '@pilgrim/core';
import { selectionSheet } from '@pilgrim/core/solve/sheet';
import { keptOf, type StoredResult } from '@pilgrim/db/store-jobs';
import { readKept, type KeptText } from './stored-result.ts';
import { stripMetadata, type Photo } from './strip-metadata.ts';
import { readCatalogue, type CatalogueRead } from './read-catalogue.ts';
import { registerFile } from './register-file.ts';
import type { RegisterFormat } from './file-types.ts';
import { scheduleFile, type ScheduleTask } from './schedule-file.ts';
import { selectionPdf } from './selection-pdf.ts';

/** What takes long enough to be done beside the thread that answers. */
export type Task =
  | {
      /** To be answered with the solution, or with what is kept of it. */
      readonly kind: 'solve' | 'keep';
      readonly job: Job;
      readonly version: string;
      /** As JSON; left out where the worker may have it. */
      readonly catalogue: string | undefined;
    }
  | ({ readonly kind: 'paper'; readonly revision: number } & KeptText)
  | { readonly kind: 'register'; readonly documents: readonly string[]; readonly format: RegisterFormat }
  | ({ readonly kind: 'schedules' } & ScheduleTask)
  | { readonly kind: 'photo'; readonly content: Uint8Array }
  | { readonly kind: 'catalogue'; readonly content: Uint8Array };

export type Done =
  | { readonly kind: 'solution'; readonly solution: Solution }
  | { readonly kind: 'kept'; readonly kept: StoredResult }
  | { readonly kind: 'paper'; readonly bytes: Uint8Array<ArrayBuffer> }
  | { readonly kind: 'file'; readonly bytes: Uint8Array<ArrayBuffer> }
  | { readonly kind: 'photo'; readonly photo: Photo }
  | { readonly kind: 'catalogue'; readonly read: CatalogueRead }
  | { readonly kind: 'refusal'; readonly message: string }
  /** The catalogue is to be sent along. */
  | { readonly kind: 'lacking' };

export interface WorkerSetting {
  /** Whether it gives way to the threads that answer. */
  readonly yields: boolean;
}

if (!isMainThread && (workerData as WorkerSetting).yields) giveWay();

/** Lowers the priority of this thread, where the system knows threads by a number of their own. */
function giveWay(): void {
  try {
    const [, , thread] = readlinkSync('/proc/thread-self').split('/');
    setPriority(Number(thread), constants.priority.PRIORITY_BELOW_NORMAL);
  } catch {
    // Without it papers are made as fast as all else.
  }
}

let held: { readonly version: string; readonly catalogue: Catalogue } | undefined;

export default async function work(task: Task): Promise<Done> {
  if (task.kind === 'paper') {
    const { job, solution } = readKept(task);
    const made = await selectionPdf(selectionSheet(job, solution), job.paper, task.revision);
    return { kind: 'paper', bytes: new Uint8Array(made) };
  }
  if (task.kind === 'register')
    return { kind: 'file', bytes: new Uint8Array(await registerFile(task.documents, task.format)) };
  if (task.kind === 'schedules') return { kind: 'file', bytes: new Uint8Array(await scheduleFile(task)) };
  if (task.kind === 'catalogue') return { kind: 'catalogue', read: readCatalogue(task.content) };
  if (task.kind === 'photo') {
    const read = await stripMetadata(task.content);
    return 'refusal' in read ? { kind: 'refusal', message: read.refusal } : { kind: 'photo', photo: read };
  }
  const { job, version, catalogue } = task;
  if (held?.version !== version) {
    if (catalogue === undefined) return { kind: 'lacking' };
    held = { version, catalogue: JSON.parse(catalogue) as Catalogue };
  }
  const solution = solveByBoth(job, held.catalogue);
  return task.kind === 'keep' ? { kind: 'kept', kept: keptOf(solution) } : { kind: 'solution', solution };
}
