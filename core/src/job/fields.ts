import type { Field, FieldSpec, QuantityField, RowsField } from '../kernel/field.ts';
import { fields as drive } from '../stages/drive/fields.ts';
import { fields as handover } from '../stages/documents/fields.ts';
import { fields as load } from '../stages/load/fields.ts';
import { fields as money } from '../stages/economics/fields.ts';
import { fields as nameplate } from '../stages/nameplate/fields.ts';
import { fields as pick } from '../stages/selection/fields.ts';
import { fields as place } from '../stages/environment/fields.ts';
import { fields as profile } from '../stages/operating-profile/fields.ts';
import { fields as protection } from '../stages/protection/fields.ts';
import { fields as situation } from '../stages/task/fields.ts';
import { fields as starting } from '../stages/starting/fields.ts';
import { fields as supply } from '../stages/supply/fields.ts';
import { practiceFields } from './design-rules.ts';

/** What every stage declares. */
export const stageFields = {
  situation,
  nameplate,
  load,
  supply,
  place,
  profile,
  starting,
  pick,
  drive,
  protection,
  money,
  handover,
};
type Declared = typeof stageFields;

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
