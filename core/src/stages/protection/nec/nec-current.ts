import { motorCurrent } from '../../../kernel/tables/index.ts';
import { cellValue } from '../../../kernel/tables/table.ts';
import { PRACTICE, type Value } from '../../../kernel/value.ts';
import { horsepowerOf } from '../../../motor/standard-power.ts';
import { mostCurrent, type Circuit } from '../protection-input.ts';

/** Columns of Table 430.250 with the rated and system voltages each serves. */
const voltageColumns: readonly (readonly [column: string, low: number, high: number])[] = [
  ['v115', 110, 120],
  ['v200', 195, 204],
  ['v208', 205, 219],
  ['v230', 220, 240],
  ['v460', 440, 480],
  ['v575', 550, 600],
  ['v2300', 2200, 2400],
];

/** Table full-load current, A: NEC Table 430.250, the row at or next above the horsepower, the column of the voltage. */
export function tableFullLoadCurrent(power: number, voltage: number): Value | undefined {
  const column = voltageColumns.find(([, low, high]) => voltage >= low && voltage <= high)?.[0];
  const row = motorCurrent.rows.find((each) => Number(each['hp']) * 1.01 >= horsepowerOf(power));
  return column === undefined ? undefined : cellValue(motorCurrent, row, column, { dimension: 'current' });
}

/** Table current, but the nameplate’s for motors of low speed, high torque or several speeds (NEC 430.6(A)(1)). */
export function currentByCode(table: Value | undefined, circuit: Circuit): Value | undefined {
  const { motor, nameplate, holds } = circuit;
  const nameplateCurrent = mostCurrent(circuit);
  const several = motor.kind === 'plate' && nameplate.speeds !== undefined;
  const slow = motor.poles >= 8 || /^D/i.test(motor.designLetter?.trim() ?? '');
  // Six poles run just below the 1200 r/min the code names: the larger of both.
  const larger = motor.poles === 6 && table !== undefined && nameplateCurrent.value > table.value;
  if (!several && !slow && !larger) return table;
  return {
    ...nameplateCurrent,
    working: {
      ...nameplateCurrent.working,
      source: `NEC 430.6(A)(1); six poles, the larger of both: ${PRACTICE}`,
      note: `The nameplate’s: the motor is built for ${several ? 'several speeds' : slow && motor.poles < 8 ? 'high torque' : 'low speed'}. ${holds}`,
    },
  };
}
