import { say } from '../../kernel/text.ts';
import { rowReaching } from '../../motor/standard-power.ts';
import type { Motor } from '../../motor/typical.ts';
import { POUND_SQUARE_FOOT, type StandardsSystem } from '../../kernel/quantity/units.ts';
import { loadInertia, startsAllowed } from '../../kernel/tables/index.ts';
import { quantity, type Value } from '../../kernel/value.ts';

/** What a motor bears of starts on the line, whichever way; empty where the tables do not reach. */
export interface StartsBorne {
  /** Load inertia that it starts once when hot. */
  readonly onceHot?: Value;
  /** An hour. */
  readonly startsPerHour?: Value;
  /** Least rest before a start, s. */
  readonly restTime?: Value;
}

const IEC_INERTIA = 'IEC 60034-12 starting requirements, J = 0.04 P^0.9 p^2.5 (recalled from memory)';

/**
 * Starts an hour, the lesser of A and B / J of MG 10 Table 2-3, and its rest C. B is the load inertia that a standard
 * motor must start twice from cold or once hot: MG 1 Table 12-7, or IEC 60034-12 for IEC motors. Beyond the sizes and
 * poles of MG 10 its nearest figures for A and C are taken.
 */
export function permissibleStarts(of: Motor, machineInertia: Value, school: StandardsSystem): StartsBorne {
  const once = onceHot(of, school);
  const row = rowReaching(startsAllowed, of.power) ?? startsAllowed.rows.at(-1);
  const poles = Math.min(of.poles, 6);
  const most = startsAllowed.number(row, `a_${poles}pole`);
  const rest = startsAllowed.number(row, `c_${poles}pole`);
  if (!once || most === undefined || rest === undefined) return {};
  const { source } = startsAllowed;
  const note = `Two in succession from cold, one hot. Holds for ${of.label}.`;
  return {
    onceHot: once,
    // Starts are counted whole, and fewer rather than more.
    startsPerHour: quantity(Math.floor(Math.min(most, once.value / machineInertia.value) + 1e-9), 'count', {
      origin: 'recalled',
      formula: 'z = \\lfloor \\min(A,\\; J_{table} / J_m) \\rfloor',
      from: {
        A: quantity(most, 'count', { origin: 'recalled', source }),
        'J_{table}': once,
        J_m: machineInertia,
      },
      source: say`${source}; ${once.working.source}`,
      note,
    }),
    restTime: quantity(rest, 'duration', { origin: 'recalled', source, note }),
  };
}

/** Load inertia that a standard motor starts once when hot, at its own shaft. */
function onceHot(of: Motor, school: StandardsSystem): Value | undefined {
  if (school === 'IEC')
    return quantity(0.04 * (of.power / 1000) ** 0.9 * (of.poles / 2) ** 2.5, 'inertia', {
      origin: 'recalled',
      formula: 'J = 0.04\\,P^{0.9}\\,p^{2.5}',
      source: IEC_INERTIA,
    });
  const most = loadInertia.number(rowReaching(loadInertia, of.power), `rpm${7200 / of.poles}`);
  return most === undefined
    ? undefined
    : quantity(most * POUND_SQUARE_FOOT, 'inertia', { origin: 'recalled', source: loadInertia.source });
}
