/// <reference lib="webworker" />
import type { Mapping, RowDefaults } from '@pilgrim/core/register/columns';
import type { RegisteredMotor } from '@pilgrim/core/register/registered-motor';
import { ImportSession, type BadRow, type Checked } from '$lib/register/import-session';
import { Refused } from '$lib/register/read-table';

export type ImportQuestion =
  | { readonly kind: 'open'; readonly file: File }
  | { readonly kind: 'check'; readonly mapping: Mapping; readonly defaults: RowDefaults }
  | { readonly kind: 'take'; readonly importId: string }
  | { readonly kind: 'bad file' }
  | { readonly kind: 'cancel' };

export type ImportAnswer =
  | { readonly kind: 'progress'; readonly doing: 'checking' | 'storing'; readonly share: number }
  | {
      readonly kind: 'opened';
      readonly header: readonly string[];
      readonly sample: readonly (readonly string[])[];
      readonly count: number;
      readonly mapping: Mapping;
      readonly notes: readonly string[];
    }
  | { readonly kind: 'checked'; readonly good: number; readonly badCount: number; readonly bad: readonly BadRow[] }
  | { readonly kind: 'taken'; readonly count: number }
  | { readonly kind: 'cancelled'; readonly removed: number }
  | { readonly kind: 'bad file'; readonly text: string }
  | { readonly kind: 'refused'; readonly message: string };

const SAMPLE = 8;
const SHOWN = 200;
const BATCH = 250;
const BATCH_CHARACTERS = 400_000;

let session: ImportSession | undefined;
let checked: Checked | undefined;
let cancelled = false;

const say = (answer: ImportAnswer): void => postMessage(answer);

onmessage = async ({ data }: MessageEvent<ImportQuestion>) => {
  try {
    if (data.kind === 'cancel') cancelled = true;
    else {
      cancelled = false;
      await answer(data);
    }
  } catch (cause) {
    const message = cause instanceof Refused ? cause.message : 'The file cannot be read. Choose a CSV or XLSX file.';
    say({ kind: 'refused', message });
  }
};

async function answer(question: Exclude<ImportQuestion, { kind: 'cancel' }>): Promise<void> {
  switch (question.kind) {
    case 'open': {
      session = undefined;
      checked = undefined;
      const { file } = question;
      // Refused by its size before it is read into memory.
      const content = file.size > 200_000_000 ? new Uint8Array(0) : new Uint8Array(await file.arrayBuffer());
      if (content.length === 0 && file.size > 0)
        throw new Refused('The file is far too large for a list of motors. Split it.');
      session = await ImportSession.open(content, file.name);
      const { table, mapping } = session;
      return void say({
        kind: 'opened',
        header: table.header,
        sample: table.rows.slice(0, SAMPLE),
        count: table.rows.length,
        mapping,
        notes: table.notes,
      });
    }
    case 'check':
      checked = await session?.check(
        question.mapping,
        question.defaults,
        (done, of) => say({ kind: 'progress', doing: 'checking', share: done / of }),
        () => cancelled,
      );
      if (!checked) return void say({ kind: 'cancelled', removed: 0 });
      return void say({
        kind: 'checked',
        good: checked.good.length,
        badCount: checked.bad.length,
        bad: checked.bad.slice(0, SHOWN),
      });
    case 'take':
      return take(question.importId);
    case 'bad file':
      return void say({ kind: 'bad file', text: session && checked ? session.badFile(checked.bad) : '' });
  }
}

/** The next part of an import: as many motors as one request may carry. */
function batchFrom(motors: readonly RegisteredMotor[], at: number): { body: string; count: number } {
  const parts: string[] = [];
  let length = 0;
  while (at + parts.length < motors.length && parts.length < BATCH && length < BATCH_CHARACTERS) {
    const text = JSON.stringify(motors[at + parts.length]);
    parts.push(text);
    length += text.length;
  }
  return { body: `[${parts.join(',')}]`, count: parts.length };
}

async function take(importId: string): Promise<void> {
  const motors = checked?.good ?? [];
  for (let at = 0; at < motors.length;) {
    if (cancelled) return takeBack(importId);
    const { body, count } = batchFrom(motors, at);
    const response = await fetch('/api/motors/batch', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: `{"importId":${JSON.stringify(importId)},"motors":${body}}`,
    }).catch(() => undefined);
    if (!response?.ok) {
      await takeBack(importId, true);
      return void say({
        kind: 'refused',
        message: 'The register could not take the rows, so none was kept. Try again when the server answers.',
      });
    }
    at += count;
    say({ kind: 'progress', doing: 'storing', share: at / motors.length });
  }
  say({ kind: 'taken', count: motors.length });
}

async function takeBack(importId: string, quietly = false): Promise<void> {
  const response = await fetch(`/api/motors/imports/${importId}`, { method: 'DELETE' }).catch(() => undefined);
  const removed = response?.ok ? ((await response.json()) as { removed: number }).removed : 0;
  if (!quietly) say({ kind: 'cancelled', removed });
}
