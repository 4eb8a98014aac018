/** Every figure shows its working: where it comes from, and what was put in. */
import { describe, expect, it } from 'vitest';
import { demoSites } from '../../../db/demo/jobs.ts';
import { emptyJob, solve, type AnyValue, type JobInput } from '../../src/index.ts';
import { publishedValues } from '../../src/solve/published.ts';
import { demo } from '../lib/demo.ts';
import { catalogue, fan } from '../lib/round-prices.ts';

const rich: JobInput = {
  ...fan,
  supply: { ...fan.supply, demandPrice: '14 per kW', feederLength: '200 ft', feederSize: '2', startsPerHour: '4' },
  options: {
    A: { starting: { method: 'drive' }, pick: { accessories: [{ part: 'Choke', price: '250' }] } },
    B: { starting: { method: 'direct' } },
  },
};
const solutions = [
  ...demoSites.flatMap(({ school, currency, jobs }) =>
    jobs.map((job) => solve(emptyJob({ school, currency, ...job }), demo)),
  ),
  solve(emptyJob(rich), catalogue),
];
const values = new Map<string, AnyValue[]>();
for (const { values: own, options } of solutions)
  for (const [id, value] of [own, ...Object.values(options).map((option) => option.values)].flatMap((each) =>
    Object.entries(each),
  ))
    values.set(id, [...(values.get(id) ?? []), value]);

/** Formulas that name what they are of, and take no figure of the job. */
const ALONE = new Set([
  'profile.hours',
  'starting.startingCurrent',
  'starting.torqueMargin',
  'starting.tripClass',
  'starting.changeoverCurrent',
  'protection.groundingConductor',
]);

describe('workings', () => {
  it('cover most of what is published', () => {
    expect(values.size).toBeGreaterThan(0.6 * publishedValues.size);
  });

  it.each([...values])('%s', (id, all) => {
    for (const { working, origin, text, value } of all) {
      expect(working.source).not.toBe('');
      expect(working.source).toBeDefined();
      expect(text).not.toBe('');
      if (typeof value === 'number') expect(Number.isFinite(value)).toBe(true);
      for (const { symbol, text: put } of working.inputs) {
        expect(symbol).not.toBe('');
        expect(put).not.toBe('');
      }
      // A formula says what was put in for its letters.
      if (working.formula !== '' && origin !== 'given' && !ALONE.has(id))
        expect(working.inputs.length, working.formula).toBeGreaterThan(0);
    }
  });
});
