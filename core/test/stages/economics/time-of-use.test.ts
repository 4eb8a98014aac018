// Shifts, tariff and demand by the clock. A calendar of 365 days: 5/7 weekdays; every figure is a sum on paper.
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { emptyJob, solve, type JobInput, type Solution } from '../../../src/index.ts';
import { loggedDemands, monthlyDemands } from '../../../src/stages/economics/demand.ts';
import { parseQuantity } from '../../../src/kernel/quantity/parse.ts';
import { quantity } from '../../../src/kernel/value.ts';
import { timeOfUse, holds, yearOf, type Clock, type ClockChoices } from '../../../src/stages/supply/time-of-use.ts';
import { catalogue, fan } from '../../lib/round-prices.ts';

const HOUR = 3600;
const KWH = 3.6e6;
interface Typed extends ClockChoices {
  readonly from: string;
  readonly to: string;
}
const typed = (more: Partial<Typed> = {}): Typed => ({
  days: 'every',
  from: '',
  to: '',
  firstMonth: 'January',
  lastMonth: 'December',
  ...more,
});
/** s after midnight; undefined where it is no time of day. */
const read = (text: string) => {
  const parsed = parseQuantity(text, 'timeOfDay', 'NEMA');
  return parsed.ok ? parsed.value.si : undefined;
};
const clock = (more: Partial<Typed> = {}): Clock => {
  const { from, to, ...choices } = typed(more);
  const time = (text: string) =>
    text === '' ? undefined : quantity(read(text) ?? NaN, 'timeOfDay', { source: 'typed' });
  return timeOfUse(choices, { from: time(from), to: time(to) } as Parameters<typeof timeOfUse>[1]);
};
const hours = (more: Partial<Typed>) => {
  const one = clock(more);
  return (
    yearOf([one])
      .filter(({ month, kind, begins }) => holds(one, month, kind, begins))
      .reduce((sum, { seconds }) => sum + seconds, 0) / HOUR
  );
};

describe('a clock', () => {
  it.each([
    ['06:00', 360],
    ['6', 360],
    ['22:30', 1350],
    ['0', 0],
    ['24:00', 1440],
    [' 7:05 ', 425],
    ['6:60', undefined],
    ['6:5', undefined],
    ['six', undefined],
    ['-1', undefined],
    ['', undefined],
    ['6:30 pm', 1110],
    ['12 am', 0],
    ['12:15 PM', 735],
    ['13 pm', undefined],
  ])('%s is %s minutes after midnight', (text, minutes) => {
    expect(read(text)).toBe(minutes === undefined ? undefined : minutes * 60);
  });
  it.each([
    ['the whole year', {}, 8760],
    ['weekdays', { days: 'weekdays' }, (8760 * 5) / 7],
    ['Saturdays', { days: 'saturdays' }, 8760 / 7],
    ['Sundays', { days: 'sundays' }, 8760 / 7],
    ['weekends', { days: 'weekends' }, (8760 * 2) / 7],
    ['eight hours a day', { from: '6:00', to: '14:00' }, 8 * 365],
    ['over midnight', { from: '22:00', to: '6:00' }, 8 * 365],
    ['from noon', { from: '12' }, 12 * 365],
    ['equal ends: all day', { from: '6', to: '6' }, 8760],
    ['June to August', { firstMonth: 'June', lastMonth: 'August' }, 92 * 24],
    ['November to March', { firstMonth: 'November', lastMonth: 'March' }, (30 + 31 + 31 + 28 + 31) * 24],
    ['one month', { firstMonth: 'February', lastMonth: 'February' }, 28 * 24],
    ['February to January: all of them', { firstMonth: 'February', lastMonth: 'January' }, 8760],
    [
      'all of it',
      { days: 'weekdays', from: '6', to: '22', firstMonth: 'December', lastMonth: 'January' },
      (62 * 16 * 5) / 7,
    ],
  ] as const)('%s', (_, more, expected) => {
    expect(hours(more)).toBeCloseTo(expected, 9);
  });
  it('what is no time of day is told at its field, and shown as it was read elsewhere', () => {
    const shifts = [
      { flow: '50 %', from: 'noon', to: '24:01' },
      { flow: '60 %', from: '6', to: '9:30 pm' },
    ];
    const { fields, findings } = solve(emptyJob({ ...fan, profile: { control: 'damper', shifts } }), catalogue);
    expect(fields['profile.shifts.0.from']?.error).toContain('is no time of day. Write it like 06:30.');
    expect(fields['profile.shifts.0.to']?.error).toContain('24:01');
    expect(findings.filter(({ code }) => code === 'input.unreadable').map(({ field }) => field)).toEqual([
      'profile.shifts.0.from',
      'profile.shifts.0.to',
    ]);
    expect(fields['profile.shifts.1.from']?.read).toBe('06:00');
    expect(fields['profile.shifts.1.to']?.read).toBe('21:30');
    const bands = [{ price: '0.2 per kWh', from: '25', to: '6:00' }];
    const tariff = solve(emptyJob({ ...fan, supply: { ...fan.supply, bands } }), catalogue);
    expect(tariff.fields['supply.bands.0.from']?.error).toContain('25');
  });
  it('cut anywhere the year keeps its hours', () => {
    const second = fc.integer({ min: 0, max: 1440 }).map((minutes) => 60 * minutes);
    const one = fc.record({ from: second, to: second }).map((each) => ({ ...clock(), ...each }));
    fc.assert(
      fc.property(fc.array(one, { maxLength: 8 }), (clocks) => {
        const total = yearOf(clocks).reduce((sum, { seconds }) => sum + seconds, 0);
        expect(total / HOUR).toBeCloseTo(8760, 6);
      }),
    );
  });
});

const run = (more: JobInput): Solution => solve(emptyJob({ ...fan, ...more }), catalogue);
const value = (solution: Solution, id: string) => Number(solution.values[id]?.value ?? NaN);
const shift = (flow: string, more: Partial<Typed> = {}) => ({ flow, ...typed(more) });

describe('shifts', () => {
  const day = shift('100 %', { days: 'weekdays', from: '6:00', to: '22:00' });
  const night = shift('60 %', { days: 'weekdays', from: '22:00', to: '6:00' });

  it('are rows of hours: the same energy as the hours typed', () => {
    const clocked = run({ profile: { control: 'damper', shifts: [day, night] } });
    const weekdays = (365 * 5) / 7;
    const rows = run({
      profile: {
        control: 'damper',
        points: [
          { flow: '100 %', hours: `${16 * weekdays} h` },
          { flow: '60 %', hours: `${8 * weekdays} h` },
        ],
      },
    });
    for (const id of [
      'profile.hours',
      'profile.energyThrottled',
      'profile.energy',
      'profile.meanFlow',
      'profile.leastSpeed',
    ])
      expect(value(clocked, id) / value(rows, id), id).toBeCloseTo(1, 9);
    expect(clocked.details.profile.map(({ path }) => path)).toEqual(['profile.shifts.0', 'profile.shifts.1']);
  });
  it('count beside rows; the first of two that hold at once counts', () => {
    const both = run({
      profile: {
        control: 'damper',
        points: [{ flow: '80 %', hours: '500 h' }],
        shifts: [shift('100 %', { from: '6', to: '14' }), shift('60 %', { from: '12', to: '20' })],
      },
    });
    expect(both.details.profile.map((row) => Math.round((row.hours / HOUR) * 1e6) / 1e6)).toEqual([500, 2920, 2190]);
  });
  it('a shift beyond full flow is named at its own row', () => {
    const beyond = run({ profile: { control: 'damper', shifts: [day, shift('110 %', { days: 'sundays' })] } });
    expect(beyond.findings.find(({ code }) => code === 'profile.above-full')?.field).toBe('profile.shifts.1.flow');
  });
  it('energy is charged by the price of its hours, each way of control by its own', () => {
    const bands = [
      { name: 'peak', price: '0.30 per kWh', ...typed({ days: 'weekdays', from: '8', to: '20' }) },
      { name: 'else', price: '0.10 per kWh', ...typed() },
    ];
    const charged = run({
      money: { years: '10 years' },
      profile: { control: 'damper', shifts: [day, night] },
      supply: { ...fan.supply, bands: [bands[0], { ...bands[1], ...typed({ from: '0', to: '24' }) }] as never },
    });
    // 12 of the 16 hours of the day at 0.30, four at 0.10: 0.25; the night at 0.10.
    const [atDay, atNight] = charged.details.profile;
    expect(Number(atDay?.price) * KWH).toBeCloseTo(0.25, 9);
    expect(Number(atNight?.price) * KWH).toBeCloseTo(0.1, 9);
    const weekdays = (365 * 5) / 7;
    const cost = (of: 'throttled' | 'speedControlled') =>
      (weekdays * (16 * Number(atDay?.[of]) * 0.25 + 8 * Number(atNight?.[of]) * 0.1)) / 1000;
    expect(value(charged, 'money.yearlyCostThrottled')).toBeCloseTo(cost('throttled'), 6);
    // Speed control also waits at the mean price of its own energy.
    const driven = value(charged, 'money.yearlyCostSpeedControlled') / value(charged, 'profile.energySpeedControlled');
    const [e1, e2] = [16 * Number(atDay?.speedControlled), 8 * Number(atNight?.speedControlled)];
    expect(driven * KWH).toBeCloseTo((e1 * 0.25 + e2 * 0.1) / (e1 + e2), 9);
    // One price typed for the job is the price of all.
    const flat = run({
      profile: { control: 'damper', shifts: [day, night] },
      supply: { ...fan.supply, bands },
    });
    expect(value(flat, 'money.yearlyCostThrottled') / value(flat, 'profile.energyThrottled')).toBeCloseTo(
      0.1 / KWH,
      12,
    );
  });
});

describe('a tariff by the clock without shifts', () => {
  const priced = (...bands: readonly object[]) => run({ supply: { ...fan.supply, bands: bands as never } });
  it('has the mean of its prices over the year; two at once: the first', () => {
    const two = priced(
      { price: '0.30 per kWh', from: '8', to: '20' },
      { price: '0.10 per kWh', firstMonth: 'January', lastMonth: 'December', from: '0', to: '24' },
    );
    expect(value(two, 'supply.energyPrice') * KWH).toBeCloseTo(0.2, 9);
    expect(two.findings.some(({ code }) => code === 'supply.band-shares')).toBe(false);
  });
  it('a band that says no time holds whenever no other does; where shares are typed the clock is none', () => {
    const rest = priced({ price: '0.30 per kWh', from: '8', to: '20' }, { price: '0.10 per kWh' });
    expect(value(rest, 'supply.energyPrice') * KWH).toBeCloseTo(0.2, 9);
    const shifts = [shift('80 %', { from: '8', to: '20' })];
    const both = (share?: string) =>
      Number(
        run({
          money: {},
          profile: { control: 'damper', shifts },
          supply: { ...fan.supply, bands: [{ price: '0.30 per kWh', from: '8', to: '20', share }] as never },
        }).details.profile[0]?.price,
      ) * KWH;
    expect(both()).toBeCloseTo(0.3, 9);
    expect(both('100 %')).toBeNaN();
  });
  it('says which part of the year has no price', () => {
    const part = priced({ price: '0.30 per kWh', from: '8', to: '20' });
    expect(part.findings.find(({ code }) => code === 'supply.band-shares')?.message).toContain('50.0 %');
    expect(value(part, 'supply.energyPrice') * KWH).toBeCloseTo(0.3, 9);
  });
});

describe('demand of a year', () => {
  const row = (peak: number, more: object = {}) => ({ hours: 1000 * HOUR, peak, apparent: 2 * peak, ...more });
  const QUARTER = 900;
  it('is the highest of each month; rare hours count in as many months as they can fill the meter’s interval', () => {
    expect(monthlyDemands([row(5), row(8, { hours: 3 * HOUR })], QUARTER, 'peak')).toEqual(Array(12).fill(8));
    // An hour a year fills four quarters.
    expect(monthlyDemands([row(5), row(8, { hours: HOUR })], QUARTER, 'peak')).toEqual([
      ...Array<number>(4).fill(8),
      ...Array<number>(8).fill(5),
    ]);
    expect(monthlyDemands([row(5), row(8, { hours: HOUR })], 2 * QUARTER, 'apparent')).toEqual([
      ...Array<number>(2).fill(16),
      ...Array<number>(10).fill(10),
    ]);
    expect(monthlyDemands([row(5, { hours: 10 * 60 })], QUARTER, 'peak')).toEqual(Array(12).fill(0));
  });
  it('a shift counts in its months', () => {
    const monthly = Array.from({ length: 12 }, (_, month) => (month < 3 ? 100 * HOUR : 0));
    expect(monthlyDemands([row(5), row(9, { monthly })], QUARTER, 'peak')).toEqual([
      9, 9, 9, 5, 5, 5, 5, 5, 5, 5, 5, 5,
    ]);
  });
  it('with a ratchet no month is charged less than its share of the year’s highest', () => {
    const summer = shift('100 %', { firstMonth: 'June', lastMonth: 'August' });
    const rest = shift('40 %', { firstMonth: 'September', lastMonth: 'May' });
    const charged = (supply: object) =>
      run({
        profile: { control: 'damper', shifts: [summer, rest] },
        supply: { ...fan.supply, demandPrice: '10 per kW', ...supply },
      });
    const plain = charged({});
    const [high, low] = plain.details.profile.map(({ throttledPeak }) => Number(throttledPeak) / 1000);
    expect(value(plain, 'money.demandThrottled')).toBeCloseTo(10 * (3 * Number(high) + 9 * Number(low)), 6);
    const [fast, slow] = plain.details.profile.map(({ speedControlled }) => speedControlled / 1000);
    const ratchet = charged({ demandRatchet: '80 %' });
    expect(value(ratchet, 'money.demandSpeedControlled')).toBeCloseTo(
      10 * (3 * Number(fast) + 9 * Math.max(Number(slow), 0.8 * Number(fast))),
      6,
    );
    // An hour a year can fill two intervals of half an hour, in two months.
    const rare = (demandInterval: '15 min' | '30 min') =>
      value(
        run({
          profile: { control: 'damper', points: [{ flow: '100 %', hours: '1 h' }] },
          supply: { ...fan.supply, demandPrice: '10 per kW', demandInterval },
        }),
        'money.demandThrottled',
      );
    expect(rare('15 min') / rare('30 min')).toBeCloseTo(2, 9);
  });
});

describe('demand by a log', () => {
  const points = [{ flow: 1 }, { flow: 0.5 }, { flow: 0 }];
  const taken = [
    { peak: 9, apparent: 10 },
    { peak: 2, apparent: 3 },
    { peak: 0, apparent: 0 },
  ];
  it('what the rows take at the highest flow of each month, straight between them; others count as the highest', () => {
    expect(loggedDemands([0.75, 0.5, 0], points, taken, 'peak')).toEqual([5.5, 2, 0, ...Array<number>(9).fill(5.5)]);
    expect(loggedDemands([1, 0.75], points, taken, 'apparent')).toEqual([10, 6.5, ...Array<number>(10).fill(10)]);
    // Beyond the rows their ends hold.
    expect(loggedDemands([1.2, 0.1], points, taken, 'peak').slice(0, 2)).toEqual([9, 2]);
  });
  it('in a job it is charged instead of the highest row', () => {
    const charged = (peakFlows: string) => {
      const { values } = solve(
        emptyJob({ ...fan, supply: { ...fan.supply, demandPrice: '10' }, profile: { ...fan.profile, peakFlows } }),
        catalogue,
      );
      return values['money.demandThrottled'];
    };
    const byRows = charged('');
    const byLog = charged('60 %');
    expect(byRows?.value).toBeGreaterThan(0);
    expect(byLog?.value).toBeLessThan(byRows?.value as number);
    expect(byLog?.working.note).toContain('log');
  });
});
