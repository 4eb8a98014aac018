import { say } from '../../kernel/text.ts';
import { PRACTICE, quantity, type Value } from '../../kernel/value.ts';
import { unbalanceOf } from '../../motor/unbalance.ts';
import type { Fed } from './fed.ts';
import type { Report } from './findings.ts';
import { startVoltage } from './source.ts';
import type { SupplyValues } from './values.ts';

/** A line voltage further from the system’s is doubted. Common practice, no published source. */
const READING_OFF = 0.12;
/** Unbalance up to this costs nothing (MG 1 14.36, recalled from memory). */
const BALANCED = 0.01;

/** What the voltage may have fallen to when the motor is asked to start: as typed, else what the motor is made for. */
export function lowestVoltageOf({ brief, voltage, motor, motorVoltage }: Fed, report: Report): Value | undefined {
  const { given } = brief;
  const typed = given.supply.lowestVoltage;
  if (!voltage) return typed;
  if (typed && (typed.value > voltage.value * 1.005 || typed.value < voltage.value * 0.7))
    report(
      'supply.lowest-voltage',
      say`A lowest voltage of ${typed} on a ${voltage} system is ${typed.value > voltage.value ? 'above the system’s own' : 'less than seven tenths of it'}.`,
    );
  return (
    typed ??
    (motor &&
      quantity(startVoltage(given, motor.voltage) ?? motor.voltage, 'voltage', {
        origin: 'estimated',
        assumes: 'supply.lowestVoltage',
        formula: 'V = \\min(V_{system},\\ V_n)',
        from: { 'V_{system}': voltage, V_n: motorVoltage },
        source: PRACTICE,
        note: 'The rated voltage of the motor, or the system’s where that is lower. Type the lowest the bus has.',
      }))
  );
}

/** How far the three line voltages are apart, and what that leaves of a motor. */
export function unbalance(fed: Fed, report: Report): Pick<SupplyValues, 'unbalance' | 'unbalanceDerate'> {
  const readings = fed.brief.given.supply.phaseVoltages?.flat() ?? [];
  checkReadings(readings, fed, report);
  const balance = unbalanceOf(readings);
  if (!balance) return {};
  if (balance.unbalance.value > BALANCED) {
    const severe = balance.derate === undefined;
    report(
      'supply.unbalance',
      say`The voltage unbalance is ${balance.unbalance}${severe ? '; no motor may run on it' : say`: the derating factor is ${balance.derate}, and the current unbalance several times higher`}.`,
      { severity: severe ? 'stop' : 'caution' },
    );
  }
  return { unbalance: balance.unbalance, ...(balance.derate ? { unbalanceDerate: balance.derate } : {}) };
}

/** Three readings of one system, near its voltage. */
function checkReadings(all: readonly Value[], { voltage }: Fed, report: Report): void {
  if (all.length > 0 && all.length !== 3) {
    report(
      'supply.readings-not-three',
      `Unbalance is told from three line voltages; ${all.length === 1 ? 'one is' : `${all.length} are`} typed.`,
    );
    return;
  }
  const off = voltage && all.find((each) => Math.abs(each.value / voltage.value - 1) > READING_OFF);
  if (off) report('supply.readings-off', say`${off} between two lines is far from the ${voltage} of the system.`);
}
