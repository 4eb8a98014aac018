import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formatQuantity } from '../../src/kernel/quantity/format.ts';
import { parseGroups, parseNumber, parseQuantity } from '../../src/kernel/quantity/parse.ts';
import { dimensions, type Dimension } from '../../src/kernel/quantity/units.ts';

const si = (text: string, dimension: Dimension, school: 'NEMA' | 'IEC' = 'NEMA'): number => {
  const parsed = parseQuantity(text, dimension, school);
  if (!parsed.ok) throw new Error(parsed.message);
  return parsed.value.si;
};
const message = (text: string, dimension: Dimension): string => {
  const parsed = parseQuantity(text, dimension, 'NEMA');
  return parsed.ok ? `read as ${parsed.value.si}` : parsed.message;
};

describe('a quantity as people type it', () => {
  it.each<[string, Dimension, number]>([
    ['15 hp', 'power', 11_185.498],
    ['15HP', 'power', 11_185.498],
    ['7-1/2 hp', 'power', 5592.749],
    ['1/2 hp', 'power', 372.85],
    ['11 kW', 'power', 11_000],
    ['2,2 kW', 'power', 2200],
    ['15', 'power', 11_185.498],
    ['72 lb·ft', 'torque', 97.619],
    ['72 lb-ft', 'torque', 97.619],
    ['72 ft.lbs', 'torque', 97.619],
    ['100 in-lb', 'torque', 11.2985],
    ['98 Nm', 'torque', 98],
    ['1770 rpm', 'speed', 185.354],
    ['1465 min⁻¹', 'speed', 153.414],
    ['1 465 1/min', 'speed', 153.414],
    ['104 °F', 'temperature', 313.15],
    ['-10 C', 'temperature', 263.15],
    ['92.4 %', 'fraction', 0.924],
    ['92.4', 'fraction', 0.924],
    ['0.924', 'fraction', 0.924],
    ['83', 'powerFactor', 0.83],
    ["1'234.5 A", 'current', 1234.5],
    ['1.234,5 A', 'current', 1234.5],
    ['0.11 per kWh', 'energyPrice', 0.11 / 3.6e6],
    ['14 in', 'length', 0.3556],
    ['1000 ft', 'altitude', 304.8],
  ])('%s', (text, dimension, expected) => {
    expect(si(text, dimension) / expected).toBeCloseTo(1, 4);
  });

  it('takes the school’s unit for a bare number', () => {
    expect(si('11', 'power', 'IEC')).toBe(11_000);
    expect(si('100', 'torque', 'IEC')).toBe(100);
  });

  it('says what would be right', () => {
    expect(message('3 %', 'count')).toBe('“%” does not belong here: this is a plain number without a unit.');
    expect(message('15 horse', 'power')).toBe('Unit “horse” is not known here. Accepted: kW, hp, W, MW, PS.');
    expect(message('fast', 'speed')).toContain('has no number');
    expect(message('1,500', 'speed')).toContain('Write 1500 or 1.500');
    expect(message('1..5 A', 'current')).toContain('not a number');
    expect(message('1/0 hp', 'power')).toContain('divides by zero');
  });

  it('reads what a plate prints side by side', () => {
    const parsed = parseGroups('208-230/460 V', 'voltage', 'NEMA');
    expect(parsed.ok && parsed.value.map((group) => group.map((each) => each.si))).toEqual([[208, 230], [460]]);
    expect(parseGroups('230//460', 'voltage', 'NEMA')).toMatchObject({ ok: false });
  });
});

describe('properties', () => {
  const names = Object.keys(dimensions) as Dimension[];

  it('nothing typed makes the reader throw or yield a number that is not one', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 60 }), fc.constantFrom(...names), (text, dimension) => {
        const parsed = parseQuantity(text, dimension, 'NEMA');
        if (parsed.ok) expect(Number.isFinite(parsed.value.si)).toBe(true);
        else expect(parsed.message.length).toBeGreaterThan(5);
        parseGroups(text, dimension, 'IEC');
      }),
      { numRuns: 2000 },
    );
  });

  it('a number written with any grouping or decimal mark reads the same', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 9_999_999 }), fc.integer({ min: 1, max: 99 }), (whole, hundredths) => {
        const decimals = String(hundredths).padStart(2, '0');
        const groups = String(whole).replaceAll(/\B(?=(\d{3})+$)/g, ' ');
        const expected = Number(`${whole}.${decimals}`);
        for (const text of [
          `${whole}.${decimals}`,
          `${whole},${decimals}`,
          `${groups}.${decimals}`,
          `${groups},${decimals}`,
        ]) {
          expect(parseNumber(text)).toEqual({ ok: true, value: expected });
        }
      }),
    );
  });

  it('what is shown reads back as the same value to the digits shown', () => {
    const shown = ['power', 'torque', 'speed', 'current', 'length', 'temperature', 'fraction'] as const;
    fc.assert(
      fc.property(
        fc.double({ min: 300, max: 9000, noNaN: true }),
        fc.constantFrom(...shown),
        fc.constantFrom('NEMA', 'IEC'),
        (value, dimension, school) => {
          const back = parseQuantity(formatQuantity(value, dimension, school), dimension, school);
          expect(back.ok && Math.abs(back.value.si / value - 1)).toBeLessThan(0.006);
        },
      ),
    );
  });
});
