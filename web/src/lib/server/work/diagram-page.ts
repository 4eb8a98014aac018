import { svgOf, type Drawing } from '@pilgrim/core/stages/protection/diagram/drawing';
import { diagramsOf } from '@pilgrim/core/stages/protection/diagram/parts';
import type { Scheme } from '@pilgrim/core/stages/protection/diagram/scheme';
import type { Column, Content } from 'pdfmake/interfaces';
import { cell, colours, printable, QUIET } from './pdf.ts';

const onPaper = { ink: '#1d2324', quiet: QUIET, copper: '#8a4a12', face: 'Atkinson' };

/** pt that a drawing may be high, so that the bill of parts stands under both on one page. */
const HIGH = 400;
const GAP = 12;

const figure = (drawing: Drawing, width: number): Column => ({
  width,
  stack: [
    { text: printable(drawing.title), bold: true, margin: [0, 4, 0, 2] },
    { svg: svgOf(drawing, onPaper), fit: [width, HIGH] },
  ],
});

/** Power and control circuit with the bill of parts, on a page of their own. */
export function diagramPage(scheme: Scheme, heading: string, pageWidth: number): Content[] {
  const { power, control, parts } = diagramsOf(scheme);
  // Both at about the same scale.
  const left = (pageWidth - GAP) * Math.min(0.5, Math.max(0.3, power.width / (power.width + control.width)));
  return [
    { text: printable(heading), color: QUIET, pageBreak: 'before' },
    {
      text: `Circuit diagrams in ${scheme.school === 'IEC' ? 'IEC 60617' : 'North American'} symbols, proposed`,
      fontSize: 13,
      bold: true,
    },
    { columns: [figure(power, left), figure(control, pageWidth - GAP - left)], columnGap: GAP },
    { text: 'Bill of materials', bold: true, margin: [0, 4, 0, 2] },
    {
      table: {
        headerRows: 1,
        widths: ['auto', 'auto', 'auto', '*'],
        body: [
          [
            cell('In the diagrams', true),
            cell('Schedule item', true),
            cell('What', true),
            cell('Type, rating or setting', true),
          ],
          ...parts.map(({ name, item, what, known }) =>
            [name, item, what, known].map((text) => ({ text: printable(text) })),
          ),
        ],
      },
      layout: 'lightHorizontalLines',
      fontSize: 7.5,
    },
    {
      text: 'A licensed person checks the diagram against the local code and the risk assessment before anything is wired. Lock out and prove dead: the line side of the isolator stays live.',
      bold: true,
      color: colours.caution,
      margin: [0, 4, 0, 0],
    },
  ];
}
