import { interpolate } from '../load/torque-curve.ts';
import { circuitState, windageAt } from '../../motor/circuit.ts';
import { synchronousSpeed } from '../../motor/typical.ts';
import { instant, of, thevenin, through, TINY, type FedMotor, type Instant, type Thevenin } from './fed-motor.ts';
import { feedEvents, longestStep, rising, type Feed } from './feeds.ts';

export interface Trace {
  readonly time: readonly number[];
  /** rad/s */
  readonly speed: readonly number[];
  /** Of the line, A. */
  readonly lineCurrent: readonly number[];
  /** In the motor’s leads, A. */
  readonly motorCurrent: readonly number[];
  /** At the shaft, N·m. */
  readonly torque: readonly number[];
  readonly loadTorque: readonly number[];
  /** Line to line at the motor, V. */
  readonly voltage: readonly number[];
  /** Line to line at the shared bus, V. */
  readonly busVoltage: readonly number[];
  /** Turned into heat so far, J. */
  readonly rotorHeat: readonly number[];
  readonly statorHeat: readonly number[];
}

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
/** Shaft speed on a drive at rated frequency and load, of synchronous speed. Common practice, no published source. */
const DRIVEN = 0.985;
/** s; a start that takes longer has failed. */
export const LONGEST = 600;
/** Share of the speed reached up to which a margin over the load is looked for. */
const MARGIN_UP_TO = 0.9;
/** Torque left over the load, of rated, below which it is looked whether the two meet just ahead, and how far ahead. */
const NEARLY_STUCK = 0.05;
const AHEAD = 0.01;
/** Share of the final speed at which a run-up counts as done. */
const ARRIVED = 0.995;

export interface RunUpSetting extends FedMotor {
  /** Steps over the whole speed range; more are finer. */
  readonly steps?: number;
}

/**
 * Quasi-steady run-up: at every speed the circuit is in steady state behind source, feeder and starter, and
 * J dω/dt = T_motor − T_load. Classical Runge–Kutta of order four with steps bounded in speed and time; a step ends at
 * every switching. Electrical transients are left out (see transient.ts).
 */
export function runUp(setting: RunUpSetting): RunUp {
  const { circuit, turning, feed } = setting;
  const synchronous = synchronousSpeed(circuit.hz, circuit.poles);
  const supply = thevenin(circuit, setting.source);
  const before = supply.phase * Math.sqrt(3);
  const loadAt = (speed: number): number => interpolate(turning.speeds, turning.torques, speed);
  const final = finalSpeed(setting, supply, synchronous, loadAt);
  const target = final === undefined ? synchronous * 0.97 : final * ARRIVED;

  const steps = setting.steps ?? STEPS;
  const widest = synchronous / steps;
  const longest = longestStep(feed, steps);
  const events = feedEvents(feed);
  const bends = setting.ceiling?.speeds ?? [];
  const out = recorder();

  let time = 0;
  let speed = 0;
  let rotorHeat = 0;
  let statorHeat = 0;
  let input = 0;
  let load = 0;
  let friction = 0;
  let changedAt: number | undefined = feed.kind === 'star-delta' || feed.kind === 'autotransformer' ? undefined : 0;
  let changeover: RunUp['changeover'];
  let stuck = false;

  const now: Instant = new Float64Array(9);
  const instantAt = (t: number, w: number): void => instant(now, setting, supply, synchronous, t, w, changedAt);
  /** Rates of speed, rotor heat, stator heat, input, load work and friction. */
  let newestLoad = 0;
  const rates = (t: number, w: number, into: Float64Array): number => {
    instantAt(t, w);
    const resisting = loadAt(w);
    newestLoad = resisting;
    const rate = ((now[of.torque] ?? 0) - resisting) / turning.inertia;
    into[0] = w <= 0 && rate < 0 ? 0 : rate;
    into[1] = now[of.rotorLoss] ?? 0;
    into[2] = now[of.statorLoss] ?? 0;
    into[3] = now[of.input] ?? 0;
    into[4] = resisting * w;
    into[5] = windageAt(circuit, w);
    return into[0];
  };
  const [first, second, third, fourth] = [
    new Float64Array(6),
    new Float64Array(6),
    new Float64Array(6),
    new Float64Array(6),
  ];

  while (time < LONGEST && speed < target) {
    const rate = rates(time, speed, first);
    record();
    const nextEvent = events.find((each) => each > time + 1e-9);
    // Where torque and load meet only time can help, and only while the feed still rises.
    if (rate * turning.inertia < NEARLY_STUCK * setting.ratedTorque && !rising(feed, time, changedAt)) {
      const meets = meetingPoint(rate);
      if (meets !== undefined) {
        speed = meets;
        stuck = true;
        break;
      }
    }
    // Where nothing moves until the change-over, heat alone goes on, evenly.
    const waits = changedAt === undefined && rate <= 0 && speed === 0;
    let step = waits ? LONGEST : Math.min(longest, rate > 0 ? widest / rate : longest);
    if (nextEvent !== undefined) step = Math.min(step, nextEvent - time);
    if (changedAt === undefined && rate > 0) {
      const change =
        (feed.kind === 'star-delta' || feed.kind === 'autotransformer' ? feed.changeSpeed : 1) * synchronous;
      if (speed < change) step = Math.min(step, Math.max(1e-4, (change - speed) / rate));
    }
    // A step ends where the ceiling bends, so that the least margin does not fall between two.
    const bend = rate > 0 ? bends.find((each) => each > speed * 1.000_01 + 1e-9) : undefined;
    if (bend !== undefined) step = Math.min(step, Math.max(1e-4, (bend - speed) / rate));
    if (rate > 0) step = Math.min(step, Math.max(1e-4, (target - speed) / rate) * 1.0001 + 1e-6);
    const atHalf = rates(time + step / 2, speed + (step / 2) * rate, second);
    const again = rates(time + step / 2, speed + (step / 2) * atHalf, third);
    // The middle of the step is known well enough to draw and to look for the least margin.
    const halfway = (at: number): number => (step / 4) * ((first[at] ?? 0) + (third[at] ?? 0));
    const middle = Math.max(0, speed + (step / 2) * atHalf);
    out.push(time + step / 2, middle, now, newestLoad, rotorHeat + halfway(1), statorHeat + halfway(2));
    rates(time + step, speed + step * again, fourth);
    const gain = (at: number): number =>
      (step / 6) * ((first[at] ?? 0) + 2 * (second[at] ?? 0) + 2 * (third[at] ?? 0) + (fourth[at] ?? 0));
    speed = Math.max(0, speed + gain(0));
    rotorHeat += gain(1);
    statorHeat += gain(2);
    input += gain(3);
    load += gain(4);
    friction += gain(5);
    time += step;
    if (changedAt === undefined && (feed.kind === 'star-delta' || feed.kind === 'autotransformer')) {
      if (speed >= feed.changeSpeed * synchronous * 0.9999 || time >= feed.changeTime - 1e-9) {
        const gap = feed.kind === 'star-delta' ? feed.gap : 0;
        rates(time, speed, first);
        record();
        // Without supply the load slows the masses down.
        if (gap > 0) {
          const slowed = Math.max(0, speed - (gap * loadAt(speed)) / turning.inertia);
          load += ((speed + slowed) / 2) * loadAt(speed) * gap;
          speed = slowed;
          time += gap;
        }
        changedAt = time;
        instantAt(time, speed);
        changeover = { time, speed, current: now[of.lineCurrent] ?? 0 };
      }
    }
  }

  rates(time, speed, first);
  record();
  const trace = out.trace();
  const reached = !stuck && speed >= target * 0.9999 && final !== undefined;
  const margins = out.least(setting.ratedTorque);
  return {
    trace,
    reached,
    finalSpeed: reached ? final : speed,
    time,
    peakLineCurrent: Math.max(...trace.lineCurrent),
    peakMotorCurrent: Math.max(...trace.motorCurrent),
    leastMargin: margins.margin,
    leastMarginSpeed: margins.speed,
    busDip: 1 - Math.min(...trace.busVoltage) / before,
    terminalDip: dipOfMotor(feed, trace, before),
    rotorHeat,
    statorHeat,
    energy: { input, load, kinetic: (turning.inertia * speed ** 2) / 2, friction },
    changeover,
  };

  /** The speed just ahead that it nears without end; undefined where it gets past. */
  function meetingPoint(rate: number): number | undefined {
    if (rate <= 0) return speed;
    let [low, high] = [speed, speed + AHEAD * synchronous];
    if (high >= target || rates(time, high, first) > 0) {
      rates(time, speed, first);
      return undefined;
    }
    for (let halving = 0; halving < 20; halving++) {
      const middle = (low + high) / 2;
      if (rates(time, middle, first) > 0) low = middle;
      else high = middle;
    }
    return low;
  }

  function record(): void {
    out.push(time, speed, now, newestLoad, rotorHeat, statorHeat);
  }
}

/**
 * Least torque over the load on the way up, of rated torque, once the starter has done its ramp: what a run would find,
 * without the time and heat of it.
 */
export function settledMargin(setting: RunUpSetting, points: number): number {
  const { circuit, turning, ratedTorque } = setting;
  const synchronous = synchronousSpeed(circuit.hz, circuit.poles);
  const supply = thevenin(circuit, setting.source);
  const at: Instant = new Float64Array(9);
  let least = Number.POSITIVE_INFINITY;
  for (let step = 0; step < points; step++) {
    const speed = (step / points) * MARGIN_UP_TO * synchronous;
    instant(at, setting, supply, synchronous, LONGEST, speed, 0);
    const over = (at[of.available] ?? 0) - interpolate(turning.speeds, turning.torques, speed);
    least = Math.min(least, over / ratedTorque);
  }
  return least;
}

/** At a starter that lowers the voltage on purpose the dip is that of the bus and feeder, not of the motor. */
function dipOfMotor(feed: Feed, trace: Trace, before: number): number {
  return feed.kind === 'direct' ? 1 - Math.min(...trace.voltage) / before : 1 - Math.min(...trace.busVoltage) / before;
}

/** Where torque and load meet at full voltage, rad/s; undefined where the motor cannot hold the load at all. */
export function finalSpeed(
  setting: RunUpSetting,
  supply: Thevenin,
  synchronous: number,
  loadAt: (speed: number) => number,
): number | undefined {
  const probe: Instant = new Float64Array(9);
  const over = (speed: number): number => {
    const slip = Math.max(TINY, 1 - speed / synchronous);
    const state = circuitState(setting.circuit, slip, setting.circuit.hz);
    through(probe, setting, supply, state, slip, speed, 1, 1);
    return (probe[of.torque] ?? 0) - loadAt(speed);
  };
  if (setting.feed.kind === 'drive')
    return Math.min(synchronous * DRIVEN, setting.feed.speed ?? Number.POSITIVE_INFINITY);
  let high = synchronous * (1 - TINY);
  if (over(high) > 0) return high;
  for (let step = 1; step <= 60; step++) {
    let low = synchronous * (1 - 0.005 * step);
    if (over(low) <= 0) {
      high = low;
      continue;
    }
    // The curve is all but straight here: false position, halved where an end stands still (Illinois).
    let atLow = over(low);
    let atHigh = over(high);
    for (let round = 0; round < 20 && high - low > 1e-7 * synchronous; round++) {
      const middle = (low * atHigh - high * atLow) / (atHigh - atLow);
      const at = over(middle);
      if (at > 0) {
        low = middle;
        atLow = at;
        atHigh /= 2;
      } else {
        high = middle;
        atHigh = at;
        atLow /= 2;
      }
    }
    return low;
  }
  return undefined;
}

function recorder() {
  const available: number[] = [];
  const rows: Record<keyof Trace, number[]> = {
    time: [],
    speed: [],
    lineCurrent: [],
    motorCurrent: [],
    torque: [],
    loadTorque: [],
    voltage: [],
    busVoltage: [],
    rotorHeat: [],
    statorHeat: [],
  };
  return {
    push(time: number, speed: number, at: Instant, load: number, rotorHeat: number, statorHeat: number): void {
      available.push(at[of.available] ?? 0);
      rows.time.push(time);
      rows.speed.push(speed);
      rows.lineCurrent.push(at[of.lineCurrent] ?? 0);
      rows.motorCurrent.push(at[of.motorCurrent] ?? 0);
      rows.torque.push(at[of.torque] ?? 0);
      rows.loadTorque.push(load);
      rows.voltage.push(at[of.voltage] ?? 0);
      rows.busVoltage.push(at[of.busVoltage] ?? 0);
      rows.rotorHeat.push(rotorHeat);
      rows.statorHeat.push(statorHeat);
    },
    trace: (): Trace => rows,
    /** Up to nine tenths of the speed reached: beyond it motor and load meet, and there is no margin to speak of. */
    least(ratedTorque: number): { margin: number; speed: number } {
      const end = MARGIN_UP_TO * (rows.speed.at(-1) ?? 0);
      const over = rows.time.map((_, at) => ((available[at] ?? 0) - (rows.loadTorque[at] ?? 0)) / ratedTorque);
      let margin = Number.POSITIVE_INFINITY;
      let speed = 0;
      const consider = (value: number, where: number): void => {
        if (value >= margin) return;
        margin = value;
        speed = where;
      };
      for (const [at, value] of over.entries()) {
        const here = rows.speed[at] ?? 0;
        const next = rows.speed[at + 1];
        if (here <= end) consider(value, here);
        if (here < end && next !== undefined && next > end)
          consider(value + ((end - here) / (next - here)) * ((over[at + 1] ?? value) - value), end);
      }
      return { margin, speed };
    },
  };
}
