import { plainFractions } from '../../../kernel/quantity/parse.ts';
import {
  codes,
  FRAME,
  GAP,
  labels,
  MIXED,
  NUMBER,
  SMUDGED,
  SPACED,
  TIMES,
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
    const next = announced(out, line, at) ?? nextWord(line, at, out.at(-1));
    out.push({ ...next, from: offset + at, to: offset + at + next.text.length });
    at += next.text.length;
    // `IE3-91,4%`: the hyphen joins the class to its efficiency.
    if (next.kind === 'code' && next.field === 'efficiencyClass' && /^[-–]\d/.test(line.slice(at, at + 2))) at++;
  }
  return out;
}

type Unplaced<T> = T extends Place ? Omit<T, 'from' | 'to'> : never;

const figure = (text: string, smudged = false): Unplaced<Scanned> => ({
  kind: 'number',
  text,
  value: plainFractions((smudged ? text.replaceAll('O', '0').replaceAll(/[Il]/g, '1') : text).replaceAll('–', '-')),
  smudged,
});

/**
 * After `S/N` any word is the serial number, after `YEAR` or `VOLTS` a figure is the year or the voltage, whatever else it
 * might look like (2300 is a bearing too).
 */
function announced(out: readonly Scanned[], line: string, at: number): Unplaced<Scanned> | undefined {
  const before = out.at(-1);
  if (take(TIMES, line, at)) return undefined;
  if (before?.kind === 'unit' && out.at(-2)?.kind !== 'number') {
    const number = before.unit === '°C' || before.unit === '%' ? undefined : take(NUMBER, line, at);
    // `HP 7 1/2` and a frame or bearing with its letters are left to their own forms.
    return number === undefined || take(MIXED, line, at) || /^[A-Za-z]/.test(line.slice(at + number.length))
      ? undefined
      : figure(number);
  }
  if (before?.kind !== 'label') return undefined;
  const { field, accepts } = before.label;
  if (field === 'serial' || field === 'model')
    return { kind: 'word', text: take(WORD, line, at) ?? line.slice(at, at + 1) };
  if (accepts !== 'number' || take(FRAME, line, at)) return undefined;
  const number = take(NUMBER, line, at);
  return number === undefined ? undefined : figure(number);
}

function nextWord(line: string, at: number, before: Scanned | undefined): Unplaced<Scanned> {
  const phases = take(TIMES, line, at);
  if (phases) return { kind: 'code', field: 'phases', text: phases.trimEnd() };
  const afterPhases = before?.kind === 'unit' && before.unit === 'phases';
  const mixed = afterPhases ? undefined : take(MIXED, line, at);
  if (mixed) return figure(mixed);
  const spaced = take(SPACED, line, at);
  if (spaced) return { kind: 'number', text: spaced, value: spaced.replace(/\D/, ''), smudged: false };
  for (const [field, pattern] of codes) {
    const text = take(pattern, line, at);
    if (text && !(field === 'bearingDriveEnd' && isMeasured(text, line, at))) return { kind: 'code', field, text };
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
  if (smudged) return figure(smudged, true);
  const number = take(NUMBER, line, at);
  if (number) return figure(number);
  return { kind: 'word', text: take(WORD, line, at) ?? line.slice(at, at + 1) };
}

/** Digits that a unit or a further figure follows are no bearing: `2300 V`, `2300/4000`. */
function isMeasured(text: string, line: string, at: number): boolean {
  if (!/^n?\d+$/i.test(text)) return false;
  const rest = line.slice(at + text.length);
  const gap = /^\s*/.exec(rest)?.[0].length ?? 0;
  const behind = at + text.length + gap;
  return /^\s*[-–/]\s*\d/.test(rest) || units.some(([, pattern]) => take(pattern, line, behind) !== undefined);
}
