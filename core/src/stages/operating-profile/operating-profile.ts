import { amount, say, type Text } from '../../kernel/text.ts';
import { existingDrive, optionMotor } from './existing-motor.ts';
import type { Drawing, ProfileOn, ProfilePoint, ProfileResult } from './profile-result.ts';
import { HOUR } from '../../kernel/constants.ts';
import { energyOf } from './profile-energy.ts';
import { checkAboveFull, checkControl, checkLog, checkMachine, checkWaste } from './operating-profile-checks.ts';
import type { Report } from './findings.ts';
import { declaration } from './declaration.ts';
import { staticShareOf } from '../load/refer-to-motor-shaft.ts';
import { loadField } from '../load/load-definition-methods.ts';
import type { Job } from '../../job/job.ts';
import { leastOf } from '../../kernel/numeric.ts';
import { notebook, type OptionContext } from '../stage.ts';
import { cyclesOf } from './storage.ts';
import { shiftsOf } from './shifts.ts';
import type { ProfileValues } from './values.ts';
import { quantity, type Value } from '../../kernel/value.ts';
import { drawingOf } from './drawing.ts';
import { FULL, NOTHING, type FlowPoint, type Running } from './flow-control.ts';
import { systemHead } from './flow-machine.ts';
import { inputOf, type Fed } from './input-power.ts';
import { flowModelOf, fullOverMeasured, runBy, type FlowModel } from './flow-model.ts';

const YEAR_HOURS = 8784;

/** Hours at each flow, and what they cost with today’s flow control and with speed control. */
export function profileOn(on: ProfileOn): ProfileResult {
  const { motor, brief, load } = on;
  const { job, given } = brief;
  const { findings, missing, report, ...ask } = notebook(declaration);
  const require = job.situation.kind === 'energy' ? ask.require : ask.suggest;
  const { motorPower } = load.values;
  const points = rowsOf(brief, report);
  const flowVaries = points.some((point) => point.flow.value < FULL && point.hours.value > 0 && point.flow.value > 0);
  const total = points.reduce((sum, point) => sum + point.hours.value, 0);
  const staticShare = given.profile.staticHeadShare?.value ?? staticShareOf(given.load);
  const shownTotal = amount(total, 'time');

  if (points.length === 0) require('profile.points', 'Annual hours at each flow, for energy and the saving of a drive');
  if (total > YEAR_HOURS * HOUR) report('profile.hours', say`The hours add up to ${shownTotal}; a year has 8 760 h.`);
  if (points.length > 0 && !motorPower) require(loadField(job), 'Load torque and speed, for the annual energy');
  const hours = quantity(total, 'time', { formula: '\\sum t_i', evidence: 'given', source: 'typed in this job' });
  const cycles = cyclesOf(brief);
  if (!motor || !motorPower || total <= 0) {
    const summary = points.length > 0 ? say`${shownTotal} a year` : '';
    return {
      values: { ...(total > 0 ? { hours } : {}), ...(cycles ? { cyclesPerHour: cycles } : {}) },
      findings,
      missing,
      summary,
      points: [],
      drawn: UNDRAWN,
      flowVaries,
    };
  }
  const model = flowModelOf(brief, staticShare, points);
  const fullPower = atFullFlow(motorPower, model, on);
  checkMachine(model, motorPower, fullPower, { brief, report, points });
  const motors = { now: existingDrive(motor, on), then: optionMotor(motor, on) };
  const steps = points.map((point) => stepOf(point, { ...motors, full: fullPower.value, model }, job));
  checkControl(brief, flowVaries, require, report);
  checkLog(brief, report);
  // The load measured is held against the motor elsewhere; what is more than that, here.
  const from = fullPower.value > motorPower.value ? 0 : 1.001;
  checkAboveFull(motor, steps, { brief, report, from });
  const energy = energyOf(steps, { ...on, motor, motorPower: fullPower, hours, staticShare, model });
  checkWaste(energy.energySaved, flowVaries, brief, report);
  const values = {
    hours,
    ...rangeOf(steps, hours),
    ...(cycles ? { cyclesPerHour: cycles } : {}),
    ...energy,
  };
  return {
    values,
    findings,
    missing,
    summary: say`${shownTotal} · ${hours.value > 0 ? verdict(energy.savingShare) : 'no hours'}`,
    points: steps,
    drawn: () => drawingOf(motors.then, fullPower.value, model, points),
    fullPower,
    model,
    flowVaries,
  };
}

const UNDRAWN = (): Drawing => ({ curves: [] });

function verdict(saved: Value | undefined): Text {
  if (!saved) return 'control not known';
  return saved.value >= 0 ? say`drive saves ${saved}` : 'a drive wastes energy';
}

interface Typed extends Pick<ProfilePoint, 'path' | 'monthly' | 'price'> {
  readonly flow: Value;
  readonly hours: Value;
}

/** Rows of hours, and shifts as rows. */
function rowsOf(brief: OptionContext, report: Report): Typed[] {
  const { rows } = brief;
  const typed = rows['profile.points'].flatMap(({ at, flow, hours }) =>
    flow && hours ? [{ path: `profile.points.${at}`, flow, hours }] : [],
  );
  const shifts = shiftsOf(brief, report).map(({ at, flow, seconds, monthly, price }) => ({
    path: `profile.shifts.${at}`,
    flow,
    hours: quantity(seconds, 'time', { evidence: 'given', source: 'shifts of this job' }),
    monthly,
    price,
  }));
  return [...typed, ...shifts];
}

/** Mean flow and lowest speed of the rows in which it runs. */
function rangeOf(steps: readonly ProfilePoint[], typed: Value): Pick<ProfileValues, 'meanFlow' | 'leastSpeed'> {
  const running = steps.filter(({ flow, hours }) => flow > 0 && hours > 0);
  const time = running.reduce((sum, { hours }) => sum + hours, 0);
  if (time === 0) return {};
  const mean = running.reduce((sum, { flow, hours }) => sum + flow * hours, 0) / time;
  return {
    meanFlow: quantity(mean, 'fraction', {
      formula: '\\dfrac{\\sum q_i t_i}{\\sum t_i}',
      from: { t: typed },
      source: 'rows of this job',
    }),
    leastSpeed: quantity(leastOf(running.map(({ speed }) => speed)), 'fraction', {
      origin: 'estimated',
      formula: '\\min_i s_i',
      from: { t: typed },
      source: 'affinity laws and the curve of the machine',
    }),
  };
}

/** Shaft power at full flow, where the load was measured at another. */
function atFullFlow(motorPower: Value, model: FlowModel, { brief }: ProfileOn): Value {
  const more = fullOverMeasured(model, brief.job.profile.control);
  const { calibration, measuredFlow } = brief.given.profile;
  if (more === 1 && !calibration) return motorPower;
  return quantity(motorPower.value * more * (calibration?.value ?? 1), 'power', {
    origin: 'estimated',
    formula: calibration ? 'P_{full} = k\\,P / p(q_m)' : 'P_{full} = P / p(q_m)',
    from: { P: motorPower, q_m: measuredFlow, k: calibration },
    source: 'affinity laws and the curve of the machine',
    note: calibration ? 'Calibrated on measured power.' : 'The load was measured at part flow.',
  });
}

/** What a row is worked out with. */
interface Driving {
  readonly now: Fed;
  readonly then: Fed;
  /** Shaft power of one machine at full flow, W. */
  readonly full: number;
  readonly model: FlowModel;
}

/** One row either way. */
function stepOf(
  { path, flow, hours, monthly, price }: Typed,
  { now, then, full, model }: Driving,
  job: Job,
): ProfilePoint {
  const today = runBy(model, job.profile.control, flow.value);
  const bySpeed = runBy(model, 'speed', flow.value) ?? NOTHING;
  const takenToday = today && inputOf(today, now, full);
  const taken = inputOf(bySpeed, then, full);
  const hardest = (point: FlowPoint): Running =>
    point.machines.reduce((most, each) => (each.power > most.power ? each : most), STILL);
  const controlled = bySpeed.machines.at(-1) ?? STILL;
  return {
    path,
    flow: flow.value,
    hours: hours.value,
    monthly,
    price,
    head: model.kind === 'variable' ? systemHead(model.setting.machine, flow.value) : undefined,
    throttled: today && takenToday && takenToday.input * today.share,
    throttledPeak: takenToday?.input,
    throttledApparent: takenToday?.apparent,
    speedControlled: taken.input,
    speedControlledApparent: taken.apparent,
    motorInput: taken.input - taken.driveLoss,
    driveLoss: taken.driveLoss,
    shaftThrottled: today && full * hardest(today).power,
    shaftControlled: full * controlled.power,
    speed: controlled.speed,
  };
}

const STILL: Running = { count: 0, power: 0, speed: 0, onDrive: false };
