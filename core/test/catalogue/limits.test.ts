/**
 * What a catalogue may hold: each limit at its last good and its first bad value. The limits are this project’s, wide enough for
 * anything on the market and narrow enough to catch a figure in the wrong unit (common practice, no published source).
 */
import { describe, expect, it } from 'vitest';
import { catalogueSchema, emptyCatalogue, isDrivePart, searched, type Item } from '../../src/catalogue/catalogue.ts';
import { coordinatedCombinationSchema } from '../../src/catalogue/coordinated-combination.ts';
import { driveItemSchema } from '../../src/catalogue/drive-item.ts';
import { drivePartSchema } from '../../src/catalogue/drive-part.ts';
import { motorItemSchema } from '../../src/catalogue/motor-item.ts';
import { sizeGroups } from '../../src/catalogue/size-groups.ts';
import { starterPartSchema } from '../../src/catalogue/starter-part.ts';

const common = { id: 'x', maker: 'Invented', series: 'S', name: 'Item', price: 100, leadDays: 3 };
const motor = {
  ...common,
  kind: 'motor' as const,
  school: 'IEC' as const,
  power: 11_000,
  poles: 4,
  frequency: 50,
  voltages: [400],
  currents: [21],
  speed: 153,
  efficiency: 0.914,
  efficiencyMinimum: 0.9,
  efficiencyClass: 'IE3',
  powerFactor: 0.85,
  serviceFactor: 1,
  codeLetter: '',
  designLetter: 'N',
  lockedRotorCurrents: [150],
  lockedRotorTorque: 2.2,
  breakdownTorque: 2.8,
  frame: '160M',
  enclosure: 'TEFC' as const,
  thermalClass: 'F',
  inverterDuty: true,
};
const drive = {
  ...common,
  kind: 'drive' as const,
  voltageMin: 380,
  voltageMax: 480,
  normalCurrent: 25,
  heavyCurrent: 21,
  normalPower: 11_000,
  heavyPower: 9200,
  inputCurrent: 26,
  housing: 'IP20' as const,
  ratedAmbient: 313.15,
  maximumAmbient: 323.15,
  deratePerKelvin: 0.02,
  deratePer100m: 0.01,
};
const contactor = { ...common, kind: 'contactor' as const, voltageMax: 690, currentMin: 0, currentMax: 32 };
const filter = { ...common, kind: 'dV/dt filter' as const, voltageMax: 500, currentMax: 40 };
const pair = { device: 'Fuses gG 63 A', contactor: 'c-32', coordination: 'type 2', current: 50_000, voltage: 400 };
const code = { multiple: 3.5, seconds: 15, startsPerHour: 10 };
const band = { voltageMax: 600, normalCurrent: 20, heavyCurrent: 18 };

const long = (letters: number): string => 'x'.repeat(letters);
const TINY = 1e-12;
type Case = readonly [field: string, good: readonly unknown[], bad: readonly unknown[]];
/** Positive up to a limit. */
const upTo = (field: string, most: number): Case => [field, [TINY, most], [0, -1, most * 1.000001, '1']];
const positive = (field: string): Case => [field, [TINY, 1e9], [0, -1, Number.NaN, Infinity]];
const text = (field: string, most: number, least = 0): Case => [
  field,
  [long(least), long(most)],
  [long(most + 1), 7, ...(least > 0 ? [''] : [])],
];
const commonCases: readonly Case[] = [
  text('id', 40, 1),
  text('maker', 80),
  text('series', 80),
  text('name', 160),
  ['price', [0, 1e7], [-0.01]],
  ['leadDays', [0, 400], [-1, 0.5]],
  ['colour', [], ['red']],
];

describe.each([
  [
    'a motor',
    motorItemSchema,
    motor,
    [
      ['kind', ['motor'], ['drive']],
      ['school', ['NEMA', 'IEC'], ['JIS']],
      ['power', [TINY], [0, -1]],
      ['poles', [2, 12], [0, -2, 2.5]],
      positive('frequency'),
      ['voltages', [[230, 400]], [[], [0], [-400]]],
      ['currents', [[21, 12]], [[], [0], [-1]]],
      positive('speed'),
      ['efficiency', [0.001, 0.999], [0, 1, 91.4]],
      ['efficiencyMinimum', [0.001, 0.999], [0, 1]],
      text('efficiencyClass', 40),
      ['powerFactor', [0.001, 1], [0, 1.001]],
      ['serviceFactor', [1, 1.25], [0.99]],
      text('codeLetter', 2),
      text('designLetter', 3),
      ['lockedRotorCurrents', [[150, 90]], [[], [0]]],
      positive('lockedRotorTorque'),
      positive('breakdownTorque'),
      text('frame', 20),
      ['enclosure', ['ODP', 'TEFC', 'washdown'], ['open']],
      text('thermalClass', 2),
      ['inverterDuty', [true, false], ['yes']],
    ],
  ],
  [
    'a drive',
    driveItemSchema,
    drive,
    [
      ['kind', ['drive'], ['motor']],
      ...['voltageMin', 'voltageMax', 'normalCurrent', 'heavyCurrent', 'normalPower', 'heavyPower', 'inputCurrent'].map(
        positive,
      ),
      ['normalOverload', [1, 3], [0.99, 3.01]],
      ['heavyOverload', [1, 3], [0.99, 3.01]],
      upTo('overloadTime', 600),
      upTo('overloadRepeat', 7200),
      ['peakOverload', [1, 4], [0.99, 4.01]],
      upTo('peakTime', 30),
      ['housing', ['IP20', 'IP55', 'IP66'], ['IP54']],
      ['ratedAmbient', [-10], ['40']],
      ['maximumAmbient', [-10], ['40']],
      ['deratePerKelvin', [0], [-0.01]],
      ['deratePer100m', [0], [-0.01]],
      [
        'bands',
        [[], [band, band, band, band]],
        [
          [band, band, band, band, band],
          [{ ...band, voltageMax: 0 }],
          [{ ...band, normalCurrent: 0 }],
          [{ ...band, heavyCurrent: 0 }],
          [{ ...band, more: 1 }],
        ],
      ],
      [
        'losses',
        [Array(8).fill(1e6)],
        [Array(7).fill(50), Array(9).fill(50), Array(8).fill(0), Array(8).fill(1e6 + 1)],
      ],
      ['standbyPower', [0, 1e5], [-1, 1e5 + 1]],
      upTo('singlePhaseShare', 1),
      upTo('riseTime', 1e-5),
      ['chopper', [true], ['yes']],
      upTo('brakeVoltage', 2000),
      upTo('leastResistor', 10_000),
      upTo('longestShielded', 2000),
      upTo('longestPlain', 2000),
      ['choke', [false], [1]],
      ['slimLink', [true], [1]],
      ['safeTorqueOff', [true], [1]],
      upTo('carrierRated', 50_000),
      ['deratePerKilohertz', [0, 1], [-0.01, 1.01]],
      upTo('carrierMost', 50_000),
      ['listed', [['NEMA'], ['NEMA', 'IEC']], [[], ['NEMA', 'IEC', 'IEC'], ['JIS']]],
      upTo('shortCircuitRating', 1e6),
      text('protectedBy', 80),
      ['encoder', [true], ['yes']],
    ],
  ],
  [
    'a starter part',
    starterPartSchema,
    contactor,
    [
      [
        'kind',
        ['contactor', 'overload relay', 'breaker', 'motor breaker', 'soft starter', 'autotransformer'],
        ['fuse'],
      ],
      positive('voltageMax'),
      ['currentMin', [0, 10], [-1]],
      positive('currentMax'),
      upTo('breakingCapacity', 1e6),
      upTo('coilSealed', 1e4),
      upTo('coilInrush', 1e5),
      [
        'ac53',
        [code, { multiple: 1, seconds: 600, startsPerHour: 1000 }, { ...code, multiple: 10 }],
        [
          { ...code, multiple: 0.99 },
          { ...code, multiple: 10.01 },
          { ...code, seconds: 0 },
          { ...code, seconds: 601 },
          { ...code, startsPerHour: 0 },
          { ...code, startsPerHour: 1001 },
          { ...code, more: 1 },
          {},
        ],
      ],
      upTo('lifeStarted', 1e9),
      upTo('lifeInched', 1e9),
    ],
  ],
  [
    'what stands beside a drive',
    drivePartSchema,
    filter,
    [
      [
        'kind',
        [
          'line choke',
          'passive filter',
          'output reactor',
          'dV/dt filter',
          'sine filter',
          'brake resistor',
          'shaft ring',
        ],
        ['fan'],
      ],
      positive('voltageMax'),
      positive('currentMax'),
      upTo('reactance', 0.2),
      upTo('longestLead', 20_000),
      upTo('resistance', 10_000),
      upTo('meanPower', 1e7),
      upTo('energy', 1e9),
    ],
  ],
] as const)('%s', (_, schema, good, cases) => {
  it.each([...commonCases, ...(cases as readonly Case[])])('%s', (field, accepted, refused) => {
    const ok = (value: unknown): boolean => schema.safeParse({ ...good, [field]: value }).success;
    expect(accepted.filter((value) => !ok(value))).toEqual([]);
    expect(refused.filter(ok)).toEqual([]);
  });
});

describe('a coordinated combination (IEC 60947-4-1 has the types)', () => {
  it.each([
    text('device', 160, 1),
    text('contactor', 40, 1),
    text('relay', 40, 1),
    ['coordination', ['type 1', 'type 2', 'continuity of service'], ['type 3']],
    upTo('current', 1e6),
    upTo('voltage', 20_000),
    ['more', [], [1]],
  ] as readonly Case[])('%s', (field, accepted, refused) => {
    const ok = (value: unknown): boolean => coordinatedCombinationSchema.safeParse({ ...pair, [field]: value }).success;
    expect(accepted.filter((value) => !ok(value))).toEqual([]);
    expect(refused.filter(ok)).toEqual([]);
  });

  it('needs no relay', () => expect(coordinatedCombinationSchema.safeParse(pair).success).toBe(true));
});

describe('a catalogue', () => {
  const ok = (more: object): boolean => catalogueSchema.safeParse({ ...emptyCatalogue, ...more }).success;

  it('has a name, a currency and at most so many items of a kind', () => {
    expect([ok({ name: long(120) }), ok({ name: long(121) })]).toEqual([true, false]);
    expect([ok({ currency: 'EUR' }), ok({ currency: 'EURO' })]).toEqual([true, false]);
    expect([ok({ drives: Array(5000).fill(drive) }), ok({ drives: Array(5001).fill(drive) })]).toEqual([true, false]);
    expect([ok({ parts: Array(5000).fill(contactor) }), ok({ parts: Array(5001).fill(contactor) })]).toEqual([
      true,
      false,
    ]);
    expect([ok({ accessories: Array(5001).fill(filter) }), ok({ pairs: Array(5001).fill(pair) })]).toEqual([
      false,
      false,
    ]);
    expect([ok({ motors: Array(20_000).fill(motor) }), ok({ motors: Array(20_001).fill(motor) })]).toEqual([
      true,
      false,
    ]);
    expect(ok({ more: 1 })).toBe(false);
    const { accessories: _a, pairs: _p, ...older } = emptyCatalogue;
    expect(catalogueSchema.parse(older)).toEqual(emptyCatalogue);
  });

  it.each([
    [{ ...motor, currents: [36, 30, 21] }, { power_w: 11_000, poles: 4, current_a: 21 }, false],
    [drive, { power_w: 11_000, poles: null, current_a: 25 }, false],
    [contactor, { power_w: null, poles: null, current_a: 32 }, false],
    [filter, { power_w: null, poles: null, current_a: 40 }, true],
  ] as const)('searches each kind by what it has', (item, by, beside) => {
    expect(searched(item as unknown as Item)).toEqual(by);
    expect(isDrivePart(item as unknown as Item)).toBe(beside);
  });

  it('keeps motors by standards system, frequency and power, with the least price of each number of poles', () => {
    const of = (more: Partial<typeof motor>) => ({ ...motor, ...more });
    const items = [
      of({ price: 300 }),
      of({ price: 200 }),
      of({ poles: 2, price: 250 }),
      of({ frequency: 60 }),
      of({ power: 15_000 }),
    ];
    const groups = sizeGroups(items);
    expect(groups.map(({ frequency, power, items: held }) => [frequency, power, held.length])).toEqual([
      [50, 11_000, 3],
      [60, 11_000, 1],
      [50, 15_000, 1],
    ]);
    expect([...(groups[0]?.cheapest ?? [])]).toEqual([
      [4, 200],
      [2, 250],
    ]);
    expect(sizeGroups(items)).toBe(groups);
    expect(sizeGroups([])).toEqual([]);
  });
});
