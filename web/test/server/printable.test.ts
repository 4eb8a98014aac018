// A property of the papers: no term loses a letter on its way to paper.
import { describe, expect, it } from 'vitest';
import { withSymbol } from '@pilgrim/core/kernel/term';
import { dimensions } from '@pilgrim/core/kernel/quantity/units';
import { publishedValues } from '@pilgrim/core/solve/published';
import { printable } from '../../src/lib/server/work/pdf.ts';

describe('on paper', () => {
  it('every term prints with its symbol, in both systems', () => {
    const labels = [...publishedValues.values()].flatMap((value) => [
      withSymbol(value, 'NEMA'),
      withSymbol(value, 'IEC'),
    ]);
    expect(labels.filter((label) => printable(label).includes('?'))).toEqual([]);
    expect(printable('Rated current (Iₙ)')).toBe('Rated current (In)');
  });
  it('every unit that is shown prints: ohms are words, a square stays one', () => {
    const units = Object.values(dimensions).flatMap(({ shown }) => [shown.NEMA, shown.IEC]);
    expect(units.filter((unit) => printable(unit).includes('?'))).toEqual([]);
    expect(printable('0.12 Ω at 9.2 lb·ft²')).toBe('0.12 ohm at 9.2 lb·ft²');
  });
});
