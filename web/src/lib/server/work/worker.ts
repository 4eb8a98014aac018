import { solve, type Catalogue, type Job, type Solution } from '@pilgrim/core';
import type { SelectionSheet } from '@pilgrim/core/solve/sheet';
import { plainPhoto, type Photo } from './plain-photo.ts';
import { registerFile } from './register-file.ts';
import type { RegisterFormat } from './register-formats.ts';
import { selectionPdf } from './selection-pdf.ts';

/** What takes long enough to be done beside the thread that answers. */
export type Task =
  | {
      readonly kind: 'solve';
      readonly job: Job;
      readonly version: string;
      /** As JSON; left out where the worker may have it. */
      readonly catalogue: string | undefined;
    }
  | { readonly kind: 'paper'; readonly sheet: SelectionSheet; readonly size: Job['paper']; readonly revision: number }
  | { readonly kind: 'register'; readonly documents: readonly string[]; readonly format: RegisterFormat }
  | { readonly kind: 'photo'; readonly content: Uint8Array };

export type Done =
  | { readonly kind: 'solution'; readonly solution: Solution }
  | { readonly kind: 'paper'; readonly bytes: Uint8Array<ArrayBuffer> }
  | { readonly kind: 'file'; readonly bytes: Uint8Array<ArrayBuffer> }
  | { readonly kind: 'photo'; readonly photo: Photo }
  | { readonly kind: 'refusal'; readonly message: string }
  /** The catalogue is to be sent along. */
  | { readonly kind: 'lacking' };

let held: { readonly version: string; readonly catalogue: Catalogue } | undefined;

export default async function work(task: Task): Promise<Done> {
  if (task.kind === 'paper')
    return { kind: 'paper', bytes: new Uint8Array(await selectionPdf(task.sheet, task.size, task.revision)) };
  if (task.kind === 'register')
    return { kind: 'file', bytes: new Uint8Array(await registerFile(task.documents, task.format)) };
  if (task.kind === 'photo') {
    const read = await plainPhoto(task.content);
    return 'refusal' in read ? { kind: 'refusal', message: read.refusal } : { kind: 'photo', photo: read };
  }
  const { job, version, catalogue } = task;
  if (held?.version !== version) {
    if (catalogue === undefined) return { kind: 'lacking' };
    held = { version, catalogue: JSON.parse(catalogue) as Catalogue };
  }
  return { kind: 'solution', solution: solve(job, held.catalogue) };
}
