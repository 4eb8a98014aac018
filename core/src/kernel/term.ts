import type { StandardsSystem } from './quantity/units.ts';

/** A term of the trade; where NEMA/NEC and IEC call a thing differently, each has its own. */
export type Term = string | Readonly<Record<StandardsSystem, string>>;

/** The term as a system of standards has it. */
export const termIn = (term: Term, school: StandardsSystem): string => (typeof term === 'string' ? term : term[school]);

/** Both where they differ, the NEMA/NEC term first: for papers that serve both, schemas and messages of files. */
export const bothTerms = (term: Term): string =>
  typeof term === 'string' || term.NEMA === term.IEC ? termIn(term, 'IEC') : `${term.NEMA} · ${term.IEC}`;

/** `Full-load current (FLA)`: the term with its symbol behind it, as tables and papers print it. */
export function withSymbol(
  { label, symbol = '' }: { readonly label: Term; readonly symbol?: Term },
  school: StandardsSystem,
) {
  const sign = termIn(symbol, school);
  return sign === '' ? termIn(label, school) : `${termIn(label, school)} (${sign})`;
}
