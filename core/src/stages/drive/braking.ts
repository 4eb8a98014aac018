import { amount, say } from '../../kernel/text.ts';
import type { DriveItem } from '../../catalogue/catalogue.ts';
import { PRACTICE, quantity, type Value } from '../../kernel/value.ts';
import { ratedTorque, type DriveStageInput } from './drive-stage-input.ts';
import { amperesTimes } from '../selection/choose-drive.ts';
import type { Report } from './findings.ts';
import { torqueOf } from './speed-range.ts';
import type { DriveValues } from './values.ts';

/** Of rated torque, that motor and drive turn into heat of their own without a chopper. Common practice, no published source. */
export const OWN_LOSS = 0.15;
/** m/s of a pressure wave in a water pipe of steel, 1000 to 1300. Common practice, no published source. */
const PRESSURE_WAVE = 1150;
/** Travels of the wave, there and back, that a stop should last. Common practice, no published source. */
const TRAVELS = 4;
/** A share of the time that it brakes from which feeding back is worth a price. Common practice, no published source. */
const OFTEN = 0.2;

/** V at which a chopper lets the dc link go, by the system voltage. Common practice; the drive’s own first. */
export function brakeVoltage(system: number, item: Pick<DriveItem, 'brakeVoltage'> | undefined): number {
  if (item?.brakeVoltage !== undefined) return item.brakeVoltage;
  if (system <= 300) return 390;
  if (system <= 500) return 750;
  return system <= 600 ? 970 : 1150;
}

/** What turns, seen from the motor’s shaft. */
export interface Turning {
  /** kg·m² */
  readonly inertia: number;
  /** rad/s from which it stops. */
  readonly speed: number;
  /** N·m of the load, that helps to stop. */
  readonly load: number;
}

/** J of what turns. */
export const kineticEnergy = ({ inertia, speed }: Turning): number => 0.5 * inertia * speed ** 2;
/** N·m that the motor must brake with to stop in `time` s; below zero where the load stops it sooner. */
export const brakeTorque = ({ inertia, speed, load }: Turning, time: number): number => (inertia * speed) / time - load;
/** s to rest with `torque` N·m of the motor beside the load. */
export const stopIn = ({ inertia, speed, load }: Turning, torque: number): number =>
  (inertia * speed) / (torque + load);

/**
 * s from rest with `torque` N·m of the motor against `running` N·m at full speed: the integral of J dω/(T − T_L), whose load is there
 * from the start or `grows` with the square of the speed.
 */
export function startIn({ inertia, speed }: Turning, torque: number, running: number, grows: boolean): number {
  if (!grows || running <= 0) return (inertia * speed) / (torque - running);
  return ((inertia * speed) / Math.sqrt(torque * running)) * Math.atanh(Math.sqrt(running / torque));
}

/** s; four travels of the pressure wave along `length` m of pipe, there and back. */
export const pipeRamp = (length: number): number => (TRAVELS * 2 * length) / PRESSURE_WAVE;

/** Torque that a load keeps on its way down, of running, averaged; a centrifugal one lets go as it slows. Common practice. */
const KEPT = { constant: 1, variable: 1 / 3 } as const;

function turningOf({ load, starting, motor, brief }: DriveStageInput): Turning | undefined {
  const inertia = starting.values.totalInertia?.value;
  const torque = load.values.motorTorque?.value;
  if (inertia === undefined || torque === undefined) return undefined;
  // A hoist that is stopped while it lowers has its load against it, not for it.
  const helps = load.values.loweringTorque
    ? load.values.loweringTorque.value
    : torque * KEPT[brief.job.load.torqueKind];
  return { inertia, speed: load.values.motorSpeed?.value ?? motor.speed, load: helps };
}

/** Ramps, energy of a stop, and the resistor that takes it. */
export function brakingOf(driven: DriveStageInput, report: Report): Partial<DriveValues> {
  const turning = turningOf(driven);
  if (!turning) return {};
  const { brief, starting, load } = driven;
  const inertia = starting.values.totalInertia;
  const from = { J: inertia, n: load.values.motorSpeed };
  const lowering = loweringPower(driven);
  if (brief.job.drive.dcBrake)
    report(
      'drive.dc-brake',
      say`DC injection braking leaves ${amount(kineticEnergy(turning), 'kineticEnergy')} in the rotor per stop, as much as a start, and holds no torque at standstill.`,
    );
  return {
    ...rampUp(driven, turning, report),
    ...shortestStop(driven, turning),
    brakeEnergy: quantity(kineticEnergy(turning), 'kineticEnergy', {
      formula: 'E = \\tfrac12 J\\omega^2',
      from,
      source: 'definition',
    }),
    ...stopping(driven, turning, lowering, report),
    ...pipe(driven, report),
  };
}

/** W that come back while a hoist lowers. */
const loweringPower = ({ load, motor }: DriveStageInput): number =>
  load.values.loweringTorque
    ? Math.abs(load.values.loweringTorque.value) * (load.values.motorSpeed?.value ?? motor.speed)
    : 0;

/** Torque of the drive at its limit, N·m. */
function limitTorque(driven: DriveStageInput): number | undefined {
  const limit = driven.pick.driveLimits?.currentLimit;
  if (limit === undefined) return undefined;
  const { motor } = driven;
  const share = torqueOf(driven, limit * motor.current, 1, driven.starting.machine?.circuit);
  return Math.min(share, motor.breakdownTorque) * ratedTorque(driven);
}

function rampUp(driven: DriveStageInput, turning: Turning, report: Report): Partial<DriveValues> {
  const { brief, load, starting } = driven;
  const torque = limitTorque(driven);
  const running = load.values.motorTorque?.value;
  if (torque === undefined || running === undefined || torque <= running) return {};
  const grows = brief.job.load.torqueKind === 'variable';
  const shortest = quantity(startIn(turning, torque, running, grows), 'duration', {
    formula: grows
      ? 't = \\dfrac{J\\omega}{\\sqrt{T_{lim} T_L}}\\,\\operatorname{artanh}\\sqrt{T_L/T_{lim}}'
      : 't = \\dfrac{J\\omega}{T_{lim} - T_L}',
    from: { J: starting.values.totalInertia, T_L: load.values.motorTorque, n: load.values.motorSpeed },
    source: 'Newton’s law at the drive’s current limit',
  });
  const set = brief.given.starting.driveRamp;
  if (set && set.value < shortest.value * 0.999)
    report(
      'drive.ramp-short',
      say`The acceleration ramp of ${set} exceeds the current limit of the drive, minimum ${shortest}.`,
      {
        mends: [
          {
            label: `Take ${Math.ceil(shortest.value)} s`,
            set: { 'starting.driveRamp': `${Math.ceil(shortest.value)} s` },
          },
        ],
      },
    );
  return { shortestStart: shortest };
}

function shortestStop(driven: DriveStageInput, turning: Turning): Partial<DriveValues> {
  const { brief, starting, load } = driven;
  const { braking } = brief.job.starting;
  const own = OWN_LOSS * ratedTorque(driven);
  const torque = braking === 'chopper' || braking === 'regenerative' ? (limitTorque(driven) ?? own) : own;
  if (torque + turning.load <= 0) return {};
  return {
    shortestStop: quantity(stopIn(turning, torque), 'duration', {
      formula: 't = \\dfrac{J\\omega}{T_b + T_L}',
      from: { J: starting.values.totalInertia, n: load.values.motorSpeed, T_L: load.values.motorTorque },
      source:
        torque === own
          ? `Losses of motor and drive as ${OWN_LOSS * 100} % of rated torque, ${PRACTICE}`
          : 'Newton’s law at the drive’s current limit',
    }),
  };
}

/** What a wanted stop, or lowering, sends back, and the resistor for it. */
function stopping(driven: DriveStageInput, turning: Turning, lowering: number, report: Report): Partial<DriveValues> {
  const { brief, load } = driven;
  const { stopTime, stopEvery, stopRamp } = brief.given.drive;
  // What dc brakes stays in the rotor and comes back nowhere; what is lowered still does.
  const wanted = brief.job.drive.dcBrake ? undefined : (stopTime ?? stopRamp);
  const torque = wanted ? brakeTorque(turning, wanted.value) : 0;
  const own = OWN_LOSS * ratedTorque(driven);
  const first = Math.max(0, torque) * turning.speed * load.values.transmissionEfficiency.value;
  const peak = Math.max(torque > own ? first : 0, lowering);
  if (wanted) checkStop(driven, { turning, own, torque, wanted }, report);
  if (peak <= 0) return {};
  const energy = kineticEnergy(turning);
  const every = stopEvery?.value;
  const mean = Math.max(every === undefined ? 0 : energy / Math.max(every, wanted?.value ?? 0), LOWERING * lowering);
  checkOften(mean / peak, report);
  return {
    brakePeakPower: quantity(peak, 'heat', {
      formula:
        lowering > first ? 'P = |T|\\,\\omega' : 'P = \\left(\\dfrac{J\\omega}{t} - T_L\\right)\\omega\\,\\eta_t',
      from: {
        J: driven.starting.values.totalInertia,
        t: wanted,
        T_L: load.values.loweringTorque ?? load.values.motorTorque,
      },
      source: 'Newton’s law; losses of motor and drive are kept in hand',
    }),
    ...(mean > 0
      ? {
          brakeMeanPower: quantity(mean, 'heat', {
            formula: 'P_m = E/t_{cycle}',
            from: { J: driven.starting.values.totalInertia, 't_{cycle}': stopEvery, T: load.values.loweringTorque },
            source: 'definition',
            note: stopEvery ? undefined : 'Half of the time is taken to be lowering.',
          }),
        }
      : {}),
    ...resistor(driven, peak, report),
  };
}

/** Half of its time a hoist lowers, where nothing else is known. Common practice, no published source. */
const LOWERING = 0.5;

function checkOften(share: number, report: Report): void {
  if (share > OFTEN)
    report(
      'drive.regenerate',
      `The drive brakes for about ${Math.round(share * 100)} % of the time; this energy can be regenerated.`,
    );
}

interface Stop {
  readonly turning: Turning;
  readonly own: number;
  readonly torque: number;
  readonly wanted: Value;
}

function checkStop(driven: DriveStageInput, { turning, own, torque, wanted }: Stop, report: Report): void {
  const { braking } = driven.brief.job.starting;
  if (braking === 'chopper' || braking === 'regenerative') {
    const most = limitTorque(driven);
    if (most !== undefined && torque > most)
      report(
        'drive.stop-too-short',
        say`A stop in ${wanted} requires ${Math.round((torque / most) * 100)} % of the available drive torque.`,
        { clear: 'Allow a longer deceleration time, or select a larger drive.', field: 'drive.stopTime' },
      );
    return;
  }
  if (torque <= own) return;
  const alone =
    turning.load + own > 0 ? `stops in ${Math.ceil(stopIn(turning, own))} s` : 'does not stop, since its load turns it';
  report(
    'drive.stop-too-short',
    say`Without a braking resistor the drive ${alone}; a stop in ${wanted} trips it on overvoltage.`,
    { mends: [{ label: 'Use a braking resistor', set: { 'starting.braking': 'chopper' } }] },
  );
}

/** Ohms between what the chopper bears and what lets the first power through. */
function resistor(driven: DriveStageInput, peak: number, report: Report): Partial<DriveValues> {
  const { brief, item, voltage, pick } = driven;
  if (brief.job.starting.braking === 'regenerative') return {};
  const volts = brakeVoltage(voltage.value, item);
  const link = quantity(volts, 'voltage', {
    origin: item?.brakeVoltage === undefined ? 'estimated' : 'looked up',
    source: item?.brakeVoltage === undefined ? PRACTICE : 'catalogue',
  });
  const most = quantity(volts ** 2 / peak, 'resistance', {
    formula: 'R \\le V_b^2/\\hat P',
    from: { V_b: link },
    source: 'Ohm’s law',
  });
  const chopper = pick.driveLimits && pick.driveLimits.currentLimit * driven.motor.current * amperesTimes(brief);
  const smallest = item?.leastResistor ?? (chopper === undefined ? undefined : volts / chopper);
  const least =
    smallest === undefined
      ? undefined
      : quantity(smallest, 'resistance', {
          origin: item?.leastResistor === undefined ? 'estimated' : 'looked up',
          formula: 'R \\ge V_b/I_{chopper}',
          from: { V_b: link },
          source:
            item?.leastResistor === undefined ? `Chopper of the drive’s short-time current, ${PRACTICE}` : 'catalogue',
        });
  const typed = brief.given.drive.resistor;
  const wrong =
    typed &&
    (typed.value > most.value * 1.0001 ? 'high' : least && typed.value < least.value * 0.9999 ? 'low' : undefined);
  if (typed && wrong)
    report(
      'drive.resistor',
      wrong === 'high'
        ? say`The braking resistor of ${typed} is too large, maximum ${most} for the peak braking power.`
        : say`The braking resistor of ${typed} overloads the chopper, minimum ${least ?? ''}.`,
    );
  else if (least && least.value > most.value * 1.0001)
    report(
      'drive.resistor',
      say`No braking resistor fits: the chopper requires min. ${least}, the stop max. ${most}.`,
      {
        clear: 'Allow a longer deceleration time, or select a larger drive.',
        field: 'drive.stopTime',
      },
    );
  return { brakeResistorMax: most, ...(least ? { brakeResistorMin: least } : {}) };
}

function pipe({ brief }: DriveStageInput, report: Report): Partial<DriveValues> {
  const { pipeLength, stopRamp } = brief.given.drive;
  if (!pipeLength || brief.job.load.machine !== 'pump') return {};
  const least = quantity(pipeRamp(pipeLength.value), 'duration', {
    origin: 'estimated',
    formula: 't \\ge 4\\,\\dfrac{2L}{a}',
    from: { L: pipeLength },
    source: `a = 1150 m/s (1000 to 1300), ${PRACTICE}`,
  });
  if (stopRamp && stopRamp.value < least.value)
    report(
      'drive.pipe-ramp',
      say`The deceleration ramp of ${stopRamp} is shorter than the minimum of ${least} against water hammer.`,
      {
        mends: [
          { label: `Take ${Math.ceil(least.value)} s`, set: { 'drive.stopRamp': `${Math.ceil(least.value)} s` } },
        ],
      },
    );
  return { pipeRamp: least };
}
