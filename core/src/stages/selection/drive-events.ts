import type { LoadResult } from '../load/load-result.ts';
import type { Fit } from '../../motor/fit-circuit.ts';
import { fitOf } from '../../motor/fit-motor.ts';
import type { Motor } from '../../motor/typical.ts';
import type { OptionContext } from '../stage.ts';
import type { DriveEvent } from '../../catalogue/drive-duty.ts';

/** s for which a load that breaks away holds the drive at its peak. Common practice, no published source. */
const BREAKAWAY_TIME = 2;
/** An overload whose time or frequency is not typed. Common practice, no published source. */
const OVERLOAD_TIME = 60;
const OVERLOADS_PER_HOUR = 6;

/**
 * Motor current at a torque with the flux held: I = √(I_m² + (I_a T/T_n)²), I_a² = I_n² − I_m². Above base speed the flux is
 * φ = 1/s of rated and torque costs the more.
 */
export function currentAtTorque(motor: Motor, circuit: Fit['circuit'] | undefined, torque: number, flux = 1): number {
  const made = motor.winding ?? motor;
  const magnetising = circuit
    ? circuit.volts / Math.sqrt(3) / (circuit.x1 + circuit.xm)
    : made.current * Math.sqrt(1 - motor.powerFactor ** 2);
  const scale = motor.current / made.current;
  const active = Math.sqrt(Math.max(0, made.current ** 2 - magnetising ** 2));
  const rated = motor.power / motor.speed;
  return scale * Math.hypot(magnetising * flux, (active * torque) / rated / flux);
}

/** Everything that asks a drive for more than the running current of its motor: breaking away, a typed ramp, overloads, the cycle. */
export function driveEvents(
  brief: OptionContext,
  motor: Motor,
  load: LoadResult,
  inertia: number | undefined,
): DriveEvent[] {
  const { given, practice } = brief;
  const circuit = fitOf(motor, given.starting, practice.fixedLossShare.value)?.circuit;
  const at = (torque: number): number => currentAtTorque(motor, circuit, Math.abs(torque));
  const { motorTorque, peakTorque, breakaway } = load.values;
  const events: DriveEvent[] = [];
  if (motorTorque)
    events.push({ name: 'breaking away', current: at(motorTorque.value * breakaway.value), time: BREAKAWAY_TIME });
  const ramp = given.starting.driveRamp;
  if (motorTorque && ramp && inertia !== undefined) {
    // At the end of the ramp the load is whole and the masses still gather speed.
    const torque = motorTorque.value + (inertia * motor.speed) / ramp.value;
    events.push({ name: 'the ramp', current: at(torque), time: ramp.value });
  }
  const { overloadTime, overloadsPerHour } = given.load;
  if (peakTorque && !load.duty)
    events.push({
      name: 'the overload',
      current: at(peakTorque.value),
      time: overloadTime?.value ?? OVERLOAD_TIME,
      every: 3600 / (overloadsPerHour?.value ?? OVERLOADS_PER_HOUR),
    });
  if (load.duty && load.values.ratio) {
    const { ratio, transmissionEfficiency } = load.values;
    for (const segment of load.duty.segments) {
      if (segment.standing) continue;
      events.push({
        name: `row ${segment.at + 1} of the cycle`,
        current: at(segment.torque / (ratio.value * transmissionEfficiency.value)),
        time: segment.time,
        every: load.duty.cycle.value,
      });
    }
  }
  return events;
}
