// Annuity tables (published): 10 years at 8 % are 6.7101. Everything else is worked by hand from the sums it names.
import { describe, expect, it } from 'vitest';
import {
  annuity,
  discountedPayback,
  growingAnnuity,
  internalRate,
  netPresentValue,
  simplePayback,
} from '../../../src/stages/economics/cash-flow.ts';
import { emptyJob, solve, type JobInput } from '../../../src/index.ts';
import { catalogue, fan } from '../../lib/round-prices.ts';

const years = 10;
const plain = { years, discount: 0.08, growth: 0 };
const growing = { years, discount: 0.08, growth: 0.03 };
const offer = { capital: 10_000, saving: 3000 };

describe('10 000 now, 3000 a year for ten years at 8 %', () => {
  it('annuity, net present value, payback and internal rate', () => {
    expect(annuity(0.08, years)).toBeCloseTo(6.7101, 4);
    expect(netPresentValue(offer, plain)).toBeCloseTo(10_130, 0);
    expect(simplePayback(offer)).toBeCloseTo(3.33, 2);
    expect(discountedPayback(offer, plain)).toBeCloseTo(4.03, 2);
    expect(internalRate(offer, plain)).toBeCloseTo(0.273, 3);
  });
  it('rising by 3 % a year', () => {
    expect(growingAnnuity(growing)).toBeCloseTo(7.5501, 4);
    expect(netPresentValue(offer, growing)).toBeCloseTo(12_650, 0);
    // At its own payback time the savings are worth what was paid.
    const back = Number(discountedPayback(offer, growing));
    expect(netPresentValue(offer, { ...growing, years: back })).toBeCloseTo(0, 6);
  });
  it('no interest, and interest as high as growth', () => {
    expect(annuity(0, 7)).toBe(7);
    expect(growingAnnuity({ years, discount: 0.05, growth: 0.05 })).toBeCloseTo(10 / 1.05, 12);
    expect(discountedPayback(offer, { years, discount: 0.05, growth: 0.05 })).toBeCloseTo(3.5, 9);
  });
  it('never: 700 a year are less than the interest of 800, and nothing saved pays nothing', () => {
    expect(discountedPayback({ capital: 10_000, saving: 700 }, plain)).toBeUndefined();
    expect(simplePayback({ capital: 10_000, saving: 0 })).toBeUndefined();
    expect(internalRate({ capital: 10_000, saving: -5 }, plain)).toBeUndefined();
    expect(internalRate({ capital: 0, saving: 5 }, plain)).toBeUndefined();
  });
});

it('life cost at 6 % over 15 years: 1500 and 9100 a year are 89 881 now', () => {
  expect(1500 + 9100 * annuity(0.06, 15)).toBeCloseTo(89_881, 0);
});

describe('an option’s own figures', () => {
  const money = (more: JobInput['money'], option: JobInput = {}) =>
    solve(emptyJob({ ...fan, ...option, money: { ...fan.money, ...more } }), catalogue);
  const figure = (solution: ReturnType<typeof money>, name: string) => Number(solution.values[`money.${name}`]?.value);

  it('cost over the years discounted, spread evenly, and its carbon', () => {
    const solution = money({ carbonFactor: '0.4', priceGrowth: '2 %' });
    const [first, yearly] = [figure(solution, 'firstCost'), figure(solution, 'yearlyCost')];
    // 8 % where nothing is typed (common practice), rising by 2 %: (1 − (1.02/1.08)¹⁰)/0.06.
    const factor = (1 - (1.02 / 1.08) ** 10) / 0.06;
    expect(figure(solution, 'discountedCost')).toBeCloseTo(first + yearly * factor, 6);
    expect(figure(solution, 'annualCost')).toBeCloseTo((first + yearly * factor) / 6.710_081, 2);
    expect(figure(solution, 'carbon')).toBeCloseTo((0.4 * Number(solution.values['profile.energy']?.value)) / 3.6e6, 6);
  });
  it('upkeep is paid each year, an incentive taken off what it costs to buy', () => {
    const [plainly, kept] = [money({}), money({}, { options: { A: { money: { upkeep: '150', incentive: '400' } } } })];
    expect(figure(kept, 'yearlyCost')).toBeCloseTo(figure(plainly, 'yearlyCost') + 150, 6);
    expect(figure(kept, 'firstCost')).toBeCloseTo(figure(plainly, 'firstCost') - 400, 6);
    expect(plainly.values['money.carbon']).toBeUndefined();
  });
  it('what an option is worth against the one that costs least to buy, in the words of the comparison', () => {
    const solution = money({});
    const [worth] = solution.comparison.worth;
    if (!worth) throw new Error('nothing compared');
    const of = (letter: string, id: string) =>
      Number(solution.options[letter as 'A']?.values[`money.${id}`]?.value ?? NaN);
    const extra = of(worth.option, 'firstCost') - of(worth.against, 'firstCost');
    const saving = of(worth.against, 'yearlyCost') - of(worth.option, 'yearlyCost');
    expect(extra).toBeGreaterThan(0);
    expect(worth.extra).toBeCloseTo(extra, 6);
    expect(worth.saving).toBeCloseTo(saving, 6);
    expect(worth.netPresentValue).toBeCloseTo(saving * annuity(0.08, 10) - extra, 6);
    expect(worth.payback).toBeCloseTo(extra / saving, 9);
    expect(Number(worth.discountedPayback)).toBeGreaterThan(Number(worth.payback));
    const rate = Number(worth.internalRate);
    expect(saving * annuity(rate, 10)).toBeCloseTo(extra, 4);
  });
});
