import { amount, say, type Text } from '../../kernel/text.ts';
import { isAnalog, type DriveStageInput } from './drive-stage-input.ts';
import type { Report } from './findings.ts';
import type { Filter } from './motor-cable.ts';
import { highestFrequency, type SpeedRange } from './speed-range.ts';

/** A share by which a row may miss an end before it counts. */
export const NEAR_END = 0.005;

/** Rows that run slower or faster than motor and machine bear, and a highest frequency that lets it. */
export function checkRange(
  { profile, motor, brief }: DriveStageInput,
  { least, most, mosts }: SpeedRange,
  report: Report,
): void {
  const speed = (share: number): Text => amount(share * motor.speed, 'speed');
  if (least.share > most.share) {
    report(
      'drive.no-range',
      say`The speed range is empty: minimum ${speed(least.share)} (${least.why}), maximum ${speed(most.share)} (${most.why}).`,
    );
    return;
  }
  const typed = brief.given.drive.mostFrequency;
  const reached = typed ? typed.value / motor.frequency : 0;
  const passed = mosts.filter(({ share }) => reached > share + NEAR_END);
  const [first] = passed;
  if (typed && first)
    report(
      'drive.above-most',
      say`The maximum frequency of ${typed} permits ${speed(reached)}, limit ${speed(first.share)}: ${first.why}.`,
      {
        field: 'drive.mostFrequency',
        severity: passed.some(({ hard }) => hard) ? 'stop' : 'caution',
        mends: [
          {
            label: `Take ${Math.floor(first.share * motor.frequency)} Hz`,
            set: { 'drive.mostFrequency': `${Math.floor(first.share * motor.frequency)} Hz` },
          },
        ],
      },
    );
  for (const { flow, hours, speed: share, path } of profile.points) {
    if (hours <= 0 || flow <= 0) continue;
    if (share < least.share - NEAR_END)
      report(
        'drive.below-least',
        say`An operating point is at ${speed(share)}, minimum speed ${speed(least.share)}: ${least.why}.`,
        { field: `${path}.flow` },
      );
    else if (share > most.share + NEAR_END)
      report(
        'drive.above-most',
        say`An operating point is at ${speed(share)}, maximum speed ${speed(most.share)}: ${most.why}.`,
        { field: `${path}.flow` },
      );
  }
}

/** A winding in delta on √3 times its voltage must be made for it, and its rotor for the speed. */
export function checkDelta({ brief, nameplate, motor, voltage, pick }: DriveStageInput, report: Report): void {
  if (!brief.job.drive.deltaAbove) return;
  const made = pick.chosenMotor?.item.voltages ?? nameplate.voltages.map(({ value }) => value);
  if (made.some((volts) => Math.abs((volts * Math.sqrt(3)) / voltage.value - 1) < DELTA_NEAR))
    report(
      'drive.delta-above',
      say`Connected in delta on ${voltage} it gives full torque to ${Math.round(motor.frequency * Math.sqrt(3))} Hz and √3 times its power, for √3 times its current.`,
    );
  else
    report(
      'drive.delta-winding',
      say`The winding has no rated voltage near ${Math.round(voltage.value / Math.sqrt(3))} V: in delta on ${voltage} the core would saturate.`,
    );
}

/** How near 1/√3 of the supply a winding’s voltage must lie. Common practice, no published source. */
const DELTA_NEAR = 0.06;

/** The cable that a drive is good for without a filter. */
export function checkLongest({ brief, item }: DriveStageInput, filter: Filter, report: Report): void {
  const { job, given } = brief;
  const longest = job.drive.leadKind === 'shielded' ? item?.longestShielded : item?.longestPlain;
  if (filter !== 'none' || !item || !given.drive.lead || longest === undefined || given.drive.lead.value <= longest)
    return;
  report(
    'drive.longest-lead',
    say`${item.name} feeds ${amount(longest, 'altitude')} of ${job.drive.leadKind} cable without a filter; this one is ${given.drive.lead}.`,
  );
}

/** On the line beside the drive it starts as any motor does. */
export function checkBypass({ brief, starting }: DriveStageInput, report: Report): void {
  if (!brief.job.drive.bypass) return;
  const direct = starting.bench?.comparison('direct');
  if (!direct) return;
  report(
    'drive.bypass',
    say`On bypass the motor starts at full voltage with ${direct.text.current}${direct.passes ? '' : ', and does not pass: see Starting'}.`,
  );
}

/** What starts by itself, and a signal that ends elsewhere than the speed. */
export function checkControl(driven: DriveStageInput, range: SpeedRange, report: Report): void {
  const { job, given } = driven.brief;
  if (job.drive.restart === 'yes') report('drive.restarts', 'The machine restarts automatically when power returns.');
  const high = given.drive.referenceHigh;
  const most = highestFrequency(driven, range);
  if (isAnalog(job.drive.reference) && high && high.value > most * 1.001)
    report(
      'drive.scaling',
      say`The signal ends at ${high} and the speed at ${amount(most, 'frequency')}: the remaining signal range has no effect.`,
      { mends: [{ label: `Take ${Math.round(most)} Hz`, set: { 'drive.referenceHigh': `${Math.round(most)} Hz` } }] },
    );
}
