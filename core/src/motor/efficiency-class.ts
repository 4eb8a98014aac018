import type { StandardsSystem } from '../kernel/quantity/units.ts';
import {
  efficiencyTolerance,
  energyEfficient,
  iecEfficiency,
  iecEfficiency60,
  nominalEfficiency,
  premiumEfficient,
} from '../kernel/tables/index.ts';
import { cellValue, type Table } from '../kernel/tables/table.ts';
import { quantity, type Value } from '../kernel/value.ts';
import { standardHorsepower } from './standard-power.ts';

export type EfficiencyClass = 'premium' | 'energy efficient' | 'IE1' | 'IE2' | 'IE3' | 'IE4';

const nemaClasses: readonly { name: EfficiencyClass; table: Table }[] = [
  { name: 'premium', table: premiumEfficient },
  { name: 'energy efficient', table: energyEfficient },
];
const iecClasses: readonly EfficiencyClass[] = ['IE4', 'IE3', 'IE2', 'IE1'];

export const classesOf = (school: StandardsSystem): readonly EfficiencyClass[] =>
  school === 'NEMA' ? nemaClasses.map((each) => each.name) : iecClasses;

/** Of which a class asks something: W, poles, an open or closed frame, Hz. */
export interface Sized {
  readonly power: number;
  readonly poles: number;
  readonly open?: boolean;
  readonly school: StandardsSystem;
  readonly frequency?: number;
}

/**
 * Nominal efficiency a class asks of a size: MG 1 Tables 12-11 and 12-12 (by hp, poles, enclosure), or
 * IEC 60034-30-1 at 50 or 60 Hz (the row at or next above the size). Undefined where the table has no value.
 */
export function classEfficiency(
  name: EfficiencyClass,
  { power, poles, open = false, frequency = 50 }: Sized,
): Value | undefined {
  const nema = nemaClasses.find((each) => each.name === name);
  if (nema) {
    const hp = standardHorsepower(power);
    const column = `p${poles}_${open ? 'open' : 'enclosed'}`;
    return hp === undefined
      ? undefined
      : cellValue(nema.table, nema.table.row(hp), column, { dimension: 'fraction', factor: 0.01 });
  }
  const table = frequency > 55 ? iecEfficiency60 : iecEfficiency;
  const row = table.rows.find((each) => each['class'] === name && Number(each['kw']) * 1010 >= power);
  return cellValue(table, row, `p${poles}`, { dimension: 'fraction', factor: 0.01 });
}

/** The best class a nominal efficiency meets for its size and poles. */
export const classMet = (efficiency: number, sized: Sized): { name: EfficiencyClass; limit: Value } | undefined => {
  for (const name of classesOf(sized.school)) {
    const limit = classEfficiency(name, sized);
    if (limit && efficiency >= limit.value - 1e-6) return { name, limit };
  }
  return undefined;
};

/**
 * Guaranteed minimum that goes with a nominal efficiency. NEMA: MG 1 Table 12-10, the step at or below the
 * nominal. IEC: the tolerance of IEC 60034-1 on the losses, −15 % of (1−η) to 150 kW and −10 % above.
 */
export function guaranteedMinimum(nominal: Value, power: number, school: StandardsSystem): Value | undefined {
  if (school === 'NEMA') {
    const row = nominalEfficiency.rows.find((each) => Number(each['nominal']) <= nominal.value * 100 + 0.005);
    const cell = cellValue(nominalEfficiency, row, 'minimum', { dimension: 'fraction', factor: 0.01 });
    return (
      cell && {
        ...cell,
        working: {
          ...cell.working,
          inputs: [{ symbol: '\\eta', value: nominal.value, of: 'fraction', origin: nominal.origin }],
        },
      }
    );
  }
  const row = efficiencyTolerance.rows.find((each) => each['kw_to'] === null || power <= Number(each['kw_to']) * 1000);
  const tolerance = cellValue(efficiencyTolerance, row, 'tolerance', { dimension: 'fraction', factor: 0.01 });
  if (!tolerance) return undefined;
  return quantity(nominal.value + tolerance.value * (1 - nominal.value), 'fraction', {
    formula: '\\eta_{min} = \\eta + t\\,(1-\\eta)',
    from: { '\\eta': nominal, t: tolerance },
    source: efficiencyTolerance.source,
  });
}
