import { amount, say, type Text } from '../../kernel/text.ts';
import { HOUR } from '../../kernel/constants.ts';
import type { Value } from '../../kernel/value.ts';
import type { Motor } from '../../motor/typical.ts';
import type { OptionContext } from '../stage.ts';
import type { Report } from './findings.ts';
import { FULL } from './flow-control.ts';
import { speedFor } from './flow-machine.ts';
import type { FlowModel } from './flow-model.ts';
import type { ProfilePoint } from './profile-result.ts';

/** Breakdown torque over the torque needed above base speed. Common practice, no published source. */
const BREAKDOWN_RESERVE = 1.5;

type Need = (field: string, message: string) => void;

/** How less than full flow comes about is asked, never taken as full power; what cannot be is said. */
export function checkControl({ job }: OptionContext, flowVaries: boolean, require: Need, report: Report): void {
  const { control } = job.profile;
  const variable = job.load.torqueKind === 'variable';
  if (variable && flowVaries && (control === 'unknown' || control === 'none')) {
    require('profile.control', 'How the flow is brought below full today, for the energy it takes and what a drive would save');
    report(
      'profile.control-unknown',
      control === 'none'
        ? 'The flow varies, but no flow control is stated, so the saving of a drive is not calculated.'
        : 'The present flow control is unknown, so the saving of a drive is not calculated.',
    );
  }
  if (!variable && ['damper', 'inlet vane', 'throttle'].includes(control))
    report(
      'profile.control-mismatch',
      `A machine that needs its torque at every speed is not controlled by ${control === 'throttle' ? 'a throttle valve' : control}; the same work in less time is taken instead.`,
    );
}

/** Load above rated power or above what is left of breakdown torque in rows beyond a flow. */
export function checkAboveFull(
  motor: Motor,
  steps: readonly ProfilePoint[],
  { report, from }: { readonly brief: OptionContext; readonly report: Report; readonly from: number },
): void {
  const torqueText = (torque: number): Text => amount(torque, 'torque');
  for (const step of steps) {
    if (step.flow <= from || step.hours <= 0) continue;
    const worst = Math.max(step.shaftThrottled ?? 0, step.shaftControlled);
    const torque = step.shaftControlled / motor.speed / Math.max(1, step.speed);
    const rated = motor.power / motor.speed;
    const left = (motor.breakdownTorque * rated) / Math.max(1, step.speed) ** 2 / BREAKDOWN_RESERVE;
    const heavy = worst > motor.power * 1.001;
    if (!heavy && torque <= left) continue;
    const flow = amount(step.flow, 'fraction');
    report(
      'profile.above-full',
      heavy
        ? say`At ${flow} flow the load takes ${amount(worst, 'power')}; the motor gives ${amount(motor.power, 'power')}, above its base speed too.`
        : say`At ${flow} flow the motor has ${torqueText(left)} left below breakdown; the load takes ${torqueText(torque)}.`,
      { field: `${step.path}.flow` },
    );
  }
}

/** A drive that takes more than it saves. */
export function checkWaste(
  saved: Value | undefined,
  flowVaries: boolean,
  { job }: OptionContext,
  report: Report,
): void {
  if (!saved || saved.value >= 0) return;
  const more = amount(-saved.value, 'energy');
  report(
    'profile.drive-wastes',
    job.load.torqueKind === 'constant' && flowVaries
      ? say`This machine needs its torque at every speed, so the same work costs the same energy slow or switched on and off: speed alone saves nothing, and a drive would use ${more} more in a year.`
      : say`A drive adds ${more} per year: the speed hardly varies, and the drive losses are continuous.`,
  );
}

/** Largest flow below which a machine is simply too large. Common practice, no published source. */
const TRIMMED_BELOW = 0.95;
/** Power at full flow over that measured which is worth a word. */
const NOTICED = 1.02;
/** Flows of the best that a machine should run in (hydraulic standards’ preferred range, from memory). */
const PREFERRED = [0.7, 1.2] as const;

/** Static share of the head, or set-point, above which a lower speed saves little. Common practice, no published source. */
const STATIC_MOST = 0.6;
/** Of its best flow below which a machine should not run long. Common practice, no published source. */
const LEAST_OF_BEST = 0.3;

/** A log shorter than this has not seen the seasons, s. Common practice, no published source. */
const SEASON = 28 * 24 * HOUR;
/** Of its spread a calibration should explain. Common practice, no published source. */
const GOOD_FIT = 0.7;

/** What the log that the hours come from does not say. */
export function checkLog({ given }: OptionContext, report: Report): void {
  const { recordedOver, calibration, calibrationFit } = given.profile;
  if (recordedOver && recordedOver.value < SEASON)
    report(
      'profile.season',
      say`The hours come from a log of ${recordedOver}: no season was seen, and the year is taken to be all like it.`,
    );
  if (calibration && calibrationFit && calibrationFit.value < GOOD_FIT)
    report(
      'profile.calibration-poor',
      say`The factor ${calibration} from measured power explains ${amount(Math.max(0, calibrationFit.value), 'fraction')} of its spread only: the machine runs otherwise than it is calculated.`,
    );
}

/** What the curve and the hours say of the machine itself. */
export function checkMachine(
  model: FlowModel,
  motorPower: Value,
  fullPower: Value,
  {
    brief,
    report,
    points,
  }: { readonly brief: OptionContext; readonly report: Report; readonly points: readonly Used[] },
): void {
  const { kind, setting, measured, unused, known } = model;
  const { job, given } = brief;
  const percent = (share: number): Text => amount(share, 'fraction');
  if (fullPower.value > NOTICED * motorPower.value * (given.profile.calibration?.value ?? 1))
    report(
      'profile.measured-below-full',
      say`The load was measured at ${percent(measured)} flow; at full flow it takes ${fullPower} instead of ${motorPower}.`,
    );
  if (kind !== 'variable') return;
  if (unused)
    report(
      'profile.curve-unused',
      `The points make no curve that reaches full flow; ${known === 'duty alone' ? 'a usual machine' : 'the head at no flow'} is taken instead. It needs two points with different flows, and full flow with its head or pressure.`,
    );
  const { machine, largest } = setting;
  if (largest < TRIMMED_BELOW && job.profile.control !== 'trim')
    report(
      'profile.trim',
      say`No more than ${percent(largest)} of full flow is ever used: a trimmed impeller or another sheave brings that at ${percent(Math.min(1, speedFor(machine, largest)))} of the speed, the cheapest remedy there is.`,
    );
  checkBestFlow(model, points, { brief, report });
  const drooping = [0.1, 0.2, 0.3, 0.4].some((flow) => machine.head(flow) > machine.head(0) * 1.005);
  if (drooping) report('profile.drooping', 'The curve rises from shut-off: at some heads the machine has two flows.');
}

/** A row of hours. */
interface Used {
  readonly flow: Value;
  readonly hours: Value;
}

/** Where the machine runs against where it is best, and how much of its head is there at no flow. */
function checkBestFlow(
  { setting: { machine } }: FlowModel,
  points: readonly Used[],
  { brief: { given, job }, report }: { readonly brief: OptionContext; readonly report: Report },
): void {
  const percent = (share: number): Text => amount(share, 'fraction');
  const used = points.filter(({ flow, hours }) => flow.value > 0 && hours.value > 0);
  const hoursOf = (rows: readonly Used[]): number => rows.reduce((sum, { hours }) => sum + hours.value, 0);
  if (machine.staticShare > STATIC_MOST && used.some(({ flow }) => flow.value < FULL))
    report(
      'profile.static-head',
      say`${percent(machine.staticShare)} of the head is static: the speed can hardly fall, and a drive saves little.`,
    );
  const typed = given.profile.bestFlow?.value;
  const best = typed ?? 1;
  if (typed !== undefined && (1 / best < PREFERRED[0] || 1 / best > PREFERRED[1]))
    report('profile.off-best', say`Full flow is ${percent(1 / best)} of the best-efficiency flow.`);
  // Slower or fewer, a machine runs nearer its best; against a valve it runs at the flow itself.
  if (job.profile.control !== 'throttle' && job.profile.control !== 'damper') return;
  const low = used.filter(({ flow }) => flow.value / best < LEAST_OF_BEST);
  if (low.length > 0)
    report(
      'profile.least-flow',
      say`For ${amount(hoursOf(low), 'time')} a year the machine runs below ${percent(LEAST_OF_BEST)} of its best-efficiency flow, with heating, vibration and wear.`,
    );
}
