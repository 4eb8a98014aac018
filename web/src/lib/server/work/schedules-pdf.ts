import type { Schedule } from '@pilgrim/core/solve/schedules';
import { cautions } from '@pilgrim/core/stages/documents/cautions';
import pdfmake from 'pdfmake';
import type { Content } from 'pdfmake/interfaces';
import { boxed, cell, prepare, printable, QUIET } from './pdf.ts';

interface Asked {
  readonly title: string;
  readonly paper: 'letter' | 'a4';
  readonly schedules: readonly Schedule[];
  readonly notes: readonly string[];
}

const table = ({ title, heads, rows }: Schedule): Content[] =>
  rows.length === 0
    ? [{ text: `${title}: none is known yet.`, margin: [0, 6, 0, 0] }]
    : [
        { text: title, bold: true, fontSize: 10, margin: [0, 8, 0, 2] },
        {
          table: {
            headerRows: 1,
            widths: heads.map((_, at) => (at === heads.length - 1 ? '*' : 'auto')),
            body: [
              heads.map((head) => cell(head, true)),
              ...rows.map((row) => row.map((text) => ({ text: printable(text) }))),
            ],
          },
          layout: 'lightHorizontalLines',
        },
      ];

/** Schedules on paper lying on its side. */
export async function schedulesPdf({ title, paper, schedules, notes }: Asked): Promise<Uint8Array> {
  prepare();
  const buffer = await pdfmake
    .createPdf({
      pageSize: paper === 'a4' ? 'A4' : 'LETTER',
      pageOrientation: 'landscape',
      pageMargins: [30, 30, 30, 36],
      info: { title: printable(`Schedules ${title}`), creator: 'Pilgrim' },
      defaultStyle: { font: 'Atkinson', fontSize: 7.5, lineHeight: 1.1 },
      footer: (page, pages) => ({
        columns: [{ text: printable(title) }, { text: `${page} of ${pages}`, alignment: 'right' }],
        margin: [30, 10, 30, 0],
        color: QUIET,
      }),
      content: [
        { text: printable(title), fontSize: 14, bold: true },
        { text: 'Cable, device and setting schedules', color: QUIET },
        ...schedules.flatMap(table),
        { ul: notes.map(printable), margin: [0, 8, 0, 4] },
        boxed(cautions),
      ],
    })
    .getBuffer();
  return new Uint8Array(buffer);
}
