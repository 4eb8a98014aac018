import type { Text } from '../kernel/text.ts';
import { z } from 'zod';
import { findingSchema, type Finding } from '../kernel/finding.ts';
import { stageNames, type StageName } from '../kernel/stage-list.ts';
import { valueSchema } from '../kernel/value.ts';
import type { FieldEcho } from '../job/inputs.ts';
import { proposals, type Proposal } from '../job/job.ts';
import { optionSchema, type Option } from '../job/options.ts';
import { letters, type Letter } from '../job/document-paths.ts';
import type { Shown } from '../present/present.ts';
import { missingSchema, type AnyValue, type Missing } from '../stages/stage.ts';
import { comparisonSchema, type OptionComparison } from './compare-options.ts';
import type { Details } from './details.ts';
import { trainBlockSchema, type TrainBlock } from './train.ts';

/** Raised with every change that can alter a result; kept with every saved revision. */
export const ENGINE = 'pilgrim 0.9.11';

export const stageStateSchema = z.object({
  state: z.enum(['done', 'open', 'caution', 'stop', 'not asked']),
  summary: z.string(),
});
export interface StageState {
  readonly state: 'done' | 'open' | 'caution' | 'stop' | 'not asked';
  readonly summary: Text;
}

const valuesSchema = z.record(z.string().describe('<stage>.<name>'), valueSchema);
const stagesSchema = z.partialRecord(z.enum(stageNames), stageStateSchema);

/** One option: what it has for itself. What all share stands in the solution only. */
const optionSolutionSchema = z.object({
  name: z.string(),
  proposed: z.enum(proposals).optional().describe('Proposed by Pilgrim and not in the document'),
  says: optionSchema.optional().describe('What a proposal would say in the document'),
  why: z.string().describe('Why it is proposed; empty for an option of the document'),
  summary: z.string().describe('Decided, not decided or stopped, in one line'),
  stopped: z.boolean(),
  decided: z.boolean(),
  values: valuesSchema,
  findings: z.array(findingSchema),
  missing: z.array(missingSchema),
  stages: stagesSchema,
  train: z.array(trainBlockSchema),
});

/** The published part of a solution. `fields`, `stages`, `train` and `details` serve the screens and may grow. */
export const solutionSchema = z.object({
  engine: z.string(),
  catalogue: z.string().describe('Name of the catalogue it was solved with'),
  chosen: z.enum(letters).describe('The option whose results `values`, `findings`, `stages` and `train` are'),
  values: valuesSchema,
  findings: z.array(findingSchema),
  missing: z.array(missingSchema),
  fields: z.record(
    z.string(),
    z.object({ read: z.string(), other: z.string().optional(), error: z.string().optional() }),
  ),
  stages: z.record(z.enum(stageNames), stageStateSchema),
  train: z.array(trainBlockSchema),
  options: z.partialRecord(z.enum(letters), optionSolutionSchema),
  comparison: comparisonSchema,
  details: z.record(z.string(), z.unknown()),
});

export type Stages = Readonly<Record<StageName, StageState>>;

/** What one option has for itself, as the engine says it. */
export interface OptionAnswer {
  readonly name: string;
  readonly proposed?: Proposal;
  readonly says?: Option;
  readonly why: Text;
  readonly summary: Text;
  readonly stopped: boolean;
  readonly decided: boolean;
  readonly values: Readonly<Record<string, AnyValue>>;
  readonly findings: readonly Finding[];
  readonly missing: readonly Missing[];
  readonly stages: Readonly<Partial<Record<StageName, StageState>>>;
  readonly train: readonly TrainBlock[];
}

/** What a job comes to, in numbers and phrases; `present` makes the solution of it. */
export interface Answer {
  readonly engine: string;
  readonly catalogue: string;
  readonly chosen: Letter;
  readonly values: Readonly<Record<string, AnyValue>>;
  readonly findings: readonly Finding[];
  readonly missing: readonly Missing[];
  readonly fields: Readonly<Record<string, FieldEcho>>;
  readonly stages: Stages;
  readonly train: readonly TrainBlock[];
  readonly options: Readonly<Partial<Record<Letter, OptionAnswer>>>;
  readonly comparison: OptionComparison;
  readonly details: Details;
}

/** What a job comes to, in words and units: what screens, papers, files and the interface show. */
export type Solution = Shown<Answer>;
export type OptionSolution = Shown<OptionAnswer>;
