import { unbalanceOf } from './unbalance.ts';
import { utilizationVoltage } from '../nameplate/connected-rating.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import { formatNumber } from '../quantity/format.ts';
import { notebook, type Brief, type StageResult } from '../stage.ts';
import { quantity, type Value } from '../value.ts';

export interface SupplyValues {
  readonly unbalance?: Value;
  readonly unbalanceDerate?: Value;
  readonly voltage?: Value;
  readonly frequency?: Value;
  /** The motor voltage that belongs to the system voltage: 480 → 460. */
  readonly motorVoltage?: Value;
  /** Short-circuit power of the source at the bus. */
  readonly shortCircuitPower?: Value;
}

export type SupplyResult = StageResult<SupplyValues>;

const VOLTAGE_LIMIT = 0.1;
const FREQUENCY_LIMIT = 0.05;
const MG1_VOLTAGE = 'MG 1 12.44 (recalled from memory): ±10 % voltage, ±5 % frequency, ±10 % together';

/** What the motor is fed from, and whether its winding suits it. */
export function supply({ job, given }: Brief, nameplate: NameplateResult): SupplyResult {
  const { findings, missing, flag, need } = notebook('supply');
  const { school } = job;
  const { voltage, frequency, sourcePower, sourceImpedance } = given.supply;
  if (!voltage) need('supply.voltage', 'System voltage, to choose motor voltage, drive and protection');
  if (!frequency) need('supply.frequency', 'System frequency');
  if (!sourcePower || !sourceImpedance) {
    need(
      'supply.sourcePower',
      'Size and impedance of the transformer or generator, to tell how much a start pulls the voltage down',
    );
  }

  const motorVoltage =
    voltage &&
    quantity(utilizationVoltage(voltage.value), 'voltage', school, {
      formula: 'V_{system} \\to V_{motor}',
      from: { 'V_{system}': voltage },
      source: 'MG 1 and ANSI C84.1 utilization voltages (from memory)',
    });
  const shortCircuitPower =
    sourcePower &&
    sourceImpedance &&
    quantity(sourcePower.value / sourceImpedance.value, 'apparentPower', school, {
      formula: 'S_k = \\dfrac{S}{z}',
      from: { S: sourcePower, z: sourceImpedance },
      source: 'definition',
      note: 'Feeder cable and the network behind the transformer are left out.',
    });

  if (job.supply.phases === '1') {
    flag({
      code: 'supply.single-phase',
      severity: 'stop',
      message: 'A three-phase motor does not start on a single-phase supply.',
      basis: 'Rotating field needs three phases',
      clear:
        'Bring a three-phase supply, or have a drive chosen whose maker allows single-phase input at reduced output.',
      field: 'supply.phases',
    });
  }
  if (job.situation.kind !== 'new') checkPlateVoltage();

  const balance = unbalanceOf(given.supply.phaseVoltages?.flat() ?? [], school);
  if (balance && balance.unbalance.value > 0.01) {
    const severe = balance.derate === undefined;
    flag({
      code: 'supply.unbalance',
      severity: severe ? 'stop' : 'caution',
      message: `The three voltages are ${balance.unbalance.text} out of balance${severe ? '; no motor may run on that' : `: the motor keeps ${balance.derate.text} of its power, and its currents are several times as unbalanced`}.`,
      basis: 'MG 1 14.36, Figure 14-1 (recalled from memory)',
      clear: 'Find the single-phase load, the bad joint or the transformer tap, and measure again.',
      field: 'supply.phaseVoltages',
    });
  }

  const values: SupplyValues = {
    ...(balance ? { unbalance: balance.unbalance } : {}),
    ...(balance?.derate ? { unbalanceDerate: balance.derate } : {}),
    ...(voltage ? { voltage } : {}),
    ...(frequency ? { frequency } : {}),
    ...(motorVoltage ? { motorVoltage } : {}),
    ...(shortCircuitPower ? { shortCircuitPower } : {}),
  };
  const source = sourcePower ? `, ${sourcePower.text}` : '';
  const summary = voltage ? `${voltage.text}${frequency ? ` ${frequency.text}` : ''}${source}` : '';
  return { values, findings, missing, summary };

  function checkPlateVoltage(): void {
    const winding = nameplate.values.voltage;
    const rated = nameplate.values.frequency;
    if (!winding || !voltage || !motorVoltage || !rated) return;
    const voltageOff = motorVoltage.value / winding.value - 1;
    const frequencyOff = frequency ? frequency.value / rated.value - 1 : 0;
    if (Math.abs(frequencyOff) > FREQUENCY_LIMIT) {
      const flux = (motorVoltage.value / winding.value / (1 + frequencyOff)) * 100;
      flag({
        code: 'supply.frequency',
        severity: 'stop',
        message: `A ${rated.text} rating on ${frequency?.text}: flux would be ${formatNumber(flux)} % of rated and speed ${formatNumber((1 + frequencyOff) * 100)} %.`,
        basis: MG1_VOLTAGE,
        clear: 'Use the plate’s rating for this frequency if it has one, or choose a motor for this frequency.',
        field: 'supply.frequency',
      });
      return;
    }
    const percent = `${formatNumber(Math.abs(voltageOff) * 100, 2)} %`;
    const torque = formatNumber((voltage.value / winding.value) ** 2 * 100, 2);
    const usable = new RegExp(`\\b${Math.round(voltage.value)}\\b`).test(job.nameplate.usableAt ?? '');
    if (Math.abs(voltageOff) > VOLTAGE_LIMIT && usable) {
      flag({
        code: 'supply.usable-at',
        severity: 'caution',
        message: `The plate allows ${voltage.text} (“usable at ${(job.nameplate.usableAt ?? '').slice(0, 30)}”): torque is about ${torque} % and the current is the one named there.`,
        basis: MG1_VOLTAGE + '; T ∝ V²',
        clear: `Set the overload by the current named for ${voltage.text}; do not use the service factor.`,
        field: 'nameplate.usableAt',
      });
    } else if (Math.abs(voltageOff) > VOLTAGE_LIMIT) {
      flag({
        code: 'supply.voltage',
        severity: 'stop',
        message: `A ${winding.text} winding on a ${voltage.text} system is ${percent} ${voltageOff < 0 ? 'short' : 'over'}: torque about ${torque} % and more current.`,
        basis: MG1_VOLTAGE + '; T ∝ V²',
        clear: `Choose a winding whose plate names ${voltage.text} or ${motorVoltage.text}.`,
        field: 'supply.voltage',
      });
    } else if (Math.abs(voltageOff) + Math.abs(frequencyOff) > 0.06) {
      flag({
        code: 'supply.voltage-marginal',
        severity: 'caution',
        message: `A ${winding.text} winding on a ${voltage.text} system is ${percent} ${voltageOff < 0 ? 'low' : 'high'}: allowed, but little is left for dips and unbalance.`,
        basis: MG1_VOLTAGE,
        clear: `Prefer a winding for ${motorVoltage.text}; measure the voltage at the terminals under load.`,
        field: 'supply.voltage',
      });
    }
  }
}
