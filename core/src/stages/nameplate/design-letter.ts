import type { NameplateValues } from './values.ts';
import { standardHorsepower } from '../../motor/standard-power.ts';
import {
  breakdownTorque,
  designCBreakdownTorque,
  designCLockedRotorTorque,
  designCPullUpTorque,
  designD,
  designNTorques,
  lockedRotorTorque,
  pullUpTorque,
} from '../../kernel/tables/index.ts';
import { cellValue, type Table } from '../../kernel/tables/table.ts';
import { quantity, textValue, type Value } from '../../kernel/value.ts';

export type DesignValues = Pick<
  NameplateValues,
  'designMeaning' | 'lockedRotorTorqueMin' | 'pullUpTorqueMin' | 'breakdownTorqueMin'
>;

const nema: Readonly<Record<string, string>> = {
  A: 'normal torque, locked-rotor current not limited',
  B: 'normal torque and current: the usual motor',
  C: 'high starting torque, for loads that start full',
  D: 'very high starting torque and 5 % slip or more, for presses and hoists',
};
const iec: Readonly<Record<string, string>> = {
  N: 'normal torque, started direct',
  NY: 'normal torque, started star-delta',
  NE: 'normal torque, started direct, more locked-rotor current for its efficiency',
  NEY: 'normal torque, started star-delta, more locked-rotor current for its efficiency',
  H: 'high torque, started direct',
  HY: 'high torque, started star-delta',
  HE: 'high torque, started direct, more locked-rotor current for its efficiency',
  HEY: 'high torque, started star-delta, more locked-rotor current for its efficiency',
};

type Torques = readonly [lockedRotor: Table | undefined, pullUp: Table | undefined, breakdown: Table | undefined];
const normal: Torques = [lockedRotorTorque, pullUpTorque, breakdownTorque];
const tables: Readonly<Record<string, Torques>> = {
  A: normal,
  B: normal,
  C: [designCLockedRotorTorque, designCPullUpTorque, designCBreakdownTorque],
};

/**
 * What the design letter promises, in words and as least torques by size and poles: MG 1 12.38 to 12.40 for A, B, C and D,
 * IEC 60034-12 for N, H and their star-delta and efficient variants. All of it recalled from memory.
 */
export function designValues(
  letter: string | undefined,
  power: number | undefined,
  poles: number | undefined,
): DesignValues {
  const design = letter?.trim().toUpperCase() ?? '';
  const words = nema[design] ?? iec[design];
  if (words === undefined) return {};
  const designMeaning = textValue(`${design}: ${words}`, {
    origin: 'recalled',
    source: design in nema ? 'MG 1 1.19' : 'IEC 60034-12',
  });
  if (design in iec)
    return {
      designMeaning,
      ...(power === undefined || poles === undefined ? {} : iecTorques(design, power, poles)),
    };
  const hp = power === undefined ? undefined : standardHorsepower(power);
  if (hp === undefined || poles === undefined) return { designMeaning };
  const share = (table: Table | undefined): Value | undefined =>
    table && cellValue(table, table.row(hp), `rpm${7200 / poles}`, { dimension: 'fraction', factor: 0.01 });
  const [locked, pullUp, breakdown] = (tables[design] ?? []).map(share);
  const fromD =
    design === 'D' && hp <= 150 && [4, 6, 8].includes(poles)
      ? cellValue(designD, designD.rows[0], 'locked_rotor_torque', { dimension: 'fraction', factor: 0.01 })
      : undefined;
  const lockedRotorTorqueMin = locked ?? fromD;
  return {
    designMeaning,
    ...(lockedRotorTorqueMin ? { lockedRotorTorqueMin } : {}),
    ...(pullUp ? { pullUpTorqueMin: pullUp } : {}),
    ...(breakdown ? { breakdownTorqueMin: breakdown } : {}),
  };
}

/** Design H: one and a half times the torques of N, and never less than these. */
const HIGH = { factor: 1.5, lockedRotor: 2, pullUp: 1.4, breakdown: 1.9 };
/** Started in star, a quarter of the starting torques is what is promised. */
const IN_STAR = 0.25;

/** Least torques of the IEC designs, of rated, from the table of design N and the rules that lead to the others. */
function iecTorques(design: string, power: number, poles: number): DesignValues {
  const row = designNTorques.rows.find((each) => power <= Number(each['kw_to']) * 1000 * 1.001);
  const high = design.startsWith('H');
  const star = design.endsWith('Y') ? IN_STAR : 1;
  const least = (name: string, floor: number, factor: number, share: number): Value | undefined => {
    const own = cellValue(designNTorques, row, `p${poles}_${name}`, { dimension: 'fraction' });
    if (!own || (!high && share === 1)) return own;
    return quantity((high ? Math.max(own.value * factor, floor) : own.value) * share, 'fraction', {
      origin: 'recalled',
      formula: `${share === 1 ? '' : `${share}\\cdot`}${high ? `\\max(${factor}\\,t_N,\\ ${floor})` : 't_N'}`,
      from: { t_N: own },
      source: 'IEC 60034-12',
      note: `${share === 1 ? '' : 'In star. '}Rule recalled from memory once; unsure.`,
    });
  };
  const lockedRotorTorqueMin = least('locked_rotor', HIGH.lockedRotor, HIGH.factor, star);
  const pullUpTorqueMin = least('pull_up', HIGH.pullUp, HIGH.factor, star);
  const breakdownTorqueMin = least('breakdown', HIGH.breakdown, 1, 1);
  return {
    ...(lockedRotorTorqueMin ? { lockedRotorTorqueMin } : {}),
    ...(pullUpTorqueMin ? { pullUpTorqueMin } : {}),
    ...(breakdownTorqueMin ? { breakdownTorqueMin } : {}),
  };
}
