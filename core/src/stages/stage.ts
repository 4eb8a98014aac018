import { z } from 'zod';
import type { Finding } from '../kernel/finding.ts';
import type { Inputs } from '../job/inputs.ts';
import type { Job, JobView } from '../job/job.ts';
import type { DesignRules } from '../job/design-rules.ts';
import type { Text } from '../kernel/text.ts';
import type { StageName } from '../kernel/stage-list.ts';
import type { Value } from '../kernel/value.ts';
import { findingOf, type DeclaredFinding, type ReportOf } from './declared-finding.ts';

export const missingSchema = z.object({
  field: z.string(),
  stage: z.string(),
  message: z.string().describe('What is missing and what it is needed for'),
  option: z.string().optional().describe('Letter of the option that needs it; what all options share has none'),
  kind: z.enum(['needed', 'sharpens']).describe('Needed for a decision, or would only sharpen it'),
});
export interface Missing {
  readonly field: string;
  readonly stage: string;
  readonly message: Text;
  readonly option?: string;
  readonly kind: 'needed' | 'sharpens';
}

/** What every stage is given besides the results of earlier stages. */
export interface StageContext {
  readonly job: Job;
  readonly given: Inputs['given'];
  readonly rows: Inputs['rows'];
  readonly practice: DesignRules;
}

/** What the stages of an option are given: the job as that option sees it. */
export interface OptionContext extends StageContext {
  readonly job: JobView;
}

export type Values = object;

export interface StageResult<StageValues extends Values> {
  readonly values: StageValues;
  readonly findings: readonly Finding[];
  readonly missing: readonly Missing[];
  /** The stage’s one key result for the spine, empty while unknown. */
  readonly summary: Text;
}

/** Collects what a stage finds of what it declares. Mutable inside a stage, never seen outside it. */
export function notebook<Code extends string>({
  name: stage,
  findings: declared,
}: {
  readonly name: StageName;
  readonly findings: Readonly<Record<Code, DeclaredFinding>>;
}): Notebook<ReportOf<Readonly<Record<Code, DeclaredFinding>>>> {
  const findings: Finding[] = [];
  const missing: Missing[] = [];
  return {
    findings,
    missing,
    report: (code, message, exact) => void findings.push(findingOf(declared, stage, code, message, exact)),
    require: (field, message) => void missing.push({ field, stage, message, kind: 'needed' }),
    suggest: (field, message) => void missing.push({ field, stage, message, kind: 'sharpens' }),
  };
}

type Ask = (field: string, message: Text) => void;

export interface Notebook<Report> {
  readonly findings: readonly Finding[];
  readonly missing: readonly Missing[];
  readonly report: Report;
  readonly require: Ask;
  /** What an assumption stands in for: the decision can be made, and would be better with it. */
  readonly suggest: Ask;
}

export type AnyValue = Value | Value<Text>;
