import {
  codes,
  GAP,
  labels,
  NUMBER,
  SMUDGED,
  units,
  WORD,
  type Label,
  type PlateField,
  type Unit,
} from './vocabulary.ts';

interface Place {
  readonly text: string;
  /** Where the text stands on the plate as read, from inclusive, to exclusive. */
  readonly from: number;
  readonly to: number;
}

/** One word of the plate’s text by its form; what it means is settled by its neighbours. */
export type Scanned = Place &
  (
    | { readonly kind: 'number'; readonly value: string; readonly smudged: boolean }
    | { readonly kind: 'unit'; readonly unit: Unit }
    | { readonly kind: 'label'; readonly label: Label }
    | { readonly kind: 'code'; readonly field: PlateField | 'nothing' }
    | { readonly kind: 'word' }
  );

const take = (pattern: RegExp, text: string, at: number): string | undefined => {
  pattern.lastIndex = at;
  return pattern.exec(text)?.[0];
};

/** Cuts one line of a plate into words, figures, units and labels. `offset` is where the line starts in the text. */
export function scan(line: string, offset: number): Scanned[] {
  const out: Scanned[] = [];
  let at = 0;
  while (at < line.length) {
    const gap = take(GAP, line, at);
    if (gap) {
      at += gap.length;
      continue;
    }
    const next = announced(out.at(-1), line, at) ?? nextWord(line, at);
    out.push({ ...next, from: offset + at, to: offset + at + next.text.length });
    at += next.text.length;
  }
  return out;
}

type Unplaced<T> = T extends Place ? Omit<T, 'from' | 'to'> : never;

/** After `S/N` any word is the serial number, after `YEAR` a figure is the year, whatever else it might look like. */
function announced(before: Scanned | undefined, line: string, at: number): Unplaced<Scanned> | undefined {
  if (before?.kind !== 'label') return undefined;
  const { field, accepts } = before.label;
  if (field === 'serial' || field === 'model')
    return { kind: 'word', text: take(WORD, line, at) ?? line.slice(at, at + 1) };
  if (accepts !== 'number') return undefined;
  const number = take(NUMBER, line, at);
  return number === undefined
    ? undefined
    : { kind: 'number', text: number, value: number.replaceAll('–', '-'), smudged: false };
}

function nextWord(line: string, at: number): Unplaced<Scanned> {
  for (const [field, pattern] of codes) {
    const text = take(pattern, line, at);
    if (text) return { kind: 'code', field, text };
  }
  for (const [label, pattern] of labels) {
    const text = take(pattern, line, at);
    if (text) return { kind: 'label', label, text };
  }
  for (const [unit, pattern] of units) {
    const text = take(pattern, line, at);
    if (text) return { kind: 'unit', unit, text };
  }
  const smudged = take(SMUDGED, line, at);
  if (smudged)
    return {
      kind: 'number',
      text: smudged,
      value: smudged.replaceAll('O', '0').replaceAll(/[Il]/g, '1'),
      smudged: true,
    };
  const number = take(NUMBER, line, at);
  if (number) return { kind: 'number', text: number, value: number.replaceAll('–', '-'), smudged: false };
  return { kind: 'word', text: take(WORD, line, at) ?? line.slice(at, at + 1) };
}
