import { motorToday } from './motor-today.ts';
import type { ProfileOn, ProfilePoint, ProfileResult } from './profile-result.ts';
import { HOUR } from '../../ground/constants.ts';
import { energyOf } from './profile-energy.ts';
import { checkAboveFull, checkControl, checkWaste } from './profile-checks.ts';
import { findings as declared } from './findings.ts';
import { staticShareOf } from '../load/to-motor.ts';
import { loadField } from '../load/ways.ts';
import type { Motor } from '../../motor/typical.ts';
import { notebook } from '../stage.ts';
import { formatQuantity } from '../../ground/quantity/format.ts';
import { quantity, type Value } from '../../ground/value.ts';
import { driveInput, throttledInput } from './input-power.ts';
import { FULL, shaftPowerShare } from './shaft-power.ts';

const YEAR_HOURS = 8784;

/** Hours at each flow, and what they cost with today’s flow control and with speed control. */
export function profileOn(on: ProfileOn): ProfileResult {
  const { motor, brief, load } = on;
  const { job, given, rows } = brief;
  const { findings, missing, flag, ...ask } = notebook('profile', declared);
  const need = job.situation.kind === 'energy' ? ask.need : ask.sharpen;
  const { motorPower } = load.values;
  const points = rows['profile.points'].flatMap(({ at, flow, hours }) => (flow && hours ? [{ at, flow, hours }] : []));
  const flowVaries = points.some((point) => point.flow.value < FULL && point.hours.value > 0 && point.flow.value > 0);
  const total = points.reduce((sum, point) => sum + point.hours.value, 0);
  const staticShare = given.profile.staticHeadShare?.value ?? staticShareOf(given.load);
  const shownTotal = formatQuantity(total, 'time', job.school);

  if (points.length === 0) need('profile.points', 'Hours a year at each flow, for energy and for the case for a drive');
  if (total > YEAR_HOURS * HOUR) flag('profile.hours', `The hours add up to ${shownTotal}; a year has 8 760 h.`);
  if (points.length > 0 && !motorPower) need(loadField(job), 'Load torque and speed, for the energy of the profile');
  const hours = quantity(total, 'time', job.school, { formula: '\\sum t_i', source: 'typed in this job' });
  if (!motor || !motorPower || total <= 0) {
    const summary = points.length > 0 ? `${shownTotal} a year` : '';
    return { values: total > 0 ? { hours } : {}, findings, missing, summary, points: [], flowVaries, staticShare };
  }
  const steps = points.map((point) => stepOf(point, motor, motorPower, staticShare, on));
  checkControl(brief, flowVaries, need, flag);
  checkAboveFull(motor, steps, points, { brief, flag });
  const energy = energyOf(steps, { ...on, motor, motorPower, hours, staticShare });
  checkWaste(energy.energySaved, flowVaries, brief, flag);
  const values = { hours, ...energy };
  return {
    values,
    findings,
    missing,
    summary: `${shownTotal} · ${hours.value > 0 ? verdict(energy.savingShare) : 'no hours'}`,
    points: steps,
    flowVaries,
    staticShare,
  };
}

function verdict(saved: Value | undefined): string {
  if (!saved) return 'control not known';
  return saved.value >= 0 ? `drive saves ${saved.text}` : 'a drive wastes energy';
}

interface Typed {
  readonly at: number;
  readonly flow: Value;
  readonly hours: Value;
}

/** One row either way. */
function stepOf(
  { at, flow, hours }: Typed,
  motor: Motor,
  motorPower: Value,
  staticShare: number,
  on: ProfileOn,
): ProfilePoint {
  const { job, practice } = on.brief;
  const shaft = shaftPowerShare(job.load, job.profile.control, flow.value, staticShare);
  const shaftThrottled = shaft.throttled === undefined ? undefined : motorPower.value * shaft.throttled;
  const peak =
    shaftThrottled === undefined
      ? undefined
      : throttledInput(motorToday(motor, on), shaftThrottled, flow.value, practice);
  const shaftControlled = motorPower.value * shaft.speedControlled;
  return {
    at,
    flow: flow.value,
    hours: hours.value,
    throttled: peak === undefined ? undefined : peak * shaft.running,
    throttledPeak: peak,
    speedControlled: driveInput(motor, shaftControlled, shaft.speed, practice),
    shaftThrottled,
    shaftControlled,
    speed: shaft.speed,
  };
}
