import { complex, type Complex } from '../kernel/complex.ts';
import type { Circuit } from './circuit-shape.ts';
import { synchronousSpeed } from './synchronous.ts';

export type { Circuit };

/** What flows in the circuit at one slip, per phase and for the machine; SI. */
export interface CircuitState {
  /** Impedance of one phase at the terminals. */
  readonly re: number;
  readonly im: number;
  /** For one ampere of stator current: air-gap power, core loss (W, three phases). */
  readonly airGap: number;
  readonly core: number;
}

/**
 * Impedance and losses per ampere at a slip and frequency. Reactances go with frequency, the core-loss resistance with
 * its square root (core loss with f^1.5 at constant flux). The inner loop of every curve and run.
 */
export function circuitState(circuit: Circuit, slip: number, hz: number, leakage = 1): CircuitState {
  return stateInto({ re: 0, im: 0, airGap: 0, core: 0 }, circuit, slip, hz, leakage);
}

/** Written over as it goes. */
export type Written<Of> = { -readonly [Name in keyof Of]: Of[Name] };
export type WrittenState = Written<CircuitState>;

/** What `circuitState` gives, written over an object that is there: for each of thousands of instants. */
export function stateInto(into: WrittenState, circuit: Circuit, slip: number, hz: number, leakage = 1): CircuitState {
  evaluate(circuit, slip, hz, leakage);
  return scratchInto(into);
}

function scratchInto(into: WrittenState): CircuitState {
  into.re = scratch[0] ?? 0;
  into.im = scratch[1] ?? 0;
  into.airGap = scratch[2] ?? 0;
  into.core = scratch[3] ?? 0;
  return into;
}

/** Where `evaluate` leaves its four numbers: an object for each of thousands of slips would keep the collector busy. */
const scratch = new Float64Array(4);

function evaluate(circuit: Circuit, slip: number, hz: number, leakage: number): void {
  const k = hz / circuit.hz;
  const kLeak = k * leakage;
  const resistance2 = circuit.r2 / slip;
  const reactance2 = kLeak * circuit.x2;
  const square2 = resistance2 * resistance2 + reactance2 * reactance2;
  let g = resistance2 / square2;
  let b = reactance2 / square2;
  if (circuit.r3 !== undefined) {
    const resistance3 = circuit.r3 / slip;
    const reactance3 = kLeak * (circuit.x3 ?? 0);
    const square3 = resistance3 * resistance3 + reactance3 * reactance3;
    g += resistance3 / square3;
    b += reactance3 / square3;
  }
  const gc = circuit.rc === undefined ? 0 : 1 / (circuit.rc * Math.sqrt(k));
  const re = g + gc;
  const im = b + 1 / (k * circuit.xm);
  const square = re * re + im * im;
  // |E|² for one ampere is 1/|Y|².
  scratch[0] = circuit.r1 + (circuit.rs ?? 0) + re / square;
  scratch[1] = kLeak * circuit.x1 + im / square;
  scratch[2] = (3 * g) / square;
  scratch[3] = (3 * gc) / square;
}

/**
 * Share of the leakage reactances left at a stator current: 1 to the knee, then falling towards the floor as the slot
 * bridges saturate (flux of a saturated path grows no further, so its share goes with knee over current).
 */
export function leakageAt({ saturation }: { readonly saturation?: Circuit['saturation'] }, current: number): number {
  if (!saturation || current <= saturation.knee) return 1;
  return saturation.floor + (1 - saturation.floor) * (saturation.knee / current);
}

/** More rounds than any circuit needed: five are usual. */
const ROUNDS = 20;
const SETTLED = 1e-10;

/**
 * Finds the share of the leakage that is left by the current which flows with it, by the secant. `shareAt` takes a share on
 * and gives the one that its current leaves; the last it was asked for is the one that holds and is given back.
 * `from` is a first guess, such as what held an instant before.
 */
export function settleLeakage(shareAt: (leakage: number) => number, from = 1, settled = SETTLED): number {
  let before = from;
  let off = shareAt(before) - before;
  let leakage = before + off;
  for (let round = 0; round < ROUNDS && leakage !== before; round++) {
    const offNow = shareAt(leakage) - leakage;
    if (Math.abs(offNow) < settled) return leakage;
    const slope = (offNow - off) / (leakage - before);
    const next = slope < 0 ? leakage - offNow / slope : leakage + offNow;
    before = leakage;
    off = offNow;
    leakage = Math.min(1, Math.max(0, next));
  }
  return before;
}

/** The circuit at a voltage, its leakage saturated by the current that flows there. */
export function stateAtVoltage(circuit: Circuit, slip: number, volts: number, hz: number): CircuitState {
  evaluateAtVoltage(circuit, slip, volts, hz);
  return scratchInto({ re: 0, im: 0, airGap: 0, core: 0 });
}

/** A first guess of the leakage that is left, and how near it is to be settled. */
interface Left {
  readonly leakage: number;
  readonly near: number;
}
const UNKNOWN: Left = { leakage: 1, near: SETTLED };

/** Gives the share of the leakage that is left. */
function evaluateAtVoltage(circuit: Circuit, slip: number, volts: number, hz: number, from = UNKNOWN): number {
  if (!circuit.saturation) {
    evaluate(circuit, slip, hz, 1);
    return 1;
  }
  const phase = volts / Math.sqrt(3);
  const shareAt = (leakage: number): number => {
    evaluate(circuit, slip, hz, leakage);
    return leakageAt(circuit, phase / scratchSize());
  };
  return settleLeakage(shareAt, from.leakage, from.near);
}

const scratchSize = (): number => Math.sqrt((scratch[0] ?? 0) ** 2 + (scratch[1] ?? 0) ** 2);

export interface SteadyPoint {
  readonly slip: number;
  /** rad/s */
  readonly speed: number;
  /** A */
  readonly statorCurrent: number;
  readonly powerFactor: number;
  /** W */
  readonly inputPower: number;
  readonly statorCopperLoss: number;
  readonly airGapPower: number;
  readonly rotorCopperLoss: number;
  readonly coreLoss: number;
  readonly strayLoss: number;
  readonly convertedPower: number;
  readonly outputPower: number;
  /** N·m, at the air gap and at the shaft */
  readonly inducedTorque: number;
  readonly shaftTorque: number;
  readonly efficiency: number;
}

/**
 * Steady state at one slip (not 0), by the exact circuit of the textbooks (Chapman; Fitzgerald, Kingsley, Umans), at
 * rated or another voltage and frequency.
 */
export function steadyPoint(circuit: Circuit, slip: number, volts = circuit.volts, hz = circuit.hz): SteadyPoint {
  const state = stateAtVoltage(circuit, slip, volts, hz);
  const size = scratchSize();
  const statorCurrent = volts / Math.sqrt(3) / size;
  const square = statorCurrent ** 2;
  const airGapPower = square * state.airGap;
  const coreLoss = square * state.core;
  const statorCopperLoss = 3 * square * circuit.r1;
  const strayLoss = 3 * square * (circuit.rs ?? 0);
  const inputPower = airGapPower + coreLoss + statorCopperLoss + strayLoss;
  const convertedPower = (1 - slip) * airGapPower;
  const synchronous = synchronousSpeed(hz, circuit.poles);
  const speed = (1 - slip) * synchronous;
  const shaftLoss = (slip < 1 ? circuit.rotationalLoss : 0) + windageAt(circuit, speed);
  const outputPower = convertedPower - shaftLoss;
  const inducedTorque = airGapPower / synchronous;
  return {
    slip,
    speed,
    statorCurrent,
    powerFactor: state.re / size,
    inputPower,
    statorCopperLoss,
    airGapPower,
    rotorCopperLoss: slip * airGapPower,
    coreLoss,
    strayLoss,
    convertedPower,
    outputPower,
    inducedTorque,
    shaftTorque: speed === 0 ? inducedTorque : outputPower / speed,
    efficiency: outputPower / inputPower,
  };
}

/** Torque, N·m, or power, W, at the shaft at one slip (neither 0 nor 1): of a steady point only this, for searches. */
export function shaftAt(
  circuit: Circuit,
  slip: number,
  { volts, hz, what }: { readonly volts: number; readonly hz: number; readonly what: 'torque' | 'power' },
): number {
  evaluateAtVoltage(circuit, slip, volts, hz);
  const current = volts / Math.sqrt(3) / scratchSize();
  const converted = (1 - slip) * current * current * (scratch[2] ?? 0);
  const speed = (1 - slip) * synchronousSpeed(hz, circuit.poles);
  const output = converted - (slip < 1 ? circuit.rotationalLoss : 0) - windageAt(circuit, speed);
  return what === 'power' ? output : output / speed;
}

/** Friction and windage at a shaft speed, W. */
export function windageAt(circuit: Circuit, speed: number): number {
  if (circuit.windage === undefined) return 0;
  return circuit.windage * (speed / synchronousSpeed(circuit.hz, circuit.poles)) ** 2;
}

/** Impedance of one phase at the terminals at rated voltage, star. */
export function terminalImpedance(circuit: Circuit, slip: number, hz = circuit.hz): Complex {
  const { re, im } = stateAtVoltage(circuit, slip, circuit.volts, hz);
  return complex(re, im);
}

export interface CurveExtremes {
  readonly lockedRotor: SteadyPoint;
  /** Least torque between standstill and breakdown. */
  readonly pullUp: SteadyPoint;
  readonly breakdown: SteadyPoint;
}

const GOLDEN = (Math.sqrt(5) - 1) / 2;

/** The argument with the least value between two bounds, by golden section; the function has one valley there. */
export function leastBetween(low: number, high: number, of: (x: number) => number, tolerance = 1e-9): number {
  let a = high - GOLDEN * (high - low);
  let b = low + GOLDEN * (high - low);
  let fa = of(a);
  let fb = of(b);
  while (high - low > tolerance) {
    if (fa < fb) {
      high = b;
      b = a;
      fb = fa;
      a = high - GOLDEN * (high - low);
      fa = of(a);
    } else {
      low = a;
      a = b;
      fa = fb;
      b = low + GOLDEN * (high - low);
      fb = of(b);
    }
  }
  return (low + high) / 2;
}

/** Air-gap torque at a voltage and frequency, N·m. */
export function torqueAt(circuit: Circuit, slip: number, volts = circuit.volts, hz = circuit.hz): number {
  const scale = (volts * volts) / 3 / synchronousSpeed(hz, circuit.poles);
  evaluateAtVoltage(circuit, slip, volts, hz);
  const re = scratch[0] ?? 0;
  const im = scratch[1] ?? 0;
  return (scale * (scratch[2] ?? 0)) / (re * re + im * im);
}

/** Torque but for a factor that is the same at every slip; `left` is the leakage of a slip near by, and then of this one. */
function relativeTorque(circuit: Circuit, slip: number, hz: number, left: Written<Left>): number {
  left.leakage = evaluateAtVoltage(circuit, slip, circuit.volts, hz, left);
  const re = scratch[0] ?? 0;
  const im = scratch[1] ?? 0;
  return (scratch[2] ?? 0) / (re * re + im * im);
}

const SCAN = 400;
/** How near the leakage is settled at the least. */
const ROUGH = 1e-3;

/** Slip of greatest torque between standstill and synchronous speed: a scan, then golden section. */
export function breakdownSlip(circuit: Circuit, hz = circuit.hz, steps = SCAN, tolerance = 1e-7): number {
  const ratio = 10 ** (-3 / steps);
  // Torque is flat at its top: a slip to within its tolerance needs the leakage to within the square of that.
  const left = { leakage: 1, near: Math.min(ROUGH, Math.max(SETTLED, tolerance ** 2)) };
  let best = 1;
  let most = relativeTorque(circuit, 1, hz, left);
  let slip = 1;
  for (let step = 1; step <= steps; step++) {
    slip *= ratio;
    const torque = relativeTorque(circuit, slip, hz, left);
    if (torque > most) {
      most = torque;
      best = slip;
    }
  }
  if (best === 1) return best;
  // Golden section as in leastBetween, written out: it is asked for tens of times in every fit.
  let low = best * ratio;
  let high = best / ratio;
  let a = high - GOLDEN * (high - low);
  let b = low + GOLDEN * (high - low);
  let atA = relativeTorque(circuit, a, hz, left);
  let atB = relativeTorque(circuit, b, hz, left);
  while (high - low > tolerance) {
    if (atA > atB) {
      high = b;
      b = a;
      atB = atA;
      a = high - GOLDEN * (high - low);
      atA = relativeTorque(circuit, a, hz, left);
    } else {
      low = a;
      a = b;
      atA = atB;
      b = low + GOLDEN * (high - low);
      atB = relativeTorque(circuit, b, hz, left);
    }
  }
  return (low + high) / 2;
}

/** Standstill, the saddle above it and the greatest torque. */
export function curveExtremes(circuit: Circuit): CurveExtremes {
  const top = breakdownSlip(circuit);
  let saddle = 1;
  let least = torqueAt(circuit, 1);
  for (let step = 1; step <= SCAN; step++) {
    const slip = 1 - ((1 - top) * step) / SCAN;
    const torque = torqueAt(circuit, slip);
    if (torque < least) {
      least = torque;
      saddle = slip;
    }
  }
  return {
    lockedRotor: steadyPoint(circuit, 1),
    pullUp: steadyPoint(circuit, saddle),
    breakdown: steadyPoint(circuit, top),
  };
}

/** The curve from standstill to near synchronous speed at a voltage and frequency, rising in speed. */
export function speedCurve(circuit: Circuit, volts = circuit.volts, hz = circuit.hz, steps = 80): SteadyPoint[] {
  return Array.from({ length: steps }, (_, at) => {
    // Finer towards synchronous speed, where the curve is steep.
    const slip = Math.max(1e-4, (1 - at / (steps - 1)) ** 1.6);
    return steadyPoint(circuit, slip, volts, hz);
  });
}
