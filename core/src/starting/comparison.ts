import type { Motor } from '../motor/typical.ts';
import { formatNumber, formatQuantity } from '../quantity/format.ts';
import type { Brief } from '../stage.ts';
import { flickerOf, LONG_TERM_LIMIT, SHORT_TERM_LIMIT } from '../supply/flicker.ts';
import type { SupplyResult } from '../supply/supply.ts';
import type { Value } from '../value.ts';
import type { Method } from './feeds.ts';
import type { Start } from './run-start.ts';
import type { Trace } from './run-up.ts';
import type { StartsBorne } from './starts-per-hour.ts';
import type { TripClass } from './trip-curve.ts';

/** One way to start, against every limit that is known. */
export interface Comparison {
  readonly method: Method;
  /** Line current while starting at rated voltage, A. */
  readonly current: number;
  /** Torque at standstill as a multiple of rated torque, on this supply. */
  readonly torque: number;
  /** Share of the bus voltage lost, where the source is known. */
  readonly dip: number | undefined;
  readonly passes: boolean;
  /** Why it fails, empty where it passes, and what would have to change for each. */
  readonly failures: readonly string[];
  readonly remedies: readonly string[];
  /** Setting that was needed, where one was looked for. */
  readonly needs: string;
  readonly time: number | undefined;
  readonly rotorUse: number;
  readonly tripUse: number;
  readonly relayClass: TripClass;
  readonly text: {
    readonly current: string;
    readonly torque: string;
    readonly dip: string;
    readonly terminalDip: string;
    readonly time: string;
    readonly margin: string;
    readonly heat: string;
    readonly tripClass: string;
    readonly changeover: string;
  };
  /** How it goes, for charts; left out of stored results. */
  readonly trace?: Trace;
}

/** What a start is measured against. */
export interface Limits {
  readonly brief: Brief;
  readonly motor: Motor;
  readonly supply: SupplyResult;
  /** Time the motor bears standing at full voltage. */
  readonly stall: Value;
  readonly starts: {
    /** An hour. */
    readonly wanted: Value | undefined;
    /** Shortest standstill before a start, s. */
    readonly rest: number | undefined;
    readonly borne: StartsBorne;
  };
}

/** What fails, and what would have to change for it. */
type Fail = (failure: string, remedy: string) => void;

const percent = (share: number): string => `${formatNumber(Math.abs(share) < 5e-4 ? 0 : share * 100, 2)} %`;

/** A start against every limit of supply, winding, load, motor and relay, in words. `softLimit` is the soft starter’s, of rated current. */
export function compareStart(start: Start, limits: Limits, softLimit: number): Comparison {
  const { school } = limits.brief.job;
  const { run } = start;
  const failures: string[] = [];
  const remedies: string[] = [];
  const fail: Fail = (failure, remedy) => {
    failures.push(failure);
    remedies.push(remedy);
  };
  checkSupply(start, limits, fail);
  checkRun(start, limits, fail);
  if (start.method !== 'drive') checkHowOften(limits, fail);
  const known = limits.supply.source !== undefined;
  const current = start.standstillCurrent;
  return {
    method: start.method,
    current,
    torque: start.standstillTorque,
    dip: known ? run.busDip : undefined,
    passes: failures.length === 0,
    failures,
    remedies,
    needs: start.method === 'soft starter' ? `limit ${formatNumber(softLimit, 2)} × rated` : '',
    time: run.reached ? run.time : undefined,
    rotorUse: start.rotorUse,
    tripUse: start.tripUse,
    relayClass: start.relayClass,
    text: {
      current: formatQuantity(current, 'current', school),
      torque: percent(start.standstillTorque),
      dip: known ? percent(run.busDip) : '–',
      terminalDip: known ? percent(run.terminalDip) : '–',
      time: run.reached ? formatQuantity(run.time, 'duration', school) : '–',
      margin: run.reached ? percent(run.leastMargin) : '–',
      heat: run.reached ? percent(Math.max(start.rotorUse, start.statorUse)) : '–',
      tripClass: start.method === 'drive' ? '–' : (start.leastClass ?? 'none'),
      changeover: run.changeover ? formatQuantity(run.changeover.current, 'current', school) : '–',
    },
    trace: run.trace,
  };
}

/** Phases, winding and what the supply allows. */
function checkSupply(start: Start, { brief, motor, supply, starts }: Limits, fail: Fail): void {
  const { job, given, practice } = brief;
  const { school } = job;
  const { run } = start;
  const { startCurrentLimit, startPowerLimit, directPowerLimit, busDipLimit } = given.supply;
  const dipLimit = busDipLimit ?? (job.supply.source === 'generator' ? practice.generatorDip : practice.busDip);
  const known = supply.source !== undefined;
  const current = start.standstillCurrent;
  const apparent = Math.sqrt(3) * motor.voltage * current;

  if (job.supply.phases === '1' && start.method !== 'drive')
    fail('a single-phase supply starts no three-phase motor', 'three phases, or a drive');
  if (start.method === 'star-delta' && (job.starting.leads === '3' || job.starting.leads === '9'))
    fail(
      `needs six leads and a delta made for the line voltage; this motor has ${job.starting.leads}`,
      'a motor with six or twelve leads',
    );
  else if (start.method === 'star-delta' && motor.noStarDelta)
    fail(motor.noStarDelta, 'a delta winding for the line voltage with six leads');
  if (startCurrentLimit && current > startCurrentLimit.value)
    fail(
      `${formatQuantity(current, 'current', school)} is above the limit of ${startCurrentLimit.text}`,
      `a limit of ${formatQuantity(current, 'current', school)}`,
    );
  if (startPowerLimit && apparent > startPowerLimit.value)
    fail(
      `${formatQuantity(apparent, 'apparentPower', school)} is above the limit of ${startPowerLimit.text}`,
      `a limit of ${formatQuantity(apparent, 'apparentPower', school)}`,
    );
  if (start.method === 'direct' && directPowerLimit && motor.power > directPowerLimit.value * 1.001)
    fail(`motors above ${directPowerLimit.text} may not start direct here`, 'leave of the utility');
  if (known && run.busDip > dipLimit.value)
    fail(
      `dips the bus ${formatQuantity(run.busDip, 'fraction', school)}, limit ${dipLimit.text}`,
      `a source of about ${formatQuantity(apparent * (1 / dipLimit.value - 1), 'apparentPower', school)} short-circuit power`,
    );
  if (known && start.method === 'direct' && run.terminalDip > practice.terminalDip.value)
    fail(
      `dips the motor’s terminals ${formatQuantity(run.terminalDip, 'fraction', school)}, limit ${practice.terminalDip.text}`,
      'a larger feeder or a stronger source',
    );
  if (known && starts.wanted) {
    const { shortTerm, longTerm } = flickerOf(run.busDip, starts.wanted.value);
    if (shortTerm > SHORT_TERM_LIMIT || longTerm > LONG_TERM_LIMIT)
      fail(
        `flicker of ${starts.wanted.text} starts an hour: ${formatNumber(shortTerm, 2)} and ${formatNumber(longTerm, 2)}, limits 1 and 0.65`,
        'fewer starts an hour',
      );
  }
}

/** Whether it comes up, in time, with torque to spare, and what motor and relay bear of it. */
function checkRun(start: Start, { brief, motor, stall }: Limits, fail: Fail): void {
  const { job, given, practice } = brief;
  const { school } = job;
  const { run } = start;
  const rpm = (speed: number): string => formatQuantity(speed, 'speed', school);

  if (!run.reached)
    fail(
      run.finalSpeed < 1
        ? `its torque does not break the load away (${percent(start.standstillTorque)} of rated at standstill)`
        : `sticks at ${rpm(run.finalSpeed)}: no torque is left over the load`,
      'an unloaded start or a motor with more torque',
    );
  else {
    const unmoved = run.changeover !== undefined && run.changeover.speed < 1 ? run.changeover : undefined;
    if (unmoved)
      fail(
        `does not break the load away before the change-over, which is then a direct start of ${formatQuantity(unmoved.current, 'current', school)}`,
        'an unloaded start or a motor with more torque',
      );
    else if (run.leastMargin < practice.torqueMargin.value)
      fail(
        `only ${percent(Math.max(0, run.leastMargin))} torque is left over the load at ${rpm(run.leastMarginSpeed)}, ${practice.torqueMargin.text} wanted`,
        'less load while starting',
      );
    const limit = given.starting.startTimeLimit;
    if (limit && run.time > limit.value)
      fail(
        `takes ${formatQuantity(run.time, 'duration', school)}, must be up in ${limit.text}`,
        'less inertia or more torque',
      );
    const heat = Math.max(start.rotorUse, start.statorUse);
    if (heat > practice.heatUse.value)
      fail(
        `heats the ${start.rotorUse >= start.statorUse ? 'rotor' : 'winding'} to ${percent(heat)} of what it bears, ${practice.heatUse.text} allowed`,
        `a motor that bears ${formatQuantity((stall.value * heat) / practice.heatUse.value, 'duration', school)} standing`,
      );
    if (start.tripUse >= 1 && start.method !== 'drive')
      fail(
        `trips a class ${start.relayClass} relay`,
        start.leastClass ? `a class ${start.leastClass} relay` : 'a shorter start; no class holds',
      );
    if (!unmoved && start.method === 'star-delta' && run.changeover && run.changeover.speed < 0.8 * motor.speed)
      fail(
        `changes over at ${rpm(run.changeover.speed)}: the spike of ${formatQuantity(run.changeover.current, 'current', school)} is nearly a direct start`,
        'a load light enough for star to bring past 80 % speed',
      );
  }
}

/** Whether the motor bears so many starts; a drive starts it within its rated current, at small slip. */
function checkHowOften({ brief, starts: { wanted, rest, borne } }: Limits, fail: Fail): void {
  const { startsPerHour, restTime } = borne;
  if (wanted && startsPerHour && wanted.value > startsPerHour.value * 1.001)
    fail(
      `${wanted.text} starts an hour wanted; with this inertia the motor bears ${startsPerHour.text}`,
      'fewer starts, less inertia, or a larger motor',
    );
  if (rest !== undefined && restTime && rest < restTime.value * 0.999)
    fail(
      `stands only ${formatQuantity(rest, 'duration', brief.job.school)} before a start, ${restTime.text} wanted`,
      'a longer rest',
    );
}
