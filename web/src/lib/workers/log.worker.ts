/// <reference lib="webworker" />
import type { BinnedLog } from '@pilgrim/core/stages/load/bin-log';
import { binLog, previewLog, type LogColumns, type LogPreview } from '$lib/load/read-log';

export type LogQuestion =
  | { readonly kind: 'open'; readonly file: File }
  | { readonly kind: 'bin'; readonly file: File; readonly columns: LogColumns }
  | { readonly kind: 'cancel' };
export type LogAnswer =
  | { readonly kind: 'opened'; readonly preview: LogPreview }
  | { readonly kind: 'progress'; readonly share: number }
  | { readonly kind: 'binned'; readonly log: BinnedLog }
  | { readonly kind: 'cancelled' }
  | { readonly kind: 'refused'; readonly message: string };

let cancelled = false;
const say = (answer: LogAnswer): void => postMessage(answer);

onmessage = async ({ data }: MessageEvent<LogQuestion>) => {
  if (data.kind === 'cancel') {
    cancelled = true;
    return;
  }
  cancelled = false;
  try {
    if (data.kind === 'open') {
      say({ kind: 'opened', preview: await previewLog(data.file) });
      return;
    }
    const log = await binLog(data.file, data.columns, {
      onProgress: (share) => say({ kind: 'progress', share }),
      cancelled: () => cancelled,
    });
    if (!log) say({ kind: 'cancelled' });
    else if (log.peak <= 0 || log.duration <= 0)
      say({
        kind: 'refused',
        message: 'No two samples in a row could be read. Check which column is time and which is the load.',
      });
    else say({ kind: 'binned', log });
  } catch (cause) {
    say({ kind: 'refused', message: cause instanceof Error ? cause.message : 'The log cannot be read.' });
  }
};
