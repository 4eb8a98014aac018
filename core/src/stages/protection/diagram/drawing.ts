import type { StandardsSystem } from '../../../kernel/quantity/units.ts';
import { nameOf, type Item, type Scheme } from './scheme.ts';
import { LENGTH, symbols, type Symbol } from './symbols.ts';

export type Point = readonly [x: number, y: number];

interface Said {
  readonly at: Point;
  readonly text: string;
  readonly as: 'item' | 'terminal' | 'wire';
  readonly anchor: 'start' | 'middle' | 'end';
}

/** What a circuit is drawn of; lengths are those of the drawing, y goes down. */
export interface Drawing {
  readonly title: string;
  readonly width: number;
  readonly height: number;
  readonly school: StandardsSystem;
  readonly symbols: readonly { readonly symbol: Symbol; readonly at: Point; readonly across: boolean }[];
  readonly wires: readonly (readonly Point[])[];
  /** Mechanical links and frames. */
  readonly dashed: readonly (readonly Point[])[];
  /** Where wires are joined. */
  readonly joints: readonly Point[];
  readonly circles: readonly { readonly at: Point; readonly radius: number }[];
  readonly said: readonly Said[];
  /** What is drawn, in the order in which it is. */
  readonly items: readonly Item[];
}

/** Collects a drawing; a symbol stands on its upper or left end. */
export class SchematicWriter {
  readonly symbols: { symbol: Symbol; at: Point; across: boolean }[] = [];
  readonly wires: Point[][] = [];
  readonly dashed: Point[][] = [];
  readonly joints: Point[] = [];
  readonly circles: { at: Point; radius: number }[] = [];
  readonly said: Said[] = [];
  readonly items = new Set<Item>();

  readonly scheme: Scheme;

  constructor(scheme: Scheme) {
    this.scheme = scheme;
  }

  symbol(symbol: Symbol, at: Point, across = false): void {
    this.symbols.push({ symbol, at, across });
  }

  wire(...points: Point[]): void {
    this.wires.push(points);
  }

  say(text: string, at: Point, as: Said['as'], anchor: Said['anchor'] = 'start'): void {
    if (text !== '') this.said.push({ text, at, as, anchor });
  }

  /** Names an item that is drawn. */
  name(item: Item, at: Point, anchor: Said['anchor']): void {
    this.items.add(item);
    this.say(nameOf(item, this.scheme), at, 'item', anchor);
  }

  /** Cut to what was drawn, with a margin. */
  done(title: string): Drawing {
    const points = [
      ...this.wires.flat(),
      ...this.dashed.flat(),
      ...this.symbols.flatMap(({ at: [x, y], across }): Point[] => [
        [x - (across ? 0 : REACH), y - (across ? REACH : 0)],
        [x + (across ? LENGTH : REACH), y + (across ? REACH : LENGTH)],
      ]),
      ...this.circles.flatMap(({ at: [x, y], radius }): Point[] => [
        [x - radius, y - radius],
        [x + radius, y + radius],
      ]),
      ...this.said.flatMap(({ at: [x, y], text, anchor, as }): Point[] => {
        const wide = text.length * SIZES[as] * WIDE;
        const left = x - (anchor === 'end' ? wide : anchor === 'middle' ? wide / 2 : 0);
        return [
          [left, y - SIZES[as]],
          [left + wide, y + 3],
        ];
      }),
    ];
    const xs = points.map(([x]) => x);
    const ys = points.map(([, y]) => y);
    const [left, top] = [Math.min(...xs) - MARGIN, Math.min(...ys) - MARGIN];
    const moved = ([x, y]: Point): Point => [x - left, y - top];
    const movedAt = <Each extends { readonly at: Point }>(all: readonly Each[]): Each[] =>
      all.map((each) => ({ ...each, at: moved(each.at) }));
    return {
      title,
      school: this.scheme.school,
      width: Math.ceil(Math.max(...xs) - left + MARGIN),
      height: Math.ceil(Math.max(...ys) - top + MARGIN),
      symbols: movedAt(this.symbols),
      wires: this.wires.map((line) => line.map(moved)),
      dashed: this.dashed.map((line) => line.map(moved)),
      joints: this.joints.map(moved),
      circles: movedAt(this.circles),
      said: movedAt(this.said),
      items: [...this.items],
    };
  }
}

/** Half of what a symbol takes beside its line. */
const REACH = 18;
const MARGIN = 8;
const SIZES = { item: 12, terminal: 9, wire: 9 } as const;
/** On a screen the smallest letters are 13 px high. */
const SCREEN = 13 / SIZES.terminal;
/** Width of a letter over its height, at most. */
const WIDE = 0.62;

const escaped = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;');
const fine = (length: number): string => String(Number(length.toFixed(2)));
const through = (line: readonly Point[]): string =>
  line.map(([x, y], at) => `${at === 0 ? 'M' : 'L'}${fine(x)} ${fine(y)}`).join('');

interface Look {
  readonly ink: string;
  readonly quiet: string;
  readonly copper: string;
  readonly face: string;
}

/** The drawing as SVG. Colours and face are given, since paper and screen have their own. */
export function svgOf(drawing: Drawing, { ink, quiet, copper, face }: Look): string {
  const { width, height, school, title } = drawing;
  const drawn = drawing.symbols.map(
    ({ symbol, at: [x, y], across }) =>
      `<path data-symbol="${symbol}" transform="translate(${fine(x)} ${fine(y)})${across ? ' rotate(-90)' : ''}" d="${symbols[school][symbol]}"/>`,
  );
  const looks = {
    item: `font-size="${SIZES.item}" font-weight="700" fill="${ink}"`,
    terminal: `font-size="${SIZES.terminal}" fill="${quiet}"`,
    wire: `font-size="${SIZES.wire}" fill="${copper}"`,
  } as const;
  const words = drawing.said.map(
    ({ text, at: [x, y], as, anchor }) =>
      `<text data-said="${as}" x="${fine(x)}" y="${fine(y)}" text-anchor="${anchor}" ${looks[as]}>${escaped(text)}</text>`,
  );
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" width="${Math.ceil(width * SCREEN)}" height="${Math.ceil(height * SCREEN)}" font-family="${face}" role="img" aria-label="${escaped(title)}">`,
    `<g fill="none" stroke="${ink}" stroke-width="1.3" stroke-linecap="round" stroke-linejoin="round">`,
    `<path d="${drawing.wires.map(through).join('')}"/>`,
    `<path stroke-dasharray="4 3" stroke="${quiet}" d="${drawing.dashed.map(through).join('')}"/>`,
    ...drawn,
    ...drawing.circles.map(({ at: [x, y], radius }) => `<circle cx="${fine(x)}" cy="${fine(y)}" r="${fine(radius)}"/>`),
    '</g>',
    ...drawing.joints.map(([x, y]) => `<circle cx="${fine(x)}" cy="${fine(y)}" r="2.4" fill="${ink}"/>`),
    ...words,
    '</svg>',
  ].join('');
}
