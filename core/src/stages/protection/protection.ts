import { notebook, type StageResult } from '../stage.ts';
import type { Circuit, ProtectionOn } from './asked-of-protection.ts';
import { findings as declared, type Flag } from './findings.ts';
import { once } from '../../ground/remembered.ts';
import { magnitude } from '../../ground/complex.ts';
import { quantity } from '../../ground/value.ts';
import { atOnce, type Device } from './iec/device.ts';
import { deviceOf, firstWave, iecCircuit } from './iec/iec-circuit.ts';
import { necCircuit } from './nec/nec-circuit.ts';
import { checkRelay, dialOf, driveOverload, overloadByIec, overloadByNec } from './overload.ts';
import { starterOf } from './starter.ts';
import type { StarterValues } from './starter-values.ts';
import type { ProtectionValues } from './values.ts';

export interface ProtectionResult extends StageResult<ProtectionValues> {
  /** What the starter is built of and must carry; empty on a drive. */
  readonly starter: StarterValues;
  /** The same circuit by the other school’s rules; worked out when it is asked for. */
  readonly other: () => ProtectionValues;
  /** The short-circuit device over time and current; undefined where there is none to draw. */
  readonly drawn: () => DevicePicture | undefined;
}

/** A and s: what a short-circuit device carries and what opens it, beside the first half-wave of the motor. */
export interface DevicePicture extends Pick<Device, 'name' | 'carries' | 'opens'> {
  readonly firstWave: number | undefined;
}

const NOTHING: ProtectionValues = {};

/** Overload, wires, short-circuit device and earth of the motor’s circuit, by the rules of the job’s school. */
export function protection(on: ProtectionOn): ProtectionResult {
  const { brief, nameplate, pick, starting } = on;
  const { findings, missing, flag, need, sharpen } = notebook('protection', declared);
  const { school, situation } = brief.job;
  const motor = pick.motor ?? nameplate.motor;
  const nameplateCurrent = pick.values.motorCurrent ?? nameplate.values.ratedCurrent;
  if (!motor || !nameplateCurrent) {
    // A new machine has no plate yet: what the pick lacks is asked for where it is lacking.
    if (situation.kind !== 'new') need('nameplate.currents', 'Nameplate current, for the overload setting');
    return {
      values: NOTHING,
      findings,
      missing,
      summary: '',
      starter: {},
      other: () => NOTHING,
      drawn: () => undefined,
    };
  }
  // Until a drive is there the motor is protected as on the line.
  const onDrive = starting.method === 'drive' && (pick.chosenDrive !== undefined || pick.keepsFeed);
  const circuit: Circuit = { ...on, motor, nameplateCurrent, onDrive, holds: `Holds for ${motor.label}.` };
  if (school === 'IEC') {
    flag(
      'protection.iec',
      'Device, contactor and relay hold together only as their maker tested them; what breaks the short-circuit current is its breaking capacity.',
    );
    if (!brief.given.supply.feederLength)
      sharpen('supply.feederLength', 'Length of the cable, for its drop and for a fault to earth to be cleared');
  }
  const values = valuesBy(circuit, flag);
  const summary = summaryOf(values, school === 'IEC' ? values.overloadCurrent : undefined);
  const other = once(() => {
    const swapped: Circuit = {
      ...circuit,
      compares: true,
      brief: { ...brief, job: { ...brief.job, school: school === 'IEC' ? 'NEMA' : 'IEC' } },
    };
    // What would be found is told once the job is of that school.
    return valuesBy(swapped, () => undefined);
  });
  const starter = starterOf(circuit, values);
  return { values, findings, missing, summary, starter, other, drawn: () => drawnOf(circuit, values) };
}

/** Of a breaker under the NEC its magnetic trip, ten times its rating within a fifth. Common practice, no published source. */
function drawnOf(circuit: Circuit, { branchDeviceMax }: ProtectionValues): DevicePicture | undefined {
  const { school, protection: asked } = circuit.brief.job;
  const wave = circuit.onDrive ? undefined : firstWave(circuit);
  if (school === 'IEC') {
    const device = deviceOf(circuit, () => undefined);
    return device && { name: device.name, carries: device.carries, opens: device.opens, firstWave: wave };
  }
  if (!branchDeviceMax || asked.device !== 'inverse time breaker') return undefined;
  const { value } = branchDeviceMax;
  return { name: `breaker ${value} A`, ...atOnce(8 * value, 12 * value), firstWave: wave };
}

function valuesBy(circuit: Circuit, flag: Flag): ProtectionValues {
  const iec = circuit.brief.job.school === 'IEC';
  const dial = circuit.onDrive ? undefined : dialOf(circuit);
  if (dial) checkRelay(dial, circuit, flag);
  const overloadCurrent = iec ? overloadByIec(circuit) : overloadByNec(circuit);
  return {
    ...(dial ? { overloadDial: dial } : {}),
    ...(circuit.onDrive ? { driveOverloadCurrent: driveOverload(circuit) } : {}),
    ...(overloadCurrent ? { overloadCurrent, overloadCeiling: overloadCurrent } : {}),
    ...(iec ? iecCircuit(circuit, flag) : necCircuit(circuit, flag)),
    ...faultAtBus(circuit),
  };
}

/** A, three phases shorted at the bus; what every device there must break. */
function faultAtBus({ supply, brief }: Circuit): Partial<ProtectionValues> {
  const { source } = supply;
  if (!source) return {};
  return {
    faultCurrent: quantity(source.voltage / Math.sqrt(3) / magnitude(source.internal), 'current', brief.job.school, {
      origin: 'estimated',
      formula: "I''_{k3} = \\dfrac{U}{\\sqrt3\\,Z_q}",
      from: { U: supply.values.voltage, Z_q: supply.values.sourceImpedance },
      source: 'IEC 60909-0 (from memory), without the voltage factor',
      note: 'Breaking capacity of every device at the bus is at least this; motors that run add to it.',
    }),
  };
}

function summaryOf(
  { branchDeviceMax, branchDevice, conductorSize, overloadDial, driveOverloadCurrent }: ProtectionValues,
  byIec: ProtectionValues['overloadCurrent'],
): string {
  const parts = [
    branchDeviceMax ? `${branchDeviceMax.text} device` : branchDevice?.text,
    branchDeviceMax ? undefined : conductorSize?.text,
    overloadDial && `relay at ${overloadDial.text}`,
    driveOverloadCurrent && `overload ${driveOverloadCurrent.text}`,
    !overloadDial && !driveOverloadCurrent && byIec && `overload ${byIec.text}`,
  ];
  const text = parts.filter(Boolean).join(' · ');
  return text.charAt(0).toUpperCase() + text.slice(1);
}
