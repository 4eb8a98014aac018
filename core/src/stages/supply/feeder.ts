import { evidenceOf, type Motor } from '../../motor/typical.ts';
import { amount, say } from '../../kernel/text.ts';
import { KELVIN } from '../../kernel/constants.ts';
import type { Complex } from '../../kernel/complex.ts';
import type { StageContext } from '../stage.ts';
import { ambientCorrection, ampacity, pvcCable } from '../../kernel/tables/index.ts';
import { cellValue } from '../../kernel/tables/table.ts';
import { quantity, type Value } from '../../kernel/value.ts';

/** Air that the ampacity tables hold for, °C. */
const BASE = 30;

/** Correction of an ampacity for the air around it: NEC Table 310.15(B)(1). Undefined where the insulation is not permitted. */
export function ambientFactor(ambient: number, insulation: '60' | '75' | '90'): Value | undefined {
  const celsius = Math.ceil(ambient - KELVIN - 1e-6);
  const row = ambientCorrection.rows.find((each) => Number(each['ambient_to_c']) >= celsius);
  return cellValue(ambientCorrection, row, `f${insulation}`, { dimension: 'fraction' });
}

/**
 * What the typed feeder carries for good, A: NEC Table 310.16 at 75 °C corrected for the air, or IEC 60364-5-52 Table
 * B.52.4 (PVC, multicore in conduit on a wall, method B2) with √((70 − T)/40). Undefined until a size is typed.
 */
export function feederAmpacity({ job, given }: StageContext): Value | undefined {
  const { feederSize, feederMaterial } = job.supply;
  if (!feederSize) return undefined;
  const runs = given.supply.feederRuns?.value ?? 1;
  const ambient = given.place.ambient?.value ?? KELVIN + BASE;
  const metal = feederMaterial === 'aluminium' ? 'al' : 'cu';
  const metric = /^([\d.]+) mm²$/.exec(feederSize)?.[1];
  const base =
    metric === undefined
      ? cellValue(ampacity, ampacity.row(feederSize), `${metal}_75`, { dimension: 'current' })
      : cellValue(pvcCable, pvcCable.row(Number(metric)), `${metal}_b2`, { dimension: 'current' });
  const warmth =
    metric === undefined
      ? ambientFactor(ambient, '75')?.value
      : Math.sqrt(Math.max(0, 70 - (ambient - KELVIN)) / (70 - BASE));
  if (!base || warmth === undefined) return undefined;
  return quantity(base.value * warmth * runs, 'current', {
    origin: 'recalled',
    formula: 'I_z = m\\,C_a\\,I_0',
    from: {
      I_0: base,
      C_a: quantity(warmth, 'fraction', { origin: 'recalled', source: base.working.source }),
      m: given.supply.feederRuns,
      '\\vartheta': given.place.ambient,
    },
    source: base.working.source,
    note:
      metric === undefined
        ? 'Copper or aluminium at 75 °C, three conductors in a raceway; bundling is not counted.'
        : 'PVC cable in conduit on a wall (method B2), the cautious way to lay it; grouping is not counted.',
  });
}

/** Share of the voltage lost in the feeder at the full-load current of a motor; √3 I (R cos φ + X sin φ) / V. */
export function runningDrop(feeder: Complex, motor: Motor, voltage: number, { given }: StageContext): Value {
  const { current, powerFactor } = motor;
  const sine = Math.sqrt(1 - powerFactor ** 2);
  const amperes = quantity(current, 'current', {
    origin: 'estimated',
    evidence: evidenceOf(motor),
    source: 'full-load current of the motor',
  });
  const drop = (Math.sqrt(3) * current * (feeder.re * powerFactor + feeder.im * sine)) / voltage;
  return quantity(drop, 'fraction', {
    origin: 'estimated',
    formula: '\\Delta = \\dfrac{\\sqrt3\\,I\\,(R\\cos\\varphi + X\\sin\\varphi)}{V}',
    from: { I: amperes, V: given.supply.voltage, '\\ell': given.supply.feederLength },
    source: 'voltage drop of a three-phase feeder',
    note: say`At the full-load current of ${amount(current, 'current')}.`,
  });
}
