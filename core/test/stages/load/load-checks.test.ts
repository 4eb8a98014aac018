// What the load asks for, checks and compares, at each limit and just past it. Efficiencies of a worm gear, side pulls and the
// range of a belt: common practice, no published source. Premium full-load efficiencies of 25 hp open and enclosed motors: MG 1
// Table 12-12 (from memory). Everything else is a sum on paper.
import { describe, expect, it } from 'vitest';
import {
  emptyCatalogue,
  emptyJob,
  solve,
  type Catalogue,
  type JobInput,
  type MotorItem,
  type Solution,
} from '../../../src/index.ts';
import { torqueCurve } from '../../../src/stages/load/torque-curve.ts';
import { speedTyped, torqueTyped, transmissionOf } from '../../../src/stages/load/transmission.ts';
import { loadField, loadDefinitionMethods } from '../../../src/stages/load/load-definition-methods.ts';
import { catalogue, plate } from '../../lib/round-prices.ts';

type Load = NonNullable<JobInput['load']>;
const HP = 745.6999;
const run = (load: Load, more: JobInput = {}, from: Catalogue = emptyCatalogue): Solution =>
  solve(
    emptyJob({
      situation: { kind: 'starter' },
      nameplate: plate,
      supply: { voltage: '480', frequency: '60' },
      ...more,
      load,
    }),
    from,
  );
const message = (solution: Solution, code: string) =>
  (solution.findings.find((each) => each.code === `load.${code}`)?.message ?? '').replaceAll('\u00a0', ' ');
const field = (solution: Solution, code: string) =>
  solution.findings.find((each) => each.code === `load.${code}`)?.field;
/** Needed or sharpening: what is asked at all. */
const asks = (solution: Solution) => solution.missing.map(({ field: at }) => at);
const number = (solution: Solution, name: string) => Number(solution.values[`load.${name}`]?.value ?? NaN);

describe('what each way asks', () => {
  const first: Readonly<Record<Exclude<Load['way'], undefined>, string>> = {
    torque: 'torque',
    force: 'force',
    'input power': 'inputPower',
    current: 'runningCurrent',
    slip: 'runningSpeed',
    fan: 'flow',
    pump: 'flow',
    'displacement pump': 'flow',
    conveyor: 'movedMass',
    hoist: 'movedMass',
    mixer: 'powerNumber',
    'screw compressor': 'flow',
    'piston compressor': 'flow',
    crusher: 'massFlow',
    centrifuge: 'inertia',
    press: 'strokeEnergy',
    curve: 'curve.0.speed',
    duty: 'duty.0.torque',
  };
  const needs: readonly (readonly [keyof typeof first, readonly string[]])[] = [
    ['force', ['force', 'radius']],
    ['fan', ['flow', 'pressure', 'machineEfficiency']],
    ['pump', ['flow', 'head', 'machineEfficiency']],
    ['displacement pump', ['flow', 'pressure', 'machineEfficiency']],
    ['conveyor', ['movedMass', 'friction', 'linearSpeed']],
    ['hoist', ['movedMass', 'linearSpeed', 'machineEfficiency']],
    ['mixer', ['powerNumber', 'impeller']],
    ['screw compressor', ['flow', 'pressure', 'machineEfficiency']],
    ['crusher', ['massFlow', 'workIndex', 'feedSize', 'productSize']],
    ['centrifuge', ['inertia', 'runUpTime']],
    ['press', ['strokeEnergy', 'strokesPerMinute', 'machineEfficiency']],
    ['input power', ['inputPower']],
    ['current', ['runningCurrent']],
    ['slip', ['runningSpeed']],
    ['torque', ['torque']],
  ];
  it.each(Object.entries(first))('a load known by %s is missed at %s', (way, at) => {
    expect(loadField(emptyJob({ load: { way: way as Load['way'] } }))).toBe(`load.${at}`);
  });
  it.each(needs)('%s wants %o, and nothing of it once it is typed', (way, wanted) => {
    expect(loadDefinitionMethods[way].asks.map(([name]) => name)).toEqual(wanted);
    for (const [, words] of loadDefinitionMethods[way].asks) expect(words).not.toBe('');
    const open = asks(run({ way, speed: '1770' }));
    expect(open.filter((at) => wanted.includes(at.slice(5)))).toHaveLength(wanted.length);
  });
  it('a table of torque wants two points, a cycle a row, a reading its plate, amps the voltage they were read at', () => {
    const point = (speed: string) => ({ speed, torque: '50 lb·ft' });
    expect(asks(run({ way: 'curve', speed: '1770', curve: [point('900')] }))).toContain('load.curve.0.speed');
    expect(asks(run({ way: 'curve', speed: '1770', curve: [point('900'), point('1800')] }))).not.toContain(
      'load.curve.0.speed',
    );
    expect(asks(run({ way: 'torque', speed: '1770', torque: '50 lb·ft', curve: [point('900')] }))).not.toContain(
      'load.curve.0.speed',
    );
    expect(asks(run({ way: 'duty', speed: '1770' }))).toContain('load.duty.0.torque');
    const cycle = [{ torque: '50 lb·ft', time: '10 s' }];
    expect(asks(run({ way: 'duty', speed: '1770', duty: cycle }))).not.toContain('load.duty.0.torque');
    expect(asks(run({ way: 'torque', speed: '1770', torque: '50 lb·ft' }))).not.toContain('load.duty.0.torque');
    const bare: JobInput = { nameplate: {} };
    for (const way of ['input power', 'current', 'slip'] as const)
      expect(asks(run({ way, speed: '1770' }, bare))).toContain('nameplate.power');
    expect(asks(run({ way: 'torque', speed: '1770', torque: '50 lb·ft' }, bare))).not.toContain('load.torque');
    const dual: JobInput = {
      nameplate: { ...plate, voltages: '230/460', currents: '60/30' },
      supply: { frequency: '60' },
    };
    expect(asks(run({ way: 'current', runningCurrent: '24' }, dual))).toContain('supply.voltage');
    expect(run({ way: 'current', runningCurrent: '24' }, dual).values['load.motorTorque']).toBeUndefined();
  });
});

describe('readings that nothing can give', () => {
  it('a speed at or above that of the field, 1800 r/min', () => {
    expect(message(run({ way: 'slip', runningSpeed: '1800' }), 'reading-impossible')).toMatch(/not below the 1800/);
    expect(message(run({ way: 'slip', runningSpeed: '1799' }), 'reading-impossible')).toBe('');
  });
  it('a power no higher than that of idling: 25 hp at 93.6 %, 35 % of its loss, 446 W', () => {
    expect(25 * HP * (1 / 0.936 - 1) * 0.35).toBeCloseTo(446.1, 1);
    expect(message(run({ way: 'input power', inputPower: '446 W' }), 'reading-impossible')).toMatch(
      /no more than the 0\.598 hp/,
    );
    expect(message(run({ way: 'input power', inputPower: '460 W' }), 'reading-impossible')).toBe('');
  });
  it('a static head above the total, only of a pump; a product no finer than its feed, only of a crusher', () => {
    const lift = { flow: '850 gpm', head: '95 ft', machineEfficiency: '78 %', speed: '1770' };
    expect(message(run({ ...lift, way: 'pump', staticHead: '95 ft' }), 'reading-impossible')).toBe('');
    expect(message(run({ ...lift, way: 'pump', staticHead: '96 ft' }), 'reading-impossible')).toMatch(
      /above the total head/,
    );
    expect(
      message(run({ ...lift, way: 'torque', torque: '50 lb·ft', staticHead: '96 ft' }), 'reading-impossible'),
    ).toBe('');
    expect(message(run({ way: 'pump' }), 'reading-impossible')).toBe('');
    const mill = { massFlow: '10 t/h', workIndex: '12 kWh/t', feedSize: '20 mm', speed: '1770' };
    expect(message(run({ ...mill, way: 'crusher', productSize: '20 mm' }), 'reading-impossible')).toMatch(/not finer/);
    expect(message(run({ ...mill, way: 'crusher', productSize: '19 mm' }), 'reading-impossible')).toBe('');
    expect(
      message(run({ ...mill, way: 'torque', torque: '50 lb·ft', productSize: '30 mm' }), 'reading-impossible'),
    ).toBe('');
  });
  it('a load of which the motor would have stalled: MG 1 12.39 gives 25 hp, four poles 200 %', () => {
    const by = (runningCurrent: string) => message(run({ way: 'current', runningCurrent }), 'reading-impossible');
    expect([by('59 A'), by('61 A').slice(0, 47)]).toEqual(['', 'By this reading the motor would give 203 % of i']);
  });
  it('few amps say little: below half load, by amps only', () => {
    expect(message(run({ way: 'current', runningCurrent: '14 A' }), 'current-says-little')).toMatch(/^At 46\.7 % load/);
    expect(message(run({ way: 'current', runningCurrent: '15.1 A' }), 'current-says-little')).toBe('');
    expect(message(run({ way: 'input power', inputPower: '5 kW' }), 'current-says-little')).toBe('');
  });
  it('a belt down a slope steeper than its friction drives its motor', () => {
    const down = (incline: string) =>
      message(
        run({ way: 'conveyor', movedMass: '2000 kg', friction: '0.1', linearSpeed: '1 m/s', incline, speed: '1770' }),
        'drives-motor',
      );
    // atan 0.1 = 5.71°
    expect(down('-5.8°')).toMatch(/runs by itself/);
    expect([down('-5.6°'), down('5.8°')]).toEqual(['', '']);
  });
  it('a table that says a speed twice, or ends more than 2 % short of the running speed, at its row', () => {
    const table = (...speeds: string[]) =>
      run({ way: 'curve', speed: '1770', curve: speeds.map((speed) => ({ speed, torque: '50 lb·ft' })) });
    expect(field(table('0', '900', '900', '1800'), 'curve-twice')).toBe('load.curve.2.speed');
    expect(field(table('0', '900', '1800'), 'curve-twice')).toBeUndefined();
    expect(field(table('0', '1700'), 'curve-ends')).toBe('load.curve.1.speed');
    expect(field(table('0', '1740'), 'curve-ends')).toBeUndefined();
    expect(field(table('1700'), 'curve-ends')).toBeUndefined();
  });
});

describe('checks of the load', () => {
  const torque = (value: string, more: Partial<Load> = {}): Load => ({
    way: 'torque',
    torque: value,
    speed: '1770',
    ...more,
  });
  it('more than the plate gives, for whatever motor is there; a new one is no plate', () => {
    // 25 hp at 1770 r/min is 74.2 lb·ft.
    expect(message(run(torque('74 lb·ft')), 'exceeds-plate')).toBe('');
    expect(message(run(torque('75 lb·ft')), 'exceeds-plate')).toMatch(/overloaded by 1 %/);
    expect(message(run(torque('75 lb·ft'), { situation: { kind: 'new' } }), 'exceeds-plate')).toBe('');
    const severity = (kind: 'starter' | 'replace') =>
      run(torque('75 lb·ft'), { situation: { kind } }).findings.find(({ code }) => code === 'load.exceeds-plate')
        ?.severity;
    expect([severity('starter'), severity('replace')]).toEqual(['stop', 'caution']);
  });
  it('a standard size that would run at less than half', () => {
    const at = (load: string) => message(run(torque(load), { situation: { kind: 'new' }, nameplate: {} }), 'oversized');
    expect(at('50 lb·ft')).toBe('');
  });
  it('without a load the plate’s size is kept and said so; with one it is not', () => {
    expect(message(run({ way: 'torque' }), 'from-plate')).toMatch(
      /^The load is unknown, so the nameplate rating of 25 hp is kept/,
    );
    expect(message(run(torque('60 lb·ft')), 'from-plate')).toBe('');
  });
  it('a speed no motor of these poles has: from 0.5 % above the field to 8 % below is believed', () => {
    const at = (speed: string) => message(run({ way: 'torque', torque: '40 lb·ft', speed }), 'speed-mismatch');
    expect([at('1808'), at('1657')]).toEqual(['', '']);
    expect(at('1640')).toMatch(/4-pole motor turns just under 1800/);
  });
  it('the kind of torque is settled by some machines and told where it is set otherwise', () => {
    const told = (way: Load['way'], torqueKind: 'constant' | 'variable') =>
      message(run({ way, torqueKind, speed: '1770' }), 'torque-kind');
    expect(told('fan', 'constant')).toMatch(/^The torque of a fan rises/);
    expect(told('pump', 'constant')).toMatch(/^The torque of a pump rises/);
    expect(told('hoist', 'variable')).toMatch(/^A hoist needs its torque at every speed/);
    for (const way of ['torque', 'force', 'current', 'slip', 'curve', 'duty', 'mixer', 'input power'] as const)
      expect([told(way, 'variable'), told(way, 'constant')]).toEqual(['', '']);
    expect([told('fan', 'variable'), told('conveyor', 'constant')]).toEqual(['', '']);
  });
  it('torque below zero wants a brake: a hoist always, a cycle or a table where a row says so', () => {
    const brake = (load: Load) => message(run({ speed: '1770', ...load }), 'no-holding-brake');
    expect(brake({ way: 'hoist' })).toMatch(/nothing is known/);
    expect(brake({ way: 'hoist', holdingBrake: 'no' })).toMatch(/^A hoist without a holding brake/);
    expect(brake({ way: 'hoist', holdingBrake: 'yes' })).toBe('');
    const cycle = (value: string): Load => ({
      way: 'duty',
      duty: [
        { torque: value, time: '5 s' },
        { torque: '60 lb·ft', time: '5 s' },
      ],
    });
    expect(brake(cycle('-20 lb·ft'))).toMatch(/^The cycle has torque below zero/);
    expect([brake(cycle('0 lb·ft')), brake(cycle('20 lb·ft'))]).toEqual(['', '']);
    const table = (value: string): Load => ({
      way: 'curve',
      curve: [
        { speed: '0', torque: value },
        { speed: '1800', torque: '60 lb·ft' },
      ],
    });
    expect(brake(table('-20 lb·ft'))).toMatch(/^The torque curve/);
    expect([brake(table('0 lb·ft')), brake(torque('50 lb·ft'))]).toEqual(['', '']);
    expect(asks(run({ way: 'hoist', speed: '1770' }))).toContain('load.holdingBrake');
    expect(asks(run({ way: 'hoist', speed: '1770', holdingBrake: 'no' }))).not.toContain('load.holdingBrake');
  });
  it('lowering: −m g v η over the speed, for a hoist only: 1000 kg at 0.5 m/s and 80 % brake with 3923 W', () => {
    const load: Load = {
      way: 'hoist',
      movedMass: '1000 kg',
      linearSpeed: '0.5 m/s',
      machineEfficiency: '80 %',
      speed: '1770',
    };
    expect(number(run(load), 'loweringTorque')).toBeCloseTo(-(1000 * 9.80665 * 0.5 * 0.8) / ((1770 * Math.PI) / 30), 6);
    const { linearSpeed: _, ...lacking } = load;
    expect(run(lacking).values['load.loweringTorque']).toBeUndefined();
    expect(run({ ...load, way: 'torque', torque: '50 lb·ft' }).values['load.loweringTorque']).toBeUndefined();
  });
});

describe('a train with measurements inside', () => {
  const train = (stages: Load['stages'], more: Load = {}) => {
    const solution = run({ way: 'torque', stages, ...more });
    return solution;
  };
  it('torque before a stage of ratio 4 at 96 % is 3.84 times at the machine; without the ratio it is not carried', () => {
    const stage = { kind: 'helical gear' as const, ratio: '4', efficiency: '96 %' };
    expect(number(train([{ ...stage, torque: '10 N·m' }], { speed: '440' }), 'torque')).toBeCloseTo(38.4, 6);
    const { ratio: _, ...open } = stage;
    expect(train([{ ...open, torque: '10 N·m' }]).values['load.torque']).toBeUndefined();
    expect(asks(train([{ ...open, torque: '10 N·m' }]))).toContain('load.stages.0.ratio');
  });
  it('a worm gear loses more the more it reduces', () => {
    const efficiency = (ratio: string) =>
      number(train([{ kind: 'worm gear', ratio }], { torque: '10 N·m', speed: '60' }), 'transmissionEfficiency');
    const [low, middle, high] = [efficiency('5'), efficiency('20'), efficiency('60')];
    expect(low).toBeGreaterThan(middle);
    expect(middle).toBeGreaterThan(high);
    expect([low <= 0.95, high >= 0.4]).toEqual([true, true]);
  });
  it('speeds and torques typed at no shaft are none', () => {
    const job = emptyJob({ load: {} });
    const open = transmissionOf({ job, given: { load: {} }, rows: { 'load.stages': [] } } as never);
    expect([speedTyped(open), torqueTyped(open)]).toEqual([undefined, undefined]);
  });
});

describe('poles side by side', () => {
  const choices = (load: Load, from: Catalogue = emptyCatalogue, more: JobInput = {}) =>
    run({ way: 'torque', torque: '70 lb·ft', ...load }, { situation: { kind: 'new' }, nameplate: {}, ...more }, from)
      .details.poles;
  it('advice by the ratio that is needed: direct, up, belt, gearbox, and what two poles are for', () => {
    const advice = (speed: string, machine: 'fan' | 'other' = 'other', torque = '70 lb·ft') =>
      choices({ speed, machine, torque }).map((each) => each.advice);
    expect(advice('1770')).toEqual([
      'fast and loud; for direct fans and pumps',
      'drives directly',
      'would have to be geared up',
      'would have to be geared up',
    ]);
    expect(advice('1770', 'fan')[0]).toBe('for direct fans and pumps');
    expect(advice('400', 'other', '300 lb·ft')).toEqual([
      'fast and loud; for direct fans and pumps',
      'a belt will do',
      'a belt may do instead of a gearbox',
      'a belt may do instead of a gearbox',
    ]);
    expect(advice('100', 'other', '1200 lb·ft').slice(1)).toEqual([
      'needs a gearbox',
      'needs a gearbox',
      'needs a gearbox',
    ]);
  });
  it('premium efficiency of 25 hp: 91.7, 93.6, 93.0, 90.2 % at 2, 4, 6, 8 poles (MG 1 12-12, from memory); the synchronous speeds less a slip', () => {
    const all = choices({ speed: '1770' });
    expect(all.map(({ efficiency }) => Number(efficiency?.toFixed(6)))).toEqual([0.917, 0.936, 0.93, 0.902]);
    for (const { poles, speed, torque, power } of all) {
      const synchronous = (4 * Math.PI * 60) / poles;
      expect(speed / synchronous).toBeGreaterThan(0.96);
      expect(speed / synchronous).toBeLessThan(0.999);
      expect(torque * synchronous).toBeGreaterThan(power);
      expect(torque * synchronous).toBeLessThan(1.05 * power);
    }
    expect(all.filter(({ chosen }) => chosen).map(({ poles }) => poles)).toEqual([4]);
  });
  it('cost over that of four poles, by the cheapest of the size in the list', () => {
    const [item] = catalogue.motors as [MotorItem];
    const priced = (poles: number, price: number, power = item.power): MotorItem => ({
      ...item,
      id: `${poles} ${price}`,
      poles,
      price,
      power,
    });
    const list = {
      ...catalogue,
      motors: [priced(2, 900), priced(4, 1000), priced(4, 1300), priced(6, 1500), priced(8, 1, 30 * HP)],
    };
    expect(choices({ speed: '1770' }, list).map(({ cost }) => cost)).toEqual([0.9, 1, 1.5, undefined]);
    expect(choices({ speed: '1770' }, { ...list, motors: [priced(2, 900)] }).map(({ cost }) => cost)).toEqual([
      undefined,
      undefined,
      undefined,
      undefined,
    ]);
  });
  it('a belt pulls on a bearing, roller from its practice power on; a V-belt names its least sheave; a coupling neither', () => {
    const by = (kind: 'V-belt' | 'synchronous belt' | 'coupling', torque = '70 lb·ft') =>
      choices({ speed: '880', torque, sheave: '8 in', stages: [{ kind, ratio: kind === 'coupling' ? '1' : '2' }] })[1];
    expect(by('V-belt', '60 lb·ft')?.bearing).toBe('ball');
    expect(by('V-belt', '900 lb·ft')?.bearing).toBe('roller');
    expect(by('V-belt', '60 lb·ft')?.leastSheave).toBeGreaterThan(0.07);
    expect(by('synchronous belt', '60 lb·ft')?.leastSheave).toBeUndefined();
    expect(by('synchronous belt', '60 lb·ft')?.sidePull).toBeGreaterThan(0);
    const coupled = choices({ speed: '1770', sheave: '8 in', stages: [{ kind: 'coupling' }] })[1];
    expect([coupled?.bearing, coupled?.sidePull, coupled?.leastSheave]).toEqual(['', undefined, undefined]);
    const bare = choices({ speed: '880', stages: [{ kind: 'V-belt', ratio: '2' }] })[1];
    expect(bare?.sidePull).toBeUndefined();
  });
});

describe('torque against speed', () => {
  const curve = (
    more: Partial<Parameters<typeof torqueCurve>[0]>,
    torqueKind: 'constant' | 'variable' = 'variable',
  ) => {
    const made = torqueCurve({
      load: emptyJob({ load: { torqueKind } }).load,
      torque: 100,
      speed: 180,
      breakaway: 0.3,
      staticShare: 0,
      table: [],
      ...more,
    });
    return { ...made, at: (x: number) => made.torques[Math.round((x / 1.2) * 60)] };
  };
  it('of a fan: breakaway, a floor of a tenth, the square, to a fifth above', () => {
    const { at, shape, speeds } = curve({});
    expect([at(0), at(1), at(0.5), at(1.2)].map((each) => Number(each?.toFixed(6)))).toEqual([30, 100, 25, 144]);
    // A tenth that fades out until 40 %: 0.1 · (1 − 0.1/0.4).
    expect(at(0.1)).toBeCloseTo(7.5, 6);
    expect(shape).toBe('torque with the square of speed');
    expect(speeds.at(-1)).toBeCloseTo(216, 9);
  });
  it('of constant torque: all of it, once it broke away', () => {
    const { at, shape } = curve({ breakaway: 1.5 }, 'constant');
    expect([at(0), at(0.1), at(1)]).toEqual([150, 100, 100]);
    // Halfway to 8 %: (1.5 + 1)/2.
    expect(at(0.04)).toBeCloseTo(125, 6);
    expect(shape).toBe('constant torque after breakaway');
  });
  it('of a pump with half its head static: half the square until √(0.5/1.25) = 63 % opens its valve, whole at full speed', () => {
    const { at, shape } = curve({ staticShare: 0.5 });
    expect(at(0.6)).toBeCloseTo(50 * 0.36, 6);
    expect(at(1)).toBeCloseTo(100, 6);
    // 0.2 + 0.8 · (0.64 − 0.4)/0.6
    expect(at(0.8)).toBeCloseTo(52, 6);
    expect(shape).toBe('pump against a check valve and static head');
  });
  it('of a table: its points by speed; one point alone is no table', () => {
    const load = emptyJob({ load: { way: 'curve' } }).load;
    const table = [
      { speed: 180, torque: 90 },
      { speed: 0, torque: 20 },
      { speed: 90, torque: 40 },
    ];
    expect(curve({ load, table })).toMatchObject({
      speeds: [0, 90, 180],
      torques: [20, 40, 90],
      shape: 'the table typed',
    });
    expect(curve({ load, table: table.slice(1, 2) }).shape).not.toBe('the table typed');
  });
});
