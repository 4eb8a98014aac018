import { add, complex } from '../../kernel/complex.ts';
import type { Circuit } from '../../motor/circuit.ts';
import type { Method } from './starting-mode.ts';
import type { StartSetting } from './run-start.ts';
import { interpolate } from '../../kernel/numeric.ts';
import { synchronousSpeed } from '../../motor/synchronous.ts';

/** How the motor is switched in a transient run; times in s. */
export type Switching =
  | { readonly kind: 'direct' }
  | {
      readonly kind: 'star-delta';
      /** Share of synchronous speed, or the time, whichever comes first. */ readonly changeSpeed: number;
      readonly changeTime: number;
      readonly gap: number;
    };

export interface TransientSetting {
  readonly circuit: Circuit;
  /** Load torque against speed at the motor shaft, and everything that turns; SI. */
  readonly speeds: readonly number[];
  readonly torques: readonly number[];
  readonly inertia: number;
  /** Line-to-line behind the source impedance, V. */
  readonly voltage: number;
  /** Source and feeder, Ω per phase at rated frequency. */
  readonly sourceResistance: number;
  readonly sourceReactance: number;
  readonly switching: Switching;
  /** Angle of phase a’s voltage at switching on, rad; 0 is its peak, the worst for torque. */
  readonly angle: number;
  /** s */
  readonly duration: number;
  /** s; 0.1 ms resolves 60 Hz to better than a millionth. */
  readonly step: number;
}

/** Two runs may not take longer than this, s of the machine’s time. */
const LONGEST = 40;

/**
 * The transient run of a start in a job; undefined where electronics or a transformer feed the motor, which the
 * equations leave out.
 */
export function transientOf(start: StartSetting, method: Method, duration: number): TransientSetting | undefined {
  const feed = start.feeds[method];
  if (feed.kind !== 'direct' && feed.kind !== 'star-delta') return undefined;
  const { circuit, turning, source } = start;
  const total = source ? add(source.firstInternal ?? source.internal, source.feeder) : complex(0);
  return {
    circuit,
    speeds: turning.speeds,
    torques: turning.torques,
    inertia: turning.inertia,
    voltage: source?.voltage ?? circuit.volts,
    sourceResistance: total.re,
    sourceReactance: total.im,
    switching:
      feed.kind === 'direct'
        ? feed
        : { kind: 'star-delta', changeSpeed: feed.changeSpeed, changeTime: feed.changeTime, gap: feed.gap },
    angle: 0,
    duration: Math.min(LONGEST, Math.max(0.3, 1.15 * duration)),
    step: 1e-4,
  };
}

/** The first 0.3 s and, where there is one, 0.3 s from the change-over. */
export interface TransientTrace {
  readonly time: readonly number[];
  /** rad/s */
  readonly speed: readonly number[];
  /** N·m */
  readonly torque: readonly number[];
  /** Instantaneous line current of phase a, A. */
  readonly current: readonly number[];
}

export interface TransientRun {
  readonly trace: TransientTrace;
  /** Greatest instantaneous current of phase a and of any phase, A. */
  readonly peakPhaseACurrent: number;
  readonly peakCurrent: number;
  /** Electromagnetic, N·m. */
  readonly peakTorque: number;
  readonly lowestTorque: number;
  /** Time to 95 % of synchronous speed, s; undefined where it was not reached. */
  readonly timeTo95: number | undefined;
  readonly finalSpeed: number;
  /** Peaks after the change-over from star to delta. */
  readonly changeover: Changeover | undefined;
}

interface Changeover {
  readonly time: number;
  readonly speed: number;
  readonly peakCurrent: number;
  readonly peakTorque: number;
  readonly lowestTorque: number;
}

/** Length of the windows kept at full detail: from switching on, and from the change-over, s. */
const WINDOW = 0.3;

const NINETY_FIVE = 0.95;
/** A leakage of nothing would make the equations stiff without end. */
const LEAST_LEAKAGE = 1e-4;

/** What does not change while the motor runs. */
interface Machine {
  readonly setting: TransientSetting;
  /** Of the supply, rad/s. */
  readonly base: number;
  readonly pairs: number;
  readonly synchronous: number;
  /** Of the phase voltage in delta, V. */
  readonly amplitude: number;
  readonly rS: number;
  readonly r1: number;
  readonly r2: number;
  readonly inverseS: number;
  readonly inverse1: number;
  /** 0 without a second cage: an infinite leakage leaves its branch out. */
  readonly inverse2: number;
  /** Inductances of the air gap with the stator closed and open. */
  readonly closed: number;
  readonly open: number;
  readonly idle: boolean;
}

function machineOf(setting: TransientSetting): Machine {
  const { circuit } = setting;
  const base = 2 * Math.PI * circuit.hz;
  const least = LEAST_LEAKAGE * circuit.xm;
  const leak2 = Math.max(least, circuit.x3 ?? least) / base;
  const inverseS = base / (circuit.x1 + setting.sourceReactance);
  const inverse1 = base / Math.max(least, circuit.x2);
  const inverse2 = circuit.r3 === undefined ? 0 : 1 / leak2;
  const inverseMain = base / circuit.xm;
  return {
    setting,
    base,
    pairs: circuit.poles / 2,
    synchronous: synchronousSpeed(circuit.hz, circuit.poles),
    amplitude: (Math.SQRT2 * setting.voltage) / Math.sqrt(3),
    rS: circuit.r1 + (circuit.rs ?? 0) + setting.sourceResistance,
    r1: circuit.r2,
    r2: circuit.r3 ?? 0,
    inverseS,
    inverse1,
    inverse2,
    closed: 1 / (inverseMain + inverseS + inverse1 + inverse2),
    open: 1 / (inverseMain + inverse1 + inverse2),
    idle: setting.torques.every((each) => each === 0),
  };
}

/** Flux linkages of stator and both cages, each as real and imaginary part, and speed. */
const SIZE = 7;
const SPEED = 6;

/** The motor on its way; written over at every step. */
interface Way {
  phase: 'star' | 'open' | 'run';
  voltageRe: number;
  voltageIm: number;
  /** Stator current and torque at the newest evaluation. */
  currentRe: number;
  currentIm: number;
  torque: number;
  opened: number | undefined;
  readonly state: Float64Array;
  readonly slope: Float64Array;
  readonly sum: Float64Array;
  readonly trial: Float64Array;
}

const STAR = Math.sqrt(3);

function standing({ setting, amplitude }: Machine): Way {
  const buffer = (): Float64Array => new Float64Array(SIZE);
  const way: Way = {
    phase: setting.switching.kind === 'star-delta' ? 'star' : 'run',
    voltageRe: 0,
    voltageIm: 0,
    currentRe: 0,
    currentIm: 0,
    torque: 0,
    opened: undefined,
    state: buffer(),
    slope: buffer(),
    sum: buffer(),
    trial: buffer(),
  };
  feed(way, way.phase === 'star' ? amplitude / STAR : amplitude, setting.angle);
  return way;
}

function feed(way: Way, amplitude: number, lead: number): void {
  way.voltageRe = amplitude * Math.cos(lead);
  way.voltageIm = amplitude * Math.sin(lead);
}

/** Rates of all flux linkages and of the speed. */
function evaluate(machine: Machine, way: Way, x: Float64Array): void {
  const { base, pairs, rS, r1, r2, inverseS, inverse1, inverse2, setting } = machine;
  const { slope, voltageRe, voltageIm } = way;
  const psiRe = x[0] ?? 0;
  const psiIm = x[1] ?? 0;
  const oneRe = x[2] ?? 0;
  const oneIm = x[3] ?? 0;
  const twoRe = x[4] ?? 0;
  const twoIm = x[5] ?? 0;
  const speed = x[SPEED] ?? 0;
  const isOpen = way.phase === 'open';
  const mutual = isOpen ? machine.open : machine.closed;
  const gapRe = mutual * ((isOpen ? 0 : psiRe * inverseS) + oneRe * inverse1 + twoRe * inverse2);
  const gapIm = mutual * ((isOpen ? 0 : psiIm * inverseS) + oneIm * inverse1 + twoIm * inverse2);
  const currentRe = isOpen ? 0 : (psiRe - gapRe) * inverseS;
  const currentIm = isOpen ? 0 : (psiIm - gapIm) * inverseS;
  const lag = base - pairs * speed;
  slope[0] = isOpen ? 0 : voltageRe - rS * currentRe + base * psiIm;
  slope[1] = isOpen ? 0 : voltageIm - rS * currentIm - base * psiRe;
  slope[2] = -r1 * (oneRe - gapRe) * inverse1 + lag * oneIm;
  slope[3] = -r1 * (oneIm - gapIm) * inverse1 - lag * oneRe;
  slope[4] = -r2 * (twoRe - gapRe) * inverse2 + lag * twoIm;
  slope[5] = -r2 * (twoIm - gapIm) * inverse2 - lag * twoRe;
  const torque = 1.5 * pairs * (gapRe * currentIm - gapIm * currentRe);
  const resisting = machine.idle ? 0 : interpolate(setting.speeds, setting.torques, speed);
  const rate = (torque - resisting) / setting.inertia;
  slope[SPEED] = speed <= 0 && rate < 0 ? 0 : rate;
  way.currentRe = currentRe;
  way.currentIm = currentIm;
  way.torque = torque;
}

/** One step of Runge and Kutta’s classical method; the rates at its start are known. */
function advance(machine: Machine, way: Way, step: number): void {
  const { state, slope, sum, trial } = way;
  sum.set(slope);
  for (let i = 0; i < SIZE; i++) trial[i] = (state[i] ?? 0) + (step / 2) * (slope[i] ?? 0);
  evaluate(machine, way, trial);
  for (let i = 0; i < SIZE; i++) {
    sum[i] = (sum[i] ?? 0) + 2 * (slope[i] ?? 0);
    trial[i] = (state[i] ?? 0) + (step / 2) * (slope[i] ?? 0);
  }
  evaluate(machine, way, trial);
  for (let i = 0; i < SIZE; i++) {
    sum[i] = (sum[i] ?? 0) + 2 * (slope[i] ?? 0);
    trial[i] = (state[i] ?? 0) + step * (slope[i] ?? 0);
  }
  evaluate(machine, way, trial);
  for (let i = 0; i < SIZE; i++) state[i] = (state[i] ?? 0) + (step / 6) * ((sum[i] ?? 0) + (slope[i] ?? 0));
  if ((state[SPEED] ?? 0) < 0) state[SPEED] = 0;
}

/** From star over the gap to delta; true at the instant delta is connected. */
function changesOver(machine: Machine, way: Way, time: number): boolean {
  const { setting, synchronous, amplitude, inverse1, inverse2, open } = machine;
  const { switching } = setting;
  const { state } = way;
  if (switching.kind !== 'star-delta' || way.phase === 'run') return false;
  if (way.phase === 'star') {
    const due = (state[SPEED] ?? 0) >= switching.changeSpeed * synchronous || time >= switching.changeTime;
    if (!due) return false;
    way.opened = time;
    if (switching.gap > 0) {
      way.phase = 'open';
      feed(way, 0, 0);
      evaluate(machine, way, state);
      return false;
    }
  } else {
    if (time - (way.opened ?? 0) < switching.gap) return false;
    // The stator links only the air-gap flux that the rotor kept.
    state[0] = open * ((state[2] ?? 0) * inverse1 + (state[4] ?? 0) * inverse2);
    state[1] = open * ((state[3] ?? 0) * inverse1 + (state[5] ?? 0) * inverse2);
  }
  way.phase = 'run';
  // A delta winding sees the line voltage, π/6 ahead of the phase voltage it saw in star.
  feed(way, amplitude, setting.angle + Math.PI / 6);
  evaluate(machine, way, state);
  return true;
}

/** Instantaneous currents of the line: of phase a, and the greatest of all three. */
function lineCurrents({ base }: Machine, way: Way, time: number): { readonly a: number; readonly most: number } {
  // In star the line carries the winding’s current, 1/√3 of what the star equivalent of the delta shows.
  const scale = way.phase === 'star' ? 1 / STAR : 1;
  const cosine = Math.cos(base * time) * scale;
  const sine = Math.sin(base * time) * scale;
  const a = way.currentRe * cosine - way.currentIm * sine;
  const quadrature = way.currentRe * sine + way.currentIm * cosine;
  const b = -a / 2 + (STAR / 2) * quadrature;
  const c = -a / 2 - (STAR / 2) * quadrature;
  return { a, most: Math.max(Math.abs(a), Math.abs(b), Math.abs(c)) };
}

/** Detail of a trace, s. */
const DETAIL = 2e-4;

/** Keeps peaks, and a trace of what matters. */
function observer({ setting, synchronous }: Machine) {
  const { step } = setting;
  const every = Math.max(1, Math.round(DETAIL / step));
  const trace = { time: [] as number[], speed: [] as number[], torque: [] as number[], current: [] as number[] };
  const peaks = { a: 0, most: 0, torque: Number.NEGATIVE_INFINITY, lowest: Number.POSITIVE_INFINITY };
  let changeover: { -readonly [Name in keyof Changeover]: Changeover[Name] } | undefined;
  let timeTo95: number | undefined;
  let before = 0;
  return {
    see(at: number, way: Way, { a, most }: ReturnType<typeof lineCurrents>): void {
      const time = at * step;
      const speed = way.state[SPEED] ?? 0;
      const { torque } = way;
      peaks.a = Math.max(peaks.a, Math.abs(a));
      peaks.most = Math.max(peaks.most, most);
      peaks.torque = Math.max(peaks.torque, torque);
      peaks.lowest = Math.min(peaks.lowest, torque);
      if (changeover) {
        changeover.peakCurrent = Math.max(changeover.peakCurrent, most);
        changeover.peakTorque = Math.max(changeover.peakTorque, torque);
        changeover.lowestTorque = Math.min(changeover.lowestTorque, torque);
      }
      if (timeTo95 === undefined && speed >= NINETY_FIVE * synchronous)
        timeTo95 = time - step * ((speed - NINETY_FIVE * synchronous) / Math.max(1e-12, speed - before));
      before = speed;
      if (at % every !== 0 || time - (changeover?.time ?? way.opened ?? 0) > WINDOW) return;
      trace.time.push(time);
      trace.speed.push(speed);
      trace.torque.push(torque);
      trace.current.push(a);
    },
    changed(time: number, speed: number): void {
      const none = { peakCurrent: 0, peakTorque: Number.NEGATIVE_INFINITY, lowestTorque: Number.POSITIVE_INFINITY };
      changeover = { time, speed, ...none };
    },
    result: (finalSpeed: number): TransientRun => ({
      trace,
      peakPhaseACurrent: peaks.a,
      peakCurrent: peaks.most,
      peakTorque: peaks.torque,
      lowestTorque: peaks.lowest,
      timeTo95,
      finalSpeed,
      changeover,
    }),
  };
}

/**
 * Electrical and mechanical transient of a start: flux linkages of stator and both cages as space vectors in the
 * synchronous frame, where the voltage stands still (Krause, Wasynczuk, Sudhoff), with the mechanical equation, by
 * classical Runge–Kutta of order four at a fixed step. Core loss and saturation are left out. Throws a RangeError for a step or duration that is not positive.
 */
export function transientRun(setting: TransientSetting): TransientRun {
  const { step, duration } = setting;
  if (!(step > 0) || !(duration > 0)) throw new RangeError('step and duration must be positive');
  const machine = machineOf(setting);
  const way = standing(machine);
  const seen = observer(machine);
  const count = Math.ceil(duration / step);
  for (let at = 0; at < count; at++) {
    const time = at * step;
    evaluate(machine, way, way.state);
    seen.see(at, way, lineCurrents(machine, way, time));
    if (changesOver(machine, way, time)) seen.changed(time, way.state[SPEED] ?? 0);
    advance(machine, way, step);
  }
  evaluate(machine, way, way.state);
  seen.see(count, way, lineCurrents(machine, way, count * step));
  return seen.result(way.state[SPEED] ?? 0);
}
