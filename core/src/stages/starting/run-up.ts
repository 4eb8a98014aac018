import { bisect, interpolate, leastOf, mostOf } from '../../kernel/numeric.ts';
import { windageAt, type Written } from '../../motor/circuit.ts';
import {
  instant,
  of,
  running,
  type MotorOnSupply,
  type Instant,
  type Moment,
  type Running,
} from './motor-on-supply.ts';
import { feedEvents, longestStep, rising, type StartingMode } from './starting-mode.ts';
import { finalSpeed } from './final-speed.ts';
import { MARGIN_UP_TO, recorder, type Reached, type Trace } from './recorder.ts';

export interface RunUp {
  readonly trace: Trace;
  readonly reached: boolean;
  /** Speed at which it stuck or arrived, rad/s. */
  readonly finalSpeed: number;
  /** s; of the whole attempt where it did not arrive. */
  readonly time: number;
  readonly peakLineCurrent: number;
  readonly peakMotorCurrent: number;
  /** Least torque over load on the way, as a multiple of rated torque, and the speed of it. */
  readonly leastMargin: number;
  readonly leastMarginSpeed: number;
  /** Shares of the voltage before the start. */
  readonly busDip: number;
  readonly terminalDip: number;
  readonly rotorHeat: number;
  readonly statorHeat: number;
  /** Energy drawn at the motor terminals, put into the load and into the turning masses, lost in friction; J. */
  readonly energy: {
    readonly input: number;
    readonly load: number;
    readonly kinetic: number;
    readonly friction: number;
  };
  /** Line current just after change-over over that just before; undefined without one. */
  readonly changeover: { readonly time: number; readonly speed: number; readonly current: number } | undefined;
}

const STEPS = 120;
/** s; a start that takes longer has failed. */
export const LONGEST = 600;
/** Steps a run may take, over those of the whole speed range; one that needs more does not come up to speed. */
const MOST_STEPS = 4;
/** Longest step once the feed gives all it will, s. */
const SETTLED = 20;
/** Torque left over the load, of rated, below which it is looked whether the two meet just ahead, and how far ahead. */
const NEARLY_STUCK = 0.05;
const AHEAD = 0.01;
/** Share of the final speed at which a run-up counts as done, and of synchronous speed where there is none. */
const ARRIVED = 0.995;
const NOWHERE = 0.97;

export interface RunUpSetting extends MotorOnSupply {
  /** Steps over the whole speed range; more are finer. */
  readonly steps?: number;
}

/** Rates of speed, rotor heat, stator heat, input, load work and friction. */
type Rates = Float64Array;
const RATES = 6;

/** A run on its way; written over as it goes. */
interface Way extends Moment {
  rotorHeat: number;
  statorHeat: number;
  input: number;
  load: number;
  friction: number;
  changeover: RunUp['changeover'];
  stuck: boolean;
  /** The newest instant that was looked at, and the load there. */
  readonly probe: Moment;
  newestLoad: number;
}

/** What a run goes by. */
interface Course {
  readonly run: Running;
  readonly feed: StartingMode;
  /** Speed at which it counts as arrived, rad/s. */
  readonly target: number;
  readonly final: number | undefined;
  readonly steps: number;
  /** Widest step in speed, rad/s, and longest in time while the feed changes, s. */
  readonly widest: number;
  readonly longest: number;
  readonly events: readonly number[];
  readonly bends: readonly number[];
  readonly now: Instant;
  readonly stages: readonly [Rates, Rates, Rates, Rates];
  /** The middle of the newest step; written over. */
  readonly middle: Written<Reached>;
  readonly out: ReturnType<typeof recorder>;
}

/**
 * Quasi-steady run-up: at every speed the circuit is in steady state behind source, feeder and starter, and
 * J dω/dt = T_motor − T_load. Classical Runge–Kutta of order four with steps bounded in speed and time; a step ends at
 * every switching. Electrical transients are left out (see transient.ts).
 */
export function runUp(setting: RunUpSetting): RunUp {
  const course = courseOf(setting);
  const { run, feed, target, stages, out } = course;
  const way = standing(feed);
  for (let left = MOST_STEPS * course.steps; left > 0 && way.time < LONGEST && way.speed < target; left--) {
    const rate = rates(course, way, way.time, way.speed, stages[0]);
    record(course, way);
    // Where torque and load meet only time can help, and only while the feed still rises.
    const nearly = rate * setting.turning.inertia < NEARLY_STUCK * setting.ratedTorque;
    if (nearly && !rising(feed, way.time, way.changedAt)) {
      const meets = meetingPoint(course, way, rate);
      if (meets !== undefined) {
        way.speed = meets;
        way.stuck = true;
        break;
      }
    }
    advance(course, way, rate, stepLength(course, way, rate));
    if (way.changedAt === undefined) changeOver(course, way, run.synchronous);
  }
  rates(course, way, way.time, way.speed, stages[0]);
  record(course, way);
  return resultOf(course, way, out.trace());
}

function courseOf(setting: RunUpSetting): Course {
  const run = running(setting);
  const final = finalSpeed(run);
  const steps = setting.steps ?? STEPS;
  const buffer = (): Rates => new Float64Array(RATES);
  return {
    run,
    feed: setting.feed,
    final,
    target: final === undefined ? run.synchronous * NOWHERE : final * ARRIVED,
    steps,
    widest: run.synchronous / steps,
    longest: longestStep(setting.feed, steps),
    events: feedEvents(setting.feed),
    bends: setting.ceiling?.speeds ?? [],
    now: new Float64Array(9),
    stages: [buffer(), buffer(), buffer(), buffer()],
    middle: { time: 0, speed: 0, rotorHeat: 0, statorHeat: 0 },
    out: recorder(),
  };
}

const standing = (feed: StartingMode): Way => ({
  time: 0,
  speed: 0,
  changedAt: feed.kind === 'star-delta' || feed.kind === 'autotransformer' ? undefined : 0,
  rotorHeat: 0,
  statorHeat: 0,
  input: 0,
  load: 0,
  friction: 0,
  changeover: undefined,
  stuck: false,
  probe: { time: 0, speed: 0, changedAt: undefined },
  newestLoad: 0,
});

function rates({ run, now }: Course, way: Way, time: number, speed: number, into: Rates): number {
  const { turning, circuit } = run.setting;
  const { probe } = way;
  probe.time = time;
  probe.speed = speed;
  probe.changedAt = way.changedAt;
  instant(now, run, probe);
  const resisting = interpolate(turning.speeds, turning.torques, speed);
  way.newestLoad = resisting;
  const rate = ((now[of.torque] ?? 0) - resisting) / turning.inertia;
  into[0] = speed <= 0 && rate < 0 ? 0 : rate;
  into[1] = now[of.rotorLoss] ?? 0;
  into[2] = now[of.statorLoss] ?? 0;
  into[3] = now[of.input] ?? 0;
  into[4] = resisting * speed;
  into[5] = windageAt(circuit, speed);
  return into[0];
}

const record = ({ out, now }: Course, way: Way): void => out.push(way, now, way.newestLoad);

/** A step ends at every switching, where the ceiling bends and at the target. */
function stepLength(course: Course, way: Way, rate: number): number {
  const { run, feed, target, widest, events, bends } = course;
  const { time, speed, changedAt } = way;
  // Where nothing moves until the change-over, heat alone goes on, evenly.
  const waits = changedAt === undefined && rate <= 0 && speed === 0;
  const nextEvent = firstAbove(events, time + 1e-9);
  const longest = nextEvent === Number.POSITIVE_INFINITY ? SETTLED : course.longest;
  let step = waits ? LONGEST : Math.min(longest, rate > 0 ? widest / rate : longest);
  step = Math.min(step, nextEvent - time);
  if (rate <= 0) return step;
  if (changedAt === undefined && (feed.kind === 'star-delta' || feed.kind === 'autotransformer')) {
    const change = feed.changeSpeed * run.synchronous;
    if (speed < change) step = Math.min(step, timeTo(change, speed, rate));
  }
  // So that the least margin does not fall between two steps.
  step = Math.min(step, timeTo(firstAbove(bends, speed * 1.000_01 + 1e-9), speed, rate));
  return Math.min(step, timeTo(target, speed, rate) * 1.0001 + 1e-6);
}

/** s until a speed is reached, but for a least step. */
const timeTo = (there: number, speed: number, rate: number): number => Math.max(1e-4, (there - speed) / rate);

/** The first of them that is larger; without end where none is. */
function firstAbove(all: readonly number[], least: number): number {
  for (const each of all) if (each > least) return each;
  return Number.POSITIVE_INFINITY;
}

/** One step of Runge and Kutta’s classical method; the rates at its start are known. */
function advance(course: Course, way: Way, rate: number, step: number): void {
  const { now, stages, middle, out } = course;
  const [first, second, third, fourth] = stages;
  const { time, speed } = way;
  const atHalf = rates(course, way, time + step / 2, speed + (step / 2) * rate, second);
  const again = rates(course, way, time + step / 2, speed + (step / 2) * atHalf, third);
  // The middle of the step is known well enough to draw and to look for the least margin.
  middle.time = time + step / 2;
  middle.speed = Math.max(0, speed + (step / 2) * atHalf);
  middle.rotorHeat = way.rotorHeat + (step / 4) * ((first[1] ?? 0) + (third[1] ?? 0));
  middle.statorHeat = way.statorHeat + (step / 4) * ((first[2] ?? 0) + (third[2] ?? 0));
  out.push(middle, now, way.newestLoad);
  rates(course, way, time + step, speed + step * again, fourth);
  way.speed = Math.max(0, speed + gain(stages, step, 0));
  way.rotorHeat += gain(stages, step, 1);
  way.statorHeat += gain(stages, step, 2);
  way.input += gain(stages, step, 3);
  way.load += gain(stages, step, 4);
  way.friction += gain(stages, step, 5);
  way.time = time + step;
}

const gain = ([first, second, third, fourth]: Course['stages'], step: number, at: number): number =>
  (step / 6) * ((first[at] ?? 0) + 2 * (second[at] ?? 0) + 2 * (third[at] ?? 0) + (fourth[at] ?? 0));

/** From star or tap to the full voltage, once speed or time is reached. */
function changeOver(course: Course, way: Way, synchronous: number): void {
  const { run, feed, stages, now } = course;
  if (feed.kind !== 'star-delta' && feed.kind !== 'autotransformer') return;
  if (way.speed < feed.changeSpeed * synchronous * 0.9999 && way.time < feed.changeTime - 1e-9) return;
  const { turning } = run.setting;
  const gap = feed.kind === 'star-delta' ? feed.gap : 0;
  rates(course, way, way.time, way.speed, stages[0]);
  record(course, way);
  // Without supply the load slows the masses down.
  if (gap > 0) {
    const resisting = way.newestLoad;
    const slowed = Math.max(0, way.speed - (gap * resisting) / turning.inertia);
    way.load += ((way.speed + slowed) / 2) * resisting * gap;
    way.speed = slowed;
    way.time += gap;
  }
  way.changedAt = way.time;
  rates(course, way, way.time, way.speed, stages[0]);
  way.changeover = { time: way.time, speed: way.speed, current: now[of.lineCurrent] ?? 0 };
}

/** The speed just ahead that it nears without end; undefined where it gets past. */
function meetingPoint(course: Course, way: Way, rate: number): number | undefined {
  if (rate <= 0) return way.speed;
  const [first] = course.stages;
  const gains = (speed: number): boolean => rates(course, way, way.time, speed, first) > 0;
  const high = way.speed + AHEAD * course.run.synchronous;
  if (high >= course.target || gains(high)) {
    gains(way.speed);
    return undefined;
  }
  return bisect(gains, { low: way.speed, high }, { rounds: 20 }).low;
}

function resultOf({ run, feed, target, final, out }: Course, way: Way, trace: Trace): RunUp {
  const { turning, ratedTorque } = run.setting;
  const before = run.supply.phase * Math.sqrt(3);
  const reached = !way.stuck && way.speed >= target * 0.9999 && final !== undefined;
  const margins = out.least(ratedTorque);
  return {
    trace,
    reached,
    finalSpeed: reached ? final : way.speed,
    time: way.time,
    peakLineCurrent: mostOf(trace.lineCurrent),
    peakMotorCurrent: mostOf(trace.motorCurrent),
    leastMargin: margins.margin,
    leastMarginSpeed: margins.speed,
    busDip: 1 - leastOf(trace.busVoltage) / before,
    terminalDip: dipOfMotor(feed, trace, before),
    rotorHeat: way.rotorHeat,
    statorHeat: way.statorHeat,
    energy: {
      input: way.input,
      load: way.load,
      kinetic: (turning.inertia * way.speed ** 2) / 2,
      friction: way.friction,
    },
    changeover: way.changeover,
  };
}

/** At a starter that lowers the voltage on purpose the dip is that of the bus and feeder, not of the motor. */
function dipOfMotor(feed: StartingMode, trace: Trace, before: number): number {
  return feed.kind === 'direct' ? 1 - leastOf(trace.voltage) / before : 1 - leastOf(trace.busVoltage) / before;
}

/**
 * Least torque over the load on the way up, of rated torque, once the starter has done its ramp: what a run would find,
 * without the time and heat of it.
 */
export function settledMargin(setting: RunUpSetting, points: number): number {
  const { turning, ratedTorque } = setting;
  const run = running(setting);
  const end = MARGIN_UP_TO * (finalSpeed(run) ?? run.synchronous);
  const now: Instant = new Float64Array(9);
  const at: Moment = { time: LONGEST, speed: 0, changedAt: 0 };
  let least = Number.POSITIVE_INFINITY;
  for (let step = 0; step < points; step++) {
    at.speed = (step / points) * end;
    instant(now, run, at);
    const over = (now[of.available] ?? 0) - interpolate(turning.speeds, turning.torques, at.speed);
    least = Math.min(least, over / ratedTorque);
  }
  return least;
}
