import { describe, expect, it } from 'vitest';
import { emptyJob, solve, type JobInput } from '../../src/index.ts';
import { selectionSheet } from '../../src/solve/sheet.ts';
import { catalogue, fan } from '../lib/round-prices.ts';

/** A drive and a direct start; what the energy costs decides which is the better by far. */
const job = (chosen: 'A' | 'B', more: JobInput = {}): JobInput => ({
  ...fan,
  options: { A: { starting: { method: 'direct' } }, B: { starting: { method: 'drive' } } },
  chosen,
  ...more,
});
const asked = (input: JobInput) =>
  solve(emptyJob(input), catalogue).missing.find(({ field }) => field === 'handover.why');

describe('taking another option than the one that clearly costs least', () => {
  it('asks for one sentence why, and hand-over is open until it stands there', () => {
    const dearer = solve(emptyJob(job('A')), catalogue);
    expect(dearer.comparison.best).toMatchObject({ option: 'B', by: 'money.lifeCost', near: [] });
    expect(asked(job('A'))).toMatchObject({ stage: 'handover', kind: 'needed' });
    expect(asked(job('A'))?.message).toMatch(/why A is taken and not B/);
    expect(dearer.stages.handover.state).toBe('open');
    const said = job('A', { handover: { why: ' Nobody here can mend a drive. ' } });
    expect(asked(said)).toBeUndefined();
    expect(solve(emptyJob(said), catalogue).stages.handover.state).toBe('done');
    expect(asked(job('A', { handover: { why: '   ' } }))).toBeDefined();
  });
  it('not for the best, where none is clear, and where the years are not costed', () => {
    expect(asked(job('B'))).toBeUndefined();
    expect(asked(job('A', { money: {} }))).toBeUndefined();
    // At a fourteenth of the price both come within five hundredths of each other.
    const near = job('A', { money: { ...fan.money, energyPrice: '0.007 per kWh' } });
    expect(solve(emptyJob(near), catalogue).comparison.best?.near).toHaveLength(1);
    expect(asked(near)).toBeUndefined();
  });
  it('stands on the sheet', () => {
    const said = emptyJob(job('A', { handover: { why: 'Nobody here can mend a drive.' } }));
    const { reasons } = selectionSheet(said, solve(said, catalogue));
    expect(reasons[0]).toBe('Why A and not the one that costs least: Nobody here can mend a drive.');
    const silent = emptyJob(job('B'));
    expect(selectionSheet(silent, solve(silent, catalogue)).reasons.join()).not.toContain('Why B');
  });
});
