import { formatQuantity } from '../../ground/quantity/format.ts';
import type { Value } from '../../ground/value.ts';
import type { Motor } from '../../motor/typical.ts';
import type { OptionBrief } from '../stage.ts';
import type { Flag } from './findings.ts';
import type { ProfilePoint } from './profile-result.ts';

/** Breakdown torque over the torque needed above base speed. Common practice, no published source. */
const BREAKDOWN_RESERVE = 1.5;

type Need = (field: string, message: string) => void;

/** How less than full flow comes about is asked, never taken as full power; what cannot be is said. */
export function checkControl({ job }: OptionBrief, flowVaries: boolean, need: Need, flag: Flag): void {
  const { control } = job.profile;
  const variable = job.load.torqueKind === 'variable';
  if (variable && flowVaries && (control === 'unknown' || control === 'none')) {
    need(
      'profile.control',
      'How the flow is brought below full today, for the energy it takes and what a drive would save',
    );
    flag(
      'profile.control-unknown',
      control === 'none'
        ? 'Flow varies, but no control of it is stated: a machine without any runs at full flow. Nothing is said of what a drive saves.'
        : 'How the flow is controlled today is not known, so nothing is said of what a drive saves.',
    );
  }
  if (!variable && ['damper', 'inlet vane', 'throttle'].includes(control))
    flag(
      'profile.control-mismatch',
      `A machine that needs its torque at every speed is not controlled by ${control === 'throttle' ? 'a throttle valve' : control}; the same work in less time is taken instead.`,
    );
}

/** Load above rated power or above what is left of breakdown torque in rows beyond full flow. */
export function checkAboveFull(
  motor: Motor,
  steps: readonly ProfilePoint[],
  typed: readonly { readonly at: number }[],
  { brief, flag }: { readonly brief: OptionBrief; readonly flag: Flag },
): void {
  const { school } = brief.job;
  const torqueText = (torque: number): string => formatQuantity(torque, 'torque', school);
  for (const [index, step] of steps.entries()) {
    if (step.flow <= 1.001 || step.hours <= 0) continue;
    const worst = Math.max(step.shaftThrottled ?? 0, step.shaftControlled);
    const torque = step.shaftControlled / motor.speed / Math.max(1, step.speed);
    const rated = motor.power / motor.speed;
    const left = (motor.breakdownTorque * rated) / Math.max(1, step.speed) ** 2 / BREAKDOWN_RESERVE;
    const heavy = worst > motor.power * 1.001;
    if (!heavy && torque <= left) continue;
    const flow = formatQuantity(step.flow, 'fraction', school);
    flag(
      'profile.above-full',
      heavy
        ? `At ${flow} flow the load takes ${formatQuantity(worst, 'power', school)}; the motor gives ${formatQuantity(motor.power, 'power', school)}, above its base speed too.`
        : `At ${flow} flow the motor has ${torqueText(left)} left below breakdown; the load takes ${torqueText(torque)}.`,
      { field: `profile.points.${typed[index]?.at ?? index}.flow` },
    );
  }
}

/** A drive that takes more than it saves. */
export function checkWaste(saved: Value | undefined, flowVaries: boolean, { job }: OptionBrief, flag: Flag): void {
  if (!saved || saved.value >= 0) return;
  const more = formatQuantity(-saved.value, 'energy', job.school);
  flag(
    'profile.drive-wastes',
    job.load.torqueKind === 'constant' && flowVaries
      ? `This machine needs its torque at every speed, so the same work costs the same energy slow or switched on and off: speed alone saves nothing, and a drive would use ${more} more in a year.`
      : `A drive would use ${more} more in a year than it saves: the speed hardly varies, and its own loss runs all the time.`,
  );
}
