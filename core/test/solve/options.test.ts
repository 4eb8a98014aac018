import type { Fields } from '../../src/kernel/field.ts';
import { optionStages } from '../../src/kernel/stage-list.ts';
import { stageFields } from '../../src/job/fields.ts';
import { describe, expect, it } from 'vitest';
import before from '../../../db/test/data/jobs-version-1.json' with { type: 'json' };
import {
  documentSchema,
  emptyCatalogue,
  emptyJob,
  jobSchema,
  solve,
  viewOf,
  type JobInput,
  type Solution,
} from '../../src/index.ts';
import { fieldAt, letters, placeIn } from '../../src/job/document-paths.ts';
import { ownNames } from '../../src/job/options.ts';
import { compareOptions, type Compared } from '../../src/solve/compare-options.ts';
import { quantity } from '../../src/kernel/value.ts';
import { demo } from '../lib/demo.ts';
import { catalogue, fan } from '../lib/round-prices.ts';
import { inWords } from '../lib/words.ts';

const run = (input: JobInput): Solution => solve(emptyJob(input), catalogue);
const figure = (solution: Solution, letter: (typeof letters)[number], id: string): number =>
  Number(solution.options[letter]?.values[id]?.value);

const over = (years: number) => ({ years, discount: 0.08, growth: 0 });

describe('the list of stages', () => {
  it('has a stage solved for each option just where a field is an option’s own', () => {
    const own = Object.entries<Fields>(stageFields).flatMap(([stage, fields]) =>
      Object.values(fields).some(({ perOption }) => perOption) ? [stage] : [],
    );
    expect(optionStages).toEqual(own);
  });
});

describe('documents of before', () => {
  it.each(before.map((document) => [document.tag, document] as const))('%s is read without loss', (_, document) => {
    const job = jobSchema.parse(document);
    expect(job.schema).toBe(2);
    expect(Object.keys(job.options)).toEqual(['A']);
    // Seen by option A it says all that it said, in the same place.
    const view = viewOf(job, job.options.A ?? expect.fail()) as unknown as Record<string, unknown>;
    const said = Object.entries(document).filter(([name]) => name !== 'schema');
    for (const [name, part] of said) {
      if (typeof part === 'object') expect(view[name], name).toMatchObject(part);
      else expect(view[name], name).toBe(part);
    }
    // And nothing that the old document could say is left at the top.
    expect(jobSchema.parse(JSON.parse(JSON.stringify(job)))).toEqual(job);
    expect(documentSchema.parse(job)).toEqual(job);
  });

  it('decide as they did', () => {
    const decisions = before.map((document) => {
      const { values } = solve(jobSchema.parse(document), demo);
      return [document.tag, values['starting.method']?.value, values['handover.decision']?.value];
    });
    // Drives of the 500 V series carry a tenth less at 480 V than at 400 V, which documents of before could not know.
    expect(decisions).toEqual([
      ['P-214', 'drive', 'Limekiln 30 hp 4-pole 286T with Bittern 22 kW IP55'],
      ['HF-031', 'drive', 'Motor kept with Heron 45 kW IP20'],
      ['RF-110', 'drive', 'Not decided: 1 figure is needed'],
      ['BL-402', 'drive', 'Limekiln 15 hp 4-pole 254T with Otter 20 hp IP55'],
      ['PU-205', 'direct', 'Causeway 15 hp 4-pole 254T with Latch contactor 25 A + Warden relay 18–24 A'],
      ['BP-3', 'direct', 'Traverse 15 kW 4-pole 160L with Latch contactor 32 A + Palisade motor breaker 25–32 A'],
      ['KA-2', 'drive', 'Traverse 30 kW 4-pole 200L with Heron 37 kW IP20'],
      ['VF-12', 'direct', 'Stopped: 1 finding has to be cleared first'],
    ]);
  });

  it('what is an option’s may stand at the top; both at once, the option’s own word counts', () => {
    const job = jobSchema.parse({
      starting: { method: 'direct', hot: true },
      options: { A: { starting: { method: 'drive' } }, B: {} },
    });
    expect(job.options.A?.starting.method).toBe('drive');
    expect(job.starting).toMatchObject({ hot: true });
    expect(job.starting).not.toHaveProperty('method');
    expect(job.options.B?.starting.method).toBe('auto');
  });

  it('a word that belongs nowhere is refused where it stands', () => {
    const refused = jobSchema.safeParse({ pick: { colour: 'red' }, options: { E: {} } });
    expect(refused.error?.issues.map(({ path }) => path.join('.')).toSorted()).toEqual(['options', 'options.A.pick']);
    expect(jobSchema.safeParse({ options: [] }).success).toBe(false);
    expect(jobSchema.safeParse({ starting: 'direct' }).success).toBe(false);
    expect(jobSchema.safeParse([]).success).toBe(false);
  });
});

describe('places', () => {
  it('a field of an option stands under its letter, a shared one where it always stood', () => {
    expect(placeIn(ownNames, 'starting.method', 'B')).toBe('options.B.starting.method');
    expect(placeIn(ownNames, 'pick.accessories.0.price', 'C')).toBe('options.C.pick.accessories.0.price');
    expect(placeIn(ownNames, 'starting.hot', 'B')).toBe('starting.hot');
    expect(placeIn(ownNames, 'nameplate.power', 'B')).toBe('nameplate.power');
    for (const letter of letters)
      expect(fieldAt(placeIn(ownNames, 'starting.tap', letter))).toEqual({ path: 'starting.tap', letter });
    expect(fieldAt('starting.hot')).toEqual({ path: 'starting.hot', letter: undefined });
  });
});

describe('options side by side', () => {
  const both = {
    ...fan,
    options: { A: { starting: { method: 'drive' } }, B: { name: 'Plain', starting: { method: 'direct' } } },
  } as const;

  it('the chosen one’s results are the job’s, and each has its own under its letter', () => {
    const first = run(both);
    const second = run({ ...both, chosen: 'B' });
    expect([first.chosen, second.chosen]).toEqual(['A', 'B']);
    expect(first.values['starting.method']?.value).toBe('drive');
    expect(second.values['starting.method']?.value).toBe('direct');
    expect(second.options.B?.name).toBe('Plain');
    expect(first.options).toEqual(second.options);
    expect(first.values).toMatchObject(first.options.A?.values ?? expect.fail());
    expect(second.values).toMatchObject(second.options.B?.values ?? expect.fail());
    // What all share is said once.
    expect(first.options.A?.values).not.toHaveProperty('load.torque');
    expect(first.values['load.torque']).toEqual(second.values['load.torque']);
  });

  it('a finding of an option names it and leads to its part of the document', () => {
    const solution = run({ ...fan, options: { A: {}, B: { starting: { method: 'star-delta' } } }, chosen: 'B' });
    const fails = solution.findings.find(({ code }) => code === 'starting.method-fails');
    expect(fails).toMatchObject({ option: 'B', field: 'options.B.starting.method', severity: 'stop' });
    const wrong = run({ ...fan, options: { A: {}, B: { starting: { tap: 'a bit' } } } });
    expect(wrong.fields['options.B.starting.tap']?.error).toContain('has no number');
    expect(wrong.options.B?.findings[0]).toMatchObject({
      code: 'input.unreadable',
      option: 'B',
      field: 'options.B.starting.tap',
    });
    expect(wrong.findings.map(({ code }) => code)).not.toContain('input.unreadable');
    // A finding of what all share belongs to none.
    expect(
      run({ ...fan, place: { hazardous: 'yes' } }).findings.find(({ code }) => code === 'place.hazardous'),
    ).not.toHaveProperty('option');
  });

  it('an option with a stop is shown, never wins, and does not block another', () => {
    const solution = run({
      ...fan,
      options: { A: { starting: { method: 'star-delta' } }, B: { starting: { method: 'drive' } } },
      chosen: 'A',
    });
    expect(solution.options.A).toMatchObject({ stopped: true });
    expect(solution.stages.handover.state).toBe('stop');
    expect(solution.options.B).toMatchObject({ stopped: false, decided: true, summary: 'M 25 with D 25' });
    expect(solution.comparison.best?.option).not.toBe('A');
    for (const row of solution.comparison.rows) expect(row.best).not.toContain('A');
  });

  it('costs: motor 1000; drive 2000 fitted at + 60 %, contactor 120 and relay 80, what is kept nothing, accessories as typed', () => {
    const kept = {
      pick: {
        feedFrom: 'kept',
        accessories: [
          { part: 'Choke', price: '250' },
          { part: 'Panel', price: '50' },
        ],
      },
      starting: { method: 'direct' },
    } satisfies NonNullable<JobInput['options']>['A'];
    const solution = run({
      ...both,
      situation: { kind: 'replace' },
      nameplate: { power: '25 hp', speed: '1770', voltages: '460', currents: '30', frequency: '60', frame: '284T' },
      options: { ...both.options, C: kept, D: { pick: { motorFrom: 'kept' }, starting: { method: 'drive' } } },
    });
    expect(figure(solution, 'A', 'money.firstCost')).toBeCloseTo(1000 + 2000 * 1.6, 9);
    expect(figure(solution, 'B', 'money.firstCost')).toBeCloseTo(1000 + 120 + 80, 9);
    expect(figure(solution, 'C', 'money.firstCost')).toBeCloseTo(1000 + 300, 9);
    expect(figure(solution, 'D', 'money.firstCost')).toBeCloseTo(2000 * 1.6, 9);
    expect(solution.options.C?.values['pick.starter']?.value).toBe('The present direct starter, kept');
    expect(solution.options.C?.decided).toBe(true);
    expect(solution.options.D?.summary).toBe('Motor kept with D 25');
    for (const letter of letters) {
      const [first, yearly] = [
        figure(solution, letter, 'money.firstCost'),
        figure(solution, letter, 'money.yearlyCost'),
      ];
      expect(figure(solution, letter, 'money.lifeCost')).toBeCloseTo(first + 10 * yearly, 6);
    }
  });

  it('each has its own flow control: on and off takes 0.6 of full flow’s energy at 60 %, none all of it, a drive less than a damper', () => {
    const on = (ownControl: 'on/off' | 'none' | 'auto' | 'damper', method: 'direct' | 'drive' = 'direct') =>
      ({ starting: { method }, profile: { ownControl } }) as const;
    const hours = { ...fan.profile, points: [{ flow: '60 %', hours: '4000 h' }] };
    const solution = run({
      ...fan,
      profile: hours,
      options: { A: on('on/off'), B: on('bypass' as 'none'), C: on('auto'), D: on('auto', 'drive') },
    });
    const energy = (letter: (typeof letters)[number]): number => figure(solution, letter, 'profile.energy');
    expect(energy('A') / energy('B')).toBeCloseTo(0.6, 9);
    expect(energy('B')).toBeCloseTo(figure(solution, 'B', 'profile.peakInput') * 4000 * 3600, 3);
    // Without a word of its own it runs as today, on a drive by speed.
    expect(energy('C')).toBeCloseTo(figure(solution, 'C', 'profile.energyThrottled'), 3);
    expect(energy('D')).toBeCloseTo(figure(solution, 'D', 'profile.energySpeedControlled'), 3);
    expect(energy('D')).toBeLessThan(energy('C'));
    // A drive that is throttled all the same loses in both.
    const throttled = run({ ...fan, profile: hours, options: { A: on('damper'), B: on('damper', 'drive') } });
    expect(figure(throttled, 'B', 'profile.energy')).toBeGreaterThan(figure(throttled, 'A', 'profile.energy'));
  });
});

describe('what Pilgrim proposes', () => {
  const kinds = (solution: Solution) =>
    Object.entries(solution.options).map(([letter, { proposed = 'own' }]) => `${letter} ${proposed}`);

  it('beside a drive the least costly start that passes, and the present starter where there is one', () => {
    expect(kinds(run(fan))).toEqual(['A own', 'B start']);
    const there = run({
      ...fan,
      situation: { kind: 'replace', presentStarter: 'direct' },
      nameplate: { power: '25 hp', speed: '1770', voltages: '460', currents: '30', frequency: '60' },
    });
    // It starts directly, and so would the least costly start: nobody buys what is there.
    expect(kinds(there)).toEqual(['A own', 'B kept']);
    expect(there.options.B).toMatchObject({ name: 'Present direct start kept', why: 'It is there and paid for.' });
    const other = run({
      ...fan,
      situation: { kind: 'replace', presentStarter: 'soft starter' },
      nameplate: { power: '25 hp', speed: '1770', voltages: '460', currents: '30', frequency: '60' },
    });
    expect(kinds(other)).toEqual(['A own', 'B start', 'C kept']);
    expect(other.options.B?.why).toBe('The least costly start that passes every limit.');
  });

  it('a drive beside a starter where the flow varies or the machine could use one, not for a steady load', () => {
    const direct = { options: { A: { starting: { method: 'direct' } } } } as const;
    expect(kinds(run({ ...fan, ...direct }))).toEqual(['A own', 'B drive']);
    const steady = { ...fan, profile: { points: [{ flow: '100 %', hours: '6000 h' }] } };
    expect(kinds(run({ ...steady, ...direct }))).toEqual(['A own']);
    expect(kinds(run({ ...steady, ...direct, starting: { speedControl: 'yes' } }))).toEqual(['A own', 'B drive']);
  });

  it('nothing that is there already, or was declined; letters go on where one is free', () => {
    expect(kinds(run({ ...fan, declined: ['start'] }))).toEqual(['A own']);
    const typed = { B: { starting: { method: 'direct' } }, D: { starting: { method: 'drive' } } } as const;
    expect(kinds(run({ ...fan, options: typed }))).toEqual(['B own', 'D own']);
    expect(kinds(run({ ...fan, options: { C: { starting: { method: 'drive' } } } }))).toEqual(['A start', 'C own']);
  });

  it('taken into the document it is what it was proposed to be', () => {
    const job = emptyJob(fan);
    const proposed = solve(job, catalogue).options.B;
    const taken = solve({ ...job, options: { ...job.options, B: proposed?.says } }, catalogue);
    expect(taken.options.B?.values).toEqual(proposed?.values);
    expect(taken.options.B).not.toHaveProperty('proposed');
    expect(Object.keys(taken.options)).toEqual(['A', 'B']);
  });

  it('nothing for an empty job but what it has', () => {
    const { options, comparison } = solve(emptyJob(), emptyCatalogue);
    expect(Object.keys(options)).toEqual(['A']);
    expect(comparison).not.toHaveProperty('best');
  });
});

describe('comparison', () => {
  const money = (si: number) => quantity(si, 'money', { source: 'test' });
  const option = (
    letter: Compared['letter'],
    first: number,
    yearly: number,
    more: Partial<Compared> = {},
  ): Compared => ({
    letter,
    name: `Option ${letter}`,
    stopped: false,
    values: {
      'money.firstCost': money(first),
      'money.yearlyCost': money(yearly),
      'money.lifeCost': money(first + 10 * yearly),
    },
    ...more,
  });

  it('3000 and 500 a year against 1000 and 900 over ten years: even after 2000/400 = 5 years, at half the price or hours', () => {
    const { best, turns, rows } = compareOptions([option('A', 3000, 500), option('B', 1000, 900)], 'NEMA', over(10));
    expect(best).toMatchObject({ option: 'A', by: 'money.lifeCost' });
    expect(turns.map(({ option: letter, text }) => ({ option: letter, text: inWords(text) }))).toEqual([
      {
        option: 'B',
        text: 'B (Option B) would cost less if less than 5 years were counted, if energy cost less than 50 % of its price, or it ran less than 50 % of the hours.',
      },
    ]);
    expect(rows.map(({ id, best: by, differs }) => [id, by, differs])).toEqual([
      ['money.firstCost', ['B'], true],
      ['money.yearlyCost', ['A'], true],
      ['money.lifeCost', ['A'], true],
    ]);
  });

  it('within 5 % of the best there is no clear winner', () => {
    // 3000 + 10 · 500 = 8000; 8390 is 4.9 % more, 8410 5.1 %.
    const beside = (first: number) =>
      compareOptions([option('A', 3000, 500), option('B', first, 500)], 'NEMA', over(10)).best;
    expect(beside(3390)).toMatchObject({ option: 'A', near: ['B'] });
    expect(beside(3410)).toMatchObject({ option: 'A', near: [] });
    expect(beside(2900)).toMatchObject({ option: 'B', near: ['A'] });
  });

  it('costs are drawn as straight lines over the years counted, and meet where they are even: 3000 + 5 · 500 = 1000 + 5 · 900', () => {
    const { costs, evens } = compareOptions([option('A', 3000, 500), option('B', 1000, 900)], 'NEMA', over(2.5));
    expect(costs).toEqual([
      {
        option: 'A',
        name: 'Option A',
        points: [0, 1, 2, 2.5].map((year) => ({ year, cost: 3000 + 500 * year })),
      },
      { option: 'B', name: 'Option B', points: [0, 1, 2, 2.5].map((year) => ({ year, cost: 1000 + 900 * year })) },
    ]);
    // Within two and a half years they never are.
    expect(evens).toEqual([]);
    const ten = compareOptions([option('A', 3000, 500), option('B', 1000, 900)], 'NEMA', over(10));
    expect(ten.evens).toEqual([{ options: ['A', 'B'], year: 5, cost: 5500 }]);
    const longer = compareOptions([option('A', 3000, 500), option('B', 1000, 900)], 'NEMA', over(100));
    expect(longer.costs[0]?.points.map(({ year }) => year)).toEqual([
      ...Array.from({ length: 50 }, (_, at) => 2 * at),
      100,
    ]);
    const stopped = compareOptions(
      [option('A', 3000, 500, { stopped: true }), option('B', 1000, 900)],
      'NEMA',
      over(10),
    );
    expect(stopped.costs.map((each) => each.option)).toEqual(['B']);
    expect(stopped.evens).toEqual([]);
  });

  it('the cheap one wins: 1000 and 900 against 3000 and 800 is even after 20 years', () => {
    const { best, turns } = compareOptions([option('A', 3000, 800), option('B', 1000, 900)], 'NEMA', over(10));
    expect(best?.option).toBe('B');
    expect(inWords(turns[0]?.text)).toBe('A (Option A) would cost less if more than 20 years were counted.');
  });

  it('dearer both ways is turned by nothing; a stop keeps the best from winning; a demand charge does not follow the hours', () => {
    const worse = compareOptions([option('A', 1000, 500), option('B', 1200, 600)], 'NEMA', over(10));
    expect(inWords(worse.turns[0]?.text)).toContain('nothing of money would turn it');
    const stopped = compareOptions([option('A', 100, 1, { stopped: true }), option('B', 1200, 600)], 'NEMA', over(10));
    expect(stopped.best?.option).toBe('B');
    expect(stopped.turns).toEqual([]);
    const charged = option('A', 3000, 500);
    const demand = { ...charged, values: { ...charged.values, 'money.demandSpeedControlled': money(5) } };
    expect(inWords(compareOptions([demand, option('B', 1000, 900)], 'NEMA', over(10)).turns[0]?.text)).not.toContain(
      'hours',
    );
  });

  it('without yearly costs what it costs to buy decides; figures within a thousandth share the first place', () => {
    const bought = (letter: Compared['letter'], first: number): Compared => ({
      ...option(letter, first, 0),
      values: { 'money.firstCost': money(first) },
    });
    expect(compareOptions([bought('A', 900), bought('B', 800)], 'NEMA', over(10)).best).toMatchObject({
      option: 'B',
      by: 'money.firstCost',
    });
    const near = compareOptions([bought('A', 1000), bought('B', 1000.5), bought('C', 1100)], 'NEMA', over(10));
    expect(near.rows[0]?.best).toEqual(['A', 'B']);
  });
});
