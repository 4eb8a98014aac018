import type { Field, Fields } from '../kernel/field.ts';
import { termIn, type Term } from '../kernel/term.ts';
import { stageFields } from '../job/fields.ts';
import { publishedValues } from '../solve/published.ts';
import { glossaryOf } from '../stages/glossary.ts';

export interface ListedTerm {
  /** Of a published value, or the path of a field in the document. */
  readonly id: string;
  readonly kind: 'value' | 'field';
  /** The term of NEMA and the NEC, with its symbol where there is one. */
  readonly nema: string;
  readonly nemaSymbol: string;
  /** The term of IEC. */
  readonly iec: string;
  readonly iecSymbol: string;
  /** One sentence, the clause of a standard from memory, and other names; empty where the glossary has none. */
  readonly definition: string;
  readonly clause: string;
  readonly also: readonly string[];
}

const listed = (id: string, kind: ListedTerm['kind'], label: Term, symbol: Term = ''): ListedTerm => ({
  id,
  kind,
  nema: termIn(label, 'NEMA'),
  nemaSymbol: termIn(symbol, 'NEMA'),
  iec: termIn(label, 'IEC'),
  iecSymbol: termIn(symbol, 'IEC'),
  definition: glossaryOf.get(id)?.definition ?? '',
  clause: glossaryOf.get(id)?.clause ?? '',
  also: glossaryOf.get(id)?.also ?? [],
});

/** What every value and field is called in both systems of standards, for the documentation; `other.` has the terms of `protection.` */
export const termList = (): ListedTerm[] => [
  ...[...publishedValues].flatMap(([id, { label, symbol }]) =>
    id.startsWith('other.') ? [] : [listed(id, 'value', label, symbol)],
  ),
  ...Object.entries(stageFields as Readonly<Record<string, Fields>>).flatMap(([stage, fields]) =>
    Object.entries<Field>(fields).map(([name, { label }]) => listed(`${stage}.${name}`, 'field', label)),
  ),
];

/** As it is compared: without case, accents, signs and raised digits. */
const plain = (text: string): string =>
  text
    .normalize('NFKD')
    .toLowerCase()
    .replaceAll('φ', 'phi')
    .replaceAll('η', 'eta')
    .replaceAll(/[^a-z0-9%]/g, '');

/** How well a term answers what was typed, 0 best; undefined where it does not. */
function fits(term: ListedTerm, wanted: string): number | undefined {
  const names = [term.nema, term.iec, term.nemaSymbol, term.iecSymbol, term.id, ...term.also].map(plain);
  if (names.includes(wanted)) return 0;
  if (names.some((name) => name.startsWith(wanted))) return 1;
  if (wanted.length > 2 && names.some((name) => name.includes(wanted))) return 2;
  return wanted.length > 3 && plain(term.definition).includes(wanted) ? 3 : undefined;
}

/** Terms found by any of their names, the nearest first; all of them where nothing was typed. */
export function findTerms(typed: string): ListedTerm[] {
  const wanted = plain(typed);
  const all = termList();
  if (wanted === '') return typed.trim() === '' ? all : [];
  return all
    .flatMap((term) => {
      const rank = fits(term, wanted);
      return rank === undefined ? [] : [{ term, rank }];
    })
    .toSorted((a, b) => a.rank - b.rank)
    .map(({ term }) => term);
}
