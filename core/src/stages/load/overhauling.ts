import type { Report } from './findings.ts';
import { GRAVITY } from '../../kernel/constants.ts';
import type { StageContext, Notebook } from '../stage.ts';
import { quantity, type Value } from '../../kernel/value.ts';

/** How a load may drive its motor: a hoist that lowers, a cycle or a curve with torque below zero. Undefined where it never does. */
export function overhaulingOf({ job, rows }: StageContext): 'hoist' | 'cycle' | 'curve' | undefined {
  const { way } = job.load;
  const negative = (torque: Value | undefined): boolean => torque !== undefined && torque.value < 0;
  if (way === 'hoist') return 'hoist';
  if (way === 'duty' && rows['load.duty'].some(({ torque }) => negative(torque))) return 'cycle';
  return way === 'curve' && rows['load.curve'].some(({ torque }) => negative(torque)) ? 'curve' : undefined;
}

/**
 * Torque of a load being lowered, at the motor shaft, below zero: T = −m g v η η_t / ω. Here the losses help to brake.
 * Undefined for anything but a hoist whose figures are known.
 */
export function loweringTorque(
  { job, given }: StageContext,
  motorSpeed: Value | undefined,
  transmission: Value,
): Value | undefined {
  const { movedMass, linearSpeed, machineEfficiency } = given.load;
  if (job.load.way !== 'hoist' || !movedMass || !linearSpeed || !machineEfficiency || !motorSpeed) return undefined;
  const watts = movedMass.value * GRAVITY * linearSpeed.value * machineEfficiency.value * transmission.value;
  return quantity(-watts / motorSpeed.value, 'torque', {
    formula: 'T = -\\dfrac{m g v\\,\\eta\\,\\eta_t}{\\omega}',
    from: { m: movedMass, v: linearSpeed, '\\eta': machineEfficiency, '\\eta_t': transmission, n: motorSpeed },
    source: 'hoisting power, handbook formula, with the losses on the braking side',
    note: 'While lowering the load drives the motor.',
  });
}

/** A load that can drive its motor is held by a brake of its own, whatever feeds the motor. */
export function checkBrake(
  brief: StageContext,
  { report, require }: Pick<Notebook<Report>, 'report' | 'require'>,
): void {
  const kind = overhaulingOf(brief);
  const { holdingBrake } = brief.job.load;
  if (!kind || holdingBrake === 'yes') return;
  if (holdingBrake === 'unknown')
    require('load.holdingBrake', 'Whether a brake holds the load when the motor has no current');
  report(
    'load.no-holding-brake',
    kind === 'hoist'
      ? `A hoist ${holdingBrake === 'no' ? 'without' : 'of which nothing is known of'} a holding brake: the load would fall when the motor has no torque.`
      : `The ${kind === 'cycle' ? 'cycle' : 'torque curve'} has torque below zero: there the load drives the motor, and ${holdingBrake === 'no' ? 'no' : 'so far no known'} brake holds it at rest.`,
  );
}
