import { shaftAt, steadyPoint, type Circuit, type SteadyPoint } from './circuit.ts';
import { inputOnDrive, inputOnLine, harmonicFactor } from './part-load.ts';
import type { Motor } from './typical.ts';
import { synchronousSpeed } from './synchronous.ts';

/** A motor as its losses at part load see it. */
export interface LosingMotor extends Pick<
  Motor,
  'power' | 'speed' | 'efficiency' | 'efficiencyMinimum' | 'powerFactor'
> {
  /** Undefined where none reaches what is known of the motor: then a fixed share of the loss stands in. */
  readonly circuit: Circuit | undefined;
  readonly fixedShare: number;
  /** Losses as guaranteed instead of nominal. */
  readonly guaranteed: boolean;
}

/** What a motor takes; W and VA. */
export interface Taken {
  readonly input: number;
  readonly apparent: number;
}

/** Losses guaranteed over losses stated. */
const lossFactor = ({ efficiency, efficiencyMinimum, guaranteed }: LosingMotor): number =>
  guaranteed ? (1 / efficiencyMinimum - 1) / (1 / efficiency - 1) : 1;

const standIn = (motor: LosingMotor): Pick<Motor, 'power' | 'efficiencyMinimum'> => ({
  power: motor.power,
  efficiencyMinimum: motor.guaranteed ? motor.efficiencyMinimum : motor.efficiency,
});

/** On the line at a shaft power, W: the circuit at rated voltage and frequency. Beyond breakdown the fixed share stands in. */
export function takenOnLine(motor: LosingMotor, shaftPower: number): Taken {
  const point = motor.circuit && pointGiving(motor.circuit, shaftPower);
  if (!point) {
    const input = inputOnLine(standIn(motor), shaftPower, motor.fixedShare);
    return { input, apparent: input / motor.powerFactor };
  }
  const input = shaftPower + lossFactor(motor) * (point.inputPower - shaftPower);
  return { input, apparent: input / point.powerFactor };
}

/**
 * Input, W, of a motor that a drive turns: the circuit at the frequency that gives the speed, its volts in proportion and
 * times `flux`, its losses enlarged by the drive’s harmonics. `speed` is a share of rated speed. With less flux a motor may not
 * hold its torque: then undefined.
 */
export function inputFed(motor: LosingMotor, shaftPower: number, speed: number, flux = 1): number | undefined {
  if (speed <= 0) return 0;
  const { circuit } = motor;
  const point =
    circuit && pointAt(circuit, { torque: shaftPower / (speed * motor.speed), speed: speed * motor.speed, flux });
  if (point) return shaftPower + harmonicFactor(motor.power) * lossFactor(motor) * (point.inputPower - shaftPower);
  return flux === 1 ? inputOnDrive(standIn(motor), shaftPower, speed, motor.fixedShare) : undefined;
}

interface Fed {
  /** N·m and rad/s at the shaft. */
  readonly torque: number;
  readonly speed: number;
  readonly flux: number;
}

/** Rounds in which the slip frequency settles; it hardly depends on the speed, three are usual. */
const ROUNDS = 8;

/** Where a motor stands that turns at a speed under a torque; above base speed its volts stay. */
export function pointAt(circuit: Circuit, { torque, speed, flux }: Fed): SteadyPoint | undefined {
  let hz = (speed * circuit.poles) / (4 * Math.PI);
  let volts = 0;
  let slip: number | undefined = FIRST_SLIP;
  for (let round = 0; round < ROUNDS; round++) {
    volts = circuit.volts * Math.min(1, hz / circuit.hz) * flux;
    slip = slipGiving({ circuit, volts, hz, what: 'torque' }, torque, slip);
    if (slip === undefined) return undefined;
    const next = speed / (1 - slip) / synchronousSpeed(1, circuit.poles);
    if (Math.abs(next - hz) <= CLOSE * hz) break;
    hz = next;
  }
  return steadyPoint(circuit, slip, volts, hz);
}

const FIRST_SLIP = 1e-4;
const STEPS = 40;
const CLOSE = 1e-10;

/** A motor at a voltage and frequency, and which of its figures at the shaft is looked for. */
interface Held {
  readonly circuit: Circuit;
  readonly volts: number;
  readonly hz: number;
  readonly what: 'power' | 'torque';
}

/**
 * The slip below breakdown at which the shaft gives a torque or power, by the secant from a slip below it: torque bends towards
 * its peak, so that every step falls short and none jumps over it. Undefined beyond breakdown.
 */
function slipGiving({ circuit, volts, hz, what }: Held, wanted: number, from: number): number | undefined {
  const scale = Math.max(Math.abs(wanted), 1e-6);
  let before = from * 0.99;
  let gaveBefore = shaftAt(circuit, before, { volts, hz, what });
  let slip = from;
  let gives = shaftAt(circuit, slip, { volts, hz, what });
  for (let step = 0; step < STEPS; step++) {
    const short = wanted - gives;
    if (Math.abs(short) <= CLOSE * scale) return slip;
    const slope = (gives - gaveBefore) / (slip - before);
    const next = slip + short / slope;
    // Past its peak a motor gives no more.
    if (!(slope > 0) || next >= 1) return undefined;
    if (next === slip) return slip;
    before = slip;
    gaveBefore = gives;
    slip = Math.max(next, 1e-9);
    gives = shaftAt(circuit, slip, { volts, hz, what });
  }
  return undefined;
}

/** The point below breakdown at which the shaft gives a power, W, at rated voltage and frequency; undefined beyond it. */
export function pointGiving(circuit: Circuit, shaftPower: number): SteadyPoint | undefined {
  const slip = slipGiving({ circuit, volts: circuit.volts, hz: circuit.hz, what: 'power' }, shaftPower, FIRST_SLIP);
  return slip === undefined ? undefined : steadyPoint(circuit, slip);
}

/** The least flux that is tried, of rated, and breakdown torque over the torque that must be left. Common practice, no published source. */
const LEAST_FLUX = 0.5;
const RESERVE = 1.5;
const TRIES = 11;

/**
 * The least input of a fed motor over its flux between half and full, breakdown kept 1.5 times the torque: at reduced volts
 * breakdown falls with their square. The least is flat: eleven steps find it within a thousandth of the loss.
 */
export function leastInputFed(
  motor: LosingMotor,
  shaftPower: number,
  speed: number,
  breakdown: number,
): number | undefined {
  const full = inputFed(motor, shaftPower, speed);
  if (full === undefined || !motor.circuit || speed <= 0) return full;
  const torque = shaftPower / motor.power / speed;
  const least = Math.max(LEAST_FLUX, Math.sqrt((RESERVE * torque) / breakdown));
  let best = full;
  for (let at = 0; at < TRIES; at++) {
    const flux = least + ((1 - least) * at) / TRIES;
    if (flux >= 1) break;
    best = Math.min(best, inputFed(motor, shaftPower, speed, flux) ?? best);
  }
  return best;
}
