// What may turn out otherwise: draws of options whose costs are known. Triangular distribution by its textbook inverse; ranks by
// Spearman’s textbook formula; every outcome against a job solved with the figures typed.
import { describe, expect, it } from 'vitest';
import { emptyJob, solve, type JobInput } from '../../src/index.ts';
import {
  drawn,
  drawSlice,
  joined,
  likeliest,
  outcomesOf,
  shareOf,
  worldOf,
  type World,
} from '../../src/solve/risk/draw.ts';
import { bandOf } from '../../src/kernel/numeric.ts';
import { judgeRisk } from '../../src/solve/risk/judge.ts';
import { riskModelOf, type RiskModel } from '../../src/solve/risk/risk-model.ts';
import { riskVariables, type Spreads } from '../../src/solve/risk/spreads.ts';
import { catalogue, fan } from '../lib/round-prices.ts';

const job = (more: JobInput = {}, shaft = '70 lb·ft'): JobInput => ({
  ...fan,
  load: { ...fan.load, torque: shaft },
  options: { A: { starting: { method: 'direct' } }, B: { starting: { method: 'drive' } } },
  ...more,
});
const modelOf = (input: JobInput): RiskModel => riskModelOf(emptyJob(input), catalogue);
const model = modelOf(job());
const usual = likeliest(model);
const costs = (of: RiskModel, world: Partial<World> = {}) =>
  outcomesOf(of, { ...likeliest(of), ...world }).map((each, at) => ({ letter: of.options[at]?.letter, ...each }));
const solved = (input: JobInput, letter: 'A' | 'B', name: string) =>
  Number(solve(emptyJob(input), catalogue).options[letter]?.values[`money.${name}`]?.value ?? NaN);

describe('a world of the likeliest figures', () => {
  it.each(['A', 'B'] as const)('is the job as it is solved: option %s', (letter) => {
    const own = costs(model).find((each) => each.letter === letter);
    expect(own?.first).toBeCloseTo(solved(job(), letter, 'firstCost'), 6);
    expect(own?.yearly).toBeCloseTo(solved(job(), letter, 'yearlyCost'), 6);
    expect(own?.life).toBeCloseTo(solved(job(), letter, 'lifeCost'), 5);
    expect(own?.discounted).toBeCloseTo(solved(job(), letter, 'discountedCost'), 5);
  });
  it.each([
    [
      'hours',
      { hours: 1.05 },
      job({
        profile: {
          control: 'damper',
          points: [
            { flow: '100 %', hours: '2100 h' },
            { flow: '60 %', hours: '4200 h' },
          ],
        },
      }),
      6,
    ],
    ['price', { energyPrice: 1.2 }, job({ money: { ...fan.money, energyPrice: '0.12 per kWh' } }), 6],
    ['growth', { growth: 0.02 }, job({ money: { ...fan.money, priceGrowth: '2 %' } }), 6],
    ['life', { life: 1.3 }, job({ money: { ...fan.money, years: '13 years' } }), 6],
    // Interpolated: within a ten-thousandth.
    ['power', { power: 1.04 }, job({}, '72.8 lb·ft'), 4],
    ['power between points', { power: 0.985 }, job({}, '68.95 lb·ft'), 4],
  ] as const)('%s otherwise: as the job with that typed', (_, world, typed, digits) => {
    for (const letter of ['A', 'B'] as const) {
      const own = costs(model, world).find((each) => each.letter === letter);
      const expected = solved(typed, letter, 'discountedCost');
      expect((own?.discounted ?? NaN) / expected).toBeCloseTo(1, digits);
    }
  });
  it('static head, upkeep, demand and efficiency otherwise', () => {
    const points = [{ flow: '60 %', hours: '4000 h' }];
    const lift = (staticHeadShare: string): JobInput =>
      job({ profile: { control: 'throttle', staticHeadShare, points }, load: { ...fan.load, machine: 'pump' } });
    const own = costs(modelOf(lift('40 %')), { staticHead: 0.1 });
    for (const { letter, yearly } of own)
      expect(yearly / solved(lift('50 %'), letter as 'A', 'yearlyCost')).toBeCloseTo(1, 9);
    const charged = (energyPrice: string, demandPrice: string): JobInput =>
      job({
        supply: { ...fan.supply, demandPrice },
        money: { ...fan.money, energyPrice },
        options: {
          A: { starting: { method: 'direct' } },
          B: { starting: { method: 'drive' }, money: { upkeep: '400' } },
        },
      });
    for (const { letter, yearly } of costs(modelOf(charged('0.10 per kWh', '10 per kW')), { energyPrice: 1.2 }))
      expect(yearly).toBeCloseTo(solved(charged('0.12 per kWh', '12 per kW'), letter as 'A', 'yearlyCost'), 5);
    const guaranteed = job({ profile: { ...fan.profile, efficiencyBasis: 'guaranteed' } });
    for (const { letter, yearly } of costs(model, { efficiency: 1 }))
      expect(yearly).toBeCloseTo(solved(guaranteed, letter as 'A', 'yearlyCost'), 5);
    for (const { letter, yearly } of costs(modelOf(guaranteed), { efficiency: 0 }))
      expect(yearly).toBeCloseTo(solved(job(), letter as 'A', 'yearlyCost'), 5);
  });
  it('the loss of a drive otherwise: as with that rule of thumb, what waits left out', () => {
    const doubled = { practice: { driveLossShare: '90 %' } };
    for (const { letter, yearly } of costs(model, { driveLoss: 2 }))
      expect(yearly).toBeCloseTo(solved(job(doubled), letter as 'A', 'yearlyCost'), 5);
  });
  it('by the clock: what a shift takes at its own price', () => {
    const shifts = [
      { flow: '100 %', from: '6', to: '14' },
      { flow: '50 %', from: '14', to: '24' },
    ];
    const clocked = job({
      profile: { control: 'damper', shifts },
      money: { years: '10 years' },
      supply: {
        ...fan.supply,
        bands: [
          { price: '0.3 per kWh', from: '8', to: '20' },
          { price: '0.1 per kWh', from: '20', to: '8' },
        ],
      },
    });
    for (const { letter, yearly } of costs(modelOf(clocked)))
      expect(yearly).toBeCloseTo(solved(clocked, letter as 'A', 'yearlyCost'), 5);
  });
  it('an option with a stop, without hours or without a price is none', () => {
    expect(modelOf(job({ profile: { control: 'damper' } })).options).toEqual([]);
    expect(modelOf(job({ money: {} })).options).toEqual([]);
    expect(modelOf(job({ place: { hazardous: 'yes' } })).options).toEqual([]);
    expect(modelOf(job({ profile: { control: 'damper' } })).base).toBeUndefined();
    expect(model.base).toBe('A');
  });
});

describe('what is drawn', () => {
  it('a triangle by the inverse of its distribution', () => {
    const even = { low: 0, mode: 0.5, high: 1, shape: 'triangle' } as const;
    expect([0, 0.125, 0.5, 0.875, 1].map((share) => drawn(even, share))).toEqual([0, 0.25, 0.5, 0.75, 1]);
    // Mode at 0.8 of 0.8…1.3: nothing lies below; a quarter below 0.8 + 0.5·(1 − √0.75).
    const leaning = { low: 0.8, mode: 0.8, high: 1.3, shape: 'triangle' } as const;
    expect(drawn(leaning, 0.25)).toBeCloseTo(1.3 - 0.5 * Math.sqrt(0.75), 12);
    expect(drawn({ low: 2, mode: 2, high: 4, shape: 'even' }, 0.3)).toBeCloseTo(2.6, 12);
    expect(drawn({ low: 1, mode: 1, high: 1, shape: 'triangle' }, 0.9)).toBe(1);
  });
  it('lies evenly between 0 and 1, each variable apart from the others and each sample from the next', () => {
    const COUNT = 4000;
    const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
    const shares = Object.fromEntries(
      riskVariables.map((name) => [name, Array.from({ length: COUNT }, (_, at) => shareOf(7, at, name))]),
    );
    const centred = (name: string, shift = 0) => (shares[name] ?? []).slice(shift).map((value) => value - 0.5);
    for (const name of riskVariables) {
      expect(mean(shares[name] ?? []), name).toBeCloseTo(0.5, 1);
      expect(mean(centred(name).map((value) => value ** 2)), name).toBeCloseTo(1 / 12, 2);
      const [a, b] = [centred(name), centred(name, 1)];
      expect(Math.abs(12 * mean(b.map((value, at) => value * (a[at] ?? 0)))), name).toBeLessThan(0.06);
      for (const other of riskVariables)
        if (other !== name) {
          const others = centred(other);
          expect(Math.abs(12 * mean(centred(name).map((value, at) => value * (others[at] ?? 0))))).toBeLessThan(0.06);
        }
    }
  });
  it('is the same for a seed however it is split, another for another seed', () => {
    const whole = drawSlice(model, 3, 0, 60);
    const parts = joined([drawSlice(model, 3, 40, 60), drawSlice(model, 3, 0, 40)]);
    expect(parts).toEqual(whole);
    expect(drawSlice(model, 4, 0, 60)).not.toEqual(whole);
    expect(joined([])).toBeUndefined();
  });
  it('stays within its ranges; hours never beyond a year, a load that was measured nearer', () => {
    for (let sample = 0; sample < 200; sample++) {
      const world = worldOf(model, 1, sample);
      for (const name of riskVariables) {
        const { low, high } = model.spreads.ranges[name];
        expect(world[name]).toBeGreaterThanOrEqual(low);
        expect(world[name]).toBeLessThanOrEqual(high);
      }
    }
    expect(model.spreads.ranges.hours.high).toBeCloseTo(1.1, 12);
    const long = modelOf(job({ profile: { control: 'damper', points: [{ flow: '60 %', hours: '8500 h' }] } }));
    expect(long.spreads.ranges.hours.high).toBeCloseTo(8760 / 8500, 12);
    expect(model.spreads.ranges.power).toMatchObject({ low: 0.95, high: 1.05 });
    const air = { way: 'fan', flow: '8 m3/s', pressure: '1200 Pa', machineEfficiency: '70 %', speed: '1760' } as const;
    expect(
      modelOf(job({ load: { ...air, torqueKind: 'variable', inertia: '20 lb·ft²' } })).spreads.ranges.power,
    ).toMatchObject({
      low: 0.85,
      high: 1.15,
    });
    expect(model.spreads.ranges.staticHead).toMatchObject({ low: 0, high: 0 });
    expect(model.spreads.ranges).toMatchObject({
      energyPrice: { low: 0.8, high: 1.3 },
      growth: { low: -0.02, high: 0.02 },
      capital: { low: 0.9, high: 1.25 },
      life: { low: 0.7, high: 1.3 },
      efficiency: { low: 0, high: 1, shape: 'even' },
      driveLoss: { low: 0.5, mode: 1, high: 2, shape: 'triangle' },
    });
  });
});

describe('what the draws say', () => {
  const certain: RiskModel = {
    ...model,
    spreads: {
      ranges: Object.fromEntries(
        riskVariables.map((name) => [name, { ...model.spreads.ranges[name], low: usual[name], high: usual[name] }]),
      ) as Spreads['ranges'],
    },
  };
  it('nothing unsure: every tenth is the figure itself', () => {
    const risk = judgeRisk(certain, drawSlice(certain, 1, 0, 20));
    const drive = risk?.options.find(({ letter }) => letter === 'B');
    const exact = solved(job(), 'B', 'discountedCost');
    for (const name of ['low', 'middle', 'high'] as const) expect(drive?.discounted[name]).toBeCloseTo(exact, 5);
    const { worth } = solve(emptyJob(job()), catalogue).comparison;
    const drives = worth.find(({ option }) => option === 'B');
    expect(drive?.against?.netPresentValue.middle).toBeCloseTo(drives?.netPresentValue ?? NaN, 5);
    expect(drive?.against?.payback.middle).toBeCloseTo(drives?.payback ?? NaN, 9);
    expect(risk?.ahead?.swings).toEqual([]);
    expect(drive?.costs.at(-1)).toMatchObject({ year: 10 });
    expect(drive?.costs.at(-1)?.band.middle).toBeCloseTo(solved(job(), 'B', 'lifeCost'), 5);
    expect(drive?.costs[0]?.band.low).toBeCloseTo(solved(job(), 'B', 'firstCost'), 6);
  });
  it('tenths of a hundred draws by counting', () => {
    const values = Array.from({ length: 100 }, (_, at) => (at * 37) % 100);
    expect(bandOf(values, 0.1)).toEqual({ low: 10, middle: 50, high: 90 });
  });
  it('a hundred worlds made by hand: who wins, how often, and what never pays back', () => {
    // A costs 1000 always; B 900 in seven of ten worlds and 1200 in the others, and saves nothing there.
    const steps = Array.from({ length: 10 }, (_, at) => at);
    const figures = (discounted: readonly number[], first: number, yearly: readonly number[]) => ({
      first: steps.map(() => first),
      yearly,
      life: discounted,
      discounted,
    });
    const draws = {
      from: 0,
      worlds: Object.fromEntries(riskVariables.map((name) => [name, steps])) as never,
      outcomes: [
        {
          letter: 'A' as const,
          figures: figures(
            steps.map(() => 1000),
            100,
            steps.map(() => 90),
          ),
        },
        {
          letter: 'B' as const,
          figures: figures(
            steps.map((at) => (at < 7 ? 900 - at : 1200 + at)),
            300,
            steps.map((at) => (at < 7 ? 40 : 95)),
          ),
        },
      ],
    };
    const risk = judgeRisk({ ...model, base: 'A' }, draws);
    const [a, b] = risk?.options ?? [];
    expect([a?.best, b?.best]).toEqual([0.3, 0.7]);
    expect(a?.against).toBeUndefined();
    expect(b?.against?.loses).toBe(0.3);
    expect(b?.against?.payback).toEqual({ low: 4, middle: 4, high: Infinity });
    expect(risk?.ahead).toMatchObject({ first: 'B', second: 'A', chance: 0.7, clear: false });
    // What B is ahead by: 100…106 in order, then −207…−209: ranks 3…9, 2, 1, 0 against 0…9: Spearman 1 − 6·Σd²/(n³ − n).
    const d = [3, 3, 3, 3, 3, 3, 3, -5, -7, -9];
    const spearman = 1 - (6 * d.reduce((sum, each) => sum + each * each, 0)) / 990;
    expect(risk?.ahead?.swings[0]?.correlation).toBeCloseTo(spearman, 12);
  });
  it('one option alone is not ahead of anything; without a base nothing is said', () => {
    const one = { ...model, options: model.options.slice(0, 1) };
    const risk = judgeRisk(one, drawSlice(one, 1, 0, 10));
    expect(risk?.ahead).toBeUndefined();
    expect(risk?.options).toHaveLength(1);
    expect(judgeRisk({ ...model, base: undefined }, drawSlice(model, 1, 0, 10))).toBeUndefined();
    expect(judgeRisk(model, drawSlice(model, 1, 0, 0))).toBeUndefined();
  });
  it('the ends of a range swing the lead as the job typed with them', () => {
    const risk = judgeRisk(model, drawSlice(model, 1, 0, 400));
    const swing = risk?.ahead?.swings.find(({ variable }) => variable === 'energyPrice');
    const lead = (energyPrice: string) => {
      const typed = job({ money: { ...fan.money, energyPrice } });
      return solved(typed, 'A', 'discountedCost') - solved(typed, 'B', 'discountedCost');
    };
    const sign = risk?.ahead?.first === 'B' ? 1 : -1;
    expect(swing?.low).toBeCloseTo(sign * lead('0.08 per kWh'), 4);
    expect(swing?.high).toBeCloseTo(sign * lead('0.13 per kWh'), 4);
    expect(Math.sign(swing?.correlation ?? 0)).toBe(Math.sign((swing?.high ?? 0) - (swing?.low ?? 0)));
  });
  it('break-even: at those hours, price or mean flow both cost the same', () => {
    const risk = judgeRisk(model, drawSlice(model, 1, 0, 50));
    const at = (of: string) => Number(risk?.ahead?.evens.find((each) => each.of === of)?.at);
    const gap = (typed: JobInput) => {
      const [a, b] = (['A', 'B'] as const).map((letter) => solved(typed, letter, 'discountedCost'));
      return (Number(a) - Number(b)) / Number(a);
    };
    expect(gap(job({ money: { ...fan.money, energyPrice: `${0.1 * at('energyPrice')} per kWh` } }))).toBeCloseTo(0, 6);
    const hours = at('hours');
    const rows = [
      ['100 %', 2000],
      ['60 %', 4000],
    ] as const;
    expect(
      gap(
        job({ profile: { control: 'damper', points: rows.map(([flow, h]) => ({ flow, hours: `${h * hours} h` })) } }),
      ),
    ).toBeCloseTo(0, 6);
    const mean = at('meanFlow');
    // Flows scaled and none above full: 1·2000 and 0.6s·4000 of 6000 hours.
    const scaled = (mean * 6000 - 2000) / 4000 / 0.6;
    expect(scaled).toBeGreaterThan(1);
    const part = job({
      profile: {
        control: 'damper',
        points: [
          { flow: '100 %', hours: '2000 h' },
          { flow: `${60 * scaled} %`, hours: '4000 h' },
        ],
      },
    });
    expect(gap(part)).toBeCloseTo(0, 3);
  });
  it('does not care for the letters: the same two the other way round', () => {
    const swapped = modelOf(
      job({ options: { A: { starting: { method: 'drive' } }, B: { starting: { method: 'direct' } } } }),
    );
    const [one, two] = [
      judgeRisk(model, drawSlice(model, 5, 0, 200)),
      judgeRisk(swapped, drawSlice(swapped, 5, 0, 200)),
    ];
    const drive = one?.options.find(({ letter }) => letter === 'B');
    const other = two?.options.find(({ letter }) => letter === 'A');
    expect({ ...other, letter: 'B', name: '' }).toEqual({ ...drive, name: '' });
    expect(two?.ahead?.chance).toBe(one?.ahead?.chance);
    expect(two?.base).toBe('B');
  });
});
