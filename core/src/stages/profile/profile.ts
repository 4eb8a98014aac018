import { findings as declared } from './findings.ts';
import type { ProfileValues } from './values.ts';
import { loadField } from '../load/ways.ts';
import type { LoadResult } from '../load/load.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import type { SupplyResult } from '../supply/supply.ts';
import { referenceMotor } from '../load/reference-motor.ts';
import type { Motor } from '../../motor/typical.ts';
import { notebook, type OptionBrief, type StageResult } from '../stage.ts';
import { formatQuantity } from '../../ground/quantity/format.ts';
import { PRACTICE, quantity, type Value } from '../../ground/value.ts';
import { driveInput, throttledInput } from './input-power.ts';
import { FULL, shaftPowerShare } from './shaft-power.ts';

/** One step of the profile as drawn and tabled. Powers are electrical input, W. */
export interface ProfilePoint {
  readonly flow: number;
  readonly hours: number;
  /** As controlled today, the mean over the hours; undefined where the control is not known. */
  readonly throttled: number | undefined;
  /** Highest input of those hours, for the demand charge. */
  readonly throttledPeak: number | undefined;
  readonly speedControlled: number;
  /** Shaft power, W, as controlled today while it runs and with speed control, and speed as a share of full speed. */
  readonly shaftThrottled: number | undefined;
  readonly shaftControlled: number;
  readonly speed: number;
}

export interface ProfileResult extends StageResult<ProfileValues> {
  readonly points: readonly ProfilePoint[];
  readonly flowVaries: boolean;
  /** Static head as a share of the head at full flow. */
  readonly staticShare: number;
}

const YEAR_HOURS = 8784;
/** Breakdown torque over the torque needed above base speed. Common practice, no published source. */
const BREAKDOWN_RESERVE = 1.5;

/** Static share of the head as typed for the load; none for other machines. */
const staticShareOf = ({ staticHead, head }: OptionBrief['given']['load']): number =>
  staticHead && head ? Math.min(0.98, staticHead.value / head.value) : 0;

/** Hours at each flow, and what they cost with today’s flow control and with speed control. */
export function profile(
  brief: OptionBrief,
  nameplate: NameplateResult,
  load: LoadResult,
  supply: SupplyResult,
): ProfileResult {
  const motor = referenceMotor(brief.job, nameplate, load, supply.values.motorVoltage?.value);
  return profileOn(motor, brief, nameplate, load);
}

/** The same stage for a given motor, so that the picked motor can be put in the reference motor’s place. */
export function profileOn(
  motor: Motor | undefined,
  brief: OptionBrief,
  nameplate: NameplateResult,
  load: LoadResult,
): ProfileResult {
  const { job, given, rows, practice } = brief;
  const { findings, missing, flag, ...ask } = notebook('profile', declared);
  const need = job.situation.kind === 'energy' ? ask.need : ask.sharpen;
  const { school } = job;
  const { motorPower } = load.values;
  const points = rows['profile.points'].flatMap(({ at, flow, hours }) => (flow && hours ? [{ at, flow, hours }] : []));
  const flowVaries = points.some((point) => point.flow.value < FULL && point.hours.value > 0 && point.flow.value > 0);
  const totalHours = points.reduce((sum, point) => sum + point.hours.value, 0);

  if (points.length === 0) need('profile.points', 'Hours a year at each flow, for energy and for the case for a drive');
  if (totalHours > YEAR_HOURS * 3600) {
    flag('profile.hours', `The hours add up to ${formatQuantity(totalHours, 'time', school)}; a year has 8 760 h.`);
  }
  if (points.length > 0 && !motorPower) need(loadField(job), 'Load torque and speed, for the energy of the profile');

  const staticShare = given.profile.staticHeadShare?.value ?? staticShareOf(given.load);
  const ready = motor && motorPower && points.length > 0 && totalHours > 0;
  if (!ready) {
    const summary = points.length > 0 ? `${formatQuantity(totalHours, 'time', school)} a year` : '';
    return {
      values: totalHours > 0 ? { hours: hoursValue() } : {},
      findings,
      missing,
      summary,
      points: [],
      flowVaries,
      staticShare,
    };
  }

  // What runs today stands on today’s motor, where there is one.
  const today = (job.situation.kind === 'new' ? undefined : nameplate.motor) ?? motor;
  const { control } = job.profile;
  const steps: ProfilePoint[] = points.map(({ flow, hours }) => {
    const shaft = shaftPowerShare(job.load, control, flow.value, staticShare);
    const shaftThrottled = shaft.throttled === undefined ? undefined : motorPower.value * shaft.throttled;
    const peak = shaftThrottled === undefined ? undefined : throttledInput(today, shaftThrottled, flow.value, practice);
    return {
      flow: flow.value,
      hours: hours.value,
      throttled: peak === undefined ? undefined : peak * shaft.running,
      throttledPeak: peak,
      speedControlled: driveInput(motor, motorPower.value * shaft.speedControlled, shaft.speed, practice),
      shaftThrottled,
      shaftControlled: motorPower.value * shaft.speedControlled,
      speed: shaft.speed,
    };
  });
  checkControl();
  checkAboveFull(motor, steps);

  const unknown = steps.some((step) => step.hours > 0 && step.throttled === undefined);
  const throttled = unknown ? undefined : steps.reduce((sum, step) => sum + (step.throttled ?? 0) * step.hours, 0);
  const controlled = steps.reduce((sum, step) => sum + step.speedControlled * step.hours, 0);
  const note = `Holds for ${motor.label}.`;
  const energyThrottled =
    throttled === undefined
      ? undefined
      : quantity(throttled, 'energy', school, {
          origin: 'estimated',
          formula: 'E = \\sum_i t_i\\,P_{in}(q_i)',
          from: { P: motorPower, t: hoursValue() },
          source:
            'Flow-control curves of public building-energy simulation (recalled from memory); part-load loss: ' +
            PRACTICE,
          note: `Holds for ${today.label}.`,
        });
  const energySpeedControlled = quantity(controlled, 'energy', school, {
    origin: 'estimated',
    formula:
      job.load.torqueKind === 'constant'
        ? 'P_s = P\\,q'
        : staticShare > 0
          ? 'P_s = P\\,q\\,(h + (1-h)\\,q^2)'
          : 'P_s = P\\,q^3',
    from: { P: motorPower, h: given.profile.staticHeadShare },
    source: 'Affinity laws; drive efficiency from a public tip sheet (recalled from memory)',
    note,
  });
  const energySaved =
    energyThrottled &&
    quantity(energyThrottled.value - controlled, 'energy', school, {
      origin: 'estimated',
      formula: 'E_1 - E_2',
      from: { E_1: energyThrottled, E_2: energySpeedControlled },
      source: 'definition',
      note,
    });
  const savingShare =
    energySaved &&
    quantity(energySaved.value / energyThrottled.value, 'fraction', school, {
      origin: 'estimated',
      formula: '(E_1 - E_2) / E_1',
      from: { E_1: energyThrottled, E_2: energySpeedControlled },
      source: 'definition',
    });

  if (energySaved && energySaved.value < 0) {
    const constant = job.load.torqueKind === 'constant' && flowVaries;
    flag(
      'profile.drive-wastes',
      constant
        ? `This machine needs its torque at every speed, so the same work costs the same energy slow or switched on and off: speed alone saves nothing, and a drive would use ${formatQuantity(-energySaved.value, 'energy', school)} more in a year.`
        : `A drive would use ${formatQuantity(-energySaved.value, 'energy', school)} more in a year than it saves: the speed hardly varies, and its own loss runs all the time.`,
    );
  }
  const saved =
    savingShare === undefined
      ? 'control not known'
      : savingShare.value >= 0
        ? `drive saves ${savingShare.text}`
        : 'a drive wastes energy';
  return {
    values: {
      hours: hoursValue(),
      ...(energyThrottled ? { energyThrottled } : {}),
      energySpeedControlled,
      ...(energySaved ? { energySaved } : {}),
      ...(savingShare ? { savingShare } : {}),
    },
    findings,
    missing,
    summary: `${formatQuantity(totalHours, 'time', school)} · ${saved}`,
    points: steps,
    flowVaries,
    staticShare,
  };

  /** How less than full flow comes about is asked, never taken as full power; what cannot be is said. */
  function checkControl(): void {
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
  function checkAboveFull(of: Motor, all: readonly ProfilePoint[]): void {
    for (const [index, step] of all.entries()) {
      if (step.flow <= 1.001 || step.hours <= 0) continue;
      const worst = Math.max(step.shaftThrottled ?? 0, step.shaftControlled);
      const torque = step.shaftControlled / of.speed / Math.max(1, step.speed);
      const rated = of.power / of.speed;
      const left = (of.breakdownTorque * rated) / Math.max(1, step.speed) ** 2 / BREAKDOWN_RESERVE;
      const heavy = worst > of.power * 1.001;
      if (!heavy && torque <= left) continue;
      flag(
        'profile.above-full',
        heavy
          ? `At ${formatQuantity(step.flow, 'fraction', school)} flow the load takes ${formatQuantity(worst, 'power', school)}; the motor gives ${formatQuantity(of.power, 'power', school)}, above its base speed too.`
          : `At ${formatQuantity(step.flow, 'fraction', school)} flow the motor has ${formatQuantity(left, 'torque', school)} left below breakdown; the load takes ${formatQuantity(torque, 'torque', school)}.`,
        { field: `profile.points.${points[index]?.at ?? index}.flow` },
      );
    }
  }

  function hoursValue(): Value {
    return quantity(totalHours, 'time', school, { formula: '\\sum t_i', source: 'typed in this job' });
  }
}
