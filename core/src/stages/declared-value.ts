import type { Dimension } from '../kernel/quantity/units.ts';
import type { Term } from '../kernel/term.ts';
import type { Text } from '../kernel/text.ts';
import type { Value } from '../kernel/value.ts';

/** Chapters of the selection sheet, in their order. */
export const sheetSections = [
  'Selection',
  'Load and rating',
  'Existing motor, from nameplate',
  'Supply and starting',
  'Drive and motor cable',
  'Protection and wiring',
  'Energy and economics',
] as const;
type SheetSection = (typeof sheetSections)[number];

interface Declared {
  /** The standard noun phrase; makes sense on paper, alone. */
  readonly label: Term;
  /** Stands behind the label in tables and on papers; empty where a system of standards has none. */
  readonly symbol?: Term;
  /** Known whatever is missing. */
  readonly always?: true;
  /** Where it stands on the selection sheet; not on it where nothing is said. */
  readonly sheet?: SheetSection;
  /** For programs: on screen another value says the same. */
  readonly unseen?: true;
  /** A heading that begins at this value, where a stage has many. */
  readonly heading?: string;
}
type More = Omit<Declared, 'label'>;
export interface DeclaredFigure extends Declared {
  readonly kind: 'figure';
  readonly dimension: Dimension;
}
/** A code, name or verdict. */
export interface DeclaredPhrase extends Declared {
  readonly kind: 'phrase';
}
export type DeclaredValue = DeclaredFigure | DeclaredPhrase;

export const figure = <const Said extends More = object>(
  dimension: Dimension,
  label: Term,
  more?: Said,
): DeclaredFigure & Said => ({ kind: 'figure', dimension, label, ...(more as Said) });
export const textField = <const Said extends More = object>(label: Term, more?: Said): DeclaredPhrase & Said => ({
  kind: 'phrase',
  label,
  ...(more as Said),
});

type ValueOf<Each> = Each extends DeclaredPhrase ? Value<Text> : Value;
type Known<Values> = { readonly [Name in keyof Values]: ValueOf<Values[Name]> };
type Always<Values> = { [Name in keyof Values]: Values[Name] extends { always: true } ? Name : never }[keyof Values];
/** The values of a stage as it returns them. */
export type ValuesOf<Values> = Pick<Known<Values>, Always<Values>> & Partial<Omit<Known<Values>, Always<Values>>>;
