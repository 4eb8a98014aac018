// What a solution brings beside its values: details for the screens, rows of the comparison, ideas, the train. Sums on paper;
// torque in proportion to current: US DOE fact sheet (recalled from memory).
import { describe, expect, it } from 'vitest';
import { emptyCatalogue, emptyJob, solve, type Catalogue, type JobInput, type Solution } from '../../src/index.ts';
import { quantity } from '../../src/kernel/value.ts';
import { compareOptions, type Compared } from '../../src/solve/compare-options.ts';
import { catalogue, fan, plate } from '../lib/round-prices.ts';

const run = (input: JobInput, from: Catalogue = catalogue): Solution => solve(emptyJob(input), from);
const kept: JobInput = {
  situation: { kind: 'starter' },
  nameplate: plate,
  load: { way: 'torque', torque: '60 lb·ft', speed: '1770' },
  supply: { voltage: '480 V', frequency: '60 Hz' },
};
/** The same behind a belt. */
const belted: JobInput = {
  ...kept,
  load: {
    way: 'torque',
    torque: '100 lb·ft',
    speed: '885',
    stages: [{ kind: 'V-belt', ratio: '2', efficiency: '95 %' }],
  },
};

const ten = { years: 10, discount: 0.08, growth: 0 };

describe('details for the screens', () => {
  it('poles are compared at the frequency of the supply, else of the plate, else the one of the school', () => {
    const synchronous = (input: JobInput) => {
      const speed = run({ ...input, situation: { kind: 'new' } }).details.poles.find(({ poles }) => poles === 2)?.speed;
      return speed === undefined ? undefined : Math.ceil((speed * 30) / Math.PI / 100) * 100;
    };
    const load: JobInput['load'] = { way: 'torque', torque: '60 N·m', speed: '1400' };
    expect(synchronous({ load, supply: { frequency: '50 Hz' }, school: 'NEMA' })).toBe(3000);
    expect(synchronous({ load, supply: { frequency: '60 Hz' }, school: 'IEC' })).toBe(3600);
    expect(synchronous({ load, school: 'NEMA' })).toBe(3600);
    expect(synchronous({ load, school: 'IEC' })).toBe(3000);
  });
  it('a duty cycle is drawn by the practice of the job: its thermal time and cooling at standstill', () => {
    const { warming } = run(kept).details;
    expect(warming.timeConstant).toBeGreaterThan(60);
    expect(warming.standstillCooling).toBeGreaterThan(0);
    expect(run({ ...kept, practice: { thermalTime: '40 min' } }).details.warming.timeConstant).toBe(2400);
  });
  it('torque for an ampere: 74.2 lb·ft at 30 A, through a belt of 2 at 95 %', () => {
    const rated = (25 * 745.6999) / ((1770 * Math.PI) / 30) / 30;
    expect(run(kept).details.torquePerAmpere).toBeCloseTo(rated, 6);
    const belt = run(belted);
    expect(belt.details.torquePerAmpere).toBeCloseTo(rated * 2 * 0.95, 6);
    expect(run({ ...kept, nameplate: {} }).details.torquePerAmpere).toBeUndefined();
  });
  it('the outline of the picked motor stands beside the old one’s', () => {
    const replaced = run({ ...fan, situation: { kind: 'replace' }, nameplate: { ...plate, frame: '286T' } });
    expect(replaced.details.outlines.old).toBeDefined();
    expect(run(fan).details.outlines.fresh).toBeDefined();
    expect(run(fan, emptyCatalogue).details.outlines.fresh).toBeUndefined();
  });
  it('prices are told in the currency of the job where its rate is known, else in that of the catalogue', () => {
    expect(run(fan).details.pricing).toEqual({ factor: 1, currency: 'USD' });
    expect(run({ ...fan, currency: 'EUR' }).details.pricing).toEqual({ factor: 1, currency: 'USD' });
  });
});

describe('an option’s own', () => {
  it('has missing what it asks itself, not what all share', () => {
    const { options, missing } = run({ situation: { kind: 'new' } });
    expect(missing.some(({ option }) => option === undefined)).toBe(true);
    for (const own of Object.values(options))
      expect(own.missing.every(({ option }) => option !== undefined)).toBe(true);
  });
  it('a finding of another option’s does not keep this one from being handed over', () => {
    const solution = run({
      ...fan,
      options: { A: { starting: { method: 'direct' } }, B: { starting: { method: 'drive' }, pick: { drive: 'none' } } },
    });
    expect(solution.options.B?.findings.some(({ code }) => code === 'pick.drive-refused')).toBe(true);
    expect(solution.options.A?.findings.some(({ code }) => code === 'pick.drive-refused')).toBe(false);
  });
});

describe('rows of the comparison', () => {
  const value = (figure: number) => quantity(figure, 'power', { source: 'made up' });
  const option = (letter: 'A' | 'B' | 'C', values: Record<string, number>, stopped = false): Compared => ({
    letter,
    name: `option ${letter}`,
    stopped,
    values: Object.fromEntries(Object.entries(values).map(([id, figure]) => [id, value(figure)])),
  });
  const row = (id: string, ...options: Compared[]) =>
    compareOptions(options, 'IEC', ten).rows.find((each) => each.id === id);

  it('stand in their order, each with its published label, where any option has a figure', () => {
    const both = compareOptions(
      [option('A', { 'profile.peakInput': 9000, 'pick.drive': 1 }), option('B', {})],
      'IEC',
      ten,
    ).rows;
    expect(both.map(({ id }) => id)).toEqual(['pick.drive', 'profile.peakInput']);
    for (const { id, label } of both) {
      expect(label).not.toBe('');
      expect(label).not.toBe(id);
    }
  });
  it('differ where a figure does or where one lacks it', () => {
    expect(
      row('profile.peakInput', option('A', { 'profile.peakInput': 9000 }), option('B', { 'profile.peakInput': 9000 }))
        ?.differs,
    ).toBe(false);
    expect(row('profile.peakInput', option('A', { 'profile.peakInput': 9000 }), option('B', {}))?.differs).toBe(true);
    expect(
      row('profile.peakInput', option('A', { 'profile.peakInput': 9000 }), option('B', { 'profile.peakInput': 8000 })),
    ).toMatchObject({
      differs: true,
      measure: 'least',
      best: ['B'],
    });
  });
  it('the best is the least or the most, of those without a stop, shared within a thousandth, none where one alone is left', () => {
    const id = 'starting.torqueMargin';
    expect(row(id, option('A', { [id]: 1 }), option('B', { [id]: 2 }))?.best).toEqual(['B']);
    expect(row(id, option('A', { [id]: 1 }), option('B', { [id]: 2 }, true), option('C', { [id]: 1.5 }))?.best).toEqual(
      ['C'],
    );
    expect(row(id, option('A', { [id]: 1 }), option('B', { [id]: 2 }, true))?.best).toEqual([]);
    const least = 'profile.peakInput';
    expect(
      row(least, option('A', { [least]: 8000 }), option('B', { [least]: 8008 }), option('C', { [least]: 9000 }))?.best,
    ).toEqual(['A', 'B']);
    expect(
      row(least, option('A', { [least]: 8000 }), option('B', { [least]: 8009 }), option('C', { [least]: 9000 }))?.best,
    ).toEqual(['A']);
    expect(
      row(
        'starting.accelerationTime',
        option('A', { 'starting.accelerationTime': 1 }),
        option('B', { 'starting.accelerationTime': 2 }),
      )?.best,
    ).toEqual([]);
  });
  it('nothing turns what lacks a first or a yearly cost', () => {
    const money = (first: number | undefined, year: number | undefined) => ({
      'money.lifeCost': 5000,
      ...(first === undefined ? {} : { 'money.firstCost': first }),
      ...(year === undefined ? {} : { 'money.yearlyCost': year }),
    });
    const turns = (a: Record<string, number>, b: Record<string, number>) =>
      compareOptions([option('A', a), option('B', b)], 'IEC', ten).turns.length;
    expect(turns(money(3000, 500), { ...money(1000, 900), 'money.lifeCost': 9000 })).toBe(1);
    for (const lacking of [money(undefined, 900), money(1000, undefined)])
      expect(turns(money(3000, 500), { ...lacking, 'money.lifeCost': 9000 })).toBe(0);
    for (const lacking of [money(undefined, 500), money(3000, undefined)])
      expect(turns(lacking, { ...money(1000, 900), 'money.lifeCost': 9000 })).toBe(0);
  });
});

describe('what is proposed', () => {
  const ideas = (input: JobInput) =>
    Object.values(run(input).options).flatMap(({ proposed, why }) => (proposed ? [`${proposed}: ${why}`] : []));
  it('a drive where it is the only way that passes, and only then for that reason', () => {
    const weak: JobInput = {
      ...kept,
      supply: { ...kept.supply, startCurrentLimit: '40 A' },
      load: { ...kept.load, torqueKind: 'variable' },
      options: { A: { starting: { method: 'direct' } } },
    };
    expect(ideas(weak).join()).toContain('No other way to start passes every limit');
    expect(ideas({ ...kept, options: { A: { starting: { method: 'direct' } } } }).join()).not.toContain('No other way');
  });
  it('the least costly start beside a drive is never a drive', () => {
    const beside = ideas({ ...kept, options: { A: { starting: { method: 'drive' } } } });
    expect(beside).toContain('start: The least costly start that passes every limit.');
  });
});

describe('the power train', () => {
  const block = (solution: Solution, id: string) => solution.train.find((each) => each.id === id);
  it('a stop halts the block it belongs to and no other', () => {
    const states = (input: JobInput) => Object.fromEntries(run(input).train.map(({ id, state }) => [id, state]));
    const overloaded = states({ ...kept, load: { ...kept.load, torque: '90 lb·ft' } });
    expect(overloaded).toMatchObject({ load: 'stopped', supply: 'decided' });
    expect(states(kept)).toMatchObject({ load: 'decided', supply: 'decided' });
    const caution = run({ ...kept, load: { ...kept.load, speed: '1640' } });
    expect(caution.findings.some(({ code }) => code === 'load.speed-mismatch')).toBe(true);
  });
  it('shows what is known of the load: its torque, else that at the motor', () => {
    const { values, train } = run(kept);
    expect(train.find(({ id }) => id === 'load')?.rating).toBe(values['load.torque']?.text);
    expect(block(run({ situation: { kind: 'new' } }), 'load')).toMatchObject({ rating: '', state: 'open' });
    expect(block(run(kept), 'transmission')?.rating).toBe('Direct');
    const belt = run(belted);
    expect(block(belt, 'transmission')).toMatchObject({
      rating: expect.stringMatching(/^2(\.0+)? : 1$/) as string,
      detail: expect.stringContaining('95') as string,
    });
  });
});
