import { schedulesOf } from '@pilgrim/core/solve/schedules';
import { deferral } from '@pilgrim/core/stages/handover/cautions';
import Papa from 'papaparse';
import { readKept, type KeptText } from './kept.ts';
import type { ScheduleFormat } from './file-types.ts';
import { schedulesPdf } from './schedules-pdf.ts';
import { workbooks } from './workbook.ts';

export interface ScheduleTask {
  /** Whose schedules they are. */
  readonly title: string;
  readonly paper: 'letter' | 'a4';
  readonly jobs: readonly KeptText[];
  /** How many jobs more there are than are taken. */
  readonly more: number;
  readonly format: ScheduleFormat;
}

/** Cable, device and setting schedules as a file. Cells that a spreadsheet would run as a formula are quoted. */
export async function scheduleFile({ title, paper, jobs, more, format }: ScheduleTask): Promise<Uint8Array> {
  const { schedules, leftOut } = schedulesOf(jobs.map(readKept));
  const notes = [
    ...leftOut.map((each) => `Left out, stopped. ${each}`),
    ...(more > 0 ? [`${more} jobs more are not listed: a file holds ${jobs.length}.`] : []),
    'Numbers of items are proposed.',
    deferral,
  ];
  if (format === 'pdf') return schedulesPdf({ title, paper, schedules, notes });
  if (format === 'xlsx')
    return workbooks([
      ...schedules.map(({ title: sheet, heads, rows }) => ({ sheet, rows: [heads, ...rows] })),
      { sheet: 'Notes', rows: notes.map((note) => [note]) },
    ]);
  const rows = [
    ...schedules.flatMap(({ title: name, heads, rows: own }) => [[name], heads, ...own, ['']]),
    ...notes.map((note) => [note]),
  ];
  // With a byte order mark, so that spreadsheets read it as UTF-8.
  return new TextEncoder().encode(`\ufeff${Papa.unparse(rows as string[][], { escapeFormulae: true })}`);
}
