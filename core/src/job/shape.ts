import { z } from 'zod';
import { bothTerms } from '../kernel/term.ts';
import type {
  ChoiceField,
  Field,
  FlagField,
  LineField,
  OpenField,
  QuantityField,
  RowsField,
  TickField,
  WordsField,
} from '../kernel/field.ts';

/** Text as typed, or a bare number in the school’s unit. Reading it is a later step, so nothing typed is lost. */
const typed = z.union([z.string().max(200), z.number()]).optional();

type Enum<Name extends string> = z.ZodEnum<{ [Each in Name]: Each }>;
type SchemaOf<Declared> = Declared extends QuantityField
  ? typeof typed
  : Declared extends ChoiceField<infer Name>
    ? z.ZodDefault<Enum<Name>>
    : Declared extends OpenField<infer Name>
      ? z.ZodOptional<Enum<Name>>
      : Declared extends FlagField
        ? z.ZodDefault<z.ZodBoolean>
        : Declared extends TickField
          ? z.ZodOptional<z.ZodBoolean>
          : Declared extends WordsField
            ? z.ZodOptional<z.ZodString>
            : Declared extends LineField
              ? z.ZodDefault<z.ZodString>
              : Declared extends RowsField<infer Cells>
                ? z.ZodDefault<z.ZodArray<z.ZodObject<ShapeOf<Cells>, z.core.$strict>>>
                : never;
export type ShapeOf<Fields> = { [Name in keyof Fields]: SchemaOf<Fields[Name]> };

function schemaOf(field: Field): z.ZodType {
  switch (field.kind) {
    case 'quantity':
      return typed.describe(
        `${field.note ?? bothTerms(field.label)}: ${field.dimension}${field.list ? ' list' : ''}, for example ${field.example}`,
      );
    case 'choice':
      return z.enum(field.options.map(([name]) => name)).default(field.usual);
    case 'open':
      return z.enum(field.options.map(([name]) => name)).optional();
    case 'flag':
      return z.boolean().default(false);
    case 'tick':
      return z.boolean().optional();
    case 'words':
      return z.string().max(field.most).optional();
    case 'line':
      return z.string().max(field.most).default(field.usual);
    case 'rows':
      return z
        .array(z.strictObject(shapeOf(field.cells)))
        .max(field.most)
        .default([]);
  }
}

/** What a document may hold where these fields are declared. */
export const shapeOf = <Fields extends Readonly<Record<string, Field>>>(fields: Fields): ShapeOf<Fields> =>
  Object.fromEntries(
    Object.entries<Field>(fields).map(([name, field]) => [
      name,
      field.kind === 'quantity' ? schemaOf(field) : schemaOf(field).describe(field.note ?? bothTerms(field.label)),
    ]),
  ) as ShapeOf<Fields>;
