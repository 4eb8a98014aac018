import { z } from 'zod';
import type { Field, Fields } from '../kernel/field.ts';
import { optionStages, type OptionStage } from '../kernel/stage-list.ts';
import { stageFields } from './fields.ts';
import { placeIn, type Letter, type OwnNames } from './document-paths.ts';
import { shapeOf, type ShapeOf } from './shape.ts';

type OwnOf<Each> = {
  [Name in keyof Each as Each[Name] extends { readonly perOption: true } ? Name : never]: Each[Name];
};
type SharedOf<Each> = {
  [Name in keyof Each as Each[Name] extends { readonly perOption: true } ? never : Name]: Each[Name];
};

const isOwn = (field: Field): boolean => field.perOption === true;
const those = (fields: Fields, wanted: (field: Field) => boolean): Fields =>
  Object.fromEntries(Object.entries(fields).filter(([, field]) => wanted(field)));

/** Fields of a stage that all options of a job share. */
export const sharedFields = <const Each extends Fields>(fields: Each): SharedOf<Each> =>
  those(fields, (field) => !isOwn(field)) as SharedOf<Each>;

/** Fields of a stage of which every option has its own. */
export const ownFields = <const Each extends Fields>(fields: Each): OwnOf<Each> => those(fields, isOwn) as OwnOf<Each>;

const part = <Shape extends z.ZodRawShape>(shape: Shape) => z.strictObject(shape).prefault({} as never);
type Parts = {
  readonly [Stage in OptionStage]: ReturnType<typeof part<ShapeOf<OwnOf<(typeof stageFields)[Stage]>>>>;
};
const parts = Object.fromEntries(
  optionStages.map((stage) => [stage, part(shapeOf(ownFields<Fields>(stageFields[stage])))]),
) as unknown as Parts;

/** What one option says for itself. */
export const optionSchema = z.strictObject({
  name: z.string().max(60).default('').describe('What the option is called; empty for what Pilgrim calls it'),
  ...parts,
});
export type Option = z.infer<typeof optionSchema>;

/** Names of the fields of which every option has its own. */
export const ownNames: OwnNames = Object.fromEntries(
  optionStages.map((stage) => [stage, Object.keys(ownFields(stageFields[stage] as Fields))]),
);

/** Where a field of a stage stands in the document. */
export const documentPath = (path: string, letter: Letter): string => placeIn(ownNames, path, letter);
