import { amount, figures, say, type Text } from '../../kernel/text.ts';
import type { Motor } from '../../motor/typical.ts';
import type { OptionContext } from '../stage.ts';
import { flickerOf, LONG_TERM_LIMIT, SHORT_TERM_LIMIT } from '../supply/flicker.ts';
import type { SupplyResult } from '../supply/supply.ts';
import type { Value } from '../../kernel/value.ts';
import type { Method } from './starting-mode.ts';
import type { Start, StartSetting } from './run-start.ts';
import type { Trace } from './recorder.ts';
import type { StartsBorne } from './starts-per-hour.ts';
import type { DriveLimits } from './starting-mode.ts';
import { classTimes, type ClassTimes, type TripClass } from './trip-class.ts';
import { tripTime } from './trip-curve.ts';

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
  readonly failures: readonly Text[];
  readonly remedies: readonly Text[];
  /** Setting that was needed, where one was looked for. */
  readonly needs: Text;
  readonly time: number | undefined;
  readonly rotorUse: number;
  /** The hotter of rotor and winding, of what it bears. */
  readonly heat: number;
  readonly tripUse: number;
  readonly relayClass: TripClass;
  readonly relay: ClassTimes;
  /** Spike of the change-over, A; 0 without one. */
  readonly changeoverCurrent: number;
  readonly text: {
    readonly current: Text;
    readonly torque: Text;
    readonly dip: Text;
    readonly terminalDip: Text;
    readonly time: Text;
    readonly margin: Text;
    readonly heat: Text;
    readonly tripClass: string;
    readonly changeover: Text;
  };
  /** How it goes, for charts; left out of stored results. */
  readonly trace?: Trace;
}

/** What a start is measured against. */
export interface Limits {
  readonly brief: OptionContext;
  readonly motor: Motor;
  readonly supply: SupplyResult;
  /** Time the motor bears standing at full voltage. */
  readonly stall: Value;
  /** What the relay is set to and how warm it runs, and how long the motor bears standing hot and cold. */
  readonly setting: Pick<StartSetting, 'stalls' | 'overload' | 'loadedHeat'>;
  readonly drive: DriveLimits;
  /** Load of the running motor, of rated; undefined where it is not known. */
  readonly load: number | undefined;
  readonly starts: {
    /** An hour. */
    readonly wanted: Value | undefined;
    /** Shortest standstill before a start, s. */
    readonly rest: number | undefined;
    readonly borne: StartsBorne;
  };
}

/** What fails, and what would have to change for it. */
type Fail = (failure: Text, remedy: Text) => void;

const percent = (share: number): Text => say`${figures(Math.abs(share) < 5e-4 ? 0 : share * 100, 2)} %`;

/** A start against every limit of supply, winding, load, motor and relay, in words. `softLimit` is the soft starter’s, of rated current. */
export function compareStart(start: Start, limits: Limits, softLimit: number): Comparison {
  const { run } = start;
  const dips = dipsOf(start);
  const failures: Text[] = [];
  const remedies: Text[] = [];
  const fail: Fail = (failure, remedy) => {
    failures.push(failure);
    remedies.push(remedy);
  };
  checkSupply(start, limits, fail);
  checkRun(start, limits, fail);
  if (start.method === 'drive') checkDrive(start, limits, fail);
  else {
    checkHowOften(limits, fail);
    if (run.reached) checkStall(start, limits, fail);
  }
  const known = limits.supply.source !== undefined;
  const current = start.standstillCurrent;
  const shown = (share: number): Text => amount(share, 'fraction');
  return {
    method: start.method,
    current,
    torque: start.standstillTorque,
    dip: known ? dips.bus : undefined,
    passes: failures.length === 0,
    failures,
    remedies,
    needs: start.method === 'soft starter' ? say`limit ${figures(softLimit, 2)} × rated` : '',
    time: run.reached ? run.time : undefined,
    rotorUse: start.rotorUse,
    heat: heatOf(start, limits),
    tripUse: start.tripUse,
    relayClass: start.relayClass,
    relay: classTimes(start.relayClass),
    changeoverCurrent: run.changeover?.current ?? 0,
    text: {
      current: amount(current, 'current'),
      torque: shown(start.standstillTorque),
      dip: known ? shown(dips.bus) : '–',
      terminalDip: known ? shown(dips.terminals) : '–',
      time: run.reached ? amount(run.time, 'duration') : '–',
      margin: run.reached ? shown(run.leastMargin) : '–',
      heat: run.reached ? shown(heatOf(start, limits)) : '–',
      tripClass: start.method === 'drive' || !run.reached ? '–' : (start.leastClass ?? 'none'),
      changeover: run.changeover ? amount(run.changeover.current, 'current') : '–',
    },
    trace: run.trace,
  };
}

/**
 * Dips of bus and terminals with the most current that plate or catalogue allow: a divider of source and motor, of which
 * the motor’s part is smaller by the factor.
 */
function dipsOf({ run, currentFactor: k }: Start): { readonly bus: number; readonly terminals: number } {
  const more = (dip: number): number => {
    // No bus loses more than all it has; one that is fed back into is not divided.
    const held = Math.min(1, dip);
    return (k * held) / (1 + (k - 1) * Math.max(0, held));
  };
  return { bus: more(run.busDip), terminals: more(run.terminalDip) };
}

/** Phases, winding and what the supply allows. */
function checkSupply(start: Start, { brief, motor, supply, starts }: Limits, fail: Fail): void {
  const { job, given, practice } = brief;
  const dips = dipsOf(start);
  const { startCurrentLimit, startPowerLimit, directPowerLimit, busDipLimit } = given.supply;
  const dipLimit = busDipLimit ?? (job.supply.source === 'generator' ? practice.generatorDip : practice.busDip);
  const printed = motor.kind === 'plate' ? (/\d+/.exec(job.nameplate.leads ?? '')?.[0] ?? 'unknown') : 'unknown';
  const leads = job.starting.leads === 'unknown' ? printed : job.starting.leads;
  const known = supply.source !== undefined;
  const current = start.standstillCurrent;
  const apparent = Math.sqrt(3) * motor.voltage * current;

  if (job.supply.phases === '1' && start.method !== 'drive')
    fail('a three-phase motor does not start on a single-phase supply', 'three phases, or a drive');
  if (start.method === 'star-delta' && (leads === '3' || leads === '9'))
    fail(
      `star-delta starting requires six leads and a delta winding rated for the line voltage; this motor has ${leads}`,
      'a motor with six or twelve leads',
    );
  else if (start.method === 'star-delta' && motor.noStarDelta)
    fail(motor.noStarDelta, 'a delta winding for the line voltage with six leads');
  else if (start.method === 'star-delta' && !motor.starDeltaProven && leads !== '6' && leads !== '12')
    fail(
      'the number of leads is unknown; star-delta starting requires six and a delta winding rated for the line voltage',
      'six or twelve leads, looked up in the terminal box',
    );
  if (startCurrentLimit && current > startCurrentLimit.value)
    fail(
      say`the starting current is ${amount(current, 'current')}, limit ${startCurrentLimit}`,
      say`a limit of ${amount(current, 'current')}`,
    );
  if (startPowerLimit && apparent > startPowerLimit.value)
    fail(
      say`the starting apparent power is ${amount(apparent, 'apparentPower')}, limit ${startPowerLimit}`,
      say`a limit of ${amount(apparent, 'apparentPower')}`,
    );
  if (start.method === 'direct' && directPowerLimit && motor.power > directPowerLimit.value * 1.001)
    fail(say`the utility permits starts at full voltage up to ${directPowerLimit}`, 'permission of the utility');
  if (known && dips.bus > dipLimit.value)
    fail(
      say`the voltage dip at the bus is ${amount(dips.bus, 'fraction')}, limit ${dipLimit}`,
      say`a source of about ${amount(apparent * (1 / dipLimit.value - 1), 'apparentPower')} short-circuit power`,
    );
  if (known && start.method === 'direct' && dips.terminals > practice.terminalDip.value)
    fail(
      say`the voltage dip at the motor terminals is ${amount(dips.terminals, 'fraction')}, limit ${practice.terminalDip}`,
      'a larger feeder or a stronger source',
    );
  if (known && starts.wanted) {
    const { shortTerm, longTerm } = flickerOf(dips.bus, starts.wanted.value);
    if (shortTerm > SHORT_TERM_LIMIT || longTerm > LONG_TERM_LIMIT)
      fail(
        say`the flicker severity at ${starts.wanted} starts per hour is Pst ${figures(shortTerm, 2)} and Plt ${figures(longTerm, 2)}, limits 1 and 0.65`,
        'fewer starts an hour',
      );
  }
}

/** Energy that plugging turns to heat in the rotor, of the kinetic energy it takes away. */
const PLUGGING = 3;

/** The hotter of rotor and winding over what it bears; plugging comes on top of the start. */
function heatOf({ method, run, rotorUse, statorUse }: Start, { brief }: Limits): number {
  const plugged = brief.job.starting.plugging === 'yes' && method !== 'drive' && run.rotorHeat > 0;
  return Math.max(rotorUse * (plugged ? 1 + (PLUGGING * run.energy.kinetic) / run.rotorHeat : 1), statorUse);
}

/** Whether it comes up, in time, with torque to spare, and what motor and relay bear of it. */
function checkRun(start: Start, limits: Limits, fail: Fail): void {
  const { brief, motor, stall } = limits;
  const { given, practice } = brief;
  const { run } = start;
  const rpm = (speed: number): Text => amount(speed, 'speed');

  if (!run.reached)
    fail(
      run.finalSpeed < 1
        ? say`the locked-rotor torque of ${percent(start.standstillTorque)} does not break the load away`
        : say`stalls at ${rpm(run.finalSpeed)}: no accelerating torque is left`,
      'an unloaded start or a motor with more torque',
    );
  else {
    const unmoved = run.changeover !== undefined && run.changeover.speed < 1 ? run.changeover : undefined;
    if (unmoved)
      fail(
        say`does not break the load away before the transition, which then draws ${amount(unmoved.current, 'current')}`,
        'an unloaded start or a motor with more torque',
      );
    else if (run.leastMargin < (limits.load === undefined ? 0 : practice.torqueMargin.value))
      fail(
        say`the accelerating torque margin is ${percent(Math.max(0, run.leastMargin))} at ${rpm(run.leastMarginSpeed)}, limit ${practice.torqueMargin}`,
        'less load while starting',
      );
    const limit = given.starting.startTimeLimit;
    if (limit && run.time > limit.value)
      fail(
        say`the acceleration time is ${amount(run.time, 'duration')}, limit ${limit}`,
        'less inertia or more torque',
      );
    const heat = heatOf(start, limits);
    if (heat > practice.heatUse.value)
      fail(
        say`the start uses ${percent(heat)} of the thermal capacity of the ${start.rotorUse >= start.statorUse ? 'rotor' : 'winding'}, limit ${practice.heatUse}`,
        say`a motor with a safe stall time of ${amount((stall.value * heat) / practice.heatUse.value, 'duration')}`,
      );
    if (start.tripUse >= 1 && start.method !== 'drive')
      fail(
        `the start trips a class ${start.relayClass} overload relay`,
        start.leastClass ? `a class ${start.leastClass} overload relay` : 'a shorter start; no trip class clears it',
      );
    if (!unmoved && start.method === 'star-delta' && run.changeover && run.changeover.speed < 0.8 * motor.speed)
      fail(
        say`the transition at ${rpm(run.changeover.speed)} draws ${amount(run.changeover.current, 'current')}, nearly as much as a start at full voltage`,
        'a load that the star connection accelerates past 80 % speed',
      );
  }
}

/** The relay must cut off a stalled motor before it is too hot: both hot from running, or both cold. */
function checkStall(start: Start, { motor, setting }: Limits, fail: Fail): void {
  const { stalls, overload, loadedHeat } = setting;
  const multiple = motor.lockedRotorCurrent / overload;
  const { slowest } = classTimes(start.relayClass);
  const cases = [
    { state: 'cold', trips: tripTime(slowest, multiple), bears: stalls.cold },
    { state: 'hot', trips: tripTime(slowest, multiple, loadedHeat), bears: stalls.hot },
  ];
  const late = cases.find(({ trips, bears }) => trips > bears);
  if (!late) return;
  const seconds = (value: number): Text => amount(value, 'duration');
  fail(
    say`a class ${start.relayClass} overload relay may take ${Number.isFinite(late.trips) ? seconds(late.trips) : 'without limit'} to trip a stalled ${late.state} motor, safe stall time ${seconds(late.bears)}`,
    'a faster trip class, or an electronic relay with start inhibit or speed switch',
  );
}

/** Whether the drive bears what it gives while it runs up. */
function checkDrive({ run }: Start, { motor, drive }: Limits, fail: Fail): void {
  const { time, motorCurrent } = run.trace;
  let over = 0;
  for (let at = 1; at < time.length; at++)
    if ((motorCurrent[at] ?? 0) > drive.continuous * motor.current * 1.02)
      over += (time[at] ?? 0) - (time[at - 1] ?? 0);
  if (over <= drive.seconds) return;
  fail(
    say`the drive is in overload for ${amount(over, 'duration')}, permissible ${amount(drive.seconds, 'duration')}`,
    'a longer ramp, less inertia, or a larger drive',
  );
}

/** Whether the motor bears so many starts; a drive starts it within its rated current, at small slip. */
function checkHowOften({ starts: { wanted, rest, borne } }: Limits, fail: Fail): void {
  const { startsPerHour, restTime } = borne;
  if (wanted && startsPerHour && wanted.value > startsPerHour.value * 1.001)
    fail(
      say`${wanted} starts per hour are required, permissible with this inertia ${startsPerHour}`,
      'fewer starts, less inertia, or a larger motor',
    );
  if (rest !== undefined && restTime && rest < restTime.value * 0.999)
    fail(say`the rest time before a start is ${amount(rest, 'duration')}, minimum ${restTime}`, 'a longer rest');
}
