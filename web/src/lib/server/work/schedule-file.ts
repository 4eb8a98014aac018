import { schedulesOf } from '@pilgrim/core/solve/schedules';
import { cautions, deferral } from '@pilgrim/core/stages/documents/cautions';
import Papa from 'papaparse';
import { readKept, type KeptText } from './stored-result.ts';
import type { ScheduleFormat } from './file-types.ts';
import { schedulesPdf } from './schedules-pdf.ts';
import { workbooks } from './workbook.ts';

export interface ScheduleTask {
  readonly jobs: readonly KeptText[];
  /** Whose jobs they are, and how many more there are than are taken; of one job it says so itself. */
  readonly site: { readonly name: string; readonly paper: 'letter' | 'a4'; readonly more: number } | undefined;
  readonly format: ScheduleFormat;
}

/** Cable, device and setting schedules as a file. Cells that a spreadsheet would run as a formula are quoted. */
export async function scheduleFile({ jobs, site, format }: ScheduleTask): Promise<Uint8Array> {
  const kept = jobs.map(readKept);
  const { schedules, leftOut } = schedulesOf(kept);
  const own = kept[0]?.job;
  const title = site?.name ?? [own?.site, own?.tag, own?.title].filter(Boolean).join(' · ');
  const paper = site?.paper ?? own?.paper ?? 'a4';
  const more = site?.more ?? 0;
  const notes = [
    ...leftOut.map((each) => `Left out, stopped. ${each}`),
    ...(more > 0 ? [`${more} jobs more are not listed: a file holds ${jobs.length}.`] : []),
    'Numbers of items are proposed.',
    deferral,
  ];
  if (format === 'pdf') return schedulesPdf({ title, paper, schedules, notes });
  const beforehand = [...notes, ...cautions];
  if (format === 'xlsx')
    return workbooks([
      ...schedules.map(({ title: sheet, heads, rows }) => ({ sheet, rows: [heads, ...rows] })),
      { sheet: 'Notes', rows: beforehand.map((note) => [note]) },
    ]);
  const rows = [
    ...schedules.flatMap(({ title: name, heads, rows: own }) => [[name], heads, ...own, ['']]),
    ...beforehand.map((note) => [note]),
  ];
  // With a byte order mark, so that spreadsheets read it as UTF-8.
  return new TextEncoder().encode(`\ufeff${Papa.unparse(rows as string[][], { escapeFormulae: true })}`);
}
