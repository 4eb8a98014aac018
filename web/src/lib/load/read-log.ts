import { logBinner, type BinnedLog } from '@pilgrim/core/stages/load/bin-log';
import { flowLogger, type FlowRecord } from '@pilgrim/core/stages/operating-profile/flow-log';
import Papa from 'papaparse';

/** What the first lines of a log say of its columns. */
export interface LogPreview {
  readonly header: readonly string[];
  readonly sample: readonly (readonly string[])[];
  /** Likely columns; −1 where none looks like it. */
  readonly time: number;
  readonly value: number;
  readonly headed: boolean;
}

export interface LogColumns {
  /** −1 where the samples come at an even interval. */
  readonly time: number;
  readonly value: number;
  /** s from sample to sample without a time column; with one, s that its bare numbers stand for. */
  readonly interval: number;
  readonly headed: boolean;
  /** A further column, of power beside flow. */
  readonly second?: number | undefined;
}

/** What was made of a log, or why nothing was, in words. */
export type LogTaken = { readonly done: string } | { readonly refused: string };

const HEAD_BYTES = 65_536;
const CHUNK = 1_000_000;
const LARGEST = 400_000_000;

const numeric = (cell: string): boolean => /^\s*[+-]?[\d.,]+(e[+-]?\d+)?\s*$/i.test(cell);

/** Reads the first lines of a log. Throws an Error in words where there is nothing to bin. */
export async function previewLog(file: Blob): Promise<LogPreview> {
  if (file.size === 0) throw new Error('The file is empty.');
  if (file.size > LARGEST) throw new Error('The log is over 400 MB. Split it, or export fewer samples.');
  const text = await file.slice(0, HEAD_BYTES).text();
  if (text.includes('\u0000')) throw new Error('This is not a table of text. Export the log as CSV.');
  const { data } = Papa.parse<string[]>(text, { preview: 12, skipEmptyLines: 'greedy' });
  const first = data[0] ?? [];
  const headed = !first.some(numeric);
  const sample = data.slice(headed ? 1 : 0, 9);
  if (sample.length === 0) throw new Error('The log holds no rows of figures.');
  const width = Math.max(...sample.map((row) => row.length));
  const header = Array.from({ length: width }, (_, at) => (headed && first[at]?.trim()) || `Column ${at + 1}`);
  const isTime = (at: number): boolean =>
    TIME.test(header[at] ?? '') ||
    sample.every((row) => !Number.isNaN(timeOf(row[at] ?? '')) && !numeric(row[at] ?? ''));
  const time = header.findIndex((_, at) => isTime(at));
  const figures = header.flatMap((_, at) => (at !== time && sample.some((row) => numeric(row[at] ?? '')) ? [at] : []));
  const value = figures.find((at) => LOAD.test(header[at] ?? '')) ?? figures[0];
  if (value === undefined)
    throw new Error('No column of figures was found. The log needs a torque or a current a row.');
  return { header, sample, time, value, headed };
}

const TIME = /time|date|zeit|stamp|sec|^\s*(t|s|ms|min|h)\s*([[(,/].*)?$/i;
const LOAD = /torque|moment|amp|current|flow|kw|watt|power|\bA\b|N·?m\b|lb|gpm|cfm|m³|m3/i;
/** Seconds: a bare number in steps of so many, a clock time, or a date. NaN where it is none of these. */
function timeOf(cell: string, step = 1): number {
  const number = Number(cell);
  if (!Number.isNaN(number)) return cell.trim() === '' ? Number.NaN : number * step;
  const clock = /^\s*(\d{1,3}):(\d{2})(?::(\d{2}(?:[.,]\d+)?))?\s*$/.exec(cell);
  if (clock) return Number(clock[1]) * 3600 + Number(clock[2]) * 60 + Number((clock[3] ?? '0').replace(',', '.'));
  return Date.parse(cell.trim()) / 1000;
}

function valueOf(cell: string | undefined): number {
  if (cell === undefined || cell === '') return Number.NaN;
  const number = Number(cell);
  return Number.isNaN(number) ? Number(cell.replace(',', '.')) : number;
}

interface Watch {
  /** Share of the file read so far. */
  readonly onProgress?: (share: number) => void;
  readonly cancelled?: () => boolean;
}

type OnRow = (time: number, value: number, second: number | undefined) => void;

/** Reads a whole log as it streams by, row for row; false where it was cancelled. */
function streamLog(source: File | string, columns: LogColumns, onRow: OnRow, watch: Watch): Promise<boolean> {
  const size = typeof source === 'string' ? source.length : source.size;
  const { second } = columns;
  let row = 0;
  let skip = columns.headed;
  return new Promise((resolve, reject) => {
    let stopped = false;
    Papa.parse<string[]>(source as File, {
      chunkSize: CHUNK,
      chunk: ({ data, meta }, parser) => {
        for (const cells of data) {
          if (skip) skip = false;
          else if (cells.length > 1 || cells[0] !== '') {
            const time =
              columns.time < 0 ? row * columns.interval : timeOf(cells[columns.time] ?? '', columns.interval);
            onRow(time, valueOf(cells[columns.value]), second === undefined ? undefined : valueOf(cells[second]));
            row++;
          }
        }
        watch.onProgress?.(Math.min(1, meta.cursor / size));
        if (watch.cancelled?.()) {
          stopped = true;
          parser.abort();
        }
      },
      complete: () => resolve(!stopped),
      error: (cause: Error) => reject(cause),
    });
  });
}

/** Bins a whole log of load; undefined where it was cancelled. */
export async function binLog(
  source: File | string,
  columns: LogColumns,
  watch: Watch = {},
): Promise<BinnedLog | undefined> {
  const binner = logBinner();
  return (await streamLog(source, columns, binner.push, watch)) ? binner.result() : undefined;
}

/** Sums a whole log of flow or power up; undefined where it was cancelled. */
export async function recordFlow(
  source: File | string,
  columns: LogColumns,
  watch: Watch = {},
): Promise<FlowRecord | undefined> {
  const logger = flowLogger();
  return (await streamLog(source, columns, logger.push, watch)) ? logger.result() : undefined;
}
