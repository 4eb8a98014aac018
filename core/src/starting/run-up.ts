import { add, complex, divide, inverse, magnitude, multiply, type Complex } from '../complex.ts';
import { interpolate } from '../load/torque-curve.ts';
import { circuitState, leakageAt, windageAt, type Circuit } from '../motor/circuit.ts';
import { synchronousSpeed } from '../motor/typical.ts';
import type { Source } from '../supply/source.ts';

/** The load on the motor shaft and everything that turns, rotor included; SI. */
export interface Turning {
  readonly speeds: readonly number[];
  readonly torques: readonly number[];
  /** kg·m² */
  readonly inertia: number;
}

/** How the motor is fed while it starts. Times in s from switching on, voltages and currents as multiples of rated. */
export type Feed =
  | { readonly kind: 'direct' }
  | {
      readonly kind: 'star-delta';
      /** Speed share of synchronous speed at which it changes over, or the time, whichever comes first. */
      readonly changeSpeed: number;
      readonly changeTime: number;
      /** Time without supply between star and delta; 0 with a closed transition. */
      readonly gap: number;
    }
  | {
      readonly kind: 'autotransformer';
      readonly tap: number;
      readonly changeSpeed: number;
      readonly changeTime: number;
    }
  | {
      readonly kind: 'soft starter';
      readonly mode: 'voltage ramp' | 'torque ramp' | 'current limit';
      readonly startVoltage: number;
      readonly ramp: number;
      readonly currentLimit: number;
      readonly kickVoltage: number;
      readonly kickTime: number;
    }
  | {
      readonly kind: 'drive';
      readonly ramp: number;
      /** Of rated motor current. */
      readonly currentLimit: number;
      /** Torque it can hold at standstill, of rated, by boost. */
      readonly boost: number;
    };

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

/**
 * What holds at one instant, by place in a buffer that is written over: an object for each of thousands of instants would
 * keep the collector busy. `available` is what the motor could give; more than its torque only on a drive.
 */
const of = {
  torque: 0,
  available: 1,
  lineCurrent: 2,
  motorCurrent: 3,
  voltage: 4,
  busVoltage: 5,
  rotorLoss: 6,
  statorLoss: 7,
  input: 8,
} as const;
type Instant = Float64Array;

/** The supply seen from the motor’s feeder: open voltage of the bus with its other load, and impedances. */
interface Thevenin {
  readonly phase: number;
  readonly bus: Complex;
  readonly total: Complex;
}

function thevenin(circuit: Circuit, source: Source | undefined): Thevenin {
  if (!source) return { phase: circuit.volts / Math.sqrt(3), bus: complex(0), total: complex(0) };
  const open = complex(source.voltage / Math.sqrt(3));
  if (!source.other) return { phase: open.re, bus: source.internal, total: add(source.internal, source.feeder) };
  const bus = inverse(add(inverse(source.internal), inverse(source.other)));
  const phase = magnitude(multiply(open, divide(source.other, add(source.internal, source.other))));
  return { phase, bus, total: add(bus, source.feeder) };
}

/** Slip that stands in for exact synchronism, where the circuit has no current in the rotor. */
const TINY = 1e-6;
const STEPS = 120;
const LONGEST = 600;
/** Share of the final speed at which a run-up counts as done. */
const ARRIVED = 0.995;

export interface RunUpSetting {
  readonly circuit: Circuit;
  readonly turning: Turning;
  readonly source: Source | undefined;
  readonly feed: Feed;
  readonly ratedTorque: number;
  readonly ratedCurrent: number;
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
  const longest =
    feed.kind === 'soft starter'
      ? Math.max(0.02, feed.ramp / 60)
      : feed.kind === 'drive'
        ? Math.max(0.02, feed.ramp / steps)
        : 0.5;
  const events = feedEvents(feed);
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
    // Standing still or crawling: only time can help, and only while the feed still rises.
    if (rate <= (1e-4 * synchronous) / LONGEST) {
      if (!rising(feed, time, changedAt)) {
        stuck = true;
        break;
      }
    }
    // Where nothing moves and nothing rises until the change-over, heat alone goes on, evenly.
    const waits = rate <= 0 && speed === 0 && feed.kind !== 'soft starter' && feed.kind !== 'drive';
    let step = waits ? LONGEST : Math.min(longest, rate > 0 ? widest / rate : longest);
    if (nextEvent !== undefined) step = Math.min(step, nextEvent - time);
    if (changedAt === undefined && rate > 0) {
      const change =
        (feed.kind === 'star-delta' || feed.kind === 'autotransformer' ? feed.changeSpeed : 1) * synchronous;
      if (speed < change) step = Math.min(step, Math.max(1e-4, (change - speed) / rate));
    }
    if (rate > 0) step = Math.min(step, Math.max(1e-4, (target - speed) / rate) * 1.0001 + 1e-6);
    const atHalf = rates(time + step / 2, speed + (step / 2) * rate, second);
    const again = rates(time + step / 2, speed + (step / 2) * atHalf, third);
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
    const speed = (step / points) * 0.9 * synchronous;
    instant(at, setting, supply, synchronous, LONGEST, speed, 0);
    const over = (at[of.available] ?? 0) - interpolate(turning.speeds, turning.torques, speed);
    least = Math.min(least, over / ratedTorque);
  }
  return least;
}

export interface RunDown {
  /** s from running to a twentieth of it with the supply cut off. */
  readonly coast: number;
  /** The same with the voltage lowered over a ramp. */
  readonly soft: number;
}

/** Share of the running speed below which the machine counts as stopped, and where the ramp cuts off. */
const STOPPED = 0.05;
const CUT_OFF = 0.3;
const DOWN_STEPS = 400;

/**
 * How a loaded motor stops: coasting, and by a soft starter that lowers its voltage evenly to a third over `ramp` s and
 * then cuts off. A pump must come to rest slower than the pressure wave travels its pipe.
 */
export function runDown(setting: RunUpSetting, ramp: number): RunDown {
  const { circuit, turning } = setting;
  const synchronous = synchronousSpeed(circuit.hz, circuit.poles);
  const supply = thevenin(circuit, setting.source);
  const loadAt = (speed: number): number => interpolate(turning.speeds, turning.torques, speed);
  const running = finalSpeed({ ...setting, feed: { kind: 'direct' } }, supply, synchronous, loadAt) ?? synchronous;
  const at: Instant = new Float64Array(9);
  const stop = (volts: (time: number) => number): number => {
    let speed = running;
    let time = 0;
    const step = Math.min(0.05, (turning.inertia * running) / Math.max(1e-9, loadAt(running)) / DOWN_STEPS);
    while (speed > STOPPED * running && time < LONGEST) {
      const rate = (w: number, t: number): number => {
        const share = volts(t);
        let torque = 0;
        if (share > 0) {
          const slip = Math.max(TINY, 1 - w / synchronous);
          through(at, setting, supply, circuitState(circuit, slip, circuit.hz), slip, w, 1, 1);
          torque = share ** 2 * (at[of.torque] ?? 0);
        }
        return (torque - loadAt(w)) / turning.inertia;
      };
      const middle = speed + (step / 2) * rate(speed, time);
      speed += step * rate(middle, time + step / 2);
      time += step;
    }
    return time;
  };
  const lowered = (time: number): number => (time >= ramp ? 0 : 1 - (1 - CUT_OFF) * (time / ramp));
  return { coast: stop(() => 0), soft: stop(lowered) };
}

/** At a starter that lowers the voltage on purpose the dip is that of the bus and feeder, not of the motor. */
function dipOfMotor(feed: Feed, trace: Trace, before: number): number {
  return feed.kind === 'direct' ? 1 - Math.min(...trace.voltage) / before : 1 - Math.min(...trace.busVoltage) / before;
}

function feedEvents(feed: Feed): number[] {
  if (feed.kind === 'star-delta' || feed.kind === 'autotransformer') return [feed.changeTime];
  if (feed.kind === 'soft starter') return [feed.kickTime, feed.ramp, feed.kickTime + feed.ramp];
  if (feed.kind === 'drive') return [feed.ramp];
  return [];
}

/** Whether the feed will still give more later on. */
function rising(feed: Feed, time: number, changedAt: number | undefined): boolean {
  if (changedAt === undefined) return true;
  return feed.kind === 'soft starter' && time < feed.kickTime + feed.ramp;
}

/** Motor current, torque and losses at one instant. */
function instant(
  into: Instant,
  setting: RunUpSetting,
  supply: Thevenin,
  synchronous: number,
  time: number,
  speed: number,
  changedAt: number | undefined,
): void {
  const { feed } = setting;
  if (feed.kind === 'drive') return void onDrive(into, setting, supply, synchronous, time, speed, feed);
  const { circuit } = setting;
  const slip = Math.max(TINY, 1 - speed / synchronous);
  fed(into, setting, supply, circuitState(circuit, slip, circuit.hz), slip, time, speed, changedAt);
  if (!circuit.saturation) return;
  // In star a winding carries √3 of what the line current stands for in delta.
  const winding = feed.kind === 'star-delta' && changedAt === undefined ? Math.sqrt(3) : 1;
  let leakage = 1;
  for (let round = 0; round < SATURATION_ROUNDS; round++) {
    const next = leakageAt(circuit, winding * (into[of.motorCurrent] ?? 0));
    if (Math.abs(next - leakage) < 1e-8) break;
    leakage = (leakage + next) / 2;
    fed(into, setting, supply, circuitState(circuit, slip, circuit.hz, leakage), slip, time, speed, changedAt);
  }
}

const SATURATION_ROUNDS = 30;

/** The motor in a state of its circuit, as the feed connects it. */
function fed(
  into: Instant,
  setting: RunUpSetting,
  supply: Thevenin,
  state: State,
  slip: number,
  time: number,
  speed: number,
  changedAt: number | undefined,
): void {
  const { feed } = setting;
  if (feed.kind === 'star-delta') {
    // In star every phase of the delta winding stands for three of its star equivalent.
    return changedAt === undefined
      ? void through(into, setting, supply, state, slip, speed, 3, 1)
      : void through(into, setting, supply, state, slip, speed, 1, 1);
  }
  if (feed.kind === 'autotransformer' && changedAt === undefined)
    return void through(into, setting, supply, state, slip, speed, 1 / feed.tap ** 2, 1 / feed.tap);
  if (feed.kind === 'soft starter') return void softly(into, setting, supply, state, slip, speed, time, feed);
  return void through(into, setting, supply, state, slip, speed, 1, 1);
}

type State = ReturnType<typeof circuitState>;

/** As magnitude, of two numbers. */
const size = (re: number, im: number): number => Math.sqrt(re * re + im * im);

/** Behind source and feeder, with the motor’s impedance multiplied by `scale` and its current by `gain` of the line’s. */
function through(
  into: Instant,
  setting: RunUpSetting,
  { phase, bus, total }: Thevenin,
  { re, im, airGap, core }: State,
  slip: number,
  speed: number,
  scale: number,
  gain: number,
): void {
  const seenRe = re * scale;
  const seenIm = im * scale;
  const line = phase / size(seenRe + total.re, seenIm + total.im);
  const current = line * gain;
  // In star the winding’s star equivalent is three times as large: 3·I²·R of what it is in delta.
  const square = scale === 3 ? 3 * line * line : current * current;
  const voltage = (Math.sqrt(3) * line * size(seenRe, seenIm)) / gain;
  const busVoltage = Math.sqrt(3) * busOf(phase, bus, line, seenRe + total.re, seenIm + total.im);
  instantOf(into, setting, square, airGap, core, slip, speed, line, current, voltage, busVoltage);
}

/** Voltage of the bus with a line current whose branch has the impedance re + j im. */
function busOf(phase: number, bus: Complex, line: number, re: number, im: number): number {
  if (bus.re === 0 && bus.im === 0) return phase;
  // V_bus = I·(Z − Z_bus)
  return line * size(re - bus.re, im - bus.im);
}

function instantOf(
  into: Instant,
  { circuit }: RunUpSetting,
  square: number,
  airGap: number,
  core: number,
  slip: number,
  speed: number,
  lineCurrent: number,
  motorCurrent: number,
  voltage: number,
  busVoltage: number,
): void {
  const gap = square * airGap;
  const synchronous = synchronousSpeed(circuit.hz, circuit.poles);
  const shaftLoss = speed > 0 ? windageAt(circuit, speed) / speed : 0;
  const rotational = speed > 0 && circuit.rotationalLoss > 0 ? circuit.rotationalLoss / synchronous : 0;
  const statorLoss = 3 * square * (circuit.r1 + (circuit.rs ?? 0)) + square * core;
  into[of.torque] = gap / synchronous - shaftLoss - rotational;
  into[of.available] = into[of.torque] ?? 0;
  into[of.lineCurrent] = lineCurrent;
  into[of.motorCurrent] = motorCurrent;
  into[of.voltage] = voltage;
  into[of.busVoltage] = busVoltage;
  into[of.rotorLoss] = slip * gap;
  into[of.statorLoss] = statorLoss;
  into[of.input] = gap + statorLoss;
}

type SoftFeed = Extract<Feed, { kind: 'soft starter' }>;

/**
 * Behind thyristors: the fundamental of the voltage is a share u of the bus, the line current is the motor’s. With the
 * current held at a limit, u follows from |z + u Z_t|·I = u V.
 */
function softly(
  into: Instant,
  setting: RunUpSetting,
  { phase, bus, total }: Thevenin,
  state: State,
  slip: number,
  speed: number,
  time: number,
  feed: SoftFeed,
): void {
  const { re, im, airGap, core } = state;
  const square = re * re + im * im;
  const full = phase / size(re + total.re, im + total.im);
  let share = rampShare(feed, time);
  if (feed.mode === 'torque ramp') {
    // Torque, not voltage, rises evenly: u² T(ω) = T wanted.
    const available = (full * full * airGap) / synchronousSpeed(setting.circuit.hz, setting.circuit.poles);
    share = Math.min(1, Math.sqrt((share * setting.ratedTorque * TORQUE_RAMP_TOP) / Math.max(1e-9, available)));
  }
  if (time < feed.kickTime) share = feed.kickVoltage;
  const limit = feed.currentLimit * setting.ratedCurrent;
  const currentAt = (u: number): number => (u * phase) / size(re + u * total.re, im + u * total.im);
  if (time >= feed.kickTime && currentAt(share) > limit) share = shareAtCurrent(limit, phase, re, im, square, total);
  const line = currentAt(share);
  const voltage = Math.sqrt(3) * line * Math.sqrt(square);
  // The branch seen by the bus is the motor’s impedance over u; the feeder lies before the starter.
  const busVoltage = Math.sqrt(3) * busOf(phase, bus, line, re / share + total.re, im / share + total.im);
  instantOf(into, setting, line * line, airGap, core, slip, speed, line, line, voltage, busVoltage);
}

/** Torque a torque ramp ends at, of rated. Common practice, no published source. */
const TORQUE_RAMP_TOP = 2.5;

function rampShare(feed: SoftFeed, time: number): number {
  const since = Math.max(0, time - feed.kickTime);
  if (feed.mode === 'current limit') return 1;
  const part = feed.ramp <= 0 ? 1 : Math.min(1, since / feed.ramp);
  if (feed.mode === 'torque ramp') return Math.max(feed.startVoltage ** 2 / TORQUE_RAMP_TOP, part);
  return feed.startVoltage + (1 - feed.startVoltage) * part;
}

function shareAtCurrent(limit: number, phase: number, re: number, im: number, square: number, total: Complex): number {
  // (V²/I² − |Z|²) u² − 2 Re(z Z*) u − |z|² = 0
  const a = (phase / limit) ** 2 - (total.re ** 2 + total.im ** 2);
  const b = -2 * (re * total.re + im * total.im);
  const root = Math.sqrt(Math.max(0, b * b + 4 * a * square));
  return a > 0 ? Math.min(1, (-b + root) / (2 * a)) : 1;
}

type DriveFeed = Extract<Feed, { kind: 'drive' }>;

/** Displacement power factor of a drive’s input with a choke, and what it keeps of the power. Common practice. */
const DRIVE_INPUT = { powerFactor: 0.95, sine: Math.sqrt(1 - 0.95 ** 2), efficiency: 0.97 } as const;

/**
 * On a drive the flux is held and torque follows the active current: I² = I_m² + (I_a T/T_n)². The ramp sets the
 * acceleration and the current limit caps it; boost sets what is there at standstill.
 */
function onDrive(
  into: Instant,
  setting: RunUpSetting,
  { phase, bus }: Thevenin,
  synchronous: number,
  time: number,
  speed: number,
  feed: DriveFeed,
): void {
  const { circuit, turning, ratedCurrent, ratedTorque } = setting;
  const magnetising = circuit.volts / Math.sqrt(3) / (circuit.x1 + circuit.xm);
  const active = Math.sqrt(Math.max(1e-9, ratedCurrent ** 2 - magnetising ** 2));
  const most =
    (ratedTorque * Math.sqrt(Math.max(0, (feed.currentLimit * ratedCurrent) ** 2 - magnetising ** 2))) / active;
  const resisting = interpolate(turning.speeds, turning.torques, speed);
  const allowed = speed < 0.05 * synchronous ? Math.min(most, feed.boost * ratedTorque) : most;
  const wanted = resisting + (turning.inertia * synchronous) / Math.max(0.01, feed.ramp);
  const ramped = time <= feed.ramp + 1e-9 || speed < 0.99 * synchronous;
  const torque = Math.min(allowed, ramped ? wanted : resisting);
  const current = size(magnetising, (active * torque) / ratedTorque);
  const slipLoss = torque * synchronous * slipPart(setting, torque);
  const statorLoss = 3 * current ** 2 * (circuit.r1 + (circuit.rs ?? 0));
  const input = torque * speed + windageAt(circuit, speed) + slipLoss + statorLoss;
  const line = input / (Math.sqrt(3) * phase * Math.sqrt(3) * DRIVE_INPUT.powerFactor * DRIVE_INPUT.efficiency);
  into[of.torque] = torque;
  into[of.available] = allowed;
  into[of.lineCurrent] = line;
  into[of.motorCurrent] = current;
  into[of.voltage] = circuit.volts * Math.max(0.04, speed / synchronous);
  into[of.busVoltage] = Math.sqrt(3) * (phase - line * (bus.re * DRIVE_INPUT.powerFactor + bus.im * DRIVE_INPUT.sine));
  into[of.rotorLoss] = slipLoss;
  into[of.statorLoss] = statorLoss;
  into[of.input] = input;
}

/** Slip at a torque with rated flux, small and in proportion. */
function slipPart({ circuit, ratedTorque }: RunUpSetting, torque: number): number {
  const parallel = circuit.r3 === undefined ? circuit.r2 : 1 / (1 / circuit.r2 + 1 / circuit.r3);
  const synchronous = synchronousSpeed(circuit.hz, circuit.poles);
  const rated = (ratedTorque * synchronous * parallel) / circuit.volts ** 2;
  return (rated * torque) / ratedTorque;
}

/** Where torque and load meet at full voltage, rad/s; undefined where the motor cannot hold the load at all. */
function finalSpeed(
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
  if (setting.feed.kind === 'drive') return synchronous * 0.985;
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
    least(ratedTorque: number): { margin: number; speed: number } {
      let margin = Number.POSITIVE_INFINITY;
      let speed = 0;
      // The last point is where motor and load meet; there is no margin to speak of there.
      for (let at = 0; at < rows.time.length - 1; at++) {
        const over = ((available[at] ?? 0) - (rows.loadTorque[at] ?? 0)) / ratedTorque;
        if (over < margin && (rows.speed[at] ?? 0) < 0.9 * (rows.speed.at(-1) ?? 1) + 1e-9) {
          margin = over;
          speed = rows.speed[at] ?? 0;
        }
      }
      return { margin, speed };
    },
  };
}
