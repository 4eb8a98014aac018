/** The recalled tables against relations that are published or physical, so that a mistyped cell shows. */
import { describe, expect, it } from 'vitest';
import { guaranteedMinimum } from '../../src/motor/efficiency-class.ts';
import { sameRating, standardPowers } from '../../src/motor/standard-power.ts';
import {
  codeLetters,
  controllerSizes,
  energyEfficient,
  iecEfficiency,
  loadInertia,
  motorCurrent,
  nominalEfficiency,
  premiumEfficient,
} from '../../src/kernel/tables/index.ts';
import { cellValue } from '../../src/kernel/tables/table.ts';
import { quantity } from '../../src/kernel/value.ts';
import coefficients from '../cases/iec-60034-30-1-50hz-coefficients.json' with { type: 'json' };

describe('IEC 60034-30-1 at 50 Hz', () => {
  it('reproduces from the standard’s own interpolation formula, 0.75 to 200 kW, within its rounding', () => {
    let checked = 0;
    for (const { class: name, poles, a, b, c, d } of coefficients.rows) {
      for (const row of iecEfficiency.rows.filter((each) => each['class'] === name)) {
        const kw = Number(row['kw']);
        const printed = iecEfficiency.number(row, `p${poles}`);
        if (kw < 0.75 || kw > 200 || printed === undefined) continue;
        const x = Math.log10(kw);
        expect(Math.abs(a * x ** 3 + b * x ** 2 + c * x + d - printed)).toBeLessThan(0.061);
        checked++;
      }
    }
    expect(checked).toBeGreaterThan(250);
  });
});

describe('NEC Table 430.250', () => {
  it('keeps the voltage ratios of its columns: 460 V takes half the current of 230 V', () => {
    for (const row of motorCurrent.rows) {
      const [v230, v460] = [motorCurrent.number(row, 'v230'), motorCurrent.number(row, 'v460')];
      if (v230 !== undefined && v460 !== undefined) expect(v460 / v230).toBeCloseTo(0.5, 1);
    }
  });
});

describe('NEMA ICS 2, sizes of controllers', () => {
  it('carry the table current of their horsepower (NEC 430.250), and grow with their size', () => {
    let checked = 0;
    controllerSizes.rows.forEach((row, at) => {
      const before = controllerSizes.rows[at - 1];
      for (const [column, volts] of [
        ['hp_200v', 'v200'],
        ['hp_230v', 'v230'],
        ['hp_460_575v', 'v460'],
      ] as const) {
        const hp = controllerSizes.number(row, column);
        if (before && hp !== undefined) expect(hp).toBeGreaterThanOrEqual(controllerSizes.number(before, column) ?? 0);
        const amperes = motorCurrent.number(motorCurrent.row(hp ?? 0), volts);
        if (amperes === undefined) continue;
        expect(amperes).toBeLessThanOrEqual(Number(row['continuous']));
        checked++;
      }
      if (before) expect(Number(row['continuous'])).toBeGreaterThan(Number(before['continuous']));
    });
    expect(checked).toBeGreaterThan(15);
  });
});

describe('MG 1 Table 12-7, load inertia', () => {
  it('reproduces from the formula of MG 1 12.54 (from memory): A·hp^0.95/(n/1000)^2.4 − 0.0685·hp^1.5/(n/1000)^1.8', () => {
    let checked = 0;
    for (const row of loadInertia.rows)
      for (const rpm of [3600, 1800, 1200, 900, 720, 600, 514]) {
        const printed = loadInertia.number(row, `rpm${rpm}`);
        if (printed === undefined) continue;
        const [hp, n] = [Number(row['hp']), rpm / 1000];
        const exact = ((rpm === 3600 ? 27 : 24) * hp ** 0.95) / n ** 2.4 - (0.0685 * hp ** 1.5) / n ** 1.8;
        // Printed in tenths below 10 and in whole lb·ft² above.
        const rounding = printed < 10 ? 0.06 : 0.55;
        expect(Math.abs(printed - exact), `${hp} hp ${rpm}`).toBeLessThan(Math.max(rounding, 0.012 * exact));
        checked++;
      }
    expect(checked).toBeGreaterThan(100);
  });
});

describe('MG 1 efficiencies', () => {
  it('are all steps of Table 12-10, premium never below energy efficient', () => {
    const steps = new Set(nominalEfficiency.rows.map((row) => row['nominal']));
    for (const row of premiumEfficient.rows) {
      const older = energyEfficient.row(Number(row['hp']));
      for (const column of Object.keys(row).filter((each) => each.startsWith('p'))) {
        const premium = premiumEfficient.number(row, column);
        if (premium === undefined) continue;
        expect(steps, `${row['hp']} hp ${column}`).toContain(premium);
        expect(premium).toBeGreaterThanOrEqual(energyEfficient.number(older, column) ?? 0);
      }
    }
  });

  it('give the guaranteed minimum of Table 12-10: 92.4 % nominal guarantees 91.0 % (MG 1 12.58.2)', () => {
    const nominal = quantity(0.924, 'fraction', { source: 'test' });
    expect(guaranteedMinimum(nominal, 11190, 'NEMA')?.value).toBeCloseTo(0.91, 6);
  });

  it('IEC tolerance is 15 % of the loss to 150 kW and 10 % above (IEC 60034-1)', () => {
    const nominal = quantity(0.9, 'fraction', { source: 'test' });
    expect(guaranteedMinimum(nominal, 11e3, 'IEC')?.value).toBeCloseTo(0.885, 9);
    expect(guaranteedMinimum(nominal, 200e3, 'IEC')?.value).toBeCloseTo(0.89, 9);
  });
});

describe('provenance', () => {
  it('every cell says it was recalled, and an unsure cell says why', () => {
    const sure = cellValue(motorCurrent, motorCurrent.row(25), 'v460', { dimension: 'current' });
    expect(sure).toMatchObject({ value: 34, origin: 'recalled' });
    expect(sure?.working.note).toBeUndefined();
    const unsure = cellValue(energyEfficient, energyEfficient.row(250), 'p4_enclosed', {
      dimension: 'fraction',
      factor: 0.01,
    });
    expect(unsure?.working.note).toMatch(/unsure/);
  });

  it('the code letters have no gaps', () => {
    const starts = codeLetters.rows.map((row) => Number(row['kva_per_hp_min']));
    expect(starts).toEqual(starts.toSorted((a, b) => a - b));
  });

  it('15 hp and 11 kW are one size, 15 hp and 20 hp are not', () => {
    expect(sameRating(15 * 745.7, 11_000)).toBe(true);
    expect(sameRating(15 * 745.7, 20 * 745.7)).toBe(false);
    expect(standardPowers('IEC')).toContain(11_000);
  });
});
