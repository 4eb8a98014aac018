import { z } from 'zod';
import type { Text } from './text.ts';

export const severitySchema = z.enum(['stop', 'caution', 'note']);
export type Severity = z.infer<typeof severitySchema>;

export const mendSchema = z.object({
  label: z.string().describe('What the button says, for example Take 0.86'),
  set: z.record(z.string(), z.string()).describe('Job fields and what is typed into them'),
});
/** A remedy the engine knows: a change of the job that clears the finding. */
export interface Mend {
  readonly label: Text;
  readonly set: Readonly<Record<string, string>>;
}

export const findingSchema = z.object({
  code: z.string().describe('Stable; scripts may rely on it'),
  severity: severitySchema,
  stage: z.string(),
  message: z.string(),
  basis: z.string().describe('Standard and clause, or “common practice, no published source”'),
  clear: z.string().describe('What to change to clear it'),
  option: z.string().optional().describe('Letter of the option it belongs to; what all options share has none'),
  field: z.string().optional().describe('The job field to go to, for example nameplate.power'),
  mends: z.array(mendSchema).optional().describe('Changes of the job that clear it, the likeliest first'),
  defers: z.literal(true).optional().describe('A competent person decides: nothing is chosen while it stands'),
});

export interface Finding {
  readonly code: string;
  readonly severity: Severity;
  readonly stage: string;
  readonly message: Text;
  readonly basis: Text;
  readonly clear: Text;
  readonly option?: string;
  readonly field?: string;
  readonly mends?: readonly Mend[];
  readonly defers?: true;
}

const rank: Record<Severity, number> = { stop: 0, caution: 1, note: 2 };

/** Stops first, then cautions, then notes; the order within a severity is the order of the stages. */
export const bySeverity = (findings: readonly Finding[]): Finding[] =>
  findings.toSorted((a, b) => rank[a.severity] - rank[b.severity]);
