import { amount, say, type Text } from '../../kernel/text.ts';
import { overloadOf, usualOverload, type DriveEvent } from '../../catalogue/drive-duty.ts';
import { quantity, textValue } from '../../kernel/value.ts';
import { usualRotorInertia } from '../../motor/rotor-inertia.ts';
import type { Motor } from '../../motor/typical.ts';
import type { DriveLimits } from '../starting/starting-mode.ts';
import { FROM_CATALOGUE, type SelectionInput } from './selection-input.ts';
import { currentAtTorque, driveEvents } from './drive-events.ts';
import type { Report } from './findings.ts';
import { rankDrives, type DriveRanking, type Inside, type RankedDrive } from './rank-drives.ts';
import type { PickValues } from './values.ts';

/** Several motors on one drive: over the sum of their currents. Common practice, no published source. */
export const SEVERAL = 1.1;

/** A winding connected in delta for 1/√3 of the supply draws √3 times the current, and keeps its flux to √3 of its frequency. */
export const deltaShare = ({ job }: SelectionInput['brief']): number => (job.drive.deltaAbove ? Math.sqrt(3) : 1);

/** Motors on one drive. */
export const motorsOf = ({ given }: SelectionInput['brief']): number =>
  Math.max(1, Math.round(given.drive.motors?.value ?? 1));

/** What the drive gives over what one motor takes of it in star: so many motors, each in star or delta. */
export const amperesTimes = (brief: SelectionInput['brief']): number => motorsOf(brief) * deltaShare(brief);

/** The kind of load decides; an overload beyond what normal duty gives makes it heavy. */
export function driveDuty({ brief, load }: Pick<SelectionInput, 'brief' | 'load'>): 'normal' | 'heavy' {
  const { peakTorque, motorTorque } = load.values;
  const peak = peakTorque && motorTorque ? peakTorque.value / motorTorque.value : 0;
  return brief.job.load.torqueKind === 'variable' && peak <= usualOverload('normal') ? 'normal' : 'heavy';
}

/** The motor’s nameplate current, A, or what rows of the profile beyond full flow ask for good; of all motors on the drive. */
export function currentNeeded(motor: Motor, { profile, brief }: Pick<SelectionInput, 'brief' | 'profile'>): number {
  const beyond = profile.points
    .filter((point) => point.hours > 0 && point.speed > 1)
    .map((point) =>
      currentAtTorque(motor, undefined, point.shaftControlled / (motor.speed * point.speed), 1 / point.speed),
    );
  const motors = motorsOf(brief);
  return Math.max(motor.current, ...beyond) * (motors > 1 ? SEVERAL * motors : 1) * deltaShare(brief);
}

/** What asks the drive for more than that, of all its motors at once. */
export function eventsOf(motor: Motor, on: Pick<SelectionInput, 'brief' | 'load'>): DriveEvent[] {
  const times = amperesTimes(on.brief);
  return driveEvents(on.brief, motor, on.load, inertiaWith(motor, on)).map((event) => ({
    ...event,
    current: times * event.current,
  }));
}

function inertiaWith(motor: Motor, { brief, load }: Pick<SelectionInput, 'brief' | 'load'>): number | undefined {
  const rotor = brief.given.starting.rotorInertia?.value ?? usualRotorInertia(motor.power, motor.poles);
  return load.values.inertia && load.values.inertia.value + rotor;
}

/** What start, stop and safety ask a drive to have inside. */
const insideOf = ({ job }: SelectionInput['brief']): Inside[] => [
  ...(job.starting.closedLoop === 'yes' ? (['encoder'] as const) : []),
  ...(job.drive.safeOff ? (['safeTorqueOff'] as const) : []),
  ...(job.starting.braking === 'chopper' ? (['chopper'] as const) : []),
];

/** Drives that carry the motor on this supply, in this place and through what the load asks for a short time. */
export function rankForMotor(motor: Motor, systemVoltage: number, on: SelectionInput, report: Report): DriveRanking {
  const { brief, catalogue, place } = on;
  const { job } = brief;
  const needed = currentNeeded(motor, on);
  const ranking = rankDrives(catalogue.drives, {
    school: job.school,
    current: needed,
    inputShare: job.supply.phases === '1' ? brief.practice.singlePhaseShare.value : 1,
    systemVoltage,
    duty: driveDuty(on),
    events: eventsOf(motor, on),
    carrier: brief.given.drive.carrier?.value,
    inside: insideOf(brief),
    ambient: place.values.ambient.value,
    altitude: place.values.altitude.value,
    housing: place.housing,
    motorPower: motor.power,
  });
  const amperes = (current: number): Text => amount(current, 'current');
  if (ranking.fits.length === 0 && catalogue.drives.length > 0) {
    const nearest = ranking.refused[0];
    report(
      'pick.no-drive',
      say`No drive in the catalogue carries ${amperes(needed)} and the overload duty of this load.${nearest ? say` Nearest: ${nearest.name}, ${nearest.reason}.` : ''}`,
    );
  }
  const { byPower } = ranking;
  if (byPower && byPower.verdict !== 'same') {
    const short = byPower.verdict === 'short';
    report(
      short ? 'pick.power-match-short' : 'pick.power-match-wasteful',
      say`Selection by power would give ${byPower.item.name}: ${amperes(byPower.current)} here, ${short ? 'short of' : 'far above'} the ${amperes(motor.current)} needed.`,
    );
  }
  return ranking;
}

/** The drive typed in the job, else the least costly that fits. */
export function chooseDrive(ranking: DriveRanking, { brief }: SelectionInput, report: Report): RankedDrive | undefined {
  const wanted = brief.job.pick.drive;
  if (!wanted) return ranking.fits[0];
  const own = ranking.fits.find((each) => each.item.id === wanted);
  if (own) return own;
  const refused = ranking.refused.find((each) => each.id === wanted);
  report(
    'pick.drive-refused',
    refused ? say`${refused.name} does not fit: ${refused.reason}.` : `Drive “${wanted}” is not in the catalogue.`,
    { mends: [{ label: 'Take the first that fits', set: { 'pick.drive': '' } }] },
  );
  return undefined;
}

/** What the drive gives for how long, of the motor’s current. */
export function limitsOf(ranked: RankedDrive, motor: Motor, on: SelectionInput): DriveLimits {
  const overload = overloadOf(ranked.item, driveDuty(on));
  const continuous = ranked.current / (motor.current * amperesTimes(on.brief));
  return {
    currentLimit: continuous * overload.multiple,
    peakLimit: overload.peak && continuous * overload.peak.multiple,
    seconds: overload.seconds,
    continuous,
  };
}

export function driveValues(ranked: RankedDrive, on: SelectionInput): Partial<PickValues> {
  const { supply } = on.brief.job;
  const current = quantity(ranked.current, 'current', {
    origin: 'looked up',
    source: FROM_CATALOGUE,
    note: `Continuous at ${driveDuty(on)} duty, after ambient and altitude${supply.phases === '1' ? ' and single-phase input' : ''}.`,
  });
  return {
    drive: textValue(ranked.item.name, {
      origin: 'looked up',
      source: FROM_CATALOGUE,
      note: 'The least costly whose current covers the motor’s.',
    }),
    driveCurrent: current,
    driveUsed: quantity(ranked.used, 'fraction', {
      formula: 'I_m / I_d',
      from: { I_d: current },
      source: 'definition',
    }),
  };
}
