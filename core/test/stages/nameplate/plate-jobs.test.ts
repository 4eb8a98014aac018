/**
 * Whole plates as jobs, each figure compared with a hand calculation or a table cell: torque 5252 P/n, kVA per hp of the code
 * letter (NEC 430.7(B)), least torques (MG 1 12.38 to 12.40), frames (MG 1 4.4.1, IEC 60072-1), life 20 000 h · 2^(ΔT/10),
 * 50 and 60 Hz as 5 to 6, √3 V I η cos φ. Wording is free to change; figures, origins and what they came from are not.
 */
import { describe, expect, it } from 'vitest';
import { emptyCatalogue, emptyJob, solve, type JobInput } from '../../../src/index.ts';
import jobs from '../../cases/plate-jobs.json' with { type: 'json' };
import { told } from '../../lib/told.ts';

describe('what a plate tells', () => {
  it.each(jobs)('$name', ({ job, told: expected }) => {
    const found = told(solve(emptyJob(job as JobInput), emptyCatalogue));
    expect(found.values).toEqual(expected.values);
    expect(found.findings).toEqual(expected.findings);
    expect(found.clues).toEqual(expected.clues);
    expect(found.mounting).toEqual(expected.mounting);
    expect(found.summary).toBe(expected.summary);
  });
  it('names what no table has: nameplate.design-unknown and nameplate.thermal-class-unknown', () => {
    const { findings } = solve(emptyJob({ nameplate: { designLetter: 'Q', thermalClass: 'Q' } }), emptyCatalogue);
    expect(findings.map(({ code }) => code)).toEqual(
      expect.arrayContaining(['nameplate.design-unknown', 'nameplate.thermal-class-unknown']),
    );
  });
});
