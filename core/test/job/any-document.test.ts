// Whatever document is accepted has an answer: finite, without an exception, within a bounded number of steps. No outside
// source: a property of the program.
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { emptyJob, solve, type Solution } from '../../src/index.ts';
import { anyJob } from '../lib/any-job.ts';
import { demo } from '../lib/demo.ts';

/** Numbers that are none, by where they stand. */
function oddNumbers(value: unknown, path = ''): string[] {
  if (typeof value === 'number') return Number.isFinite(value) ? [] : [`${path} is ${value}`];
  if (typeof value === 'string') return /\bNaN\b|\bInfinity\b|\bundefined\b/.test(value) ? [`${path}: ${value}`] : [];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, each]) => oddNumbers(each, `${path}.${key}`));
}

describe('any document that is accepted', () => {
  it('has an answer: no exception, every figure a number, every finding with its field or a word', () => {
    fc.assert(
      fc.property(anyJob, (job) => {
        const solution: Solution = solve(emptyJob(job), demo);
        expect(oddNumbers({ ...solution, details: {} })).toEqual([]);
        for (const { message, clear, basis } of solution.findings) expect(message && clear && basis).toBeTruthy();
        for (const { trace } of solution.details.starting) expect(trace?.time.length ?? 0).toBeLessThan(2000);
      }),
      { numRuns: 300 },
    );
  });
});
