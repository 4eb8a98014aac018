/// <reference lib="webworker" />
import type { BinnedLog } from '@pilgrim/core/stages/load/bin-log';
import type { FlowRecord } from '@pilgrim/core/stages/operating-profile/flow-log';
import { binLog, previewLog, recordFlow, type LogColumns, type LogPreview } from '$lib/load/read-log';

export type LogQuestion =
  | { readonly kind: 'open'; readonly file: File }
  | { readonly kind: 'bin' | 'record'; readonly file: File; readonly columns: LogColumns }
  | { readonly kind: 'cancel' };
export type LogAnswer =
  | { readonly kind: 'opened'; readonly preview: LogPreview }
  | { readonly kind: 'progress'; readonly share: number }
  | { readonly kind: 'binned'; readonly log: BinnedLog }
  | { readonly kind: 'recorded'; readonly log: FlowRecord }
  | { readonly kind: 'cancelled' }
  | { readonly kind: 'refused'; readonly message: string };

const UNREAD = 'No two samples in a row could be read. Check which column is time and which holds the figures.';

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
    const watch = {
      onProgress: (share: number) => say({ kind: 'progress', share }),
      cancelled: () => cancelled,
    };
    if (data.kind === 'bin') {
      const log = await binLog(data.file, data.columns, watch);
      if (!log) say({ kind: 'cancelled' });
      else if (log.peak <= 0 || log.duration <= 0) say({ kind: 'refused', message: UNREAD });
      else say({ kind: 'binned', log });
      return;
    }
    const log = await recordFlow(data.file, data.columns, watch);
    if (!log) say({ kind: 'cancelled' });
    else if (log.recorded <= 0) say({ kind: 'refused', message: UNREAD });
    else say({ kind: 'recorded', log });
  } catch (cause) {
    say({ kind: 'refused', message: cause instanceof Error ? cause.message : 'The log cannot be read.' });
  }
};
