import type { Field, FieldSpec, QuantityField, RowsField } from '../kernel/field.ts';
import { declarations } from '../stages/declarations.ts';
import { practiceFields } from './design-rules.ts';

type Declared = { readonly [Stage in keyof typeof declarations]: (typeof declarations)[Stage]['fields'] };

/** What every stage asks. */
export const stageFields = Object.fromEntries(
  Object.entries(declarations).map(([stage, { fields }]) => [stage, fields]),
) as unknown as Declared;

type QuantitiesOf<Fields> = {
  readonly [Name in keyof Fields as Fields[Name] extends QuantityField ? Name : never]: Fields[Name];
};
const quantitiesOf = <Fields extends Readonly<Record<string, Field>>>(fields: Fields): QuantitiesOf<Fields> =>
  Object.fromEntries(Object.entries(fields).filter(([, { kind }]) => kind === 'quantity')) as QuantitiesOf<Fields>;

/** Every quantity an engineer can type; the job stores the text as typed. */
export const quantityFields = {
  ...(Object.fromEntries(Object.entries(stageFields).map(([stage, fields]) => [stage, quantitiesOf(fields)])) as {
    readonly [Stage in keyof Declared]: QuantitiesOf<Declared[Stage]>;
  }),
  practice: practiceFields,
  sitePractice: practiceFields,
};

type Lists = {
  [Stage in keyof Declared]: {
    [
      Name in keyof Declared[Stage] as Declared[Stage][Name] extends RowsField ? `${Stage}.${Name & string}` : never
    ]: Declared[Stage][Name] extends RowsField<infer Cells> ? QuantitiesOf<Cells> : never;
  };
}[keyof Declared];
type All<Each> = (Each extends unknown ? (each: Each) => void : never) extends (all: infer Both) => void ? Both : never;

/** Quantities in lists of rows, by the place where a list stands. A row keeps its place even where a cell cannot be read. */
export type RowFields = { readonly [Path in keyof All<Lists>]: All<Lists>[Path] };
export const rowFields = Object.fromEntries(
  Object.entries(stageFields).flatMap(([stage, fields]) =>
    Object.entries<Field>(fields).flatMap(([name, field]) =>
      field.kind === 'rows' ? [[`${stage}.${name}`, quantitiesOf(field.cells)] as const] : [],
    ),
  ),
) as unknown as RowFields & Readonly<Record<string, Readonly<Record<string, FieldSpec>>>>;
