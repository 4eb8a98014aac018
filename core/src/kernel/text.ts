import type { Dimension } from './quantity/units.ts';

/** What has no words yet; a class so that whoever looks through a result knows it at once. */
export abstract class Unspoken {
  /** Never put into a string unnoticed. */
  toString(): string {
    throw new TypeError('a text was used before it was presented');
  }
}

/** A quantity that is to be shown: SI, and of what dimension. Its unit is settled where it is shown. */
export class Amount extends Unspoken {
  readonly si: number;
  readonly of: Dimension;
  constructor(si: number, of: Dimension) {
    super();
    this.si = si;
    this.of = of;
  }
}
/** A plain number that is to be shown, to so many significant figures. */
export class Figures extends Unspoken {
  readonly number: number;
  readonly digits: number;
  constructor(number: number, digits: number) {
    super();
    this.number = number;
    this.digits = digits;
  }
}
/** A sentence or part of one: fixed words, and what is put between them. */
export class Phrase extends Unspoken {
  readonly words: readonly string[];
  readonly put: readonly Text[];
  constructor(words: readonly string[], put: readonly Text[]) {
    super();
    this.words = words;
    this.put = put;
  }
}
/** Several texts with the same words between each two. */
export class Series extends Unspoken {
  readonly series: readonly Text[];
  readonly between: string;
  constructor(series: readonly Text[], between: string) {
    super();
    this.series = series;
    this.between = between;
  }
}
/**
 * What is said, as the engine has it: no unit, no rounding, no system of standards. `present` makes the words of it. A bare
 * string is a name, a code or what somebody typed.
 */
export type Text = string | Amount | Figures | Phrase | Series;

interface Valued {
  readonly value: number | Text;
  readonly of?: Dimension;
}

/** A value as text: a number as an amount of its dimension, a code or name as it is. */
export function textOf(value: Valued): Text;
export function textOf(value: Valued | undefined): Text | undefined;
export function textOf(value: Valued | undefined): Text | undefined {
  if (value === undefined) return undefined;
  return typeof value.value === 'number' ? new Amount(value.value, value.of ?? 'count') : value.value;
}

export const amount = (si: number, of: Dimension): Amount => new Amount(si, of);
export const figures = (number: number, digits = 3): Figures => new Figures(number, digits);

/** `say` tags a sentence: its words stay apart from the figures, names and phrases put into it. */
export const say = (words: readonly string[], ...put: readonly (Text | number | Valued)[]): Phrase =>
  new Phrase(words, put.map(partOf));

function partOf(part: Text | number | Valued): Text {
  if (typeof part === 'number') return String(part);
  return typeof part === 'object' && !(part instanceof Unspoken) ? textOf(part) : part;
}

/** Lines, one under the other; an empty one stays. */
export const lines = (texts: readonly Text[]): Series => new Series(texts, '\n');

/** Those that say something, with the same words between each two; empty where none does. */
export function series(texts: readonly (Text | undefined | false)[], between = ', '): Text {
  const said = texts.filter((text): text is Text => text !== undefined && text !== false && text !== '');
  const [only] = said;
  if (only === undefined) return '';
  return said.length === 1 ? only : new Series(said, between);
}
