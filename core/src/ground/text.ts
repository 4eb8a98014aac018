import type { Dimension } from './quantity/units.ts';

/** A quantity that is to be shown: SI, and of what dimension. Its unit is settled where it is shown. */
export interface Amount {
  readonly si: number;
  readonly of: Dimension;
}
/** A plain number that is to be shown, to so many significant figures. */
export interface Figures {
  readonly number: number;
  readonly digits: number;
}
/** A sentence or part of one: fixed words, and what is put between them. */
export interface Phrase {
  readonly words: readonly string[];
  readonly put: readonly Text[];
}
/** Several texts with the same words between each two. */
export interface Series {
  readonly series: readonly Text[];
  readonly between: string;
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
  return typeof value.value === 'number' ? { si: value.value, of: value.of ?? 'count' } : value.value;
}

export const amount = (si: number, of: Dimension): Amount => ({ si, of });
export const figures = (number: number, digits = 3): Figures => ({ number, digits });

/** `say` tags a sentence: its words stay apart from the figures, names and phrases put into it. */
export const say = (words: readonly string[], ...put: readonly (Text | number | Valued)[]): Phrase => ({
  words,
  put: put.map((part) =>
    typeof part === 'number' ? String(part) : typeof part === 'object' && 'value' in part ? textOf(part) : part,
  ),
});

/** Those that say something, with the same words between each two; empty where none does. */
export function series(texts: readonly (Text | undefined | false)[], between = ', '): Text {
  const said = texts.filter((text): text is Text => text !== undefined && text !== false && text !== '');
  const [only] = said;
  if (only === undefined) return '';
  return said.length === 1 ? only : { series: said, between };
}

/** Whether anything is said. */
export const saysNothing = (text: Text): boolean => text === '';
