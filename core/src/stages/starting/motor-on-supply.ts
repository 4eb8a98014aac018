import { add, complex, divide, inverse, magnitude, multiply, type Complex } from '../../kernel/complex.ts';
import { interpolate } from '../../kernel/numeric.ts';
import {
  leakageAt,
  settleLeakage,
  stateInto,
  windageAt,
  type Circuit,
  type WrittenState,
} from '../../motor/circuit.ts';
import { synchronousSpeed } from '../../motor/synchronous.ts';
import type { Impedances } from '../supply/source.ts';
import { DRIVE_INPUT } from '../../motor/drive-input.ts';
import type { StartingMode } from './starting-mode.ts';
import type { TorqueCeiling } from './minimum-torque.ts';

/** The load on the motor shaft and everything that turns, rotor included; SI. */
export interface Turning {
  readonly speeds: readonly number[];
  readonly torques: readonly number[];
  /** kg·m² */
  readonly inertia: number;
}

/** A motor on its load, fed in one way from one source; SI. */
export interface MotorOnSupply {
  readonly circuit: Circuit;
  readonly turning: Turning;
  readonly source: Impedances | undefined;
  readonly feed: StartingMode;
  readonly ratedTorque: number;
  readonly ratedCurrent: number;
  /** The most torque that may be counted on at rated voltage; the circuit’s own where left out. */
  readonly ceiling?: TorqueCeiling | undefined;
}

/**
 * What holds at one instant, by place in a buffer that is written over: an object for each of thousands of instants would
 * keep the collector busy. `available` is what the motor could give; more than its torque only on a drive.
 */
export const of = {
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
export type Instant = Float64Array;

/** The supply seen from the motor’s feeder: open voltage of the bus with its other load, and impedances. */
export interface Thevenin {
  readonly phase: number;
  readonly bus: Complex;
  readonly total: Complex;
}

export function thevenin(circuit: Circuit, source: Impedances | undefined): Thevenin {
  if (!source) return { phase: circuit.volts / Math.sqrt(3), bus: complex(0), total: complex(0) };
  const open = complex(source.voltage / Math.sqrt(3));
  if (!source.other) return { phase: open.re, bus: source.internal, total: add(source.internal, source.feeder) };
  const bus = inverse(add(inverse(source.internal), inverse(source.other)));
  const phase = magnitude(multiply(open, divide(source.other, add(source.internal, source.other))));
  return { phase, bus, total: add(bus, source.feeder) };
}

/** Slip that stands in for exact synchronism, where the circuit has no current in the rotor. */
export const TINY = 1e-6;

/** A fed motor with what does not change while it runs. Its scratch is written over at every instant. */
export interface Running {
  readonly setting: MotorOnSupply;
  readonly supply: Thevenin;
  /** rad/s */
  readonly synchronous: number;
  readonly branch: Branch;
  readonly state: WrittenState;
  /** Share of the leakage that was left an instant before. */
  leakage: number;
}

/** When and how fast; written over. */
export interface Moment {
  time: number;
  speed: number;
  /** When star or tap was left; undefined while it is connected. */
  changedAt: number | undefined;
}

/** What flows and stands where the motor is connected. `square` is that of its current as if in delta. */
interface Branch {
  square: number;
  line: number;
  current: number;
  voltage: number;
  busVoltage: number;
}

export function running(setting: MotorOnSupply): Running {
  const { circuit } = setting;
  return {
    setting,
    supply: thevenin(circuit, setting.source),
    synchronous: synchronousSpeed(circuit.hz, circuit.poles),
    branch: { square: 0, line: 0, current: 0, voltage: 0, busVoltage: 0 },
    state: { re: 0, im: 0, airGap: 0, core: 0 },
    leakage: 1,
  };
}

/** Motor current, torque and losses at one instant. */
export function instant(into: Instant, run: Running, at: Moment): void {
  const { feed, circuit } = run.setting;
  if (feed.kind === 'drive') return void onDrive(into, run, at, feed);
  const slip = slipAt(run, at);
  const { hz } = circuit;
  if (!circuit.saturation) return void connected(into, run, stateInto(run.state, circuit, slip, hz), at);
  // In star a winding carries √3 of what the line current stands for in delta.
  const winding = feed.kind === 'star-delta' && at.changedAt === undefined ? Math.sqrt(3) : 1;
  const shareAt = (leakage: number): number => {
    connected(into, run, stateInto(run.state, circuit, slip, hz, leakage), at);
    return leakageAt(circuit, winding * (into[of.motorCurrent] ?? 0));
  };
  run.leakage = settleLeakage(shareAt, run.leakage, NEAR);
}

/** How near the share of the leakage is settled in a run; finer tells no torque apart. */
const NEAR = 1e-7;

const slipAt = ({ synchronous }: Running, { speed }: Moment): number => Math.max(TINY, 1 - speed / synchronous);

/** How the motor’s impedance and current look from the line. */
interface Turns {
  readonly scale: number;
  readonly gain: number;
}
export const STRAIGHT: Turns = { scale: 1, gain: 1 };
/** In star every phase of the delta winding stands for three of its star equivalent. */
const STAR: Turns = { scale: 3, gain: 1 };

/** The motor in a state of its circuit, as the feed connects it. */
function connected(into: Instant, run: Running, state: State, at: Moment): void {
  const { feed } = run.setting;
  if (feed.kind === 'soft starter') return void softly(into, run, state, at, feed);
  const before = at.changedAt === undefined;
  if (feed.kind === 'star-delta' && before) return void through(into, run, state, at, STAR);
  if (feed.kind === 'autotransformer' && before)
    return void through(into, run, state, at, { scale: 1 / feed.tap ** 2, gain: 1 / feed.tap });
  through(into, run, state, at, STRAIGHT);
}

type State = Readonly<WrittenState>;

/** As magnitude, of two numbers. */
const size = (re: number, im: number): number => Math.sqrt(re * re + im * im);

/** Behind source and feeder, with the motor’s impedance multiplied by `scale` and its current by `gain` of the line’s. */
export function through(into: Instant, run: Running, state: State, at: Moment, { scale, gain }: Turns): void {
  const { phase, total } = run.supply;
  const { branch } = run;
  const seenRe = state.re * scale;
  const seenIm = state.im * scale;
  const line = phase / size(seenRe + total.re, seenIm + total.im);
  const current = line * gain;
  branch.line = line;
  branch.current = current;
  // In star the winding’s star equivalent is three times as large: 3·I²·R of what it is in delta.
  branch.square = scale === 3 ? 3 * line * line : current * current;
  branch.voltage = (Math.sqrt(3) * line * size(seenRe, seenIm)) / gain;
  branch.busVoltage = Math.sqrt(3) * busOf(run.supply, line, seenRe + total.re, seenIm + total.im);
  instantOf(into, run, state, at);
}

/** Voltage of the bus with a line current whose branch has the impedance re + j im. */
function busOf({ phase, bus }: Thevenin, line: number, re: number, im: number): number {
  if (bus.re === 0 && bus.im === 0) return phase;
  // V_bus = I·(Z − Z_bus)
  return line * size(re - bus.re, im - bus.im);
}

/** What follows from what flows in the branch: air-gap power, torque and losses. */
function instantOf(into: Instant, run: Running, { re, im, airGap, core }: State, at: Moment): void {
  const { circuit, ceiling } = run.setting;
  const { synchronous, branch } = run;
  const { square } = branch;
  const { speed } = at;
  let gap = square * airGap;
  if (ceiling) {
    // Torque goes with the square of the voltage at the winding, 3 I² |Z|² of rated.
    const share = (3 * square * (re * re + im * im)) / circuit.volts ** 2;
    const most = interpolate(ceiling.speeds, ceiling.torques, speed) * share;
    gap = Math.min(gap, Math.max(0, most) * synchronous);
  }
  const shaftLoss = speed > 0 ? windageAt(circuit, speed) / speed : 0;
  const rotational = speed > 0 && circuit.rotationalLoss > 0 ? circuit.rotationalLoss / synchronous : 0;
  const statorLoss = 3 * square * (circuit.r1 + (circuit.rs ?? 0)) + square * core;
  into[of.torque] = gap / synchronous - shaftLoss - rotational;
  into[of.available] = into[of.torque] ?? 0;
  into[of.lineCurrent] = branch.line;
  into[of.motorCurrent] = branch.current;
  into[of.voltage] = branch.voltage;
  into[of.busVoltage] = branch.busVoltage;
  into[of.rotorLoss] = slipAt(run, at) * gap;
  into[of.statorLoss] = statorLoss;
  into[of.input] = gap + statorLoss;
}

type SoftFeed = Extract<StartingMode, { kind: 'soft starter' }>;

/**
 * Behind thyristors: the fundamental of the voltage is a share u of the bus, the line current is the motor’s. With the
 * current held at a limit, u follows from |z + u Z_t|·I = u V.
 */
function softly(into: Instant, run: Running, state: State, at: Moment, feed: SoftFeed): void {
  const { setting, supply, branch, synchronous } = run;
  const { phase, total } = supply;
  const { re, im, airGap } = state;
  const { time } = at;
  const full = phase / size(re + total.re, im + total.im);
  let share = rampShare(feed, time);
  if (feed.mode === 'torque ramp') {
    // Torque, not voltage, rises evenly: u² T(ω) = T wanted.
    const available = (full * full * airGap) / synchronous;
    share = Math.min(1, Math.sqrt((share * setting.ratedTorque * TORQUE_RAMP_TOP) / Math.max(1e-9, available)));
  }
  if (time < feed.kickTime) share = feed.kickVoltage;
  const limit = feed.currentLimit * setting.ratedCurrent;
  const currentAt = (u: number): number => (u * phase) / size(re + u * total.re, im + u * total.im);
  if (time >= feed.kickTime && currentAt(share) > limit) share = shareAtCurrent(limit, phase, state, total);
  const line = currentAt(share);
  branch.square = line * line;
  branch.line = line;
  branch.current = line;
  branch.voltage = Math.sqrt(3) * line * size(re, im);
  // The branch seen by the bus is the motor’s impedance over u; the feeder lies before the starter.
  branch.busVoltage = Math.sqrt(3) * busOf(supply, line, re / share + total.re, im / share + total.im);
  instantOf(into, run, state, at);
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

function shareAtCurrent(limit: number, phase: number, { re, im }: State, total: Complex): number {
  // (V²/I² − |Z|²) u² − 2 Re(z Z*) u − |z|² = 0
  const a = (phase / limit) ** 2 - (total.re ** 2 + total.im ** 2);
  const b = -2 * (re * total.re + im * total.im);
  const root = Math.sqrt(Math.max(0, b * b + 4 * a * (re * re + im * im)));
  return a > 0 ? Math.min(1, (-b + root) / (2 * a)) : 1;
}

type DriveFeed = Extract<StartingMode, { kind: 'drive' }>;

const DRIVE_SINE = Math.sqrt(1 - DRIVE_INPUT.powerFactor ** 2);

/**
 * On a drive the flux is held and torque follows the active current: I² = I_m² + (I_a T/T_n)². The ramp sets the
 * acceleration and the current limit caps it; boost sets what is there at standstill.
 */
function onDrive(into: Instant, run: Running, { time, speed }: Moment, feed: DriveFeed): void {
  const { setting, supply, synchronous } = run;
  const { phase, bus } = supply;
  const { circuit, turning, ratedCurrent, ratedTorque } = setting;
  const magnetising = circuit.volts / Math.sqrt(3) / (circuit.x1 + circuit.xm);
  const active = Math.sqrt(Math.max(1e-9, ratedCurrent ** 2 - magnetising ** 2));
  const perAmpere = ratedTorque / active;
  const most = perAmpere * activeOf(feed.currentLimit * ratedCurrent, magnetising);
  // The first seconds may have more than the minute that follows.
  const breakaway =
    feed.peakLimit === undefined
      ? most
      : Math.max(most, perAmpere * activeOf(feed.peakLimit * ratedCurrent, magnetising));
  const resisting = interpolate(turning.speeds, turning.torques, speed);
  const bearable = Math.min(most, setting.ceiling?.torques.at(-1) ?? most);
  const allowed = speed < 0.05 * synchronous ? Math.min(breakaway, feed.boost * ratedTorque) : bearable;
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
  into[of.busVoltage] = Math.sqrt(3) * (phase - line * (bus.re * DRIVE_INPUT.powerFactor + bus.im * DRIVE_SINE));
  into[of.rotorLoss] = slipLoss;
  into[of.statorLoss] = statorLoss;
  into[of.input] = input;
}

/** What of a current is left for torque, A. */
const activeOf = (current: number, magnetising: number): number =>
  Math.sqrt(Math.max(0, current * current - magnetising * magnetising));

/** Slip at a torque with rated flux, small and in proportion. */
function slipPart({ circuit, ratedTorque }: MotorOnSupply, torque: number): number {
  const parallel = circuit.r3 === undefined ? circuit.r2 : 1 / (1 / circuit.r2 + 1 / circuit.r3);
  const synchronous = synchronousSpeed(circuit.hz, circuit.poles);
  const rated = (ratedTorque * synchronous * parallel) / circuit.volts ** 2;
  return (rated * torque) / ratedTorque;
}
