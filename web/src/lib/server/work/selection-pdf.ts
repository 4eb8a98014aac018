import { cautions, deferral } from '@pilgrim/core/stages/documents/cautions';
import type { SelectionSheet, SheetSection } from '@pilgrim/core/solve/sheet';
import pdfmake from 'pdfmake';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { diagramPage } from './diagram-page.ts';
import { boxed, cell, colours, prepare, printable, QUIET } from './pdf.ts';

const rule = (width: number): Content => ({
  canvas: [{ type: 'line', x1: 0, y1: 0, x2: width, y2: 0, lineWidth: 0.5, lineColor: '#b9b5a9' }],
  margin: [0, 1, 0, 3],
});

const section = (part: SheetSection, width: number): Content => ({
  stack: [
    { text: part.title, style: 'heading' },
    rule(width),
    {
      table: {
        widths: ['*', 'auto'],
        body: part.rows.map((row) => [
          { text: printable(row.label), color: QUIET },
          {
            text: [
              { text: printable(row.text), italics: row.assumed },
              { text: row.other === '' ? '' : printable(` · ${row.other}`), color: QUIET },
            ],
            alignment: 'right',
          },
        ]),
      },
      layout: {
        hLineWidth: () => 0,
        vLineWidth: () => 0,
        paddingTop: () => 0.3,
        paddingBottom: () => 0.3,
        paddingLeft: () => 0,
        paddingRight: () => 0,
      },
    },
  ],
  margin: [0, 0, 0, 6],
  unbreakable: true,
});

const bullets = (title: string, lines: readonly string[], width: number): Content[] =>
  lines.length === 0
    ? []
    : [{ text: title, style: 'heading' }, rule(width), { ul: lines.map(printable), margin: [0, 0, 0, 6] }];

function definition(sheet: SelectionSheet, paper: 'letter' | 'a4', revision: number): TDocumentDefinitions {
  const pageWidth = (paper === 'a4' ? 595.28 : 612) - 80;
  const column = (pageWidth - 20) / 2;
  const stops = sheet.findings.filter((finding) => finding.severity === 'stop');
  const others = sheet.findings.filter((finding) => finding.severity !== 'stop');
  const half = Math.ceil(sheet.sections.length / 2);
  return {
    pageSize: paper === 'a4' ? 'A4' : 'LETTER',
    pageMargins: [40, 30, 40, 36],
    info: { title: printable(`Selection sheet ${sheet.title}`), creator: 'Pilgrim' },
    defaultStyle: { font: 'Atkinson', fontSize: 8, lineHeight: 1.1 },
    styles: { heading: { bold: true, fontSize: 8.5, margin: [0, 2, 0, 0] } },
    footer: (page, pages) => ({
      columns: [
        {
          text: printable(
            `${sheet.title} · revision ${revision} · ${sheet.engine} · ${sheet.catalogue || 'catalogue not recorded'}${sheet.preparedBy ? ` · prepared by ${sheet.preparedBy}` : ''}`,
          ),
        },
        { text: `${page} of ${pages}`, alignment: 'right' },
      ],
      margin: [40, 10, 40, 0],
      fontSize: 7.5,
      color: QUIET,
    }),
    content: [
      { text: printable(sheet.site), color: QUIET },
      { text: printable(sheet.title), fontSize: 15, bold: true },
      {
        text: printable(sheet.decision),
        fontSize: 11,
        bold: true,
        color: stops.length > 0 ? colours.stop : sheet.ready ? '#1d6b45' : colours.caution,
        margin: [0, 2, 0, 6],
      },
      ...stops.map((stop): Content => ({
        text: printable(`STOP. ${stop.message} ${stop.clear}`),
        color: colours.stop,
        bold: true,
        margin: [0, 0, 0, 4],
      })),
      {
        columns: [
          { width: column, stack: sheet.sections.slice(0, half).map((part) => section(part, column)) },
          { width: column, stack: sheet.sections.slice(half).map((part) => section(part, column)) },
        ],
        columnGap: 20,
      },
      ...comparison(sheet, pageWidth),
      ...bullets('Why', sheet.reasons, pageWidth),
      ...(others.length > 0
        ? [
            { text: 'Open findings', style: 'heading' } satisfies Content,
            rule(pageWidth),
            {
              ul: others.map((finding) => ({
                text: [
                  {
                    text: finding.severity === 'caution' ? 'Caution. ' : 'Note. ',
                    bold: true,
                    color: colours[finding.severity],
                  },
                  { text: printable(`${finding.message} (${finding.basis})`) },
                ],
              })),
              margin: [0, 0, 0, 6],
            } satisfies Content,
          ]
        : []),
      ...bullets('Needed for a decision', sheet.needed, pageWidth),
      ...bullets('Improves accuracy', sheet.sharpens, pageWidth),
      ...(sheet.note ? [{ text: printable(sheet.note), margin: [0, 0, 0, 6] } satisfies Content] : []),
      boxed(cautions, deferral),
      { text: 'Figures in italics rest on an assumption.', color: QUIET, margin: [0, 4, 0, 0] },
      ...settingsPage(sheet, pageWidth),
      ...(sheet.scheme ? diagramPage(sheet.scheme, `${sheet.site} · ${sheet.title}`, pageWidth) : []),
    ],
  };
}

/** The selection sheet as a PDF with its fonts embedded, on the site’s paper. */
export async function selectionPdf(
  sheet: SelectionSheet,
  paper: 'letter' | 'a4',
  revision: number,
): Promise<Uint8Array<ArrayBuffer>> {
  prepare();
  const buffer = await pdfmake.createPdf(definition(sheet, paper, revision)).getBuffer();
  return new Uint8Array(buffer);
}

/** What the person at the keypad sets, on a page of its own, with room for what was set. */
function settingsPage({ settings, title, site }: SelectionSheet, pageWidth: number): Content[] {
  if (settings.length === 0) return [];
  return [
    { text: printable(`${site} · ${title}`), color: QUIET, pageBreak: 'before' },
    { text: 'Drive settings', fontSize: 13, bold: true },
    rule(pageWidth),
    {
      table: {
        headerRows: 1,
        widths: ['auto', 'auto', '*', 110],
        body: [
          [cell('Setting', true), cell('Calculated', true), cell('From', true), cell('As left', true)],
          ...settings.map(({ name, value, from, asSet = '', differs }) => [
            { text: printable(name), color: QUIET },
            cell(value, true),
            { text: printable(from), color: QUIET },
            {
              text: printable(differs ? `${asSet} (differs)` : asSet),
              ...(differs ? { color: colours.stop, bold: true } : {}),
            },
          ]),
        ],
      },
      layout: 'lightHorizontalLines',
    },
    {
      text: 'Lock out and prove dead before wiring. The dc link stays charged: wait the time on the label and measure below 50 V.',
      bold: true,
      color: colours.caution,
      margin: [0, 6, 0, 0],
    },
    { text: 'Set by:                                              Date:', margin: [0, 10, 0, 0] },
  ];
}

/** The options beside each other; a star marks what is best by a measure. */
function comparison({ compared }: SelectionSheet, pageWidth: number): Content[] {
  if (compared.heads.length === 0) return [];
  return [
    { text: 'Comparison of options', style: 'heading' },
    rule(pageWidth),
    {
      table: {
        headerRows: 1,
        widths: ['*', ...compared.heads.map(() => 'auto')],
        body: [
          ['', ...compared.heads.map((head) => cell(head, true))],
          ...compared.rows.map(({ label, texts, best }) => [
            printable(label),
            ...texts.map((text, at) => cell(best[at] ? `${text} *` : text, best[at] === true)),
          ]),
        ],
      },
      layout: 'lightHorizontalLines',
      fontSize: 8,
    },
    { ul: ['* best by that measure, of the options without a stop.', ...compared.verdict.map(printable)], fontSize: 8 },
  ];
}
