import { amount, figures, say, type Text } from '../../kernel/text.ts';
import type { Report } from './findings.ts';
import type { Motor } from '../../motor/typical.ts';
import { synchronousSpeed } from '../../motor/synchronous.ts';
import type { StageContext } from '../stage.ts';
import { PRACTICE } from '../../kernel/value.ts';
import type { LoadValues } from './values.ts';
import { wholePoints, type TypedPoint } from './torque-curve.ts';
import { onMotor } from './load-definition-methods.ts';

/** Below this share of rated power the current of a motor is mostly magnetising. Common practice, no published source. */
const CURRENT_TELLS = 0.5;

/** Readings that no machine can give, and those that say little, at the field where they were typed. */
export function checkReadings(brief: StageContext, motor: Motor | undefined, values: LoadValues, report: Report): void {
  const { job, given, rows } = brief;
  const typed = given.load;
  const impossible = (field: string, message: Text, basis: string, clear: string): void =>
    report('load.reading-impossible', message, { basis, clear, field });

  if (motor && onMotor(job.load.way)) checkMotorReading(motor);
  if (job.load.way === 'pump' && typed.head && typed.staticHead && typed.staticHead.value > typed.head.value)
    impossible(
      'load.staticHead',
      say`A static head of ${typed.staticHead} is above the total head of ${typed.head}.`,
      'Total head is static head and friction',
      'Type the lift and the pressure difference as static head, and with the friction of the pipe as total head.',
    );
  if (
    job.load.way === 'crusher' &&
    typed.feedSize &&
    typed.productSize &&
    typed.productSize.value >= typed.feedSize.value
  )
    impossible(
      'load.productSize',
      say`The product of ${typed.productSize} is not finer than the feed of ${typed.feedSize}.`,
      'A crusher makes smaller pieces',
      'Type the coarser size as feed; the two may be swapped.',
    );
  if (job.load.way === 'conveyor') checkDownhill();
  if (job.load.way === 'curve') checkCurve();

  function checkMotorReading(of: Motor): void {
    const { motorPower } = values;
    const field = { 'input power': 'load.inputPower', current: 'load.runningCurrent', slip: 'load.runningSpeed' }[
      job.load.way as 'input power' | 'current' | 'slip'
    ];
    const synchronous = synchronousSpeed(of.frequency, of.poles);
    const idling = (of.power / of.efficiency - of.power) * brief.practice.fixedLossShare.value;
    if (job.load.way === 'slip' && typed.runningSpeed && typed.runningSpeed.value >= synchronous)
      return void impossible(
        field,
        say`${typed.runningSpeed} is not below the ${amount(synchronous, 'speed')} at which the field of this motor turns; a loaded motor runs slower.`,
        'n_s = 120 f / p',
        'Measure again with the machine loaded, or read speed and frequency on the plate again.',
      );
    if (job.load.way === 'input power' && typed.inputPower && typed.inputPower.value <= idling)
      return void impossible(
        field,
        say`${typed.inputPower} is no more than the ${amount(idling, 'power')} that this motor takes without any load.`,
        'Loss of the motor; its fixed share: ' + PRACTICE,
        'Check that all three phases were measured, and the unit.',
      );
    const share = motorPower && motorPower.value / of.power;
    if (share && share > of.breakdownTorque)
      return void impossible(
        field,
        say`By this reading the motor would give ${figures(share * 100)} % of its rated power; it would have stalled at ${figures(of.breakdownTorque * 100)} %.`,
        'Breakdown torque; MG 1 12.39, IEC 60034-12',
        'Measure again, or read the plate again.',
      );
    if (job.load.way === 'current' && share && share < CURRENT_TELLS)
      report(
        'load.current-says-little',
        say`At ${figures(share * 100)} % load most of the current only magnetises the motor; the load is less certain than half of what is shown.`,
        { field },
      );
  }

  function checkDownhill(): void {
    const { friction, incline, movedMass } = typed;
    if (!movedMass || !friction || !incline || Math.tan(incline.value) > -friction.value) return;
    report(
      'load.drives-motor',
      say`Down a slope of ${incline} the load runs by itself and drives the motor, which has to brake it.`,
    );
  }

  function checkCurve(): void {
    const points = wholePoints(rows['load.curve']);
    const twice = firstTwice(points);
    if (twice)
      report('load.curve-twice', say`${twice.speed} stands in the table more than once; the first torque counts.`, {
        field: `load.curve.${twice.at}.speed`,
      });
    const end = points.reduce((most, { speed }) => Math.max(most, speed.value), 0);
    const { drivenSpeed } = values;
    if (points.length > 1 && drivenSpeed && drivenSpeed.value > end * 1.02)
      report(
        'load.curve-ends',
        say`The table ends at ${amount(end, 'speed')}, below the ${drivenSpeed} of the driven shaft; its last torque is kept beyond.`,
        { field: `load.curve.${points.at(-1)?.at ?? 0}.speed` },
      );
  }
}

/** The first point whose speed stands in the table before; most tables rise and need no second look. */
function firstTwice(points: readonly TypedPoint[]): TypedPoint | undefined {
  const rises = points.every(({ speed }, at) => at === 0 || speed.value > (points[at - 1]?.speed.value ?? 0));
  if (rises) return undefined;
  const seen = new Set<number>();
  return points.find(({ speed }) => seen.size === seen.add(speed.value).size);
}
