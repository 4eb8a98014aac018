import { figures, say } from '../../kernel/text.ts';
import type { CheckedPlate } from './checked-plate.ts';
import { checkBalance } from './plate-balance.ts';
import { checkFrame } from './frame-checks.ts';
import type { Report } from './findings.ts';
import type { StageContext, Notebook } from '../stage.ts';
import { maximumLockedRotorCurrent } from '../../motor/typical.ts';
import type { ConnectedRating } from './connected-rating.ts';
import { type Frame } from './frame.ts';
import type { LockedRotorRange } from './locked-rotor-current.ts';
import { checkCodeLetter, checkFrequencyPair, checkVoltageRatio } from './plate-pairs.ts';
import type { Turning } from './poles.ts';
import { type Balance } from './power-balance.ts';

/** What the first reading of the plate came to, for the checks of the plate against itself. */
export interface PlateReadings {
  readonly rating: ConnectedRating;
  readonly balance: Balance;
  readonly turning: Turning | undefined;
  readonly range: LockedRotorRange | undefined;
  readonly frame: Frame | undefined;
  readonly open: boolean;
}

/** Every redundancy of the plate: what is missing, what cannot be, what disagrees, and the digit that would mend it. */
export function checkPlate(
  { job, given }: StageContext,
  readings: PlateReadings,
  { report, require }: Pick<Notebook<Report>, 'report' | 'require'>,
): void {
  const plate = job.nameplate;
  const { power, voltage, frequency } = readings.rating;
  const { efficiency, powerFactor, current } = readings.balance;
  const read = { power, voltage, frequency, efficiency, powerFactor, current };
  const checked: CheckedPlate = { ...readings, ...read, job, plate, school: job.school, report, require };
  if (!plate.unreadable) checkPresence(checked);
  checkSpeed(checked);
  checkBalance(checked);
  checkVoltageRatio(given, plate, report);
  checkFrequencyPair(given, plate, report);
  checkLockedRotor(checked);
  checkCodeLetter({ job, given, power, voltage, current, report });
  checkFrame(checked);
}

function checkPresence({
  job,
  power,
  require,
  voltage,
  rating,
  current,
  report,
  frequency,
}: Pick<CheckedPlate, 'job' | 'power' | 'require' | 'voltage' | 'rating' | 'current' | 'report' | 'frequency'>): void {
  if (job.situation.kind === 'new') return;
  if (!power) require('nameplate.power', 'Power on the plate, for torque and for the size of the replacement');
  if (!voltage) require('nameplate.voltages', 'Voltages on the plate, to see which one is connected');
  if (!rating.speed) require('nameplate.speed', 'Full-load speed on the plate, for poles and torque');
  if (!current) require('nameplate.currents', 'Current on the plate; the overload and the drive are set by it');
  if (rating.doubts.includes('pairing')) {
    report(
      'nameplate.pairing',
      'The voltages and currents do not pair up one for one, so the current at the connected voltage is not known.',
    );
  }
  if (rating.doubts.includes('several ratings')) {
    report(
      'nameplate.several-ratings',
      'The plate shows several powers or speeds that do not pair with its frequencies; the first is used.',
    );
  }
  if (rating.doubts.includes('frequency assumed') && power) {
    report('nameplate.frequency-assumed', say`No frequency on the plate: ${frequency} is assumed.`, {
      mends: [{ label: say`It is ${frequency}`, set: { 'nameplate.frequency': `${frequency.value} Hz` } }],
    });
  }
}

function checkSpeed({
  rating,
  turning,
  report,
  frequency,
}: Pick<CheckedPlate, 'rating' | 'turning' | 'report' | 'frequency'>): void {
  if (!rating.speed) return;
  if (!turning) {
    report(
      'nameplate.speed-impossible',
      say`${rating.speed} is faster than a 2-pole field turns at ${frequency}. No induction motor runs there on the line.`,
    );
    return;
  }
  if (turning.printsSynchronous) {
    report(
      'nameplate.synchronous-speed',
      say`The plate prints the synchronous speed ${turning.synchronousSpeed}, which gives no slip. Slip is estimated.`,
    );
  } else if ((turning.slip?.value ?? 0) > 0.13) {
    report(
      'nameplate.slip-high',
      say`${rating.speed} is ${turning.slip ?? ''} below ${turning.synchronousSpeed}: more slip than any standard design.`,
    );
  }
}

function checkLockedRotor({
  school,
  power,
  voltage,
  plate,
  range,
  report,
}: Pick<CheckedPlate, 'school' | 'power' | 'voltage' | 'plate' | 'range' | 'report'>): void {
  const limit =
    school === 'NEMA' && power && voltage ? maximumLockedRotorCurrent(power.value, voltage.value) : undefined;
  if (limit === undefined || plate.designLetter?.trim().toUpperCase() !== 'B' || !plate.codeLetter || !range?.min)
    return;
  if (range.min.value > limit) {
    report(
      'nameplate.code-above-design',
      say`Code ${plate.codeLetter.toUpperCase()} means at least ${range.min} locked-rotor, above the Design B limit of ${figures(limit)} A.`,
    );
  }
}
