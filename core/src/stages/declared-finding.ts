import type { Finding, Severity } from '../kernel/finding.ts';
import type { Text } from '../kernel/text.ts';
import type { StageName } from '../kernel/stage-list.ts';

/** A finding as its stage declares it; where it is raised it gets its figures, and a more exact basis or remedy. */
export interface DeclaredFinding {
  /** The gravest it can be. */
  readonly severity: Severity;
  /** Standard and clause, or “common practice, no published source”. */
  readonly basis: string;
  /** What to change to clear it. */
  readonly clear: string;
  /** The job field to go to. */
  readonly field?: string;
  /** A competent person decides: nothing is chosen while it stands as a stop. */
  readonly defers?: true;
}

type Exact = Partial<Pick<Finding, 'severity' | 'basis' | 'clear' | 'field' | 'mends'>>;
type Declared<Code extends string> = Readonly<Record<Code, DeclaredFinding>>;
export type ReportOf<Findings> = (code: keyof Findings & string, message: Text, exact?: Exact) => void;

export const declared = <const Code extends `${StageName}.${string}`>(findings: Declared<Code>): Declared<Code> =>
  findings;

/** The finding as it is published. */
export function findingOf<Code extends string>(
  findings: Declared<Code>,
  stage: StageName,
  code: Code,
  message: Text,
  exact: Exact = {},
): Finding {
  const { defers, ...known } = findings[code];
  const finding: Finding = { code, stage, message, ...known, ...exact };
  return defers && finding.severity === 'stop' ? { ...finding, defers } : finding;
}
