// Hours and flows. Machines by the affinity laws (flow-shares.ts); losses of the motor by its circuit, found in another way
// (part-loads.ts), 15 % more on a drive and the drive’s own by IEC 61800-9-2 (both recalled from memory). The rest are sums.
import { describe, expect, it } from 'vitest';
import { emptyJob, solve, type JobInput, type Solution } from '../../../src/index.ts';
import { lossShape, referenceLoss } from '../../../src/stages/operating-profile/drive-loss.ts';
import { bySpeed, throttled } from '../../lib/flow-shares.ts';
import { circuitOf, LOSS_OF_25_HP, pointFed, pointOnLine, shareOfLoss } from '../../lib/part-loads.ts';
import { catalogue, fan } from '../../lib/round-prices.ts';

const HP = 745.6999;
const RATED = 25 * HP;
/** 70 lb·ft at 1760 rpm. */
const SHAFT = 70 * 1.3558179483314 * ((1760 * Math.PI) / 30);
const RATED_SPEED = (1770 * Math.PI) / 30;
const HOUR = 3600;
/** Shut-off pressure of a fan over that at full flow. */
const FAN = 1.3;

const circuit = circuitOf(solve(emptyJob(fan), catalogue));
const onLine = (shaft: number) => pointOnLine(circuit, shaft).inputPower;
/** What the motor takes behind its drive, and what the drive loses. */
const behindDrive = (shaft: number, speed: number) => {
  const point = pointFed(circuit, shaft / (speed * RATED_SPEED), speed * RATED_SPEED);
  return shaft + 1.15 * (point.inputPower - shaft);
};
const driveLoss = (shaft: number, speed: number) => LOSS_OF_25_HP * shareOfLoss(speed, shaft / RATED / speed);
const onDrive = (shaft: number, speed: number) => behindDrive(shaft, speed) + driveLoss(shaft, speed);
/** Two thousandths of its rating while nothing runs. */
const standby = (hours: number) => 0.002 * RATED * (8760 - hours) * HOUR;

type Points = NonNullable<NonNullable<JobInput['profile']>['points']>;
const run = (profile: JobInput['profile'], more: JobInput = {}): Solution =>
  solve(emptyJob({ ...fan, ...more, profile }), catalogue);
const value = (solution: Solution, name: string) => Number(solution.values[`profile.${name}`]?.value ?? NaN);
const codes = (solution: Solution) => solution.findings.map(({ code }) => code).filter((code) => /^profile/.test(code));
const message = (solution: Solution, code: string) =>
  solution.findings.find((each) => each.code === code)?.message ?? '';
const summary = (solution: Solution) => solution.stages.profile.summary;
const wants = (solution: Solution) => solution.missing.filter(({ field }) => /^profile|^load\.t/.test(field));
const at = (flow: string, hours = '1000 h'): Points => [{ flow, hours }];

describe('work at constant torque', () => {
  const model = (points: Points, profile: JobInput['profile'] = {}) => {
    const solution = run({ control: 'on/off', ...profile, points }, { load: { ...fan.load, torqueKind: 'constant' } });
    return solution.details.profile[0];
  };
  it('by speed the work itself; on the line for a share of the time, or round the bypass', () => {
    const [switched, past] = [model(at('40 %')), model(at('40 %'), { control: 'bypass' })];
    expect(switched?.shaftControlled).toBeCloseTo(0.4 * SHAFT, 3);
    expect(switched?.speed).toBeCloseTo(0.4, 9);
    expect(switched?.shaftThrottled).toBeCloseTo(SHAFT, 3);
    expect(switched?.throttled).toBeCloseTo(0.4 * onLine(SHAFT), 3);
    expect(past?.throttled).toBeCloseTo(onLine(SHAFT), 3);
    expect(model(at('110 %'))?.shaftThrottled).toBeCloseTo(1.1 * SHAFT, 3);
    expect(model(at('0 %'))).toMatchObject({ shaftThrottled: 0, shaftControlled: 0, speed: 0, throttled: 0 });
    // Slower than a drive may turn it does more than is asked.
    expect(model(at('20 %'), { leastSpeed: '50 %' })?.shaftControlled).toBeCloseTo(0.5 * SHAFT, 3);
  });
});

describe('the loss of a drive', () => {
  it.each([
    // Between the points of the shape by hand: (.59 + .90 + .62 + 1) / 4.
    ['half way between four points', 0.7, 0.75, 0.7775],
    ['(90;25) by the rule of the standard', 0.9, 0.25, 0.5],
    ['at standstill', 0, 1, 0.82],
    ['beyond its points: the edge', 1, 1.2, 1],
    ['below them', 0.5, 0.1, 0.47],
  ])('%s', (_, frequency, current, share) => {
    expect(lossShape(frequency, current)).toBeCloseTo(share, 12);
  });
  it('of the reference: the table’s rows, straight between, the smallest below and in proportion above', () => {
    expect(referenceLoss(15_000)).toBeCloseTo(1010, 9);
    expect(referenceLoss(16_750)).toBeCloseTo(1110, 9);
    expect(referenceLoss(60)).toBeCloseTo(100, 9);
    expect(referenceLoss(2e6)).toBeCloseTo(98_600, 9);
  });
  it('half speed, half torque: as much as the shape says of what drives today lose', () => {
    expect(driveLoss(RATED / 4, 0.5)).toBeCloseTo(LOSS_OF_25_HP * 0.59, 9);
  });
});

describe('a year of hours', () => {
  it('each row: shaft, input on the line, input ahead of the drive; energies are their sums', () => {
    const solution = run(fan.profile);
    const [full, part] = solution.details.profile;
    const damped = SHAFT * throttled(0.6, FAN);
    expect(full?.throttled).toBeCloseTo(onLine(SHAFT), 3);
    expect(part?.shaftThrottled).toBeCloseTo(damped, 3);
    expect(part?.throttled).toBeCloseTo(onLine(damped), 3);
    expect(part?.shaftControlled).toBeCloseTo(SHAFT * 0.216, 3);
    expect(part?.speedControlled).toBeCloseTo(onDrive(SHAFT * 0.216, 0.6), 3);
    expect(part?.motorInput).toBeCloseTo(behindDrive(SHAFT * 0.216, 0.6), 3);
    expect(part?.driveLoss).toBeCloseTo(driveLoss(SHAFT * 0.216, 0.6), 3);
    expect(part?.head).toBeCloseTo(0.36, 12);
    expect(part?.throttledApparent).toBeCloseTo(onLine(damped) / pointOnLine(circuit, damped).powerFactor, 3);
    expect(part?.speedControlledApparent).toBeCloseTo(onDrive(SHAFT * 0.216, 0.6) / 0.95, 3);
    const today = (2000 * onLine(SHAFT) + 4000 * onLine(damped)) * HOUR;
    expect(value(solution, 'energyThrottled') / today).toBeCloseTo(1, 9);
    const driven = (2000 * Number(full?.speedControlled) + 4000 * Number(part?.speedControlled)) * HOUR + standby(6000);
    expect(value(solution, 'energySpeedControlled') / driven).toBeCloseTo(1, 9);
    expect(value(solution, 'hours')).toBe(6000 * HOUR);
    expect(summary(solution)).toMatch(/^6,?000\s?h · drive saves /);
  });

  it.each([
    ['variable', {}, 'P_s = P\\,q^3'],
    ['variable', { staticHeadShare: '30 %' }, 'P_s = P\\,q\\,(h + (1-h)\\,q^2)\\,\\eta(1)/\\eta(q/s)'],
    ['constant', {}, 'P_s = P\\,q'],
  ] as const)('names the law it used: %s torque %o', (torqueKind, profile, law) => {
    const solution = run({ ...fan.profile, ...profile }, { load: { ...fan.load, torqueKind } });
    expect(solution.values['profile.energySpeedControlled']?.working.formula).toBe(law);
  });

  it('takes the static share from the heads of the load where none is typed, never above 98 %', () => {
    const speed = (staticHead: string) =>
      run(
        { control: 'throttle', points: at('60 %') },
        {
          load: {
            way: 'pump',
            torqueKind: 'variable',
            flow: '60 m3/h',
            head: '40 m',
            staticHead,
            machineEfficiency: '70 %',
            speed: '1760',
          },
        },
      ).details.profile[0]?.speed;
    expect(speed('20 m')).toBeCloseTo(bySpeed(0.6, 0.5).speed, 9);
    expect(speed('40 m')).toBeCloseTo(bySpeed(0.6, 0.98).speed, 9);
    expect(speed('')).toBeCloseTo(0.6, 9);
  });

  it('a row without hours or without flow counts nothing and asks nothing', () => {
    const rest = run({ control: 'unknown', points: [{ flow: '0 %', hours: '5000 h' }, ...at('100 %')] });
    expect(value(rest, 'energyThrottled') / (1000 * HOUR * onLine(SHAFT))).toBeCloseTo(1, 9);
    expect(codes(rest)).not.toContain('profile.control-unknown');
    const empty = run({ control: 'unknown', points: [{ flow: '50 %', hours: '0 h' }, ...at('100 %')] });
    expect(value(empty, 'energyThrottled') / (1000 * HOUR * onLine(SHAFT))).toBeCloseTo(1, 9);
    expect(codes(empty)).not.toContain('profile.control-unknown');
    const half = run({ control: 'damper', points: [{ flow: '50 %' }, { hours: '300 h' }] as never });
    expect(half.values['profile.hours']).toBeUndefined();
    expect(half.details.profile).toEqual([]);
  });

  it('mean flow over the hours it runs, and the lowest speed of a drive', () => {
    const some = run({
      control: 'damper',
      points: [
        { flow: '0 %', hours: '900 h' },
        { flow: '40 %', hours: '0 h' },
        ...at('100 %', '1000 h'),
        ...at('60 %', '3000 h'),
      ],
    });
    expect(value(some, 'meanFlow')).toBeCloseTo((1000 + 0.6 * 3000) / 4000, 12);
    expect(value(some, 'leastSpeed')).toBeCloseTo(0.6, 9);
    expect(run({ control: 'damper', points: at('0 %') }).values['profile.meanFlow']).toBeUndefined();
  });

  it('no hours at all: no energy, no share, and it says so', () => {
    const none = run({ control: 'damper', points: at('50 %', '0 h') });
    expect(none.values['profile.energyThrottled']).toBeUndefined();
    expect(none.values['profile.hours']).toBeUndefined();
    expect(none.details.profile).toEqual([]);
    expect(summary(none)).toMatch(/^0\s?h a year$/);
  });
});

describe('what is drawn of it', () => {
  const pump = (profile: JobInput['profile'] = {}, load: JobInput['load'] = {}) =>
    run(
      { control: 'throttle', staticHeadShare: '40 %', points: at('60 %', '3000 h'), ...profile },
      { load: { ...fan.load, machine: 'pump', ...load } },
    ).details;
  const input = (details: ReturnType<typeof pump>, control: string, flow: number) => {
    const curve = details.flowCurves.find((each) => each.control === control);
    return curve?.inputs[curve.flows.indexOf(flow)];
  };

  it('the ways a pump, a fan and a machine of constant torque can be controlled', () => {
    const ways = (details: ReturnType<typeof pump>) => details.flowCurves.map(({ control }) => control);
    expect(ways(pump())).toEqual(['speed', 'throttle', 'trim', 'two speeds', 'slip coupling', 'on/off', 'bypass']);
    expect(ways(run(fan.profile).details)).toEqual([
      'speed',
      'inlet vane',
      'damper',
      'two speeds',
      'slip coupling',
      'on/off',
      'bypass',
    ]);
    expect(ways(pump({}, { torqueKind: 'constant' }))).toEqual(['speed', 'on/off', 'slip coupling', 'bypass']);
  });
  it('inputs of each: the loss of the motor at the shaft power of that way', () => {
    const details = pump();
    expect(input(details, 'throttle', 0.5)).toBeCloseTo(onLine(SHAFT * throttled(0.5)), 3);
    expect(input(details, 'bypass', 0.5)).toBeCloseTo(onLine(SHAFT), 3);
    expect(input(details, 'on/off', 0.5)).toBeCloseTo(0.5 * onLine(SHAFT), 3);
    const { speed, power } = bySpeed(0.5, 0.4);
    expect(input(details, 'speed', 0.5)).toBeCloseTo(onDrive(SHAFT * power, speed), 3);
    expect(input(details, 'slip coupling', 0.5)).toBeCloseTo(onLine((SHAFT * power) / speed), 3);
  });
  it('heads at several speeds by their square, the system’s, and where the rows stand', () => {
    const picture = pump().flowPicture;
    const at60 = picture?.flows.indexOf(0.6) ?? -1;
    expect(picture?.machine.map(({ speed }) => speed)).toEqual([1, 0.85, 0.7, 0.55]);
    for (const { speed, heads } of picture?.machine ?? []) {
      expect(heads[0]).toBeCloseTo(1.25 * speed ** 2, 12);
      expect(heads[at60]).toBeCloseTo(1.25 * speed ** 2 - 0.25 * 0.36, 12);
    }
    expect(picture?.system[at60]).toBeCloseTo(0.4 + 0.6 * 0.36, 12);
    expect(picture?.duty).toEqual([
      { path: 'profile.points.0', flow: 0.6, head: 0.4 + 0.6 * 0.6 * 0.6, hours: 3000 * HOUR },
    ]);
    expect(picture?.typed).toEqual([]);
    // 2x − x² = 0.95 at 1 ∓ √0.05: through that point of the curve at full speed goes its parabola.
    expect(picture?.contours.map(({ share }) => share)).toEqual([0.95, 0.95, 0.85, 0.85, 0.7, 0.7]);
    const left = 1 - Math.sqrt(0.05);
    const head = 1.25 - 0.25 * left ** 2;
    expect(picture?.contours[0]?.heads[at60]).toBeCloseTo(head * (0.6 / left) ** 2, 6);
    expect(picture?.contours[0]?.heads[17]).toBe(0);
    expect(pump({}, { torqueKind: 'constant' }).flowPicture).toBeUndefined();
  });
  it('a curve in pressures or heads is read against full flow; another shut-off head and best point count', () => {
    const heads = (profile: JobInput['profile']) => pump(profile).flowPicture?.machine[0]?.heads ?? [];
    const fromHeads = heads({
      fullFlow: '100 m3/h',
      fullHead: '40 m',
      curve: [
        { flow: '100 m3/h', head: '40 m' },
        { flow: '0 m3/h', head: '60 m' },
        { flow: '50 m3/h', head: '55 m' },
      ],
    });
    // Straight between the points, beyond them as between the last two.
    expect(fromHeads[0]).toBeCloseTo(1.5, 9);
    expect(fromHeads[5]).toBeCloseTo((60 - 2.5) / 40, 9);
    expect(fromHeads[24]).toBeCloseTo((40 - 0.2 * 100 * 0.3) / 40, 9);
    const fromPressures = heads({
      fullFlow: '100 m3/h',
      fullPressure: '400 kPa',
      curve: [
        { flow: '0 m3/h', pressure: '600 kPa' },
        { flow: '100 m3/h', pressure: '400 kPa' },
      ],
    });
    expect(fromPressures[10]).toBeCloseTo(1.25, 9);
    expect(heads({ shutOffHead: '150 %' })[0]).toBeCloseTo(1.5, 9);
    // Best at 80 %: η(q)/η(1) = (2·0.5/0.8 − (0.5/0.8)²)/(2/0.8 − 1/0.64).
    const best = 0.859_375 / 0.9375;
    expect(input(pump({ bestFlow: '80 %' }), 'throttle', 0.5)).toBeCloseTo(
      onLine((SHAFT * 0.5 * (1.25 - 0.0625)) / best),
      3,
    );
  });
  it('several machines: as many motors as run, each with its own loss', () => {
    const two = pump({ machines: '2' });
    // Half the flow is what one of two brings; against 0.4 + 0.6·0.25 of the head it could bring more, and is throttled.
    expect(input(two, 'throttle', 0.5)).toBeCloseTo(onLine(SHAFT), 3);
    expect(input(two, 'bypass', 0.5)).toBeCloseTo(2 * onLine(SHAFT), 3);
    const one = pump({ machines: '2', oneOnSpeed: true });
    expect(Number(input(one, 'speed', 0.9))).toBeGreaterThan(onLine(SHAFT * 0.7));
  });
  it('a load measured at part flow takes more at full flow', () => {
    const row = pump({ measuredFlow: '50 %', points: at('100 %') }).profile[0];
    expect(row?.shaftThrottled).toBeCloseTo(SHAFT / throttled(0.5), 3);
  });
});

describe('what the profile asks for and finds', () => {
  it('hours are needed for an energy study and sharpen anything else', () => {
    const kinds = (kind: 'energy' | 'new') =>
      wants(run({ points: [] }, { situation: { kind } })).map(({ field, kind: how }) => [field, how]);
    expect(kinds('energy')).toEqual([['profile.points', 'needed']]);
    expect(kinds('new')).toEqual([['profile.points', 'sharpens']]);
    expect(wants(run(fan.profile))).toEqual([]);
  });
  it('the load is asked for where hours are typed and it is not known, never otherwise', () => {
    const without = run(fan.profile, { load: {} });
    expect(wants(without).map(({ field }) => field)).toContain('load.torque');
    expect(value(without, 'hours')).toBe(6000 * HOUR);
    expect(summary(without)).toMatch(/a year$/);
    expect(summary(run({ points: [] }, { load: {} }))).toBe('');
  });
  it('more hours than a leap year has are a stop', () => {
    const hours = (extra: string) =>
      codes(run({ control: 'damper', points: [...at('100 %', '8000 h'), ...at('60 %', extra)] }));
    expect(hours('784 h')).not.toContain('profile.hours');
    expect(hours('785 h')).toContain('profile.hours');
  });
  it('the control is asked for only where flow varies and torque rises with speed', () => {
    const found = (points: Points, torqueKind: 'variable' | 'constant', control: 'none' | 'unknown' | 'damper') =>
      codes(run({ control, points }, { load: { ...fan.load, torqueKind } })).includes('profile.control-unknown');
    expect(found(at('97 %'), 'variable', 'unknown')).toBe(true);
    expect(found(at('97 %'), 'variable', 'none')).toBe(true);
    expect(found(at('98 %'), 'variable', 'unknown')).toBe(false);
    expect(found(at('97 %'), 'variable', 'damper')).toBe(false);
    expect(found(at('97 %'), 'constant', 'unknown')).toBe(false);
    expect(message(run({ control: 'none', points: at('50 %') }), 'profile.control-unknown')).toMatch(
      /no flow control is stated/,
    );
    expect(message(run({ control: 'unknown', points: at('50 %') }), 'profile.control-unknown')).toMatch(/is unknown/);
  });
  it('vanes, damper and valve do not control a machine of constant torque; it is named', () => {
    const said = (
      control: 'damper' | 'inlet vane' | 'throttle' | 'bypass' | 'on/off',
      torqueKind: 'constant' | 'variable' = 'constant',
    ) =>
      message(run({ control, points: at('50 %') }, { load: { ...fan.load, torqueKind } }), 'profile.control-mismatch');
    expect(said('damper')).toContain('controlled by damper');
    expect(said('inlet vane')).toContain('controlled by inlet vane');
    expect(said('throttle')).toContain('controlled by a throttle valve');
    expect([said('bypass'), said('on/off'), said('damper', 'variable')]).toEqual(['', '', '']);
  });
  it('beyond full flow: the power it takes against the motor’s, the row that says so, and only rows with hours', () => {
    // 17.49 kW · 1.05³ = 20.25 kW, above 18.64 kW; 17.49 · 1.02³ = 18.56 kW is not.
    const over = (flow: string, hours = '100 h') =>
      run({ control: 'damper', points: [...at('100 %'), { flow, hours }] });
    const finding = over('105 %').findings.find(({ code }) => code === 'profile.above-full');
    expect(finding?.field).toBe('profile.points.1.flow');
    expect(finding?.message).toMatch(/takes 27\.2\s*hp; the motor gives 25\s*hp/);
    expect(codes(over('102 %'))).not.toContain('profile.above-full');
    expect(codes(over('105 %', '0 h'))).not.toContain('profile.above-full');
  });
  it('a drive that wastes says why: full flow all the time, or torque at every speed', () => {
    const wastes = (points: Points, torqueKind: 'constant' | 'variable') =>
      message(run({ control: 'on/off', points }, { load: { ...fan.load, torqueKind } }), 'profile.drive-wastes');
    expect(wastes(at('100 %', '8000 h'), 'variable')).toContain('hardly varies');
    expect(wastes(at('100 %', '8000 h'), 'constant')).toContain('hardly varies');
    expect(wastes(at('60 %', '8000 h'), 'constant')).toContain('speed alone saves nothing');
    expect(wastes(at('60 %', '8000 h'), 'variable')).toBe('');
    const full = run({ control: 'on/off', points: at('100 %', '8000 h') });
    expect(summary(full)).toContain('a drive wastes energy');
  });
});

describe('the energy of an option', () => {
  const option = (
    own: 'auto' | 'none' | 'on/off' | 'bypass',
    method: 'direct' | 'drive',
    points = at('60 %', '4000 h'),
  ) => run({ control: 'damper', points }, { options: { A: { profile: { ownControl: own }, starting: { method } } } });
  const damped = SHAFT * throttled(0.6, FAN);

  it('on the line as today, switched, or round the bypass', () => {
    expect(value(option('auto', 'direct'), 'energy') / (4000 * HOUR * onLine(damped))).toBeCloseTo(1, 9);
    expect(value(option('on/off', 'direct'), 'energy') / (0.6 * 4000 * HOUR * onLine(SHAFT))).toBeCloseTo(1, 9);
    expect(value(option('bypass', 'direct'), 'energy') / (4000 * HOUR * onLine(SHAFT))).toBeCloseTo(1, 9);
    expect(value(option('on/off', 'direct'), 'peakInput')).toBeCloseTo(onLine(SHAFT), 3);
  });
  it('on a drive by speed, or at full speed with its own loss where it controls no flow', () => {
    const row = option('auto', 'drive').details.profile[0];
    const slow = Number(row?.speedControlled) * 4000 * HOUR + standby(4000);
    expect(value(option('auto', 'drive'), 'energy') / slow).toBeCloseTo(1, 9);
    const through = onDrive(SHAFT, 1) * 4000 * HOUR + standby(4000);
    expect(value(option('bypass', 'drive'), 'energy') / through).toBeCloseTo(1, 9);
    expect(value(option('bypass', 'drive'), 'peakApparent')).toBeCloseTo(onDrive(SHAFT, 1) / 0.95, 3);
  });
  it('is not given where its control is not known; rows at rest and rows without hours count nothing', () => {
    expect(option('none', 'direct').values['profile.energy']).toBeUndefined();
    const some = option('on/off', 'direct', [
      { flow: '0 %', hours: '900 h' },
      { flow: '100 %', hours: '0 h' },
      ...at('50 %'),
    ]);
    expect(value(some, 'energy') / (0.5 * 1000 * HOUR * onLine(SHAFT))).toBeCloseTo(1, 9);
    const damper = run(
      { control: 'damper', points: [{ flow: '100 %', hours: '0 h' }, ...at('50 %')] },
      { options: { A: { starting: { method: 'direct' } } } },
    );
    expect(value(damper, 'peakInput')).toBeCloseTo(onLine(SHAFT * throttled(0.5, FAN)), 3);
    expect(option('on/off', 'direct', []).values['profile.energy']).toBeUndefined();
  });
});
