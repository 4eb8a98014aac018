import type { Field, Fields } from '../kernel/field.ts';
import { termIn, type Term } from '../kernel/term.ts';
import { stageFields } from '../job/fields.ts';
import { publishedValues } from '../solve/published.ts';

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
}

const listed = (id: string, kind: ListedTerm['kind'], label: Term, symbol: Term = ''): ListedTerm => ({
  id,
  kind,
  nema: termIn(label, 'NEMA'),
  nemaSymbol: termIn(symbol, 'NEMA'),
  iec: termIn(label, 'IEC'),
  iecSymbol: termIn(symbol, 'IEC'),
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
