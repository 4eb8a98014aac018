import { z } from 'zod';
import { optionStages, type OptionStage } from '../kernel/stage-list.ts';
import { head } from '../stages/task/fields.ts';
import { causeIds } from '../stages/task/cause-ids.ts';
import { stageFields } from './fields.ts';
import { optionSchema, sharedFields, type Option } from './options.ts';
import { letters, type Letter } from './document-paths.ts';
import { practiceFields } from './design-rules.ts';
import { shapeOf } from './shape.ts';
import { FORMAT, upgrade } from './upgrade.ts';

/** A nameplate: every field as typed, and the whole text as read beside them. */
export const plateSchema = z.strictObject(shapeOf(stageFields.nameplate));

export type Plate = z.infer<typeof plateSchema>;

const stage = <Shape extends z.ZodRawShape>(shape: Shape) => z.strictObject(shape).prefault({} as never);

/** What Pilgrim proposes where few options are typed: the least costly start, a drive, the present starter kept. */
export const proposals = ['start', 'drive', 'kept'] as const;
export type Proposal = (typeof proposals)[number];

/** One selection job: plain JSON, the whole of what the engineer said. Results are never stored in it. */
export const documentSchema = z.strictObject({
  schema: z.literal(FORMAT).default(FORMAT).describe('Version of this document format'),
  ...shapeOf(head),
  situation: stage({
    ...shapeOf(sharedFields(stageFields.situation)),
    causes: z
      .partialRecord(z.enum(causeIds), z.enum(['found', 'cleared']))
      .optional()
      .describe('What was decided of each cause of an early failure'),
  }),
  nameplate: plateSchema.prefault({}),
  load: stage(shapeOf(sharedFields(stageFields.load))),
  supply: stage(shapeOf(sharedFields(stageFields.supply))),
  place: stage(shapeOf(sharedFields(stageFields.place))),
  profile: stage(shapeOf(sharedFields(stageFields.profile))),
  starting: stage(shapeOf(sharedFields(stageFields.starting))),
  drive: stage(shapeOf(sharedFields(stageFields.drive))),
  protection: stage(shapeOf(sharedFields(stageFields.protection))),
  money: stage(shapeOf(sharedFields(stageFields.money))),
  handover: stage(shapeOf(sharedFields(stageFields.handover))),
  options: z
    .strictObject({
      A: optionSchema.optional(),
      B: optionSchema.optional(),
      C: optionSchema.optional(),
      D: optionSchema.optional(),
    })
    .prefault({})
    .describe('What is compared, each with what it says for itself'),
  chosen: z.enum(letters).default('A').describe('The option whose results are the job’s'),
  declined: z.array(z.enum(proposals)).max(3).default([]).describe('Proposals that were dropped'),
  practice: stage(shapeOf(practiceFields)).describe('Design rules set for this job'),
  sitePractice: stage(shapeOf(practiceFields)).describe(
    'Design rules of the site, as they stood when the job took them',
  ),
});

/** A document as anybody may send it: of this version or an earlier one, whole or short. */
export const jobSchema = z.preprocess(upgrade, documentSchema);

export type Job = z.infer<typeof documentSchema>;
type Short = { [Stage in OptionStage]?: z.input<typeof optionSchema>[Stage] };
/** A document as it may be written: defaults may be left out, and what is option A’s may stand at the top. */
export type JobInput = Omit<z.input<typeof documentSchema>, keyof Short> & {
  readonly [Stage in keyof Short]?: Stage extends keyof z.input<typeof documentSchema>
    ? z.input<typeof documentSchema>[Stage] & Short[Stage]
    : Short[Stage];
};

/** A job as one option sees it: what all share, with what the option says for itself in its place. */
export type JobView = Job & { readonly [Stage in keyof Short]-?: Option[Stage] };

/** The letters of the engineer’s own options; there is always one. */
export const typedOptions = ({ options }: Job): readonly Letter[] =>
  letters.filter((letter) => options[letter] !== undefined);

/** The job as an option sees it. */
export function viewOf(job: Job, own: Option): JobView {
  const view: Record<string, unknown> = { ...job };
  for (const each of optionStages) view[each] = { ...(view[each] as object | undefined), ...own[each] };
  return view as unknown as JobView;
}

/** A new, empty job with every default filled in. */
export const emptyJob = (given: JobInput = {}): Job => jobSchema.parse(given);

export interface Issue {
  readonly path: string;
  readonly message: string;
}

/** Zod’s issues as field paths and sentences. */
export const issuesOf = (error: z.ZodError): Issue[] =>
  error.issues.map((issue) => ({ path: issue.path.join('.'), message: issue.message }));
