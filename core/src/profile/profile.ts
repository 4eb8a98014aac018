import { loadField } from '../load/ways.ts';
import type { LoadResult } from '../load/load.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import type { SupplyResult } from '../supply/supply.ts';
import { referenceMotor } from '../motor/reference.ts';
import type { Motor } from '../motor/typical.ts';
import { notebook, type Brief, type StageResult } from '../stage.ts';
import { formatQuantity } from '../quantity/format.ts';
import { PRACTICE, quantity, type Value } from '../value.ts';
import { driveInput, throttledInput } from './input-power.ts';
import { shaftPowerShare } from './shaft-power.ts';

export interface ProfileValues {
  readonly hours?: Value;
  /** Electrical energy of a year, J. */
  readonly energyThrottled?: Value;
  readonly energySpeedControlled?: Value;
  readonly energySaved?: Value;
  readonly savingShare?: Value;
}

/** One step of the profile as drawn and tabled. Powers are electrical input, W. */
export interface ProfilePoint {
  readonly flow: number;
  readonly hours: number;
  readonly throttled: number;
  readonly speedControlled: number;
}

export interface ProfileResult extends StageResult<ProfileValues> {
  readonly points: readonly ProfilePoint[];
  readonly flowVaries: boolean;
}

const YEAR_HOURS = 8784;

/** Static share of the head as typed for the load; none for other machines. */
const staticShareOf = ({ staticHead, head }: Brief['given']['load']): number =>
  staticHead && head ? Math.min(0.98, staticHead.value / head.value) : 0;

/** Hours at each flow, and what they cost with today’s flow control and with speed control. */
export function profile(
  brief: Brief,
  nameplate: NameplateResult,
  load: LoadResult,
  supply: SupplyResult,
): ProfileResult {
  const motor = referenceMotor(brief.job, nameplate, load, supply.values.motorVoltage?.value);
  return profileOn(motor, brief, load);
}

/** The same stage for a given motor, so that the picked motor can be put in the reference motor’s place. */
export function profileOn(
  motor: Motor | undefined,
  { job, given, rows, practice }: Brief,
  load: LoadResult,
): ProfileResult {
  const { findings, missing, flag, need } = notebook('profile');
  const { school } = job;
  const { motorPower } = load.values;
  const points = rows['profile.points'].flatMap(({ flow, hours }) => (flow && hours ? [{ flow, hours }] : []));
  const flowVaries = points.some((point) => point.flow.value < 0.98 && point.hours.value > 0 && point.flow.value > 0);
  const totalHours = points.reduce((sum, point) => sum + point.hours.value, 0);

  if (points.length === 0) need('profile.points', 'Hours a year at each flow, for energy and for the case for a drive');
  if (totalHours > YEAR_HOURS * 3600) {
    flag({
      code: 'profile.hours',
      severity: 'stop',
      message: `The hours add up to ${formatQuantity(totalHours, 'time', school)}; a year has 8 760 h.`,
      basis: 'Calendar',
      clear: 'Correct the hours so that together they fit in a year.',
      field: 'profile.points.0.hours',
    });
  }
  if (points.length > 0 && !motorPower) need(loadField(job), 'Load torque and speed, for the energy of the profile');

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
    };
  }

  const share = given.profile.staticHeadShare?.value ?? staticShareOf(given.load);
  const steps: ProfilePoint[] = points.map(({ flow, hours }) => {
    const shaft = shaftPowerShare(job.load, job.profile.control, flow.value, share);
    return {
      flow: flow.value,
      hours: hours.value,
      throttled: throttledInput(motor, motorPower.value * shaft.throttled, flow.value, practice),
      speedControlled: driveInput(motor, motorPower.value * shaft.speedControlled, shaft.speed, practice),
    };
  });

  const throttled = steps.reduce((sum, step) => sum + step.throttled * step.hours, 0);
  const controlled = steps.reduce((sum, step) => sum + step.speedControlled * step.hours, 0);
  const note = `Holds for ${motor.label}.`;
  const energyThrottled = quantity(throttled, 'energy', school, {
    origin: 'estimated',
    formula: 'E = \\sum_i t_i\\,P_{in}(q_i)',
    from: { P: motorPower, t: hoursValue() },
    source:
      'Flow-control curves of public building-energy simulation (recalled from memory); part-load loss: ' + PRACTICE,
    note,
  });
  const energySpeedControlled = quantity(controlled, 'energy', school, {
    origin: 'estimated',
    formula: share > 0 ? 'P_s = P\\,q\\,(h + (1-h)\\,q^2)' : 'P_s = P\\,q^3',
    from: { P: motorPower, h: given.profile.staticHeadShare },
    source: 'Affinity laws; drive efficiency from a public tip sheet (recalled from memory)',
    note,
  });
  const energySaved = quantity(throttled - controlled, 'energy', school, {
    origin: 'estimated',
    formula: 'E_1 - E_2',
    from: { E_1: energyThrottled, E_2: energySpeedControlled },
    source: 'definition',
    note,
  });
  const savingShare = quantity((throttled - controlled) / throttled, 'fraction', school, {
    origin: 'estimated',
    formula: '(E_1 - E_2) / E_1',
    from: { E_1: energyThrottled, E_2: energySpeedControlled },
    source: 'definition',
  });

  if (controlled > throttled) {
    flag({
      code: 'profile.drive-wastes',
      severity: 'note',
      message: `A drive would use ${formatQuantity(controlled - throttled, 'energy', school)} more in a year than it saves: the speed hardly varies, and its own loss runs all the time.`,
      basis: PRACTICE + ': a drive costs 2–4 % of what passes through it',
      clear: 'Leave the drive out unless it is needed for the start or the process.',
      field: 'profile.points',
    });
  }
  const saved = savingShare.value >= 0 ? `drive saves ${savingShare.text}` : 'a drive wastes energy';
  return {
    values: { hours: hoursValue(), energyThrottled, energySpeedControlled, energySaved, savingShare },
    findings,
    missing,
    summary: `${formatQuantity(totalHours, 'time', school)} · ${saved}`,
    points: steps,
    flowVaries,
  };

  function hoursValue(): Value {
    return quantity(totalHours, 'time', school, { formula: '\\sum t_i', source: 'typed in this job' });
  }
}
