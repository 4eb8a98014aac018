import { z } from 'zod';
import { head } from '../stages/situation/fields.ts';
import { causeIds } from '../stages/situation/causes.ts';
import { stageFields } from './fields.ts';
import { practiceFields } from './practice.ts';
import { shapeOf } from './shape.ts';

/** A nameplate: every field as typed, and the whole text as read beside them. */
export const plateSchema = z.strictObject(shapeOf(stageFields.nameplate));

export type Plate = z.infer<typeof plateSchema>;

const stage = <Shape extends z.ZodRawShape>(shape: Shape) => z.strictObject(shape).prefault({} as never);

/** One selection job: plain JSON, the whole of what the engineer said. Results are never stored in it. */
export const jobSchema = z.strictObject({
  schema: z.literal(1).default(1).describe('Version of this document format'),
  ...shapeOf(head),
  situation: stage({
    ...shapeOf(stageFields.situation),
    causes: z
      .partialRecord(z.enum(causeIds), z.enum(['found', 'cleared']))
      .optional()
      .describe('What was decided of each cause of an early failure'),
  }),
  nameplate: plateSchema.prefault({}),
  load: stage(shapeOf(stageFields.load)),
  supply: stage(shapeOf(stageFields.supply)),
  place: stage(shapeOf(stageFields.place)),
  profile: stage(shapeOf(stageFields.profile)),
  starting: stage(shapeOf(stageFields.starting)),
  pick: stage(shapeOf(stageFields.pick)),
  protection: stage(shapeOf(stageFields.protection)),
  money: stage(shapeOf(stageFields.money)),
  handover: stage(shapeOf(stageFields.handover)),
  practice: stage(shapeOf(practiceFields)).describe('Rules of thumb set for this job'),
  sitePractice: stage(shapeOf(practiceFields)).describe(
    'Rules of thumb of the site, as they stood when the job took them',
  ),
});

export type Job = z.infer<typeof jobSchema>;
export type JobInput = z.input<typeof jobSchema>;

/** A new, empty job with every default filled in. */
export const emptyJob = (given: JobInput = {}): Job => jobSchema.parse(given);

export interface Issue {
  readonly path: string;
  readonly message: string;
}

/** Zod’s issues as field paths and sentences. */
export const issuesOf = (error: z.ZodError): Issue[] =>
  error.issues.map((issue) => ({ path: issue.path.join('.'), message: issue.message }));
