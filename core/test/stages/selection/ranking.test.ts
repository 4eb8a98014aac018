// Ranking of motors and drives and the parts of a starter, by lists short enough to rank in the head. Derates, shares of a
// star-delta start (1/√3 and 1/3) and the heat of an overload (multiple squared times time) are sums on paper.
import { describe, expect, it } from 'vitest';
import { emptyJob, solve, type Catalogue, type JobInput, type MotorItem, type Solution } from '../../../src/index.ts';
import type { DriveItem, StarterPart } from '../../../src/catalogue/catalogue.ts';
import { overloadDuration, overloadViolation, overloadOf } from '../../../src/catalogue/drive-duty.ts';
import { buildStarter, type StarterNeed } from '../../../src/stages/selection/build-starter.ts';
import { currentAtTorque } from '../../../src/stages/selection/drive-events.ts';
import { connectableVoltage, refusals, type MotorNeed } from '../../../src/stages/selection/motor-rules.ts';
import { motorOf } from '../../../src/stages/selection/selected-motor.ts';
import { deratedCurrent, rankDrives, type DriveNeed } from '../../../src/stages/selection/rank-drives.ts';
import { rankMotors } from '../../../src/stages/selection/rank-motors.ts';
import { catalogue, fan } from '../../lib/round-prices.ts';
import { inWords } from '../../lib/words.ts';

const HP = 745.6999;
const [motor] = catalogue.motors as [MotorItem];
const [drive] = catalogue.drives as [DriveItem];

describe('a drive by its current', () => {
  const requirement: DriveNeed = {
    school: 'NEMA',
    current: 30,
    inputShare: 1,
    systemVoltage: 480,
    duty: 'normal',
    ambient: 313.15,
    altitude: 1000,
    housing: 'IP20',
    motorPower: 25 * HP,
    events: [],
  };
  const rank = (more: Partial<DriveNeed>, items: readonly DriveItem[] = [drive]) =>
    rankDrives(items, { ...requirement, ...more });
  const rule = (more: Partial<DriveNeed>, item: Partial<DriveItem> = {}) =>
    rank(more, [{ ...drive, ...item }]).refused[0]?.rule;

  it.each([
    ['as rated: 40 A normal, 34 A heavy', {}, 40, 34],
    ['10 K hotter, 1 % a kelvin', { ambient: 323.15 }, 36, 30.6],
    ['cooler and lower gives no more', { ambient: 283.15, altitude: 0 }, 40, 34],
    ['2000 m: ten times 1 % for each 100 m above 1000', { altitude: 2000 }, 36, 30.6],
    ['both', { ambient: 323.15, altitude: 2000 }, 32.4, 27.54],
    ['half on a single phase', { inputShare: 0.5 }, 20, 17],
    ['above its hottest place nothing', { ambient: 323.16 }, 0, 0],
    ['so high that nothing is left, never less', { altitude: 20_000 }, 0, 0],
  ])('%s', (_, place, normal, heavy) => {
    expect(deratedCurrent(drive, { ...requirement, ...place, duty: 'normal' })).toBeCloseTo(normal, 9);
    expect(deratedCurrent(drive, { ...requirement, ...place, duty: 'heavy' })).toBeCloseTo(heavy, 9);
  });

  it('says by what it is not listed and how fast it switches', () => {
    const reason = (more: Partial<DriveNeed>, item: Partial<DriveItem>) =>
      inWords(rank(more, [{ ...drive, ...item }]).refused[0]?.reason);
    expect(reason({}, { listed: ['IEC'] })).toBe('not listed by NEMA standards');
    expect(reason({ carrier: 12_000 }, { carrierMost: 8000 })).toMatch(/^switches at 8\skHz at most$/);
  });

  it.each<[string, Partial<DriveNeed>, Partial<DriveItem>, string | undefined]>([
    ['2 % below its least voltage', { systemVoltage: 373 }, {}, undefined],
    ['more than that', { systemVoltage: 372 }, {}, 'voltage'],
    ['2 % above its most', { systemVoltage: 510 }, {}, undefined],
    ['more', { systemVoltage: 511 }, {}, 'voltage'],
    ['a closed place', { housing: 'IP55' }, {}, 'housing'],
    ['a housing more closed than asked', { housing: 'IP55' }, { housing: 'IP66' }, undefined],
    ['a place too hot', { ambient: 330 }, {}, 'ambient'],
    ['40 A for 40 A', { current: 40 }, {}, undefined],
    ['40 A for 40.1 A', { current: 40.1 }, {}, 'current'],
    ['two and a half times what is needed', { current: 16 }, {}, undefined],
    ['more than that', { current: 15.9 }, {}, 'oversized'],
    [
      '… but for what is asked a short time',
      { current: 15.9, events: [{ name: 'a peak', current: 44, time: 5 }] },
      {},
      undefined,
    ],
    ['110 % for a minute', { events: [{ name: 'a peak', current: 44, time: 60 }] }, {}, undefined],
    ['… for longer', { events: [{ name: 'a peak', current: 44, time: 61 }] }, {}, 'overload'],
    ['listed by the standards of the school', {}, { listed: ['IEC', 'NEMA'] }, undefined],
    ['listed by others only', {}, { listed: ['IEC'] }, 'listing'],
    ['as fast as it switches', { carrier: 8000 }, { carrierMost: 8000 }, undefined],
    ['a carrier above its highest', { carrier: 8100 }, { carrierMost: 8000 }, 'carrier'],
    ['more than 110 %', { events: [{ name: 'a peak', current: 44.1, time: 1 }] }, {}, 'overload'],
  ])('%s', (_, asked, item, expected) => {
    expect(rule(asked, item)).toBe(expected);
  });

  it('the cheapest that fits first; of the others the nearest miss', () => {
    const list = [
      { ...drive, id: 'dear', price: 3000 },
      { ...drive, id: 'cheap', price: 1000 },
      { ...drive, id: 'open', housing: 'IP20' as const, normalCurrent: 500, voltageMin: 600, voltageMax: 700 },
      { ...drive, id: 'far', normalCurrent: 10 },
      { ...drive, id: 'near', normalCurrent: 29 },
    ];
    const { fits, refused } = rank({}, list);
    expect(fits.map(({ item, used }) => [item.id, used])).toEqual([
      ['cheap', 0.75],
      ['dear', 0.75],
    ]);
    expect(refused.map(({ id }) => id)).toEqual(['near', 'far', 'open']);
    expect(inWords(refused[0]?.reason)).toMatch(/^29(\.0)?\s*A after derates, 30(\.0)?\s*A needed$/);
  });

  it('what matching by power would take: the smallest power that covers it, the cheaper of two, and how that ends', () => {
    const list = [
      { ...drive, id: 'large', normalPower: 40 * HP, price: 10 },
      { ...drive, id: 'dear', price: 3000 },
      { ...drive, id: 'match', price: 1500 },
      { ...drive, id: 'small', normalPower: 20 * HP },
      { ...drive, id: 'other', voltageMin: 600, voltageMax: 700, price: 1 },
      { ...drive, id: 'low', voltageMin: 200, voltageMax: 240, price: 1 },
    ];
    const by = (more: Partial<DriveNeed>) => {
      const found = rank(more, list).byPower;
      return [found?.item.id, found?.verdict];
    };
    expect(by({})).toEqual(['match', 'same']);
    expect(by({ current: 40 })).toEqual(['match', 'same']);
    expect(by({ current: 41 })).toEqual(['match', 'short']);
    expect(by({ current: 28 })).toEqual(['match', 'wasteful']);
    expect(by({ current: 29 })).toEqual(['match', 'same']);
    expect(by({ motorPower: 25.4 * HP })).toEqual(['match', 'same']);
    expect(by({ motorPower: 26 * HP })).toEqual(['large', 'same']);
    expect(by({ motorPower: 99 * HP })).toEqual([undefined, undefined]);
    expect(by({ duty: 'heavy', motorPower: 20 * HP })).toEqual(['large', 'same']);
    expect(by({ housing: 'IP55' })).toEqual([undefined, undefined]);
    expect(by({ systemVoltage: 392 })).toEqual(['match', 'same']);
    expect(by({ systemVoltage: 510 })).toEqual(['match', 'same']);
  });
});

describe('what a drive bears for a short time', () => {
  const overload = overloadOf({ ...drive, peakOverload: 1.5, peakTime: 3 }, 'normal');

  it('is its own figure, else 110 % or 150 % for a minute in ten', () => {
    expect(overloadOf(drive, 'normal')).toEqual({ multiple: 1.1, seconds: 60, repeat: 600, peak: undefined });
    expect(overloadOf(drive, 'heavy').multiple).toBe(1.5);
    const own = { ...drive, normalOverload: 1.2, heavyOverload: 1.6, overloadTime: 30, overloadRepeat: 300 };
    expect(overloadOf(own, 'normal')).toMatchObject({ multiple: 1.2, seconds: 30, repeat: 300 });
    expect(overloadOf(own, 'heavy').multiple).toBe(1.6);
    expect(overloadOf({ ...drive, peakOverload: 1.5 }, 'normal').peak).toBeUndefined();
  });
  it('lasts by its heat: half the excess of the squares, twice the time', () => {
    expect(overloadDuration(overload, 1)).toBe(Infinity);
    expect(overloadDuration(overload, 1.1)).toBeCloseTo(60, 9);
    expect(overloadDuration(overload, Math.sqrt(1.105))).toBeCloseTo(120, 9);
    expect(overloadDuration(overload, 1.4)).toBe(3);
    expect(overloadDuration(overload, 1.51)).toBe(0);
  });
  it('says what it does not bear', () => {
    const borne = (current: number, time: number, every?: number) =>
      overloadViolation({ name: 'the peak', current, time, every }, 100, 90, overload);
    expect(borne(100, 1e6)).toBeUndefined();
    expect(borne(140, 3)).toBeUndefined();
    expect(borne(140, 4)).toBe('the peak asks for 140 % of its current for 4.0 s, it bears that 3.0 s');
    expect(borne(160, 1)).toBe('the peak asks for 160 % of its current, it gives 150 % at most');
    // (1.1²·60 + 0.9²·60)/120 = 1.01, every two minutes; every three it is 0.943.
    expect(borne(110, 60, 120)).toBe('the peak comes so often that its mean heat is 101 % of what it bears');
    expect(borne(110, 60, 180)).toBeUndefined();
  });
});

describe('a motor by its rules', () => {
  const requirement: MotorNeed = {
    school: 'NEMA',
    power: 25 * HP,
    poles: 4,
    frequency: 60,
    motorVoltage: 460,
    systemVoltage: 480,
    enclosures: ['TEFC'],
    frame: undefined,
    inverterDuty: false,
    belted: false,
    serviceFactor: 1,
  };
  it.each<[string, Partial<MotorNeed>, Partial<MotorItem>, string[]]>([
    ['as asked', {}, {}, []],
    ['another frequency, and nothing else is looked at', { poles: 2 }, { frequency: 50 }, ['frequency']],
    ['another school', {}, { school: 'IEC' }, ['frequency']],
    ['another size', { poles: 2 }, { power: 30 * HP }, ['power']],
    [
      'every rule it breaks, in the order of the trade',
      { poles: 2, enclosures: ['ODP'], serviceFactor: 1.2 },
      {},
      ['poles', 'enclosure', 'service factor'],
    ],
    ['its service factor is what is asked', { serviceFactor: 1.15 }, {}, []],
    ['a short shaft and a belt', { belted: true }, { frame: '284TS' }, ['shaft']],
    ['a short shaft without one', {}, { frame: '284TS' }, []],
    ['no inverter duty', { inverterDuty: true }, { inverterDuty: false }, ['inverter duty']],
    ['no winding for the voltage', {}, { voltages: [575] }, ['voltage']],
  ])('%s', (_, asked, item, expected) => {
    expect(refusals({ ...motor, ...item }, { ...requirement, ...asked }).map(({ rule }) => rule)).toEqual(expected);
  });

  it('the winding is that of the motor’s voltage, else that of the system, within 5 %', () => {
    const winding = (voltages: number[], motorVoltage = 460, systemVoltage = 480) =>
      connectableVoltage({ ...motor, voltages }, { motorVoltage, systemVoltage });
    expect([winding([480, 460]), winding([230, 480]), winding([437]), winding([438]), winding([230])]).toEqual([
      0, 1, -1, 0, -1,
    ]);
    expect(winding([230, 500], 240)).toBe(0);
    expect(winding([500], 240)).toBe(0);
  });

  const variants = (...more: Partial<MotorItem>[]) =>
    more.map((each, at) => ({ ...motor, id: String(at), inverterDuty: false, ...each }));
  const order = (
    items: MotorItem[],
    prefer: 'life cost' | 'first cost' | 'availability',
    running?: Parameters<typeof rankMotors>[2],
  ) => rankMotors(items, requirement, running, prefer).fits.map(({ item }) => item.id);

  it('is ordered by what is preferred: days before price, price, or the losses of its life', () => {
    const items = variants(
      { price: 100, leadDays: 9, efficiencyMinimum: 0.9 },
      { price: 300, leadDays: 2, efficiencyMinimum: 0.93 },
      { price: 200, leadDays: 2, efficiencyMinimum: 0.92 },
    );
    expect(order(items, 'first cost')).toEqual(['0', '2', '1']);
    expect(order(items, 'availability')).toEqual(['2', '1', '0']);
    // Without hours the least loss stands for the least life cost.
    expect(order(items, 'life cost')).toEqual(['1', '2', '0']);
    const [, , reasons] = rankMotors(items, requirement, undefined, 'first cost').fits.map((each) =>
      each.reasons.map((reason) => inWords(reason)),
    );
    expect(reasons).toEqual(['soonest here', 'least loss']);
  });

  it('its life cost is its price and what its losses cost: 18.64 kW full, 1 − 1/η, and half the load on a drive', () => {
    const running = {
      points: [
        { shaftPower: 25 * HP, seconds: 1000 * 3600, speed: undefined },
        { shaftPower: 0, seconds: 1e9, speed: undefined },
      ],
      fixedShare: 0.35,
      energyPrice: 0.1 / 3.6e6,
    };
    const [one] = rankMotors(variants({}), requirement, running, 'life cost').fits;
    expect(one?.lifeCost).toBeCloseTo(1000 + ((25 * HP) / 1000) * (1 / 0.924 - 1) * 1000 * 0.1, 6);
    const half = { ...running, points: [{ shaftPower: 12.5 * HP, seconds: 1000 * 3600, speed: 0.8 }] };
    const loss = 25 * HP * (1 / 0.924 - 1) * 1.15 * (0.35 * 0.8 ** 1.5 + 0.65 * (0.5 / 0.8) ** 2);
    expect(rankMotors(variants({}), requirement, half, 'life cost').fits[0]?.lifeCost).toBeCloseTo(
      1000 + loss * 0.1,
      6,
    );
    // Never by a guaranteed efficiency above the nominal one.
    expect(
      rankMotors(variants({ efficiencyMinimum: 0.99 }), requirement, running, 'life cost').fits[0]?.lifeCost,
    ).toBeCloseTo(1000 + 25 * HP * (1 / 0.936 - 1) * 0.1, 6);
  });

  it('says what speaks for each: its merits, else how much dearer it is, else that it fits', () => {
    const items = variants(
      { price: 900, leadDays: 2, efficiencyMinimum: 0.93 },
      { price: 1000, leadDays: 5, efficiencyMinimum: 0.92 },
      { price: 1001, leadDays: 5, efficiencyMinimum: 0.92, inverterDuty: true },
    );
    const running = { points: [], fixedShare: 0.35, energyPrice: 0 };
    const reasons = (withLife: boolean) =>
      rankMotors(items, requirement, withLife ? running : undefined, 'first cost').fits.map((each) =>
        each.reasons.map((reason) => inWords(reason)),
      );
    expect(reasons(true)).toEqual([
      ['least life cost', 'least first cost', 'soonest here', 'least loss'],
      ['100 dearer over its life than the first'],
      ['inverter duty'],
    ]);
    expect(reasons(false)).toEqual([
      ['least first cost', 'soonest here', 'least loss'],
      ['fits every rule'],
      ['inverter duty'],
    ]);
  });

  it('counts those of another size or frequency and names those that miss, fewest misses first', () => {
    const items = variants(
      { poles: 2, enclosure: 'ODP' },
      { poles: 6 },
      { power: 30 * HP },
      { power: 40 * HP },
      { frequency: 50 },
    );
    const { refused, others, fits } = rankMotors(items, requirement, undefined, 'life cost');
    expect(fits).toEqual([]);
    expect(refused.map(({ id, rule }) => [id, rule])).toEqual([
      ['1', 'poles'],
      ['0', 'poles'],
    ]);
    expect(others.map(({ reason, count }) => ({ reason: inWords(reason), count }))).toEqual([
      { reason: 'of another rating than 25 hp', count: 2 },
      { reason: 'made for 50 Hz, NEMA', count: 1 },
    ]);
  });
});

describe('a picked motor as one that runs', () => {
  const ranked = (item: Partial<MotorItem>, voltage: number) => {
    const whole = { ...motor, ...item };
    return motorOf({
      item: whole,
      voltage,
      current: whole.currents[whole.voltages.indexOf(voltage)] ?? 0,
      lifeCost: 0,
      reasons: [],
    });
  };
  it('has the locked-rotor current of the winding it is connected by, seven times its current where none is listed', () => {
    expect(ranked({}, 460)).toMatchObject({
      kind: 'picked',
      current: 30,
      lockedRotorCurrent: 180,
      lockedRotorCurrentLeast: 180,
    });
    expect(ranked({ lockedRotorCurrents: [] }, 460).lockedRotorCurrent).toBe(210);
    const dual = { voltages: [230, 460], currents: [60, 30], lockedRotorCurrents: [360, 180] };
    expect(ranked(dual, 230).lockedRotorCurrent).toBe(360);
  });
  it('of a range has the winding of the voltage just above, and none of its own elsewhere', () => {
    const range = { voltages: [208, 230, 460], currents: [66, 60, 30], lockedRotorCurrents: [330, 360, 180] };
    expect(ranked(range, 208).winding).toEqual({
      voltage: 230,
      current: 60,
      lockedRotorCurrent: 360,
      lockedRotorCurrentLeast: 360,
    });
    expect(ranked(range, 230).winding).toBeUndefined();
    expect(ranked(range, 460).winding).toBeUndefined();
    expect(ranked({ voltages: [200, 230], currents: [69, 60] }, 200).winding).toBeUndefined();
  });
  it('star-delta is proven where its windings show it', () => {
    expect(ranked({ voltages: [400, 690], currents: [34, 20], school: 'IEC' }, 400).starDeltaProven).toBe(true);
    expect(ranked({}, 460).starDeltaProven).toBe(false);
  });
  it('takes √(I_m² + (I_a T/T_n)²), above base speed with less flux', () => {
    const runs = ranked({}, 460);
    const rated = runs.power / runs.speed;
    const magnetising = 30 * Math.sqrt(1 - 0.83 ** 2);
    const active = 30 * 0.83;
    expect(currentAtTorque(runs, undefined, rated)).toBeCloseTo(30, 9);
    expect(currentAtTorque(runs, undefined, 0)).toBeCloseTo(magnetising, 9);
    expect(currentAtTorque(runs, undefined, 1.5 * rated)).toBeCloseTo(Math.hypot(magnetising, 1.5 * active), 9);
    expect(currentAtTorque(runs, undefined, rated, 0.8)).toBeCloseTo(Math.hypot(0.8 * magnetising, active / 0.8), 9);
    const range = ranked({ voltages: [208, 230], currents: [66, 60], lockedRotorCurrents: [330, 360] }, 208);
    expect(currentAtTorque(range, undefined, rated)).toBeCloseTo(66, 9);
  });
});

describe('the parts of a starter', () => {
  const part = (
    id: string,
    kind: StarterPart['kind'],
    currentMax: number,
    more: Partial<StarterPart> = {},
  ): StarterPart => ({
    kind,
    id,
    maker: 'Made up',
    series: 'P',
    name: id,
    price: currentMax,
    leadDays: 1,
    voltageMax: 600,
    currentMin: 0,
    currentMax,
    ...more,
  });
  const items = [10, 18, 31, 60, 120].flatMap((amperes) => [
    part(`K${amperes}`, 'contactor', amperes),
    part(`F${amperes}`, 'overload relay', amperes, { currentMin: amperes * 0.6 }),
    part(`S${amperes}`, 'soft starter', amperes),
    part(`A${amperes}`, 'autotransformer', amperes),
  ]);
  const built = (method: StarterNeed['method'], more: Partial<StarterNeed> = {}, from = items) =>
    buildStarter(from, { school: 'NEMA', method, current: 30, dial: 28, voltage: 480, ...more });
  const names = (starter: ReturnType<typeof built>) => starter.parts.map(({ role, part: { id } }) => `${role}: ${id}`);

  it.each<[StarterNeed['method'], Partial<StarterNeed>, string[]]>([
    ['direct', {}, ['Contactor, AC-3: K31', 'Overload relay: F31']],
    ['direct', { ac4: true }, ['Contactor, AC-3: K60', 'Overload relay: F31']],
    [
      'direct',
      { reversing: true },
      ['Contactor, AC-3: K31', 'Overload relay: F31', 'Reversing contactor, interlocked: K31'],
    ],
    // 30/√3 = 17.3, 30/3 = 10, 28/√3 = 16.2 A.
    [
      'star-delta',
      {},
      [
        'Line contactor, AC-3: K18',
        'Delta contactor, AC-3: K18',
        'Star contactor, AC-3: K10',
        'Overload relay in the phase: F18',
      ],
    ],
    [
      'autotransformer',
      {},
      [
        'Autotransformer with taps: A31',
        'Line contactor, AC-3: K31',
        'Tap contactor, AC-3: K31',
        'Star-point contactor, AC-3: K18',
        'Overload relay: F31',
      ],
    ],
    [
      'soft starter',
      {},
      ['Soft starter: S31', 'Isolating contactor: K31', 'Bypass contactor for running: K31', 'Overload relay: F31'],
    ],
  ])('%s %o', (method, more, expected) => {
    expect(names(built(method, more))).toEqual(expected);
  });
  it('costs the sum, and says what the list lacks, with its current', () => {
    expect(built('direct').price).toBe(62);
    const short = built('direct', {}, [
      part('K31', 'contactor', 31, { voltageMax: 400 }),
      part('F', 'overload relay', 90, { currentMin: 29 }),
    ]);
    expect(short.parts).toEqual([]);
    expect(short.lacking.map((each) => inWords(each)).join(' · ')).toMatch(
      /^Contactor, AC-3 for 30(\.0)?\s*A · Overload relay for 28(\.0)?\s*A$/,
    );
    expect(names(built('direct', {}, [part('K', 'contactor', 31, { voltageMax: 480 }), ...items.slice(4)]))[0]).toBe(
      'Contactor, AC-3: K',
    );
  });
});

describe('the pick of a job', () => {
  const run = (input: JobInput, from: Catalogue = catalogue): Solution => solve(emptyJob({ ...fan, ...input }), from);
  const message = (solution: Solution, code: string) =>
    solution.findings.find((each) => each.code === `pick.${code}`)?.message ?? '';
  const driven: JobInput = { options: { A: { starting: { method: 'drive' } } } };

  it('a drive that was chosen by hand is taken, refused with its reason, or not known', () => {
    const chosen = (id: string, more: Partial<DriveItem> = {}) =>
      run(
        { options: { A: { starting: { method: 'drive' }, pick: { drive: id } } } },
        {
          ...catalogue,
          drives: [
            { ...drive, price: 9000, id: 'other' },
            { ...drive, ...more },
          ],
        },
      );
    expect(chosen('d').details.chosenDrive?.item.id).toBe('d');
    expect(chosen('d', { normalCurrent: 9, heavyCurrent: 9 }).details.chosenDrive).toBeUndefined();
    expect(message(chosen('d', { normalCurrent: 9, heavyCurrent: 9 }), 'drive-refused')).toMatch(
      /^D 25 does not fit: 9/,
    );
    expect(message(chosen('none'), 'drive-refused')).toBe('Drive “none” is not in the catalogue.');
  });
  it('beyond full flow the drive is chosen by the current there', () => {
    const at = (points: { flow: string; hours: string }[]) =>
      run(
        { ...driven, profile: { control: 'damper', points } },
        {
          ...catalogue,
          drives: [{ ...drive, normalCurrent: 31.5 }],
        },
      ).details.chosenDrive;
    expect(at([{ flow: '100 %', hours: '100 h' }])).toBeDefined();
    expect(
      at([
        { flow: '119 %', hours: '0 h' },
        { flow: '100 %', hours: '100 h' },
      ]),
    ).toBeDefined();
    expect(at([{ flow: '119 %', hours: '100 h' }])).toBeUndefined();
  });
  it('the current of a drive says its duty and what it is fed by', () => {
    const note = (supply: JobInput['supply'], torqueKind: 'variable' | 'constant') =>
      run(
        { ...driven, supply: { ...fan.supply, ...supply }, load: { ...fan.load, torqueKind } },
        {
          ...catalogue,
          drives: [{ ...drive, normalCurrent: 70, heavyCurrent: 66 }],
        },
      ).values['pick.driveCurrent']?.working.note;
    expect(note({}, 'variable')).toBe('Continuous at normal duty, after ambient and altitude.');
    expect(note({ phases: '1' }, 'constant')).toBe(
      'Continuous at heavy duty, after ambient and altitude and single-phase input.',
    );
  });
  it('the starter is named by its parts, the present one kept by its way to start', () => {
    expect(run({ options: { A: { starting: { method: 'direct' } } } }).values['pick.starter']?.value).toBe('K + F');
    expect(run({ options: { A: { starting: { method: 'direct' } } } }).stages.pick.summary).toBe('M 25 + starter');
    expect(run(driven).stages.pick.summary).toBe('M 25 + D 25');
    expect(
      run({ options: { A: { starting: { method: 'direct' } } } }, { ...catalogue, parts: [] }).stages.pick.summary,
    ).toBe('M 25');
  });
});
