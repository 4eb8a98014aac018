import { add, complex } from '../../ground/complex.ts';
import type { Circuit } from '../../motor/circuit.ts';
import type { Method } from './feeds.ts';
import type { StartSetting } from './run-start.ts';
import { interpolate } from '../load/torque-curve.ts';
import { synchronousSpeed } from '../../motor/typical.ts';

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
  readonly changeover:
    | {
        readonly time: number;
        readonly speed: number;
        readonly peakCurrent: number;
        readonly peakTorque: number;
        readonly lowestTorque: number;
      }
    | undefined;
}

/** Length of the windows kept at full detail: from switching on, and from the change-over, s. */
const WINDOW = 0.3;

const NINETY_FIVE = 0.95;
/** A leakage of nothing would make the equations stiff without end. */
const LEAST_LEAKAGE = 1e-4;

/**
 * Electrical and mechanical transient of a start: flux linkages of stator and both cages as space vectors in the
 * synchronous frame, where the voltage stands still (Krause, Wasynczuk, Sudhoff), with the mechanical equation, by
 * classical Runge–Kutta of order four at a fixed step. Core loss and saturation are left out. Throws a RangeError for a step or duration that is not positive.
 */
export function transientRun(setting: TransientSetting): TransientRun {
  const { circuit, inertia, switching, step, duration } = setting;
  if (!(step > 0) || !(duration > 0)) throw new RangeError('step and duration must be positive');
  const base = 2 * Math.PI * circuit.hz;
  const least = LEAST_LEAKAGE * circuit.xm;
  const leakS = (circuit.x1 + setting.sourceReactance) / base;
  const leak1 = Math.max(least, circuit.x2) / base;
  const leak2 = Math.max(least, circuit.x3 ?? least) / base;
  const main = circuit.xm / base;
  const rS = circuit.r1 + (circuit.rs ?? 0) + setting.sourceResistance;
  const r1 = circuit.r2;
  // Without a second cage its branch is left out by an infinite leakage.
  const second = circuit.r3 !== undefined;
  const r2 = circuit.r3 ?? 0;
  const inverse2 = second ? 1 / leak2 : 0;
  const inverseS = 1 / leakS;
  const inverse1 = 1 / leak1;
  const closed = 1 / (1 / main + 1 / leakS + 1 / leak1 + inverse2);
  const open = 1 / (1 / main + 1 / leak1 + inverse2);
  const pairs = circuit.poles / 2;
  const synchronous = synchronousSpeed(circuit.hz, circuit.poles);
  const amplitude = (Math.SQRT2 * setting.voltage) / Math.sqrt(3);
  const star = Math.sqrt(3);
  const { speeds, torques } = setting;
  const idle = torques.every((each) => each === 0);
  const loadAt = (speed: number): number => (idle ? 0 : interpolate(speeds, torques, speed));

  let phase: 'star' | 'open' | 'run' = switching.kind === 'star-delta' ? 'star' : 'run';
  // A delta winding sees the line voltage, π/6 ahead of the phase voltage it saw in star.
  let lead = setting.angle;
  let scale = phase === 'star' ? 1 / star : 1;

  const state = new Float64Array(7);
  const slope = new Float64Array(7);
  const sum = new Float64Array(7);
  const trial = new Float64Array(7);
  /** Stator current and torque at the newest evaluation. */
  let currentRe = 0;
  let currentIm = 0;
  let torque = 0;

  let voltageRe = 0;
  let voltageIm = 0;
  const feed = (): void => {
    voltageRe = phase === 'open' ? 0 : scale * amplitude * Math.cos(lead);
    voltageIm = phase === 'open' ? 0 : scale * amplitude * Math.sin(lead);
  };
  feed();

  const evaluate = (x: Float64Array): void => {
    const psiRe = x[0] ?? 0;
    const psiIm = x[1] ?? 0;
    const oneRe = x[2] ?? 0;
    const oneIm = x[3] ?? 0;
    const twoRe = x[4] ?? 0;
    const twoIm = x[5] ?? 0;
    const speed = x[6] ?? 0;
    const isOpen = phase === 'open';
    const mutual = isOpen ? open : closed;
    const gapRe = mutual * ((isOpen ? 0 : psiRe * inverseS) + oneRe * inverse1 + twoRe * inverse2);
    const gapIm = mutual * ((isOpen ? 0 : psiIm * inverseS) + oneIm * inverse1 + twoIm * inverse2);
    currentRe = isOpen ? 0 : (psiRe - gapRe) * inverseS;
    currentIm = isOpen ? 0 : (psiIm - gapIm) * inverseS;
    const lag = base - pairs * speed;
    slope[0] = isOpen ? 0 : voltageRe - rS * currentRe + base * psiIm;
    slope[1] = isOpen ? 0 : voltageIm - rS * currentIm - base * psiRe;
    slope[2] = -r1 * (oneRe - gapRe) * inverse1 + lag * oneIm;
    slope[3] = -r1 * (oneIm - gapIm) * inverse1 - lag * oneRe;
    slope[4] = -r2 * (twoRe - gapRe) * inverse2 + lag * twoIm;
    slope[5] = -r2 * (twoIm - gapIm) * inverse2 - lag * twoRe;
    torque = 1.5 * pairs * (gapRe * currentIm - gapIm * currentRe);
    const rate = (torque - loadAt(speed)) / inertia;
    slope[6] = speed <= 0 && rate < 0 ? 0 : rate;
  };

  const count = Math.ceil(duration / step);
  const every = Math.max(1, Math.round(2e-4 / step));
  const trace = { time: [] as number[], speed: [] as number[], torque: [] as number[], current: [] as number[] };
  let peakPhaseACurrent = 0;
  let peakCurrent = 0;
  let peakTorque = Number.NEGATIVE_INFINITY;
  let lowestTorque = Number.POSITIVE_INFINITY;
  let timeTo95: number | undefined;
  let opened: number | undefined;
  let changeover:
    { time: number; speed: number; peakCurrent: number; peakTorque: number; lowestTorque: number } | undefined;
  let before = 0;

  for (let at = 0; at <= count; at++) {
    const time = at * step;
    evaluate(state);
    // In star the line carries the winding’s current, 1/√3 of what the star equivalent of the delta shows.
    const lineScale = phase === 'star' ? 1 / star : 1;
    const cosine = Math.cos(base * time) * lineScale;
    const sine = Math.sin(base * time) * lineScale;
    const a = currentRe * cosine - currentIm * sine;
    const quadrature = currentRe * sine + currentIm * cosine;
    const b = -a / 2 + (star / 2) * quadrature;
    const c = -a / 2 - (star / 2) * quadrature;
    const most = Math.max(Math.abs(a), Math.abs(b), Math.abs(c));
    const speed = state[6] ?? 0;
    peakPhaseACurrent = Math.max(peakPhaseACurrent, Math.abs(a));
    peakCurrent = Math.max(peakCurrent, most);
    peakTorque = Math.max(peakTorque, torque);
    lowestTorque = Math.min(lowestTorque, torque);
    if (changeover && phase === 'run') {
      changeover.peakCurrent = Math.max(changeover.peakCurrent, most);
      changeover.peakTorque = Math.max(changeover.peakTorque, torque);
      changeover.lowestTorque = Math.min(changeover.lowestTorque, torque);
    }
    if (timeTo95 === undefined && speed >= NINETY_FIVE * synchronous)
      timeTo95 = time - step * ((speed - NINETY_FIVE * synchronous) / Math.max(1e-12, speed - before));
    before = speed;
    const since = changeover === undefined ? (opened === undefined ? time : time - opened) : time - changeover.time;
    if (at % every === 0 && since <= WINDOW) {
      trace.time.push(time);
      trace.speed.push(speed);
      trace.torque.push(torque);
      trace.current.push(a);
    }
    if (at === count) break;

    if (switching.kind === 'star-delta') {
      if (phase === 'star' && (speed >= switching.changeSpeed * synchronous || time >= switching.changeTime)) {
        phase = switching.gap > 0 ? 'open' : 'run';
        opened = time;
        if (phase === 'run') toDelta(time, speed);
      } else if (phase === 'open' && time - (opened ?? 0) >= switching.gap) {
        // The stator links only the air-gap flux that the rotor kept.
        state[0] = open * ((state[2] ?? 0) * inverse1 + (state[4] ?? 0) * inverse2);
        state[1] = open * ((state[3] ?? 0) * inverse1 + (state[5] ?? 0) * inverse2);
        phase = 'run';
        toDelta(time, speed);
      }
      feed();
      evaluate(state);
    }

    sum.set(slope);
    for (let i = 0; i < 7; i++) trial[i] = (state[i] ?? 0) + (step / 2) * (slope[i] ?? 0);
    evaluate(trial);
    for (let i = 0; i < 7; i++) {
      sum[i] = (sum[i] ?? 0) + 2 * (slope[i] ?? 0);
      trial[i] = (state[i] ?? 0) + (step / 2) * (slope[i] ?? 0);
    }
    evaluate(trial);
    for (let i = 0; i < 7; i++) {
      sum[i] = (sum[i] ?? 0) + 2 * (slope[i] ?? 0);
      trial[i] = (state[i] ?? 0) + step * (slope[i] ?? 0);
    }
    evaluate(trial);
    for (let i = 0; i < 7; i++) state[i] = (state[i] ?? 0) + (step / 6) * ((sum[i] ?? 0) + (slope[i] ?? 0));
    if ((state[6] ?? 0) < 0) state[6] = 0;
  }

  return {
    trace,
    peakPhaseACurrent,
    peakCurrent,
    peakTorque,
    lowestTorque,
    timeTo95,
    finalSpeed: state[6] ?? 0,
    changeover,
  };

  function toDelta(time: number, speed: number): void {
    scale = 1;
    lead = setting.angle + Math.PI / 6;
    changeover = {
      time,
      speed,
      peakCurrent: 0,
      peakTorque: Number.NEGATIVE_INFINITY,
      lowestTorque: Number.POSITIVE_INFINITY,
    };
  }
}
