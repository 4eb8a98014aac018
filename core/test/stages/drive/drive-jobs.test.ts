/**
 * Whole drives, each looked through by hand: every figure with its inputs and source, every finding with its remedy, what is proven of the
 * motor, the settings sheet, the terminals, both duties, the line sides, the torque over speed, the peak over length, and what is bought.
 * The first is told in full, the others by what is otherwise there. Figures of the formulas are held against published and hand-worked
 * ones in `drive.test.ts` and `drive-decisions.test.ts`.
 */
import { describe, expect, it } from 'vitest';
import { emptyJob, solve, type JobInput } from '../../../src/index.ts';
import { demo } from '../../lib/demo.ts';
import cases from '../../cases/drive-jobs.json' with { type: 'json' };
import { linesOf } from '../../lib/drive-lines.ts';

interface Case {
  readonly name: string;
  readonly job: Readonly<Record<string, unknown>>;
  readonly lines: Readonly<Record<string, string>>;
  /** What is said in the first and not here. */
  readonly without?: readonly string[];
}
const { base } = cases as { readonly base: Readonly<Record<string, object>> };
const all = cases.cases as readonly Case[];

const jobOf = ({ school = 'IEC', ...more }: Case['job']): JobInput =>
  ({
    school,
    ...base,
    ...Object.fromEntries(
      Object.entries(more).map(([stage, part]) => [stage, { ...base[stage], ...(part as object) }]),
    ),
  }) as JobInput;
const saidOf = (job: Case['job']): Record<string, string> => linesOf(solve(emptyJob(jobOf(job)), demo));

describe('whole drives, line by line', () => {
  const [first, ...others] = all;
  if (!first) throw new Error('no case');
  it(first.name, () => {
    expect(saidOf(first.job)).toEqual(first.lines);
  });
  it.each(others)('$name', ({ job, lines, without = [] }) => {
    const said = saidOf(job);
    expect(Object.fromEntries(Object.entries(said).filter(([about, words]) => first.lines[about] !== words))).toEqual(
      lines,
    );
    expect(Object.keys(first.lines).filter((about) => !(about in said))).toEqual(without);
  });
});
