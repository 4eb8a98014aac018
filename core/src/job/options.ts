import { z } from 'zod';
import type { Field, Fields } from '../kernel/field.ts';
import { stageFields } from './fields.ts';
import { placeIn, type Letter, type OwnNames } from './document-paths.ts';
import { shapeOf } from './shape.ts';

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

/** What one option says for itself. */
export const optionSchema = z.strictObject({
  name: z.string().max(60).default('').describe('What the option is called; empty for what Pilgrim calls it'),
  profile: part(shapeOf(ownFields(stageFields.profile))),
  starting: part(shapeOf(ownFields(stageFields.starting))),
  pick: part(shapeOf(ownFields(stageFields.pick))),
  drive: part(shapeOf(ownFields(stageFields.drive))),
  protection: part(shapeOf(ownFields(stageFields.protection))),
  money: part(shapeOf(ownFields(stageFields.money))),
});
export type Option = z.infer<typeof optionSchema>;

/** Stages of which every option has a part. */
export const optionStages = [
  'profile',
  'starting',
  'pick',
  'drive',
  'protection',
  'money',
] as const satisfies readonly (keyof Option)[];

/** Names of the fields of which every option has its own. */
export const ownNames: OwnNames = Object.fromEntries(
  optionStages.map((stage) => [stage, Object.keys(ownFields(stageFields[stage] as Fields))]),
);

/** Where a field of a stage stands in the document. */
export const placeOf = (path: string, letter: Letter): string => placeIn(ownNames, path, letter);
