// The same figures in the other system: foot, pound and standard gravity by their definitions (NIST SP 811, from memory):
// 1 hp = 745.6999 W, 1 lb·ft = 1.355818 N·m, 1 in = 25.4 mm, 1 lb = 0.45359237 kg.
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formatQuantity } from '../src/ground/quantity/format.ts';
import { inUnits, inUnitsOf } from '../src/ground/quantity/other-units.ts';
import type { Dimension } from '../src/ground/quantity/units.ts';
import { emptyCatalogue, emptyJob, solve } from '../src/index.ts';

describe('words in the other system', () => {
  it.each([
    ['NEMA', '11.2\u00a0kW at 98.0\u00a0N·m', '15\u00a0hp at 72.3\u00a0lb·ft'],
    ['NEMA', 'shaft of 42.0\u00a0mm, −3.50\u00a0kg', 'shaft of 1.65\u00a0in, −7.72\u00a0lb'],
    ['IEC', '15\u00a0hp, 254T, 460\u00a0V, 60\u00a0Hz', '11.2\u00a0kW, 254T, 460\u00a0V, 60\u00a0Hz'],
    ['IEC', '12\u00a0345\u00a0lb·ft²', '520\u00a0kg·m²'],
    // Not a quantity, no unit of the other school, and a unit that only begins like one.
    ['IEC', '2 in line, 40\u00a0°C, 3\u00a0inverters', '2 in line, 40\u00a0°C, 3\u00a0inverters'],
    ['IEC', 'one of 15 hp', 'one of 15 hp'],
  ] as const)('%s: %s', (school, said, expected) => {
    expect(inUnitsOf(school, said)).toBe(expected);
  });

  it('agrees with what the school would show, to the last figure but one', () => {
    const dimension = fc.constantFrom<Dimension>('power', 'torque', 'mass', 'inertia', 'force', 'length', 'flow');
    fc.assert(
      fc.property(dimension, fc.double({ min: 1e-2, max: 1e6, noNaN: true }), (of, si) => {
        const read = (text: string): number =>
          Number(
            text
              .replaceAll('\u00a0', ' ')
              .replace(/ (?=\d{3}\b)/g, '')
              .split(' ')[0],
          );
        const right = read(formatQuantity(si, of, 'NEMA'));
        const turned = read(inUnitsOf('NEMA', formatQuantity(si, of, 'IEC')));
        // Three figures are shown: half of the last in each, twice.
        expect(Math.abs(turned - right)).toBeLessThanOrEqual(0.011 * Math.abs(right) + 2e-6);
      }),
    );
  });
});

it('a whole result: exact figures where a value has them, words elsewhere, what is computed untouched', () => {
  const solution = solve(
    emptyJob({ situation: { kind: 'new' }, load: { way: 'torque', torque: '100 lb·ft', speed: '1750' } }),
    emptyCatalogue,
  );
  const turned = inUnits('IEC', solution);
  // 100 lb·ft is 135.58 N·m; the value stays what it was.
  expect(turned.values['load.motorTorque']).toMatchObject({ text: '136\u00a0N·m', other: '100\u00a0lb·ft' });
  expect(turned.values['load.motorTorque']?.value).toBe(solution.values['load.motorTorque']?.value);
  expect(turned.details.loadCurve).toEqual(solution.details.loadCurve);
  expect(turned.details.shafts.at(-1)?.torque?.text).toBe('136\u00a0N·m');
});
