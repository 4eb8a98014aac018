import { horsepowerOf } from '../motor/standard-power.ts';
import type { Motor } from '../motor/typical.ts';
import { formatNumber } from '../quantity/format.ts';
import { POUND_SQUARE_FOOT, type School } from '../quantity/units.ts';
import type { Notebook } from '../stage.ts';
import { loadInertia } from '../tables/index.ts';
import { PRACTICE, quantity, type Value } from '../value.ts';

/** MG 1 12.54: starts from the load inertia table; two in succession cold, one hot, then rest. */
export function startsAllowed(
  of: Motor,
  machineInertia: Value,
  school: School,
  flag: Notebook['flag'],
): Value | undefined {
  const row = loadInertia.rows.find((each) => Number(each['hp']) >= horsepowerOf(of.power) * 0.98);
  const column = `rpm${7200 / of.poles}`;
  const most = loadInertia.number(row, column);
  if (most === undefined) return undefined;
  const share = machineInertia.value / (most * POUND_SQUARE_FOOT);
  // The table’s load heats the motor once hot; lighter ones let it start more often in proportion.
  const perHour = Math.max(0, Math.min(60, 1 / Math.max(share, 1e-3)));
  if (share > 1) {
    flag({
      code: 'starting.inertia-above-table',
      severity: 'caution',
      message: `The machine’s ${machineInertia.text} is ${formatNumber(share, 2)} times what a standard motor of this size must be able to start.`,
      basis: loadInertia.source,
      clear: 'Have the maker confirm the start, or choose a larger motor.',
      field: 'load.inertia',
    });
  }
  return quantity(perHour, 'count', school, {
    origin: 'estimated',
    formula: 'z = J_{table} / J_m',
    from: {
      'J_{table}': quantity(most * POUND_SQUARE_FOOT, 'inertia', school, {
        origin: 'recalled',
        source: loadInertia.source,
      }),
      J_m: machineInertia,
    },
    source: `${loadInertia.source}; in proportion to inertia: ${PRACTICE}`,
    note: `Two in succession from cold, one hot. Holds for ${of.label}.`,
  });
}
