import { z } from 'zod';
import type { Finding } from '../ground/finding.ts';
import type { Inputs } from '../job/inputs.ts';
import type { Job } from '../job/job.ts';
import type { Practice } from '../job/practice.ts';
import type { StageName } from '../ground/stage-names.ts';
import type { Value } from '../ground/value.ts';

export const missingSchema = z.object({
  field: z.string(),
  stage: z.string(),
  message: z.string().describe('What is missing and what it is needed for'),
  kind: z.enum(['needed', 'sharpens']).describe('Needed for a decision, or would only sharpen it'),
});
export type Missing = Readonly<z.infer<typeof missingSchema>>;

/** What every stage is given besides the results of earlier stages. */
export interface Brief {
  readonly job: Job;
  readonly given: Inputs['given'];
  readonly rows: Inputs['rows'];
  readonly practice: Practice;
}

export type Values = object;

export interface StageResult<StageValues extends Values> {
  readonly values: StageValues;
  readonly findings: readonly Finding[];
  readonly missing: readonly Missing[];
  /** The stage’s one key result for the spine, empty while unknown. */
  readonly summary: string;
}

type Flag = Omit<Finding, 'stage'>;

/** Collects what a stage finds. Mutable inside a stage, never seen outside it. */
export function notebook(stage: StageName) {
  const findings: Finding[] = [];
  const missing: Missing[] = [];
  return {
    findings,
    missing,
    flag: (finding: Flag): void => void findings.push({ ...finding, stage }),
    need: (field: string, message: string): void => void missing.push({ field, stage, message, kind: 'needed' }),
    /** What an assumption stands in for: the decision can be made, and would be better with it. */
    sharpen: (field: string, message: string): void => void missing.push({ field, stage, message, kind: 'sharpens' }),
  };
}

export type Notebook = ReturnType<typeof notebook>;

export type AnyValue = Value | Value<string>;
