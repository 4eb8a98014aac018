/** What is replaced on the way and what is left at the end: life cost by hand, and in a job. */
import { describe, expect, it } from 'vitest';
import { emptyJob, solve, type JobInput } from '../../../src/index.ts';
import { growingAnnuity } from '../../../src/stages/economics/cash-flow.ts';
import { laterCosts } from '../../../src/stages/economics/replacement-costs.ts';
import { catalogue, fan } from '../../lib/round-prices.ts';

const NONE = { replacement: 0, after: Number.POSITIVE_INFINITY, residualValue: 0 };

describe('life cost', () => {
  const horizon = { years: 15, discount: 0.06, growth: 0 };
  it('6 %, 15 years: 1500 and 9100 a year are 89 881; 7500, 5050 a year and 3000 in the tenth are 58 222 (by hand)', () => {
    expect(1500 + 9100 * growingAnnuity(horizon) + laterCosts(NONE, 15, 0.06)).toBeCloseTo(89_881, -1);
    const replaced = { ...NONE, replacement: 3000, after: 10 };
    expect(7500 + 5050 * growingAnnuity(horizon) + laterCosts(replaced, 15, 0.06)).toBeCloseTo(58_222, -1);
  });

  it('a replacement that falls on the end is not made; several are; what is left counts back', () => {
    const every = { ...NONE, replacement: 100, after: 5 };
    expect(laterCosts(every, 15, 0)).toBe(200);
    expect(laterCosts(every, 15.1, 0)).toBe(300);
    expect(laterCosts({ ...NONE, residualValue: 500 }, 10, 0.1)).toBeCloseTo(-500 / 1.1 ** 10, 9);
    // However often, it ends.
    expect(laterCosts({ ...NONE, replacement: 1, after: 1e-9 }, 50, 0)).toBeLessThanOrEqual(600);
  });
});

describe('in a job', () => {
  const job = (money: JobInput['money'] = {}, own: object = {}) =>
    solve(
      emptyJob({
        ...fan,
        money: { ...fan.money, years: '15 years', ...money },
        options: {
          A: { starting: { method: 'direct' }, profile: { ownControl: 'damper' } },
          B: { starting: { method: 'drive' }, money: own },
        },
        chosen: 'B',
      }),
      catalogue,
    );
  const of = (solution: ReturnType<typeof job>, id: string): number => solution.options.B?.values[id]?.value as number;

  it('both costs over the years and the present value count it, and a drive that outlives nobody is told', () => {
    const [bare, replaced] = [job(), job({}, { replacement: '2000', replacedAfter: '10 years', restValue: '500' })];
    const discount = 0.08;
    const later = 2000 / 1.08 ** 10 - 500 / (1 + discount) ** 15;
    expect(of(replaced, 'money.lifeCost') - of(bare, 'money.lifeCost')).toBeCloseTo(1500, 6);
    expect(of(replaced, 'money.discountedCost') - of(bare, 'money.discountedCost')).toBeCloseTo(later, 6);
    const worth = (solution: typeof bare): number =>
      solution.comparison.worth.find(({ option }) => option === 'B')?.netPresentValue ?? NaN;
    expect(worth(bare) - worth(replaced)).toBeCloseTo(later, 6);
    const codes = (solution: typeof bare): string[] => solution.findings.map(({ code }) => code);
    expect(codes(bare)).toContain('money.life');
    expect(codes(replaced)).not.toContain('money.life');
    expect(codes(job({ years: '10 years' }))).not.toContain('money.life');
  });
});
