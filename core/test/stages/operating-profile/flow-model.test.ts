// The machine of a job as its profile runs it: what a typed curve, a typed speed, machines side by side and the flow of the
// measurement do. Affinity laws and sums on paper, H = H₀ − (H₀ − 1)q², η = 2x − x² of the best (common practice).
import { describe, expect, it } from 'vitest';
import { controlled, type ControlSetting } from '../../../src/stages/operating-profile/flow-control.ts';
import { efficiencyAbout, powerAt, twoTermMachine } from '../../../src/stages/operating-profile/flow-machine.ts';
import { fullOverMeasured, runBy, type FlowModel } from '../../../src/stages/operating-profile/flow-model.ts';
import { emptyJob, solve, type JobInput, type Solution } from '../../../src/index.ts';
import { bySpeed, setting as settingOf, throttled } from '../../lib/flow-shares.ts';
import { demo } from '../../lib/demo.ts';
import { catalogue, fan } from '../../lib/round-prices.ts';

/** 70 lb·ft at 1760 rpm. */
const SHAFT = 70 * 1.3558179483314 * ((1760 * Math.PI) / 30);

const at = (...flows: string[]) => flows.map((flow) => ({ flow, hours: '1000 h' }));
const pump = (profile: JobInput['profile'] = {}, load: JobInput['load'] = {}): Solution =>
  solve(
    emptyJob({
      ...fan,
      load: { ...fan.load, machine: 'pump', ...load },
      profile: { control: 'throttle', points: at('50 %'), ...profile },
    }),
    catalogue,
  );
const shaft = (solution: Solution) => Number(solution.details.profile[0]?.shaftThrottled) / SHAFT;
const drawn = (solution: Solution) => solution.details.flowPicture?.machine[0]?.heads ?? [];
const codes = (solution: Solution) => solution.findings.map(({ code }) => code);

describe('a curve with efficiencies', () => {
  /** 40 m at 100 m³/h; efficiencies 40, 70 and 80 % at a quarter, half and full flow. */
  const curved = (curve: NonNullable<JobInput['profile']>['curve'], points = at('50 %')) =>
    pump({ fullFlow: '100 m3/h', fullHead: '40 m', curve, points });
  const whole = [
    { flow: '0 m3/h', head: '50 m', efficiency: '1 %' },
    { flow: '25 m3/h', head: '48 m', efficiency: '40 %' },
    { flow: '50 m3/h', head: '46 m', efficiency: '70 %' },
    { flow: '100 m3/h', head: '40 m', efficiency: '80 %' },
  ];
  it('power is flow times head over the efficiency between its points', () => {
    expect(shaft(curved(whole))).toBeCloseTo((0.5 * (46 / 40)) / (70 / 80), 9);
    expect(shaft(curved(whole, at('75 %')))).toBeCloseTo((0.75 * (43 / 40)) / (75 / 80), 9);
    // Below the first of them it falls with the flow: what is typed for no flow does not count.
    expect(shaft(curved(whole, at('10 %')))).toBeCloseTo((0.1 * (49.2 / 40)) / (16 / 80), 9);
  });
  it('its points are given with where they stand and what a share of each counts', () => {
    expect(curved(whole.slice(2)).details.flowPicture?.typed).toEqual([
      {
        path: 'profile.curve.0',
        by: 'head',
        flow: expect.closeTo(0.5, 9) as number,
        head: expect.closeTo(46 / 40, 9) as number,
        ofFlow: expect.closeTo(100 / 3600, 9) as number,
        ofHead: expect.closeTo(40, 9) as number,
        efficiency: expect.closeTo(0.7, 9) as number,
      },
      expect.objectContaining({ path: 'profile.curve.1', head: expect.closeTo(1, 9) as number }),
    ]);
  });
  it('two efficiencies are a curve, one is not: then the usual one about the best flow', () => {
    const without = (...rows: number[]) =>
      whole.map((row, index) => (rows.includes(index) ? { flow: row.flow, head: row.head } : row));
    const usual = (0.5 * (46 / 40)) / 0.75;
    expect(shaft(curved(without(0, 1)))).toBeCloseTo((0.5 * (46 / 40)) / (70 / 80), 9);
    expect(shaft(curved(without(0, 1, 2)))).toBeCloseTo(usual, 9);
    // That of no flow is none.
    expect(shaft(curved(without(1, 2)))).toBeCloseTo(usual, 9);
  });
  it('the same flow typed twice counts once, the first of them', () => {
    const twice = curved([...whole, { flow: '50 m3/h', head: '30 m' }]);
    expect(drawn(twice)[10]).toBeCloseTo(46 / 40, 9);
    expect(drawn(curved([{ flow: '100 m3/h', head: '40 m' }]))[0]).toBeCloseTo(1.25, 9);
    const two = { flow: '100 m3/h', head: '40 m' };
    expect(codes(curved([two, two]))).toContain('profile.curve-unused');
  });
  it('a row without its flow, its head or full head makes no point; two left are a curve', () => {
    const rest = [...whole.slice(2), { head: '60 m' }, { flow: '10 m3/h' }];
    expect(drawn(curved(rest))[0]).toBeCloseTo(52 / 40, 9);
    // Pressures against a head known only in metres say nothing.
    expect(codes(curved([{ flow: '0 m3/h', pressure: '6 bar' }, ...whole.slice(3)]))).toContain('profile.curve-unused');
  });
  it('one that has less than three tenths of its head at full flow is another machine’s', () => {
    const ending = (head: string) =>
      codes(
        curved([
          { flow: '0 m3/h', head: '50 m' },
          { flow: '100 m3/h', head },
        ]),
      );
    expect(ending('11.9 m')).toContain('profile.curve-unused');
    expect(ending('12 m')).not.toContain('profile.curve-unused');
  });
});

describe('what a machine is taken for', () => {
  it('a fan by how its load is known, by what it is, or by dampers and vanes; else a pump', () => {
    const shutOff = (profile: JobInput['profile'], load: JobInput['load']) => drawn(pump(profile, load))[0];
    expect(shutOff({}, {})).toBeCloseTo(1.25, 12);
    expect(shutOff({}, { machine: 'fan' })).toBeCloseTo(1.3, 12);
    const air = {
      way: 'fan',
      flow: '10 m3/s',
      pressure: '1200 Pa',
      machineEfficiency: '70 %',
      machine: 'other',
    } as const;
    expect(shutOff({}, air)).toBeCloseTo(1.3, 12);
    expect(shutOff({ control: 'damper' }, {})).toBeCloseTo(1.3, 12);
    expect(shutOff({ control: 'inlet vane' }, {})).toBeCloseTo(1.3, 12);
  });
  it('a trimmed machine is cut for the largest flow with hours, never for more than full', () => {
    const trimmed = (...flows: string[]) =>
      shaft(pump({ control: 'trim', points: [...at(...flows), { flow: '100 %', hours: '0 h' }] }));
    expect(trimmed('80 %')).toBeCloseTo(0.512, 9);
    // At 40 % of a machine cut for 80 %: 0.4 · H(0.5)/η(0.5) at 0.8 of the speed, 0.8³ · 0.5 · (1.25 − 0.0625)/0.75.
    expect(trimmed('40 %', '80 %')).toBeCloseTo((0.512 * 0.5 * 1.1875) / 0.75, 9);
    expect(trimmed('50 %', '110 %')).toBeCloseTo(throttled(0.5), 9);
    expect(trimmed('50 %', '100 %')).toBeCloseTo(throttled(0.5), 9);
  });
  it('the slower of two speeds is two thirds, or as typed', () => {
    const slow = (lowerSpeed?: string) => shaft(pump({ control: 'two speeds', points: at('50 %'), lowerSpeed }));
    const machine = twoTermMachine(1.25, 1, 0);
    expect(slow()).toBeCloseTo(powerAt(machine, 0.5, 2 / 3), 9);
    expect(slow('50 %')).toBeCloseTo(0.125, 9);
    expect(slow('45 %')).toBeCloseTo(throttled(0.5), 9);
  });
  it('a trimmed impeller is offered below its bound and named with the speed that would bring it', () => {
    const found = (flow: string, control: 'throttle' | 'trim' = 'throttle') =>
      pump({ control, points: at(flow) }).findings.find(({ code }) => code === 'profile.trim')?.message;
    expect(found('80 %')).toMatch(/No more than 80\.0\s%.*at 80\.0\s% of the speed/);
    expect(found('80 %', 'trim')).toBeUndefined();
    expect(found('100 %')).toBeUndefined();
  });
});

const setting = ({ machine = twoTermMachine(1.25, 1, 0), ...more }: Partial<ControlSetting> = {}): ControlSetting =>
  settingOf(machine, more);
const model = (more: Partial<FlowModel> = {}): FlowModel => ({
  kind: 'variable',
  fan: false,
  setting: setting(),
  measured: 1,
  known: 'duty alone',
  typed: [],
  unused: false,
  ...more,
});

it('machines of a job stand side by side, or in series where it says so', () => {
  const halves = (inSeries: boolean) =>
    pump({ machines: '2', inSeries, control: 'throttle', staticHeadShare: '20 %' }).details.flowCurves.find(
      ({ control }) => control === 'throttle',
    )?.inputs[0];
  // At a tenth of the flow one of two in series overcomes the system; side by side one brings it, too, at twice its share.
  expect(halves(true)).not.toBeCloseTo(Number(halves(false)), 0);
});

describe('the load at full flow over that measured', () => {
  it('is one from where a machine counts as running full to full flow, and where its control is not known', () => {
    expect(fullOverMeasured(model({ measured: 0.98 }), 'throttle')).toBe(1);
    expect(fullOverMeasured(model({ measured: 0.5 }), 'unknown')).toBe(1);
    expect(fullOverMeasured(model({ measured: 0.5 }), 'none')).toBe(1);
  });
  it('otherwise by the control: throttled, by speed, and above full flow by the cube', () => {
    expect(fullOverMeasured(model({ measured: 0.5 }), 'throttle')).toBeCloseTo(1 / throttled(0.5), 12);
    expect(fullOverMeasured(model({ measured: 0.97 }), 'throttle')).toBeCloseTo(1 / throttled(0.97), 12);
    expect(fullOverMeasured(model({ measured: 0.5 }), 'speed')).toBeCloseTo(8, 12);
    expect(fullOverMeasured(model({ measured: 1.1 }), 'throttle')).toBeCloseTo(1.1 ** -3, 12);
  });
});

describe('several machines, exactly', () => {
  const run = (flow: number, more: Partial<ControlSetting>, h = 0.7) =>
    controlled('speed', flow, setting({ machine: twoTermMachine(1.25, 1, h), ...more }))?.machines ?? [];
  it('one alone on speed against the common head, where that takes less than two', () => {
    // 0.35 of the pair’s flow is 0.7 of one’s; the head is 0.7 + 0.3 · 0.35².
    const head = 0.7 + 0.3 * 0.35 ** 2;
    const turns = Math.sqrt((head + 0.25 * 0.7 ** 2) / 1.25);
    const x = 0.7 / turns;
    const [alone, ...others] = run(0.35, { machines: 2 });
    expect(others).toEqual([]);
    expect(alone).toMatchObject({ count: 1, onDrive: true });
    expect(alone?.speed).toBeCloseTo(turns, 9);
    expect(alone?.power).toBeCloseTo((0.7 * head) / (2 * x - x * x), 9);
  });
  it('two at full flow, each at full power; as many as it takes not to turn faster than full', () => {
    expect(run(1, { machines: 2 })).toMatchObject([{ count: 2, onDrive: true }]);
    expect(run(1, { machines: 2 })[0]?.power).toBeCloseTo(1, 9);
    expect(run(0.9, { machines: 3 })[0]?.count).toBe(3);
  });
  it('one that alone changes speed does not turn where the fixed ones bring all, and alone brings little', () => {
    const some = run(0.2, { machines: 2, oneOnSpeed: true });
    expect(some).toMatchObject([{ count: 1, onDrive: true }]);
    expect(some[0]?.speed).toBeLessThan(1);
    // Where the head is more than one can overcome the valves of the fixed ones stay closed; they run all the same.
    expect(run(0.999, { machines: 2, oneOnSpeed: true }).map(({ count }) => count)).toEqual([1, 1]);
  });
  it('a closed damper needs as few as reach the flow at full speed', () => {
    const count = (flow: number) =>
      controlled('damper', flow, setting({ machine: twoTermMachine(1.25, 1, 0.7), machines: 2 }))?.machines[0]?.count;
    // One of two brings x of its own flow where 1.25 − 0.25x² = 0.7 + 0.3(x/2)²: 1.3009, 0.6504 of the pair’s.
    expect([count(0.65), count(0.651)]).toEqual([1, 2]);
    // A single machine beyond what it can bring is one machine.
    expect(controlled('damper', 1, setting())?.machines).toMatchObject([{ count: 1, power: 1, speed: 1 }]);
  });
  it('beyond full flow the cube for all of them', () => {
    expect(controlled('damper', 1.1, setting({ machines: 3 }))?.machines).toMatchObject([{ count: 3 }]);
    expect(controlled('throttle', 1, setting())?.machines[0]?.power).toBeCloseTo(1, 12);
  });
});

it('torque at every speed: one control after the other, for as many as there are', () => {
  const constant = model({ kind: 'constant', setting: setting({ machines: 2, leastSpeed: 0.3 }) });
  expect(runBy(constant, 'speed', 0.6)).toEqual({
    machines: [{ count: 2, power: 0.6, speed: 0.6, onDrive: true }],
    share: 1,
  });
  expect(runBy(constant, 'speed', 0.2)?.machines[0]).toMatchObject({ power: 0.3, speed: 0.3 });
  expect(runBy(constant, 'on/off', 0.6)).toMatchObject({ machines: [{ count: 2, power: 1 }], share: 0.6 });
  expect(runBy(constant, 'slip coupling', 0.6)).toMatchObject({ share: 1 });
  expect(runBy(constant, 'bypass', 0.6)).toMatchObject({ share: 1 });
  expect(runBy(constant, 'unknown', 1.1)).toMatchObject({ machines: [{ power: 1.1 }], share: 1 });
  expect(runBy(constant, 'speed', 0)).toEqual({ machines: [], share: 1 });
});

it('efficiency about the best point never falls to nothing: a machine at twice its best flow still turns', () => {
  expect(efficiencyAbout(1)(2)).toBe(0.02);
  expect(efficiencyAbout(0.8)(0.4)).toBeCloseTo(0.75, 12);
  expect(efficiencyAbout(1)(1)).toBe(1);
  expect(efficiencyAbout(1)(0)).toBe(0);
});

it('the speed of a row is that of its system: with lift it turns faster', () => {
  const row = pump({ staticHeadShare: '40 %' }).details.profile[0];
  expect(row?.speed).toBeCloseTo(bySpeed(0.5, 0.4).speed, 9);
});

describe('on and off into a storage', () => {
  const switched = (more: JobInput): Solution =>
    solve(
      emptyJob({
        school: 'IEC',
        situation: { kind: 'new' },
        load: { machine: 'pump', torqueKind: 'variable', torque: '96 N·m', speed: '1470 r/min', inertia: '1 kg·m²' },
        supply: { voltage: '400 V', frequency: '50 Hz' },
        profile: {
          control: 'on/off',
          fullFlow: '120 m³/h',
          points: [{ flow: '50 %', hours: '6000' }],
          ...more.profile,
        },
        starting: { method: 'direct', speedControl: 'no' },
      }),
      demo,
    );
  it('starts at most Q/(4V) an hour: 120 m³/h and 5 m³ are 6 (by hand); the start must bear it', () => {
    expect(switched({ profile: { storage: '5 m³' } }).values['profile.cyclesPerHour']?.value).toBeCloseTo(6, 9);
    const small = switched({ profile: { storage: '200 L' } });
    expect(small.values['profile.cyclesPerHour']?.value).toBeCloseTo(150, 9);
    expect(small.details.starting.find(({ method }) => method === 'direct')?.failures.join()).toContain('150');
    expect(switched({ profile: { storage: '5 m³', control: 'throttle' } }).values).not.toHaveProperty([
      'profile.cyclesPerHour',
    ]);
  });
});
