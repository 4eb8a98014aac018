import type { EChartsCoreOption } from 'echarts/core';
import { chartColours } from './colours';

export function download(name: string, address: string): void {
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
}

export const nameOf = (label: string, ending: string): string =>
  `${label
    .replaceAll(/[^\p{L}\p{N}]+/gu, '-')
    .slice(0, 60)
    .toLowerCase()}.${ending}`;

/** The drawing as text, with the size it has on screen. */
function textOf(svg: SVGSVGElement): string {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const { width, height } = svg.getBoundingClientRect();
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('width', String(width));
  copy.setAttribute('height', String(height));
  return new XMLSerializer().serializeToString(copy);
}
const addressOf = (svg: SVGSVGElement): string => `data:image/svg+xml;charset=utf-8,${encodeURIComponent(textOf(svg))}`;

export const saveSvg = (svg: SVGSVGElement, label: string): void => download(nameOf(label, 'svg'), addressOf(svg));

/** Twice as fine as the screen, on the colour of paper. */
const FINE = 2;

export async function savePng(svg: SVGSVGElement, label: string): Promise<void> {
  const { width, height } = svg.getBoundingClientRect();
  const image = new Image();
  image.src = addressOf(svg);
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = width * FINE;
  canvas.height = height * FINE;
  const brush = canvas.getContext('2d');
  if (!brush) return;
  brush.fillStyle = chartColours.card;
  brush.fillRect(0, 0, canvas.width, canvas.height);
  brush.drawImage(image, 0, 0, canvas.width, canvas.height);
  download(nameOf(label, 'png'), canvas.toDataURL('image/png'));
}

interface Series {
  readonly name?: string;
  readonly data?: readonly unknown[];
}

/** Every point of a chart: the series it belongs to, and its figures. */
export function csvOf({ series }: EChartsCoreOption): string {
  const all = (Array.isArray(series) ? series : []) as readonly Series[];
  const quoted = (text: string): string => `"${text.replaceAll('"', '""')}"`;
  return [
    'series,x,y',
    ...all.flatMap(({ name = '', data = [] }) =>
      data.map((point, at) => {
        const cells = Array.isArray(point) ? (point as unknown[]) : [at, point];
        return [quoted(name), ...cells.map(String)].join(',');
      }),
    ),
  ].join('\r\n');
}
