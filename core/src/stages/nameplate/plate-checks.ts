import { figures, say } from '../../kernel/text.ts';
import type { CheckedPlate } from './checked-plate.ts';
import { checkBalance } from './plate-balance.ts';
import { checkFrame } from './frame-checks.ts';
import type { Flag } from './findings.ts';
import type { Brief, Notebook } from '../stage.ts';
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
  { job, given }: Brief,
  readings: PlateReadings,
  { flag, need }: Pick<Notebook<Flag>, 'flag' | 'need'>,
): void {
  const plate = job.nameplate;
  const { power, voltage, frequency } = readings.rating;
  const { efficiency, powerFactor, current } = readings.balance;
  const read = { power, voltage, frequency, efficiency, powerFactor, current };
  const checked: CheckedPlate = { ...readings, ...read, job, plate, school: job.school, flag, need };
  if (!plate.unreadable) checkPresence(checked);
  checkSpeed(checked);
  checkBalance(checked);
  checkVoltageRatio(given, plate, flag);
  checkFrequencyPair(given, plate, flag);
  checkLockedRotor(checked);
  checkCodeLetter({ job, given, power, voltage, current, flag });
  checkFrame(checked);
}

function checkPresence({
  job,
  power,
  need,
  voltage,
  rating,
  current,
  flag,
  frequency,
}: Pick<CheckedPlate, 'job' | 'power' | 'need' | 'voltage' | 'rating' | 'current' | 'flag' | 'frequency'>): void {
  if (job.situation.kind === 'new') return;
  if (!power) need('nameplate.power', 'Power on the plate, for torque and for the size of the replacement');
  if (!voltage) need('nameplate.voltages', 'Voltages on the plate, to see which one is connected');
  if (!rating.speed) need('nameplate.speed', 'Full-load speed on the plate, for poles and torque');
  if (!current) need('nameplate.currents', 'Current on the plate; the overload and the drive are set by it');
  if (rating.doubts.includes('pairing')) {
    flag(
      'nameplate.pairing',
      'The voltages and currents do not pair up one for one, so the current at the connected voltage is not known.',
    );
  }
  if (rating.doubts.includes('several ratings')) {
    flag(
      'nameplate.several-ratings',
      'The plate shows several powers or speeds that do not pair with its frequencies; the first is used.',
    );
  }
  if (rating.doubts.includes('frequency assumed') && power) {
    flag('nameplate.frequency-assumed', say`No frequency on the plate: ${frequency} is assumed.`, {
      mends: [{ label: say`It is ${frequency}`, set: { 'nameplate.frequency': `${frequency.value} Hz` } }],
    });
  }
}

function checkSpeed({
  rating,
  turning,
  flag,
  frequency,
}: Pick<CheckedPlate, 'rating' | 'turning' | 'flag' | 'frequency'>): void {
  if (!rating.speed) return;
  if (!turning) {
    flag(
      'nameplate.speed-impossible',
      say`${rating.speed} is faster than a 2-pole field turns at ${frequency}. No induction motor runs there on the line.`,
    );
    return;
  }
  if (turning.printsSynchronous) {
    flag(
      'nameplate.synchronous-speed',
      say`The plate prints the synchronous speed ${turning.synchronousSpeed}, which gives no slip. Slip is estimated.`,
    );
  } else if ((turning.slip?.value ?? 0) > 0.13) {
    flag(
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
  flag,
}: Pick<CheckedPlate, 'school' | 'power' | 'voltage' | 'plate' | 'range' | 'flag'>): void {
  const limit =
    school === 'NEMA' && power && voltage ? maximumLockedRotorCurrent(power.value, voltage.value) : undefined;
  if (limit === undefined || plate.designLetter?.trim().toUpperCase() !== 'B' || !plate.codeLetter || !range?.min)
    return;
  if (range.min.value > limit) {
    flag(
      'nameplate.code-above-design',
      say`Code ${plate.codeLetter.toUpperCase()} means at least ${range.min} locked-rotor, above the Design B limit of ${figures(limit)} A.`,
    );
  }
}
