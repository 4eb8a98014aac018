// Where a job stands, what is asked once, why a drive is proposed and what a comparison calls best. No outside source: rules of
// the program; the sums of the comparison on paper, with the catalogue of round prices.
import { describe, expect, it } from 'vitest';
import { emptyJob, solve, type JobInput, type Solution } from '../../src/index.ts';
import { catalogue, fan, plate } from '../lib/round-prices.ts';

const run = (job: JobInput, from = catalogue): Solution => solve(emptyJob(job), from);
const states = (job: JobInput, from = catalogue): Record<string, string> =>
  Object.fromEntries(Object.entries(run(job, from).stages).map(([name, { state }]) => [name, state]));
const decided: JobInput = { ...fan, handover: { preparedBy: 'R. Halloran' } };
const kept: JobInput = {
  ...fan,
  situation: { kind: 'starter' },
  nameplate: { ...plate, designLetter: 'B' },
  starting: { method: 'direct', speedControl: 'no' },
};

describe('the state of a stage', () => {
  it('is done where all is known, open where something needed is missing, a caution or a stop by its own findings', () => {
    expect(states(decided)).toMatchObject({
      situation: 'done',
      load: 'done',
      supply: 'done',
      place: 'done',
      profile: 'done',
    });
    expect(states({ ...decided, load: { ...fan.load, torque: '' } }).load).toBe('open');
    expect(states({ ...decided, place: { ...fan.place, hazardous: 'yes' } })).toMatchObject({
      place: 'stop',
      handover: 'stop',
      load: 'done',
    });
    const unbalanced = { ...fan.supply, phaseVoltages: '490/480/470 V' };
    expect(states({ ...kept, supply: unbalanced })).toMatchObject({ supply: 'caution', load: 'done' });
    expect(states({})).toMatchObject({ load: 'open', handover: 'open' });
  });

  it('is not asked where the situation leaves a stage out, and then says nothing', () => {
    const starter = run(kept);
    expect(starter.stages.profile).toEqual({ state: 'not asked', summary: 'Not asked here' });
    expect(starter.findings.some(({ stage }) => stage === 'profile')).toBe(false);
    expect(states({ ...kept, situation: { kind: 'energy' } }).profile).not.toBe('not asked');
  });

  it('the frequency of a system that is not typed is its plate’s, else that of its school', () => {
    const { frequency, ...supply } = fan.supply ?? {};
    const poles = (school: 'NEMA' | 'IEC') =>
      run({ ...fan, school, supply }).details.poles.map(({ speed, poles: each }) => [each, (speed * 30) / Math.PI]);
    expect(frequency).toBe('60 Hz');
    const four = (each: readonly (readonly number[])[]): number => each.find(([count]) => count === 4)?.[1] ?? NaN;
    expect(four(poles('NEMA'))).toBeGreaterThan(1700);
    expect(four(poles('IEC'))).toBeLessThan(1500);
  });
});

describe('what is missing', () => {
  it('is asked for once, as needed where any stage needs it', () => {
    for (const job of [
      {},
      { situation: { kind: 'starter' } },
      { ...kept, nameplate: {} },
      { ...fan, supply: {} },
    ] as JobInput[]) {
      const { missing } = run(job);
      const fields = missing.map(({ field }) => field);
      expect(fields).toEqual([...new Set(fields)]);
    }
    expect(run({}).missing.some(({ kind }) => kind === 'needed')).toBe(true);
  });

  it('of an option carries its letter and its place in the document', () => {
    const { options } = run({ ...kept, options: { A: {}, B: { name: 'Second' } } });
    for (const [letter, { missing, findings }] of Object.entries(options)) {
      for (const each of missing) expect(each.option).toBe(letter);
      for (const each of findings) expect(each.option).toBe(letter);
    }
  });
});

describe('the head of the feed', () => {
  const title = (job: JobInput) => run(job).train.find(({ id }) => id === 'feed')?.title;

  it('is a drive, a starter, or not known yet', () => {
    expect(title({ ...kept, starting: { method: 'drive' } })).toBe('Drive');
    expect(title(kept)).toBe('Starter');
    expect(title({})).toBe('Starter or drive');
  });

  it.each([
    ['pick.no-motor', { ...fan, load: { ...fan.load, torque: '900 lb·ft' } }],
    ['place.hazardous', { ...fan, place: { hazardous: 'yes' } }],
  ] as const)('%s stops the motor’s block', (code, job) => {
    const solution = run(job);
    expect(solution.findings.map((each) => each.code)).toContain(code);
    expect(solution.train.find(({ id }) => id === 'motor')?.state).toBe('stopped');
  });
});

describe('a drive is proposed', () => {
  const why = (more: JobInput) => {
    const found = Object.values(run({ ...fan, options: { A: { starting: { method: 'direct' } } }, ...more }).options);
    return found.find(({ proposed }) => proposed === 'drive')?.why;
  };

  it('where the speed must be controlled, where it saves, where the flow varies; else not', () => {
    const steady: JobInput['profile'] = { control: 'damper', points: [{ flow: '100 %', hours: '6000 h' }] };
    expect(
      why({ starting: { speedControl: 'yes' }, profile: steady, options: { A: { starting: { method: 'direct' } } } }),
    ).toContain('has to be controlled');
    expect(why({})).toMatch(/would save .* of the energy/);
    expect(why({ profile: { points: fan.profile?.points ?? [] } })).toContain('varies through the year');
    expect(why({ profile: steady })).toBeUndefined();
    expect(
      why({
        load: { way: 'hoist', movedMass: '2000 kg', linearSpeed: '0.3 m/s', machineEfficiency: '85 %', speed: '60' },
        profile: steady,
      }),
    ).toContain('hoist');
  });
});

describe('the comparison', () => {
  const two = (more: JobInput = {}) =>
    run({
      ...fan,
      ...more,
      options: { A: { starting: { method: 'direct' } }, B: { starting: { method: 'drive' } } },
      chosen: 'A',
    }).comparison;
  const best = (id: string, more?: JobInput) => two(more).rows.find((each) => each.id === id)?.best;

  it('calls best what costs least, by each measure that differs', () => {
    // The drive costs 2000, its fitting and a choke more than contactor and relay, and saves by the damper’s loss.
    expect(best('money.firstCost')).toEqual(['A']);
    expect(best('money.yearlyCost')).toEqual(['B']);
    expect(best('money.lifeCost')).toEqual(['B']);
    expect(best('starting.torqueMargin')).toEqual(['B']);
    expect(best('starting.method')).toEqual([]);
    expect(best('pick.motor')).toEqual([]);
    expect(two().best).toMatchObject({ option: 'B', by: 'money.lifeCost' });
    const short = two({ money: { energyPrice: '0.10 per kWh', years: '0.5 years' } });
    expect(short.best).toMatchObject({ option: 'A', by: 'money.lifeCost' });
  });

  it('of one option calls nothing best, and a stopped one never', () => {
    const alone = run({ ...fan, options: { A: {} }, declined: ['start', 'drive', 'kept'] }).comparison;
    expect(alone.rows.flatMap((each) => each.best)).toEqual([]);
    expect(alone.turns).toEqual([]);
    const stopped = two({ supply: { ...fan.supply, startCurrentLimit: '20 A' } });
    for (const each of stopped.rows) expect(each.best).not.toContain('A');
  });
});
