import type { Dimension } from './quantity/units.ts';
import type { Term } from './term.ts';

/** How a typed quantity is read, and between which SI limits it is believable. */
export interface FieldSpec {
  readonly dimension: Dimension;
  readonly min: number;
  readonly max: number;
  /** What a right entry looks like, used in hints, messages and the JSON Schema. */
  readonly example: string;
  /** Holds what a plate prints side by side. */
  readonly list?: true;
  /** What is typed is what a plate or data sheet declares; else what was measured or is wanted. */
  readonly declared?: true;
}

/** Looks at a place of the document by its path. */
export type Look = (path: string) => unknown;
export type Asked = (look: Look) => boolean;

/** How a field stands on its sheet. */
export interface Shown {
  /** The standard noun phrase; makes sense on paper, alone. */
  readonly label: Term;
  /** What the empty field shows; the example where nothing else is said. */
  readonly hint?: string;
  /** Fields of one group fold away together under this title. */
  readonly group?: string;
  /** When it is asked; always where nothing is said. */
  readonly asked?: Asked;
  /** The same place asked in other words. */
  readonly also?: readonly { readonly label: Term; readonly hint?: string; readonly asked: Asked }[];
  /** What its column is called in a list of motors, the label by default, and other headings people give it. */
  readonly headings?: readonly [string, ...string[]];
  /** What it means, for the JSON Schema. */
  readonly note?: string;
  /** Each option of the job has its own. */
  readonly perOption?: true;
}

export interface QuantityField extends FieldSpec, Shown {
  readonly kind: 'quantity';
}
export interface ListField extends QuantityField {
  readonly list: true;
}
type Options<Name extends string> = readonly (readonly [Name, Term])[];
/** One of several; `usual` until something else is chosen. */
export interface ChoiceField<Name extends string = string> extends Shown {
  readonly kind: 'choice';
  readonly options: Options<Name>;
  readonly usual: Name;
}
/** One of several, or not said. */
export interface OpenField<Name extends string = string> extends Shown {
  readonly kind: 'open';
  readonly options: Options<Name>;
}
export interface WordsField extends Shown {
  readonly kind: 'words';
  /** Characters. */
  readonly most: number;
  readonly area?: true;
}
/** Words that always stand there, `usual` until something else is typed. */
export interface LineField extends Shown {
  readonly kind: 'line';
  readonly most: number;
  readonly usual: string;
}
/** Yes where it is ticked, else no. */
export interface FlagField extends Shown {
  readonly kind: 'flag';
}
/** Yes or no, or not said. */
export interface TickField extends Shown {
  readonly kind: 'tick';
}
export type CellField = QuantityField | ChoiceField | LineField | FlagField;
/** A list of rows; `most` of them. */
export interface RowsField<
  Cells extends Readonly<Record<string, CellField>> = Readonly<Record<string, CellField>>,
> extends Shown {
  readonly kind: 'rows';
  readonly most: number;
  readonly cells: Cells;
}
export type Field = CellField | OpenField | WordsField | TickField | RowsField;
export type Fields = Readonly<Record<string, Field>>;

type Limits = Shown & Omit<FieldSpec, 'dimension' | 'list'>;
export const quantity = (dimension: Dimension, spec: Limits): QuantityField => ({
  kind: 'quantity',
  dimension,
  ...spec,
});
export const list = (dimension: Dimension, spec: Limits): ListField => ({
  kind: 'quantity',
  dimension,
  list: true,
  ...spec,
});
export const choice = <const Name extends string>(
  options: Options<Name>,
  spec: Shown & { readonly usual: NoInfer<Name> },
): ChoiceField<Name> => ({ kind: 'choice', options, ...spec });
export const open = <const Name extends string>(options: Options<Name>, spec: Shown): OpenField<Name> => ({
  kind: 'open',
  options,
  ...spec,
});
export const words = (most: number, spec: Shown & Pick<WordsField, 'area'>): WordsField => ({
  kind: 'words',
  most,
  ...spec,
});
export const line = (most: number, spec: Shown & { readonly usual: string }): LineField => ({
  kind: 'line',
  most,
  ...spec,
});
export const flag = (spec: Shown): FlagField => ({ kind: 'flag', ...spec });
export const tick = (spec: Shown): TickField => ({ kind: 'tick', ...spec });
export const rows = <const Cells extends Readonly<Record<string, CellField>>>(
  most: number,
  cells: Cells,
  spec: Shown,
): RowsField<Cells> => ({ kind: 'rows', most, cells, ...spec });

/** Fields of which every option of a job has its own; the others are shared by all. */
export const perOption = <const Each extends Fields>(
  fields: Each,
): { readonly [Name in keyof Each]: Each[Name] & { readonly perOption: true } } =>
  Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, { ...field, perOption: true }])) as {
    readonly [Name in keyof Each]: Each[Name] & { readonly perOption: true };
  };

/** Choices that are called what they are. */
export const named = <const Name extends string>(...names: readonly Name[]): Options<Name> =>
  names.map((name) => [name, (name[0] ?? '').toUpperCase() + name.slice(1)]);

export const is =
  (path: string, ...values: readonly unknown[]): Asked =>
  (look) =>
    values.includes(look(path));
export const not =
  (asked: Asked): Asked =>
  (look) =>
    !asked(look);
/** Stands in the document, and is typed elsewhere than on a sheet. */
export const never: Asked = () => false;
