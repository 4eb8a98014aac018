/** Supply, place, flow, protection and money: what is trusted, dropped or not asked no longer. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { emptyCatalogue, emptyJob, solve, type Catalogue, type JobInput, type Solution } from '../../../src/index.ts';
import { selectionSheet } from '../../../src/solve/sheet.ts';
import { inputOnLine } from '../../../src/motor/part-load.ts';
import { leastBreaker } from '../../../src/stages/protection/breaker.ts';
import { INRUSH } from '../../../src/stages/starting/inrush.ts';
import { throttled } from '../../lib/flow-shares.ts';
import { demo as catalogue } from '../../lib/demo.ts';

const run = (job: JobInput, from: Catalogue = emptyCatalogue): Solution => solve(emptyJob(job), from);
const finding = (solution: Solution, code: string) => solution.findings.find((each) => each.code === code);
const number = (solution: Solution, id: string): number => Number(solution.values[id]?.value);
const text = (solution: Solution, id: string) => solution.values[id]?.text;

const motor = (
  hp: number,
  amps: number,
  rpm: number,
  more: JobInput['nameplate'] = {},
): NonNullable<JobInput['nameplate']> => ({
  power: `${hp} hp`,
  voltages: '460',
  currents: `${amps}`,
  frequency: '60',
  speed: `${rpm}`,
  designLetter: 'B',
  codeLetter: 'G',
  serviceFactor: '1.15',
  ...more,
});
const kept = (nameplate: JobInput['nameplate'], more: JobInput = {}): JobInput => ({
  situation: { kind: 'starter' },
  nameplate,
  supply: { voltage: '480', frequency: '60' },
  load: { torqueKind: 'variable', torque: '20 lb·ft', speed: '1780', inertia: '3 lb·ft²' },
  starting: { speedControl: 'no', method: 'direct' },
  ...more,
});

describe('supply', () => {
  it('a source smaller than the motor is told without any other load', () => {
    const fed = (sourcePower: string) =>
      run(
        kept(motor(30, 35.5, 1770), {
          supply: { voltage: '480', frequency: '60', sourcePower, sourceImpedance: '5 %' },
        }),
      );
    // √3 · 460 V · 35.5 A = 28.3 kVA
    expect(finding(fed('25 kVA'), 'supply.overloaded')?.message).toContain('28.3');
    expect(finding(fed('45 kVA'), 'supply.overloaded')).toBeUndefined();
  });

  const feeder = (feederSize: '8' | '10' | '6', amps: number, ambient = '30 °C', powerFactor = '0.85') =>
    run(
      kept(motor(25, amps, 1770, { powerFactor }), {
        supply: {
          voltage: '480',
          frequency: '60',
          sourcePower: '1000 kVA',
          sourceImpedance: '5 %',
          feederSize,
          feederLength: '200 ft',
        },
        place: { ambient },
      }),
    );
  it('a feeder’s ampacity is checked: 8 AWG carries 50 A at 30 °C and 41 A at 45 °C (NEC 310.16 and 310.15(B)(1))', () => {
    expect(number(feeder('8', 34), 'supply.feederAmpacity')).toBeCloseTo(50, 9);
    expect(number(feeder('8', 34, '45 °C'), 'supply.feederAmpacity')).toBeCloseTo(41, 9);
    // 125 % of 34 A is 42.5 A.
    expect(finding(feeder('8', 34), 'supply.feeder-ampacity')).toBeUndefined();
    expect(finding(feeder('8', 34, '45 °C'), 'supply.feeder-ampacity')?.severity).toBe('caution');
    expect(finding(feeder('10', 36), 'supply.feeder-ampacity')?.severity).toBe('stop');
  });
  it('and its drop while running: 34 A, 200 ft, 8 AWG in steel at 0.85 lose 8.21 V, 1.71 % of 480 V', () => {
    expect(number(feeder('8', 34), 'supply.runningDrop') * 480).toBeCloseTo(8.21, 1);
    expect(finding(feeder('8', 34), 'supply.feeder-drop')).toBeUndefined();
    const tight = run({
      ...kept(motor(25, 34, 1770)),
      supply: {
        voltage: '480',
        frequency: '60',
        sourcePower: '1000 kVA',
        sourceImpedance: '5 %',
        feederSize: '8',
        feederLength: '200 ft',
      },
      practice: { runningDrop: '1 %' },
    });
    expect(finding(tight, 'supply.feeder-drop')?.severity).toBe('caution');
  });
  it('a metric feeder by IEC 60364-5-52 B.52.4, method B2: 10 mm² copper carries 46 A at 30 °C, 40 A at 40 °C', () => {
    const metric = (ambient: string) =>
      number(
        run({
          school: 'IEC',
          situation: { kind: 'new' },
          supply: { voltage: '400', feederSize: '10 mm²' },
          place: { ambient },
        }),
        'supply.feederAmpacity',
      );
    expect(metric('30 °C')).toBeCloseTo(46, 9);
    expect(metric('40 °C')).toBeCloseTo(46 * Math.sqrt(30 / 40), 9);
  });
});

describe('place', () => {
  const derate = (ambient: string, altitude: string, nameplate: JobInput['nameplate'] = {}) =>
    number(run(kept(motor(30, 35.5, 1770, nameplate), { place: { ambient, altitude } })), 'place.motorDerate');
  it('the ambient on the plate of a motor that stays counts', () => {
    expect(derate('50 °C', '0 m', { ambient: '50 °C' })).toBe(1);
    expect(derate('50 °C', '0 m')).toBeLessThan(0.95);
    expect(derate('40 °C', '0 m', { ambient: '30 °C' })).toBeLessThan(1);
  });
  it('MG 1 14.4.3: service factor 1.15 gives rated power to 9000 ft at 40 °C, no further and no hotter', () => {
    expect(derate('40 °C', '8900 ft')).toBe(1);
    expect(derate('40 °C', '9100 ft')).toBeLessThan(0.95);
    expect(derate('45 °C', '8000 ft')).toBeLessThan(0.95);
    expect(derate('40 °C', '8000 ft', { serviceFactor: '1.0' })).toBeLessThan(0.95);
  });
  it('a replacement must bring that service factor too', () => {
    const high: JobInput = {
      ...kept(motor(30, 35.5, 1770, { frame: '286T' })),
      situation: { kind: 'replace' },
      place: { ambient: '40 °C', altitude: '8000 ft' },
    };
    const one = { ...catalogue, motors: catalogue.motors.map((item) => ({ ...item, serviceFactor: 1 })) };
    expect(run(high, catalogue).values['pick.motor']).toBeDefined();
    expect(run(high, one).details.motors?.refused.map(({ rule }) => rule)).toContain('service factor');
  });
});

describe('flow', () => {
  const fan = (
    control: NonNullable<JobInput['profile']>['control'],
    points: NonNullable<NonNullable<JobInput['profile']>['points']>,
    more: JobInput = {},
  ): JobInput => ({
    situation: { kind: 'energy' },
    nameplate: motor(60, 68.5, 1780, { efficiency: '95 %' }),
    load: { machine: 'fan', torqueKind: 'variable', torque: '148 lb·ft', speed: '1782' },
    supply: { voltage: '480', frequency: '60' },
    profile: { ...(control === undefined ? {} : { control }), points },
    money: { energyPrice: '0.1 per kWh' },
    ...more,
  });
  const half = [{ flow: '50 %', hours: '4000' }];
  it('no control stated is asked about, never taken as full power', () => {
    for (const control of [undefined, 'none'] as const) {
      const solution = run(fan(control, half));
      expect(solution.values['profile.energyThrottled']).toBeUndefined();
      expect(solution.values['money.yearlySaving']).toBeUndefined();
      expect(solution.missing.find(({ field }) => field === 'profile.control')?.kind).toBe('needed');
      expect(finding(solution, 'profile.control-unknown')?.severity).toBe('caution');
    }
    expect(run(fan('damper', half)).values['profile.energyThrottled']).toBeDefined();
    // At full flow there is nothing to ask.
    expect(run(fan(undefined, [{ flow: '100 %', hours: '8000' }])).values['profile.energyThrottled']).toBeDefined();
  });
  it('switching on and off pays full power for its share of the time', () => {
    const full = number(run(fan('none', [{ flow: '100 %', hours: '4000' }])), 'profile.energyThrottled');
    expect(number(run(fan('on/off', half)), 'profile.energyThrottled')).toBeCloseTo(full / 2, 3);
  });
  it('a machine of constant torque saves nothing by speed alone, and it is said', () => {
    const solution = run(fan('none', half, { load: { torqueKind: 'constant', torque: '148 lb·ft', speed: '1782' } }));
    expect(number(solution, 'profile.energySaved')).toBeLessThan(0);
    expect(finding(solution, 'profile.drive-wastes')?.message).toContain('speed alone saves nothing');
  });
  it('“as controlled today” stands on today’s motor: its 88 % cost more than the new one’s', () => {
    const today = (efficiency: string) =>
      run(
        { ...fan('damper', half), situation: { kind: 'replace' }, nameplate: motor(60, 72, 1780, { efficiency }) },
        catalogue,
      );
    expect(number(today('88 %'), 'profile.energyThrottled')).toBeGreaterThan(
      1.04 * number(today('95 %'), 'profile.energyThrottled'),
    );
    expect(number(today('88 %'), 'profile.energySpeedControlled')).toBeCloseTo(
      number(today('95 %'), 'profile.energySpeedControlled'),
      3,
    );
  });
  it('above full flow the row is checked by the cube: at 80 % load to 1/0.8^⅓ = 107.7 %', () => {
    const at = (flow: string) =>
      finding(
        run(
          fan('damper', [{ flow, hours: '100' }], {
            load: {
              machine: 'fan',
              torqueKind: 'variable',
              torque: `${(0.8 * 60 * 5252.1) / 1780} lb·ft`,
              speed: '1780',
            },
          }),
        ),
        'profile.above-full',
      );
    expect(at('107 %')).toBeUndefined();
    expect(at('108 %')).toMatchObject({ severity: 'stop', field: 'profile.points.0.flow' });
  });
  it('above base speed a constant torque asks for power in proportion: 95 % load to 105 %', () => {
    const at = (flow: string) =>
      finding(
        run(
          fan('none', [{ flow, hours: '100' }], {
            load: { torqueKind: 'constant', torque: `${(0.95 * 60 * 5252.1) / 1780} lb·ft`, speed: '1780' },
          }),
        ),
        'profile.above-full',
      );
    expect(at('105 %')).toBeUndefined();
    expect(at('106 %')?.severity).toBe('stop');
  });
});

describe('wires and devices by NEC 430', () => {
  it('30 hp, eight poles, plate 44 A, table 40 A: 55 A, 6 AWG, 110 A breaker by the nameplate (430.6(A)(1))', () => {
    const slow = run(kept(motor(30, 44, 885), { load: { torqueKind: 'variable', torque: '90 lb·ft', speed: '890' } }));
    expect([number(slow, 'protection.tableCurrent'), number(slow, 'protection.wireCurrent')]).toEqual([40, 44]);
    expect(number(slow, 'protection.conductorMinAmpacity')).toBeCloseTo(55, 9);
    expect(text(slow, 'protection.conductorSize')).toBe('6 AWG copper');
    expect(number(slow, 'protection.branchDeviceMax')).toBe(110);
    // Of several speeds: the plate’s 44 A as well, at 1770 r/min.
    const two = motor(30, 44, 1770, { speed: '1770/885', currents: '44/20', power: '30/10 hp', speedInForce: 'first' });
    expect(number(run(kept(two)), 'protection.wireCurrent')).toBe(44);
    // Four poles: by the table, whatever the plate says.
    expect(number(run(kept(motor(30, 36, 1770))), 'protection.wireCurrent')).toBe(40);
  });
  it('10 hp at 460 V, 14 A: 35 A breaker, 14 AWG at 75 °C terminals, 12 at 60 °C, earth no larger than the wire', () => {
    const ten = (terminals: 'auto' | '60') => run(kept(motor(10, 14, 1760), { protection: { terminals } }));
    expect(number(ten('auto'), 'protection.branchDeviceMax')).toBe(35);
    expect([text(ten('auto'), 'protection.conductorSize'), text(ten('auto'), 'protection.groundingConductor')]).toEqual(
      ['14 AWG copper', '14 AWG'],
    );
    expect([text(ten('60'), 'protection.conductorSize'), text(ten('60'), 'protection.groundingConductor')]).toEqual([
      '12 AWG copper',
      '12 AWG',
    ]);
  });
  it('without a design letter terminals count as 60 °C up to 100 A, as 75 °C above (110.14(C)(1)): 50 and 75 hp', () => {
    const wire = (hp: number, amps: number, designLetter?: string) =>
      text(run(kept(motor(hp, amps, 1775, { designLetter }))), 'protection.conductorSize');
    // 65 · 1.25 = 81.3 A: 3 AWG carries 85 A at 60 °C, 4 AWG 85 A at 75 °C. 96 · 1.25 = 120 A: 1 AWG carries 130 A at 75 °C.
    expect([wire(50, 61), wire(50, 61, 'B'), wire(75, 92)]).toEqual(['3 AWG copper', '4 AWG copper', '1 AWG copper']);
  });
  it('40 A at 45 °C with six wires, 90 °C insulation: 6 AWG carries 75 · 0.87 · 0.8 = 52.2 A, 8 AWG 38.3 A does not', () => {
    const hot = run(kept(motor(30, 36, 1770), { protection: { ambient: '45 °C', conductors: '6', insulation: '90' } }));
    expect(text(hot, 'protection.conductorSize')).toBe('6 AWG copper');
    expect(number(hot, 'protection.conductorAmpacity')).toBeCloseTo(52.2, 1);
    // The ambient of the place counts where none is typed for the wires.
    const warm = run(kept(motor(30, 36, 1770), { place: { ambient: '50 °C' } }));
    // 50 A wanted: 6 AWG has 65 · 0.75 = 48.8 A left at 50 °C, 4 AWG 85 · 0.75.
    expect(number(warm, 'protection.conductorAmpacity')).toBeCloseTo(85 * 0.75, 9);
  });
  it('60 hp on a drive that takes 83.4 A: 104.25 A, 2 AWG at its input, 3 AWG at the motor (430.122)', () => {
    const one = catalogue.drives.find(
      ({ normalPower, housing, voltageMax }) =>
        Math.abs(normalPower / (75 * 745.7) - 1) < 0.02 && housing === 'IP20' && voltageMax === 480,
    );
    if (!one) throw new Error('no drive');
    const driven = run(
      {
        ...kept(motor(60, 68.5, 1780)),
        situation: { kind: 'drive' },
        starting: {},
        place: { cabinet: true },
        load: { torqueKind: 'variable', torque: '148 lb·ft', speed: '1782' },
      },
      { ...catalogue, drives: [{ ...one, inputCurrent: 83.4 }] },
    );
    expect(number(driven, 'protection.driveInputAmpacity')).toBeCloseTo(104.25, 9);
    expect(text(driven, 'protection.driveInputConductor')).toBe('2 AWG copper');
    expect(text(driven, 'protection.conductorSize')).toBe('3 AWG copper');
  });
  it('the breaker is for the system’s voltage and above what its start would trip: no 240 V one for 36 A on 480 V', () => {
    const name = (from: Catalogue) => run(kept(motor(30, 36, 1770)), from);
    expect(text(name(catalogue), 'protection.branchDevice')).toBe('Bulwark breaker 100 A');
    const low = {
      ...catalogue,
      parts: catalogue.parts.filter(({ kind, voltageMax }) => kind !== 'breaker' || voltageMax < 300),
    };
    expect(name(low).values['protection.branchDevice']).toBeUndefined();
    expect(finding(name(low), 'protection.no-breaker')?.message).toContain('480');
    const small = {
      ...catalogue,
      parts: catalogue.parts.filter(({ kind, currentMax }) => kind !== 'breaker' || currentMax <= 35),
    };
    expect(name(small).values['protection.branchDevice']).toBeUndefined();
    // κ = 1.02 + 0.98 e^(−3 · 0.314) = 1.401 at power factor 0.3.
    expect(INRUSH).toBeCloseTo(1.401, 3);
    expect(leastBreaker(36, 237)).toBeCloseTo((1.401 * 237) / 8, 1);
  });
});

describe('relay dial and code ceiling', () => {
  const both = (more: JobInput['nameplate'], starting: JobInput['starting'] = {}) => {
    const solution = run(
      kept(motor(30, 36, 1770, more), { starting: { method: 'direct', speedControl: 'no', ...starting } }),
      catalogue,
    );
    return [number(solution, 'protection.overloadDial'), number(solution, 'protection.overloadCurrent')].map(
      (each) => Math.round(each * 100) / 100,
    );
  };
  it('are two values: 36 A and 45 A with service factor 1.15 or rise 40 °C, 33.12 A and 41.4 A without (430.32(A)(1))', () => {
    expect(both({})).toEqual([36, 45]);
    expect(both({ serviceFactor: '1.0' })).toEqual([33.12, 41.4]);
    expect(both({ serviceFactor: '1.0', rise: '40 °C' })).toEqual([36, 45]);
    expect(both({ serviceFactor: '1.0', rise: '45 K' })).toEqual([33.12, 41.4]);
    expect(both({ serviceFactor: '1.0', rise: '80 K' })).toEqual([33.12, 41.4]);
  });
  it('star-delta dials 0.577: 41 A are 23.7 A in the winding', () => {
    const [dial] = both({ currents: '41' }, { method: 'star-delta', leads: '12' });
    expect(dial).toBeCloseTo(23.67, 2);
  });
  it('IEC dials the current itself', () => {
    const solution = run(
      {
        school: 'IEC',
        situation: { kind: 'starter' },
        nameplate: { power: '11 kW', voltages: '400', currents: '21.5', frequency: '50', speed: '1465' },
        supply: { voltage: '400', frequency: '50' },
        starting: { method: 'direct' },
      },
      catalogue,
    );
    expect(number(solution, 'protection.overloadDial')).toBe(21.5);
  });
  it('no dial lies outside its relay, no wire is under its rule, no breaker above it; random motors', () => {
    let starters = 0;
    fc.assert(
      fc.property(
        fc.constantFrom([1, 1745], [5, 1750], [15, 1765], [40, 1775], [75, 1780], [125, 1785], [25, 1175], [20, 870]),
        fc.double({ min: 0.85, max: 1.2, noNaN: true }),
        fc.constantFrom('1.0', '1.15'),
        fc.constantFrom('direct', 'star-delta', 'soft starter', 'autotransformer'),
        fc.constantFrom('30 °C', '42 °C', '55 °C'),
        ([hp = 0, rpm = 0], factor, serviceFactor, method, ambient) => {
          const amps = ((hp * 745.7) / (Math.sqrt(3) * 460 * 0.75)) * factor;
          const solution = run(
            kept(motor(hp, amps, rpm, { serviceFactor }), {
              starting: { method: method as 'direct', leads: '12' },
              place: { ambient },
            }),
            catalogue,
          );
          const dial = number(solution, 'protection.overloadDial');
          const relay = solution.details.starter?.parts.find(({ part }) => part.kind === 'overload relay')?.part;
          if (relay) {
            starters++;
            expect(dial).toBeGreaterThanOrEqual(relay.currentMin * 0.999);
            expect(dial).toBeLessThanOrEqual(relay.currentMax * 1.001);
          }
          if (solution.values['protection.conductorAmpacity'])
            expect(number(solution, 'protection.conductorAmpacity')).toBeGreaterThanOrEqual(
              1.25 * number(solution, 'protection.wireCurrent') - 1e-6,
            );
          const breaker = /breaker (\d+) A/.exec(text(solution, 'protection.branchDevice') ?? '')?.[1];
          if (breaker) expect(Number(breaker)).toBeLessThanOrEqual(number(solution, 'protection.branchDeviceMax'));
        },
      ),
      { numRuns: 80 },
    );
    expect(starters).toBeGreaterThan(40);
  });
});

describe('money', () => {
  const bought = (kind: 'new' | 'drive', more: JobInput = {}): JobInput => ({
    situation: { kind },
    ...(kind === 'new' ? {} : { nameplate: motor(30, 35.5, 1770, { efficiency: '93.6 %' }) }),
    load: { machine: 'pump', torqueKind: 'variable', torque: '80 lb·ft', speed: '1770', inertia: '3 lb·ft²' },
    supply: { voltage: '480', frequency: '60', sourcePower: '2000 kVA', sourceImpedance: '5 %' },
    place: { cabinet: true },
    profile: { control: 'throttle', points: [{ flow: '60 %', hours: '6000' }] },
    starting: { speedControl: 'yes' },
    money: { energyPrice: '0.1 per kWh' },
    ...more,
  });
  const drivePrice = (solution: Solution) => 1.6 * (solution.details.chosenDrive?.item.price ?? NaN);
  it('a starter that is there is paid for; a new machine is credited the starter it would really need', () => {
    const old = run(bought('drive'), catalogue);
    expect(number(old, 'money.extraCapital')).toBeCloseTo(drivePrice(old), 6);
    const fresh = run(bought('new'), catalogue);
    const credit = drivePrice(fresh) - number(fresh, 'money.extraCapital');
    expect(credit).toBeGreaterThan(50);
    // A supply that only a soft start respects: the soft starter is credited, not the direct one.
    const weak = run(
      bought('new', { supply: { voltage: '480', frequency: '60', startCurrentLimit: '150 A' } }),
      catalogue,
    );
    expect(weak.details.starting.find(({ passes, method }) => passes && method !== 'drive')?.method).toBe(
      'soft starter',
    );
    expect(drivePrice(weak) - number(weak, 'money.extraCapital')).toBeGreaterThan(2 * credit);
  });
  it('an autotransformer has its price, and a missing part is a finding, never zero', () => {
    const auto = run({ ...bought('new'), starting: { speedControl: 'no', method: 'autotransformer' } }, catalogue);
    expect(auto.details.starter?.parts.some(({ part }) => part.kind === 'autotransformer' && part.price > 0)).toBe(
      true,
    );
    const bare = { ...catalogue, parts: catalogue.parts.filter(({ kind }) => kind !== 'contactor') };
    const solution = run(bought('new'), bare);
    expect(solution.values['money.extraCapital']).toBeUndefined();
    expect(finding(solution, 'money.part-missing')?.message).toContain('Contactor');
  });
  it('prices of two currencies stop without a typed rate, and are reconciled by one', () => {
    const euro = run(bought('drive', { currency: 'EUR' }), catalogue);
    expect(finding(euro, 'money.currency')).toMatchObject({ severity: 'stop', field: 'money.exchangeRate' });
    expect(euro.values['money.extraCapital']).toBeUndefined();
    const rated = run(
      bought('drive', { currency: 'EUR', money: { energyPrice: '0.1 per kWh', exchangeRate: '0.5' } }),
      catalogue,
    );
    expect(finding(rated, 'money.currency')).toBeUndefined();
    expect(number(rated, 'money.extraCapital')).toBeCloseTo(drivePrice(rated) / 2, 6);
    expect(rated.details.pricing).toEqual({ factor: 0.5, currency: 'EUR' });
  });
  it('motors are ranked by their cost at the profile’s load points, hand-worked for the first', () => {
    const direct = bought('new', { starting: { speedControl: 'no' } });
    const fits = run(direct, catalogue).details.motors?.fits ?? [];
    const [first] = fits;
    if (!first) throw new Error('nothing fits');
    const shaft = ((80 * 1.355818 * 1770 * Math.PI) / 30) * throttled(0.6);
    const lost = inputOnLine(first.item, shaft, 0.35) - shaft;
    expect(first.lifeCost).toBeCloseTo(first.item.price + (lost / 1000) * 6000 * 10 * 0.1, 3);
    // Half the hours leave half the loss.
    const fewer = run(
      { ...direct, profile: { control: 'throttle', points: [{ flow: '60 %', hours: '3000' }] } },
      catalogue,
    ).details.motors?.fits.find(({ item }) => item.id === first.item.id);
    expect((first.lifeCost - first.item.price) / ((fewer?.lifeCost ?? NaN) - first.item.price)).toBeCloseTo(2, 6);
  });
});

describe('where a figure comes from', () => {
  it('what was worked out or guessed is not called given by the plate', () => {
    const silent = { ...motor(30, 0, 1770, { efficiency: '93.6 %', powerFactor: '0.84' }), currents: undefined };
    const solution = run(kept(silent));
    expect(solution.values['pick.motorCurrent']?.origin).toBe('derived');
    expect(solution.values['pick.motorCurrent']?.working.source).not.toBe('plate');
    expect(run(kept(motor(30, 36, 1770))).values['pick.motorCurrent']?.origin).toBe('given');
    const one = run(kept(motor(30, 36, 1770, { serviceFactor: '' })));
    expect(one.values['protection.overloadCurrent']?.working.inputs.find(({ symbol }) => symbol === 'SF')?.origin).toBe(
      'estimated',
    );
  });
  it('every value of random jobs has a source, and a formula where it was derived', () => {
    const kinds = fc.constantFrom('replace', 'new', 'drive', 'starter', 'energy');
    fc.assert(
      fc.property(
        kinds,
        fc.boolean(),
        fc.boolean(),
        fc.constantFrom('0.1 per kWh', ''),
        (kind, plated, loaded, energyPrice) => {
          const solution = run(
            {
              ...kept(plated ? motor(30, 36, 1770) : {}),
              situation: { kind },
              ...(loaded ? {} : { load: {} }),
              money: { energyPrice },
              profile: { points: [{ flow: '80 %', hours: '3000' }], control: 'throttle' },
              starting: {},
            },
            catalogue,
          );
          for (const [id, { origin, working }] of Object.entries(solution.values)) {
            expect(working.source, id).not.toBe('');
            if (origin === 'given') expect(working.source, id).toMatch(/typed|plate|chosen|set|as/i);
          }
        },
      ),
      { numRuns: 60 },
    );
  });
  it('the sheet says its engine and its catalogue', () => {
    const job = emptyJob(kept(motor(30, 36, 1770)));
    const sheet = selectionSheet(job, solve(job, catalogue));
    expect([sheet.engine, sheet.catalogue]).toEqual([expect.stringMatching(/^pilgrim \d/), catalogue.name]);
  });
  it('what can be counted is whole, on the safe side: starts borne down, starts of a cycle up', () => {
    const cycle = run(
      kept(motor(30, 36, 1770), {
        load: {
          way: 'duty',
          torqueKind: 'constant',
          speed: '1770',
          inertia: '20 lb·ft²',
          duty: [
            { torque: '60 lb·ft', time: '300 s' },
            { torque: '', time: '200 s', standing: true },
          ],
        },
      }),
    );
    // 3600 / 500 = 7.2 starts an hour.
    expect(number(cycle, 'load.startsPerHour')).toBe(8);
    expect(Number.isInteger(number(cycle, 'starting.startsPerHour'))).toBe(true);
  });
});
