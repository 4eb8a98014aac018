import { z } from 'zod';

export const severitySchema = z.enum(['stop', 'caution', 'note']);
export type Severity = z.infer<typeof severitySchema>;

export const findingSchema = z.object({
  code: z.string().describe('Stable; scripts may rely on it'),
  severity: severitySchema,
  stage: z.string(),
  message: z.string(),
  basis: z.string().describe('Standard and clause, or “common practice, no published source”'),
  clear: z.string().describe('What to change to clear it'),
  option: z.string().optional().describe('Letter of the option it belongs to; what all options share has none'),
  field: z.string().optional().describe('The job field to go to, for example nameplate.power'),
  defers: z.literal(true).optional().describe('A competent person decides: nothing is chosen while it stands'),
});
export type Finding = Readonly<z.infer<typeof findingSchema>>;

const rank: Record<Severity, number> = { stop: 0, caution: 1, note: 2 };

/** Stops first, then cautions, then notes; the order within a severity is the order of the stages. */
export const bySeverity = (findings: readonly Finding[]): Finding[] =>
  findings.toSorted((a, b) => rank[a.severity] - rank[b.severity]);
