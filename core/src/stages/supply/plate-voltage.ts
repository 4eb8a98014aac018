import { amount, figures, say } from '../../kernel/text.ts';
import type { Value } from '../../kernel/value.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import type { Fed } from './fed.ts';
import type { Report } from './findings.ts';

/** What motors bear of voltage, frequency and both together (MG 1 12.44, recalled from memory). */
const VOLTAGE_LIMIT = 0.1;
const FREQUENCY_LIMIT = 0.05;
/** Both together from which little is left. Common practice, no published source. */
const MARGINAL = 0.06;

/** Plate and system, both known. */
interface Pair {
  readonly winding: Value;
  readonly voltage: Value;
  readonly motorVoltage: Value;
  /** Of the plate. */
  readonly rated: Value;
  /** How far voltage and frequency are off, of rated. */
  readonly voltageOff: number;
  readonly frequencyOff: number;
}

/** Whether the winding of a motor that is there suits this system. */
export function checkPlateVoltage(fed: Fed, report: Report): void {
  const { nameplate, voltage, motorVoltage, frequency } = fed;
  const winding = nameplate.values.voltage;
  const rated = nameplate.values.frequency;
  if (!winding || !voltage || !motorVoltage || !rated) return;
  const voltageOff = motorVoltage.value / winding.value - 1;
  const frequencyOff = frequency ? frequency.value / rated.value - 1 : 0;
  const pair = { winding, voltage, motorVoltage, rated, voltageOff, frequencyOff };
  checkShift(pair, fed, report);
  checkLowWinding(pair, fed, report);
  if (Math.abs(frequencyOff) > FREQUENCY_LIMIT) checkFrequency(pair, frequency, report);
  else checkVoltage(pair, nameplateUse(fed), report);
}

const nameplateUse = ({ brief }: Fed): string => brief.job.nameplate.usableAt ?? '';

/** A motor of another frequency that keeps its volts per hertz. */
function checkShift({ voltage, rated }: Pair, { nameplate, frequency }: Fed, report: Report): void {
  const { shiftedFrom }: Pick<NameplateResult, 'shiftedFrom'> = nameplate;
  if (!shiftedFrom) return;
  const { voltage: own, frequency: hertz, power } = shiftedFrom;
  const k = rated.value / hertz.value;
  const faster = k > 1;
  report(
    'supply.other-frequency',
    say`A ${own} ${hertz} motor on ${voltage} ${frequency ?? ''} keeps its volts per hertz: it runs ${figures(Math.abs(k - 1) * 100, 2)} % ${faster ? 'faster' : 'slower'} at the same torque${power ? say`, so ${power} becomes ${nameplate.values.power ?? ''}` : ''}. A fan or pump would take ${figures(k ** 3 * 100, 3)} % of its power there.`,
    {
      clear: faster
        ? 'Check the load at the higher speed, the balance and the bearings; better, choose a motor for this frequency.'
        : 'Check that the fan on the shaft still cools it; better, choose a motor for this frequency.',
    },
  );
}

/** A winding made for more volts than it gets. */
function checkLowWinding({ voltage }: Pair, { nameplate }: Fed, report: Report): void {
  const made = nameplate.motor?.winding;
  if (made && voltage.value < made.voltage * 0.95)
    report(
      'supply.low-winding',
      say`The winding is made for ${amount(made.voltage, 'voltage')}: on ${voltage} it has ${figures((voltage.value / made.voltage) ** 2 * 100, 2)} % of its torque and as much less locked-rotor current as voltage.`,
    );
}

function checkFrequency(
  { rated, motorVoltage, winding, frequencyOff }: Pair,
  frequency: Value | undefined,
  report: Report,
): void {
  const flux = (motorVoltage.value / winding.value / (1 + frequencyOff)) * 100;
  report(
    'supply.frequency',
    say`A ${rated} rating on ${frequency ?? '–'}: flux would be ${figures(flux)} % of rated and speed ${figures((1 + frequencyOff) * 100)} %.`,
  );
}

function checkVoltage(
  { winding, voltage, motorVoltage, voltageOff, frequencyOff }: Pair,
  usableAt: string,
  report: Report,
): void {
  const percent = say`${figures(Math.abs(voltageOff) * 100, 2)} %`;
  const torque = figures((voltage.value / winding.value) ** 2 * 100, 2);
  const usable = new RegExp(`\\b${Math.round(voltage.value)}\\b`).test(usableAt);
  if (Math.abs(voltageOff) > VOLTAGE_LIMIT && usable) {
    report(
      'supply.usable-at',
      say`The plate allows ${voltage} (“usable at ${usableAt.slice(0, 30)}”): torque is about ${torque} % and the current is the one named there.`,
      { clear: say`Set the overload by the current named for ${voltage}; do not use the service factor.` },
    );
  } else if (Math.abs(voltageOff) > VOLTAGE_LIMIT) {
    report(
      'supply.voltage',
      say`A ${winding} winding on a ${voltage} system is ${percent} ${voltageOff < 0 ? 'short' : 'over'}: torque about ${torque} % and more current.`,
      { clear: say`Choose a winding whose plate names ${voltage} or ${motorVoltage}.` },
    );
  } else if (Math.abs(voltageOff) + Math.abs(frequencyOff) > MARGINAL) {
    report(
      'supply.voltage-marginal',
      say`A ${winding} winding on a ${voltage} system is ${percent} ${voltageOff < 0 ? 'low' : 'high'}: allowed, but little is left for dips and unbalance.`,
      { clear: say`Prefer a winding for ${motorVoltage}; measure the voltage at the terminals under load.` },
    );
  }
}
