// Every unit by its definition: NIST SP 811 (foot 0.3048 m, pound 0.45359237 kg, standard gravity 9.80665 m/s², US gallon
// 231 in³, inch of water 249.089 Pa at 4 °C, metric horsepower 75 kgf·m/s, short ton 2000 lb), a year of 365 days.
import { describe, expect, it } from 'vitest';
import {
  complex,
  divide,
  inverse,
  lagging,
  magnitude,
  multiply,
  parallel,
  subtract,
} from '../../src/kernel/complex.ts';
import { choice, is, named, never, not, quantity as quantityField, type FieldSpec } from '../../src/kernel/field.ts';
import { bySeverity, findingSchema } from '../../src/kernel/finding.ts';
import { bisect, regulaFalsi, interpolate, leastOf, mostOf, quantile } from '../../src/kernel/numeric.ts';
import { formatNumber, formatOther, formatQuantity } from '../../src/kernel/quantity/format.ts';
import { acceptedUnits, parseGroups, parseNumber, parseQuantity } from '../../src/kernel/quantity/parse.ts';
import { dimensions, findUnit, type Dimension } from '../../src/kernel/quantity/units.ts';
import { checkField, readFigures } from '../../src/kernel/read-field.ts';
import { memoize } from '../../src/kernel/memoize.ts';
import { openTable } from '../../src/kernel/tables/table.ts';
import { quantity, textValue } from '../../src/kernel/value.ts';
import { present } from '../../src/present/present.ts';

const lbf = 0.45359237 * 9.80665;
const lbft = lbf * 0.3048;
const YEAR = 365 * 86_400;
/** Of one of each unit, the same in SI; temperatures of 100. */
const defined: Readonly<Partial<Record<Dimension, Readonly<Record<string, number>>>>> = {
  power: { kW: 1e3, hp: 550 * lbft, W: 1, MW: 1e6, PS: 75 * 9.80665 },
  heat: { kW: 1e3, W: 1 },
  apparentPower: { kVA: 1e3, MVA: 1e6, VA: 1 },
  torque: { 'N·m': 1, 'kN·m': 1e3, 'lb·ft': lbft, 'lb·in': lbft / 12, 'kgf·m': 9.80665 },
  speed: { 'r/min': (2 * Math.PI) / 60, 'rad/s': 1 },
  voltage: { V: 1, kV: 1e3 },
  current: { A: 1, kA: 1e3, mA: 1e-3 },
  flow: {
    'm³/s': 1,
    'm³/h': 1 / 3600,
    'L/s': 1e-3,
    'L/min': 1e-3 / 60,
    gpm: (231 * 0.0254 ** 3) / 60,
    cfm: 0.3048 ** 3 / 60,
  },
  volume: { 'm³': 1, gal: 231 * 0.0254 ** 3, L: 1e-3, 'ft³': 0.3048 ** 3 },
  pressure: { kPa: 1e3, Pa: 1, bar: 1e5, mbar: 100, MPa: 1e6, psi: lbf / 0.0254 ** 2, inH2O: 249.089, mmH2O: 9.80665 },
  velocity: { 'm/s': 1, 'm/min': 1 / 60, 'ft/min': 0.3048 / 60, 'ft/s': 0.3048 },
  density: { 'kg/m³': 1, 'g/cm³': 1e3, 'lb/ft³': 0.45359237 / 0.3048 ** 3 },
  angle: { '°': Math.PI / 180, rad: 1 },
  mass: { kg: 1, lb: 0.45359237, t: 1e3 },
  inertia: { 'kg·m²': 1, 'lb·ft²': 0.45359237 * 0.3048 ** 2, 'lb·in²': 0.45359237 * 0.0254 ** 2, 'kg·cm²': 1e-4 },
  massFlow: { 't/h': 1 / 3.6, 'ton/h': 907.18474 / 3600, 'kg/h': 1 / 3600, 'lb/h': 0.45359237 / 3600, 'kg/s': 1 },
  energyPerMass: { 'kWh/t': 3600, 'kWh/ton': 3.6e6 / 907.18474 },
  resistance: { Ω: 1, mΩ: 1e-3, kΩ: 1e3, MΩ: 1e6, GΩ: 1e9 },
  insulation: { Ω: 1, mΩ: 1e-3, kΩ: 1e3, MΩ: 1e6, GΩ: 1e9 },
  frequency: { Hz: 1 },
  carrier: { kHz: 1e3, Hz: 1 },
  riseTime: { µs: 1e-6, ns: 1e-9 },
  inductance: { mH: 1e-3, µH: 1e-6, H: 1 },
  length: { mm: 1e-3, in: 0.0254, m: 1, ft: 0.3048, cm: 1e-2 },
  altitude: { m: 1, ft: 0.3048, km: 1e3 },
  force: { N: 1, kN: 1e3, lbf, kgf: 9.80665 },
  heatTransfer: { 'W/m²K': 1 },
  sound: { 'dB(A)': 1 },
  fraction: { '%': 0.01 },
  powerFactor: { '%': 0.01 },
  time: { h: 3600, min: 60, s: 1 },
  duration: { s: 1, ms: 1e-3, min: 60, h: 3600 },
  span: { years: YEAR, months: YEAR / 12, weeks: 604_800, days: 86_400, h: 3600 },
  energy: { kWh: 3.6e6, MWh: 3.6e9, kJ: 1e3, 'ft·lb': lbft, J: 1 },
  kineticEnergy: { kJ: 1e3, J: 1 },
  energyPrice: { 'per kWh': 1 / 3.6e6, 'per MWh': 1 / 3.6e9 },
  demandPrice: { 'per kW a month': 1e-3, 'per MW': 1e-6 },
  count: { times: 1 },
};
const read = (text: string, dimension: Dimension, school: 'NEMA' | 'IEC' = 'NEMA') => {
  const parsed = parseQuantity(text, dimension, school);
  return parsed.ok ? parsed.value.si : parsed.message;
};

describe('units', () => {
  it.each(Object.entries(defined))('of %s are what they are defined to be', (dimension, units) => {
    for (const [name, si] of Object.entries(units))
      expect(Number(read(`1 ${name}`, dimension as Dimension)) / si, name).toBeCloseTo(1, 6);
  });
  it('there is none that is defined nowhere', () => {
    for (const [dimension, { units }] of Object.entries(dimensions)) {
      const known = Object.keys(defined[dimension as Dimension] ?? {});
      const own = units.map(({ names }) => names[0] ?? '').filter((name) => name !== '');
      if (dimension !== 'temperature' && dimension !== 'count')
        expect(own.toSorted(), dimension).toEqual(known.toSorted());
    }
  });
  it('temperatures have their own zero: 212 °F = 100 °C = 373.15 K, −40 is −40', () => {
    expect(
      [read('212 °F', 'temperature'), read('100 °C', 'temperature'), read('373.15 K', 'temperature')].map((each) =>
        Number(Number(each).toFixed(9)),
      ),
    ).toEqual([373.15, 373.15, 373.15]);
    expect(Number(read('-40 F', 'temperature'))).toBeCloseTo(Number(read('-40 C', 'temperature')), 9);
  });
  it('every name is found, exactly or folded; an exact one first: 1 mA is no MA', () => {
    for (const [dimension, { units }] of Object.entries(dimensions) as [Dimension, (typeof dimensions)[Dimension]][])
      for (const unit of units)
        for (const name of unit.names) expect(findUnit(dimension, name), `${dimension} ${name}`).toBe(unit);
    expect(read('1 mΩ', 'resistance')).toBe(1e-3);
    expect(read('1 MΩ', 'resistance')).toBe(1e6);
    expect([findUnit('torque', 'Lb-Ft'), findUnit('torque', 'lb. ft')].map((unit) => unit?.names[0])).toEqual([
      'lb·ft',
      'lb·ft',
    ]);
    expect(findUnit('torque', 'furlong')).toBeUndefined();
  });
});

describe('numbers as people write them', () => {
  it.each([
    ['7 1/2', 7.5],
    ['7½', 7.5],
    ['½', 0.5],
    ['12  3/4', 12.75],
    ['10/20', 0.5],
    ['1 465', 1465],
    ['12 345,5', 12_345.5],
    ["1'234'567.8", 1_234_567.8],
    ['-1 465', -1465],
    ['1,234.5', 1234.5],
    ['1,234,567', 1_234_567],
    ['-1,234,567', -1_234_567],
    ['1.234,5', 1234.5],
    ['1.234.567,8', 1_234_567.8],
    ['0,125', 0.125],
    [',5', 0.5],
    ['.75', 0.75],
    ['12.', 12],
    ['1e3', 1000],
    ['1.5e-2', 0.015],
    ['−10', -10],
    ['+4', 4],
  ])('%s', (text, value) => {
    expect(parseNumber(text)).toEqual({ ok: true, value });
  });
  it.each([
    '1,500',
    '999,999',
    '-12,345',
    '',
    ' ',
    '1/2/3',
    '1/2x',
    '5/0',
    '1 2',
    '12 34',
    '1,2,3',
    '1.2.3',
    '1e',
    '1e100',
    'x1,234.5',
    '1,234.5.6',
    '1,ab.5',
    '--1',
    '1.',
    '1a3,456',
  ])('“%s” is none, or two', (text) => {
    if (text === '1.') expect(parseNumber(text).ok).toBe(true);
    else expect(parseNumber(text).ok).toBe(false);
  });
  it('a lone zero makes the comma a decimal one; what is too large is told', () => {
    expect(parseNumber('0,500')).toEqual({ ok: true, value: 0.5 });
    expect(parseNumber('9'.repeat(400))).toEqual({
      ok: false,
      message: expect.stringContaining('too large') as string,
    });
  });
  it('a unit that begins with a figure, an inch mark, a bare percentage', () => {
    expect(Number(read('1465 1/min', 'speed')) * 30).toBeCloseTo(1465 * Math.PI, 6);
    expect(Number(read('1465 1 / min', 'speed')) * 30).toBeCloseTo(1465 * Math.PI, 6);
    expect(read("12'", 'altitude')).toBeCloseTo(3.6576, 9);
    expect([
      read('150', 'fraction'),
      read('1.5', 'fraction'),
      read('1.51', 'fraction'),
      read('1.5 %', 'fraction'),
    ]).toEqual([1.5, 1.5, 0.0151, 0.015]);
  });
  it('what is not read says why, and never all of a long text', () => {
    expect(read('fast', 'speed')).toBe('“fast” has no number. Write it like 12 r/min.');
    expect(read('x'.repeat(90), 'speed')).toBe(`“${'x'.repeat(40)}” has no number. Write it like 12 r/min.`);
    expect(read('', 'speed')).toMatch(/Nothing was typed/);
    expect(read(`5 ${'y'.repeat(30)}`, 'mass')).toBe(
      `Unit “${'y'.repeat(20)}…” is not known here. Accepted: kg, lb, t.`,
    );
    expect(read('5 stone', 'mass')).toBe('Unit “stone” is not known here. Accepted: kg, lb, t.');
    expect(acceptedUnits('money')).toBe('');
  });
  it('lists of a plate: connections, ranges, a fraction of one power, empty places', () => {
    const groups = (text: string, dimension: Dimension = 'voltage') => {
      const parsed = parseGroups(text, dimension, 'NEMA');
      return parsed.ok ? parsed.value.map((group) => group.map(({ si }) => Number(si.toFixed(6)))) : parsed.message;
    };
    expect(groups('208-230/460 V')).toEqual([[208, 230], [460]]);
    expect(groups(' 400 / 690 ')).toEqual([[400], [690]]);
    expect(groups('2.3/4 kV')).toEqual([[2300], [4000]]);
    expect(groups('7-1/2 hp', 'power')).toEqual([[5592.749037]]);
    expect(groups('10/15 kW', 'power')).toEqual([[10_000], [15_000]]);
    expect(groups('92/93', 'fraction')).toEqual([[0.92], [0.93]]);
    expect(groups('92/93 %', 'fraction')).toEqual([[0.92], [0.93]]);
    expect(groups('230//460')).toMatch(/has an empty place/);
    expect(groups('230/x')).toMatch(/not known here/);
  });
});

describe('numbers as they are shown', () => {
  it.each([
    [0, '0'],
    [NaN, '–'],
    [1.23456, '1.23'],
    [123.456, '123'],
    [1234.5, '1235'],
    [12_345, '12\u00a0345'],
    [-12_345.6, '−12\u00a0346'],
    [0.000123456, '0.000123'],
  ])('%s', (value, text) => {
    expect(formatNumber(value)).toBe(text);
  });
  it.each<[number, Dimension, 'NEMA' | 'IEC', string]>([
    [3.6e10, 'energy', 'IEC', '10.00\u00a0MWh'],
    [3.5e10, 'energy', 'IEC', '9722\u00a0kWh'],
    [1e7, 'apparentPower', 'IEC', '10.0\u00a0MVA'],
    [9.9e6, 'apparentPower', 'IEC', '9900\u00a0kVA'],
    [599, 'duration', 'IEC', '599\u00a0s'],
    [600, 'duration', 'IEC', '10\u00a0min'],
    [10_800, 'duration', 'IEC', '3\u00a0h'],
    [60, 'frequency', 'NEMA', '60\u00a0Hz'],
    [0.5, 'fraction', 'NEMA', '50.0\u00a0%'],
    [313.15, 'temperature', 'NEMA', '40\u00a0°C'],
  ])('%s of %s', (si, dimension, school, text) => {
    expect(formatQuantity(si, dimension, school)).toBe(text);
  });
  it('beside it the other system’s', () => {
    const other = (dimension: Dimension, unit: string) => {
      const from = findUnit(dimension, unit);
      return from && formatOther(1000, dimension, from);
    };
    expect([other('power', 'kW'), other('torque', 'N·m'), other('length', 'mm'), other('voltage', 'V')]).toEqual([
      '1.34\u00a0hp',
      '738\u00a0lb·ft',
      '39\u00a0370\u00a0in',
      undefined,
    ]);
    const torque = quantity(100, 'torque', {
      source: 'typed',
      formula: 'T',
      from: { F: undefined, r: textValue('1 m', { source: 'x' }) },
      note: '',
    });
    const shown = present(torque, { units: 'IEC' });
    expect(shown).toMatchObject({ text: '100\u00a0N·m', other: '73.8\u00a0lb·ft', unit: 'N·m', origin: 'derived' });
    expect(shown.working).toEqual({
      formula: 'T',
      inputs: [{ symbol: 'r', text: '1 m', origin: 'derived' }],
      source: 'typed',
    });
  });
});

describe('a typed field', () => {
  const spec: FieldSpec = { dimension: 'power', min: 100, max: 1e6, example: '15 hp' };
  it('is believed between its limits, to the last digit', () => {
    expect([checkField('100 W', spec, 'IEC'), checkField('1 MW', spec, 'IEC')]).toEqual([undefined, undefined]);
    expect(checkField('99.9 W', spec, 'IEC')).toBe(
      '“99.9 W” is outside what is believable here, 0.1\u00a0kW to 1000\u00a0kW. Write it like 15 hp.',
    );
    expect(checkField('1.001 MW', spec, 'IEC')).toMatch(/outside/);
    expect(checkField('0', spec, 'IEC')).toBe('“0” must be more than zero, for example 15 hp.');
    expect(checkField(-5, { ...spec, min: -10 }, 'IEC')).toMatch(/outside|undefined/);
    expect(checkField(`${'9'.repeat(60)} W`, spec, 'IEC')).toMatch(/^“9{40}” is outside/);
    expect(checkField('200-300/90 W', { ...spec, list: true }, 'IEC')).toMatch(/outside/);
    expect(readFigures('200/300 W', { ...spec, list: true }, 'IEC')).toMatchObject({
      ok: true,
      value: [[{ si: 200 }], [{ si: 300 }]],
    });
    expect(readFigures('200 W', spec, 'IEC')).toMatchObject({ ok: true, value: [[{ si: 200 }]] });
  });
  it('is asked by what stands elsewhere', () => {
    const look = (path: string) => ({ kind: 'new' })[path];
    expect([
      is('kind', 'old', 'new')(look),
      is('kind', 'old')(look),
      not(is('kind', 'new'))(look),
      never(look),
    ]).toEqual([true, false, false, false]);
    expect(named('soft starter', 'drive')).toEqual([
      ['soft starter', 'Soft starter'],
      ['drive', 'Drive'],
    ]);
    expect(choice([['a', 'A']], { label: 'x', usual: 'a' })).toMatchObject({ kind: 'choice', usual: 'a' });
    expect(quantityField('power', { label: 'x', min: 0, max: 1, example: '1' })).toMatchObject({
      kind: 'quantity',
      dimension: 'power',
    });
  });
  it('findings come with their codes, stops first', () => {
    const finding = (code: string, severity: 'stop' | 'caution' | 'note') => ({
      code,
      severity,
      stage: 'load',
      message: 'm',
      basis: 'b',
      clear: 'c',
    });
    expect(
      bySeverity([finding('n', 'note'), finding('s', 'stop'), finding('c', 'caution'), finding('s2', 'stop')]).map(
        ({ code }) => code,
      ),
    ).toEqual(['s', 's2', 'c', 'n']);
    expect(findingSchema.safeParse(finding('x', 'note')).success).toBe(true);
    expect(findingSchema.safeParse({}).success).toBe(false);
  });
});

describe('numeric ground', () => {
  it('a straight line through points, held outside', () => {
    const at = (x: number) => interpolate([0, 10, 20], [0, 100, 120], x);
    expect([at(-5), at(0), at(5), at(10), at(15), at(20), at(99)]).toEqual([0, 0, 50, 100, 110, 120, 120]);
    expect([interpolate([], [], 3), interpolate([1], [7], 3), interpolate([1, 1, 2], [5, 6, 7], 1)]).toEqual([0, 7, 5]);
  });
  it('a bracket halved, in the middle or the geometric mean, until narrow or done', () => {
    const { low, high } = bisect((x) => x < Math.SQRT2, { low: 0, high: 2 }, { rounds: 50 });
    expect(low).toBeCloseTo(Math.SQRT2, 12);
    expect(high).toBeCloseTo(Math.SQRT2, 12);
    expect(bisect((x) => x < 1, { low: 0, high: 4 }, { rounds: 9, width: 1 })).toEqual({ low: 0, high: 1 });
    expect(bisect((x) => x < 10, { low: 1, high: 10_000 }, { rounds: 1, mean: 'geometric' })).toEqual({
      low: 1,
      high: 100,
    });
    expect(regulaFalsi((x) => 2 - x * x, { low: 0, high: 2 }, { rounds: 60, width: 1e-12 })).toBeCloseTo(Math.SQRT2, 9);
    expect(regulaFalsi((x) => 1 - x, { low: 0, high: 8 }, { rounds: 40 })).toBeCloseTo(1, 9);
  });
  it('shares and extremes of a list of any length', () => {
    const hundred = Array.from({ length: 100 }, (_, at) => at);
    expect([quantile(hundred, 0.1), quantile(hundred, 1), quantile([], 0.5), quantile(hundred, 0)]).toEqual([
      10, 99, 0, 0,
    ]);
    expect([mostOf([3, 9, 2]), leastOf([3, 9, 2]), mostOf([]), leastOf([])]).toEqual([9, 2, -Infinity, Infinity]);
  });
  it('phasors by hand: (3 + 4j)(1 − 2j) = 11 − 2j, over 1 − 2j again 3 + 4j', () => {
    const [a, b] = [complex(3, 4), complex(1, -2)];
    expect(multiply(a, b)).toEqual({ re: 11, im: -2 });
    const back = divide({ re: 11, im: -2 }, b);
    expect([back.re, back.im].map((each) => Number(each.toFixed(12)))).toEqual([3, 4]);
    expect([magnitude(a), inverse(a).re, inverse(a).im]).toEqual([5, 0.12, -0.16]);
    expect(subtract(a, b)).toEqual({ re: 2, im: 6 });
    expect(parallel(complex(6), complex(3)).re).toBeCloseTo(2, 12);
    expect(lagging(10, 0.8)).toMatchObject({ re: 8, im: expect.closeTo(6, 12) as number });
  });
  it('remembers a key once, undefined too, and forgets all when it is full', () => {
    const known = new Map<number, number | undefined>();
    let made = 0;
    const square = (x: number) => memoize(known, 3, x, () => (made++, x === 0 ? undefined : x * x));
    expect([square(2), square(2), square(0), square(0)]).toEqual([4, 4, undefined, undefined]);
    expect(made).toBe(2);
    square(3);
    expect(known.size).toBe(3);
    square(4);
    expect([...known.keys()]).toEqual([4]);
  });
  it('a table by its keys, blanks and doubts', () => {
    const table = openTable({
      id: 't',
      standard: 'Standard',
      clause: 'clause 1',
      key: ['hp', 'poles'],
      rows: [
        { hp: 1, poles: 2, value: 10, other: null },
        { hp: 1, poles: 4, value: 20, other: 'x' },
      ],
      provenance: 'recalled',
      confidence: 'high',
      unsure: [
        { row: ['*', 4], column: 'value', why: 'faded' },
        { row: '*', column: 'other', why: 'never seen' },
      ],
    });
    const row = table.row(1, 4);
    expect(table.source).toBe('Standard, clause 1');
    expect([
      table.number(row, 'value'),
      table.number(row, 'other'),
      table.number(undefined, 'value'),
      table.row(1, 6),
    ]).toEqual([20, undefined, undefined, undefined]);
    const first = table.row(1, 2);
    if (!row || !first) expect.fail();
    expect([table.doubt(row, 'value'), table.doubt(first, 'value'), table.doubt(first, 'other')]).toEqual([
      'unsure cell: faded',
      undefined,
      'unsure cell: never seen',
    ]);
  });
});
