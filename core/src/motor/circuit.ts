import { z } from 'zod';
import { synchronousSpeed } from './typical.ts';

const ohms = z.number().nonnegative().max(1e4);

/**
 * Per-phase star equivalent circuit of an induction motor, referred to the stator, at rated frequency.
 * A second cage (r3, x3) lies in parallel with the first.
 */
export const circuitSchema = z.strictObject({
  r1: ohms,
  x1: ohms,
  xm: z.number().positive().max(1e4),
  r2: z.number().positive().max(1e4),
  x2: ohms,
  r3: z.number().positive().max(1e4).optional(),
  x3: ohms.optional(),
  /** Line-to-line, V */
  volts: z.number().positive().max(20_000),
  hz: z.number().positive().max(400),
  poles: z.number().int().min(2).max(48).multipleOf(2),
  /** Friction, windage, core and stray loss lumped at the shaft, W. */
  rotationalLoss: z.number().nonnegative().max(1e6).default(0),
  /** Slips at which steady points are wanted; 1 is standstill. */
  slips: z.array(z.number().gt(0).max(2)).max(1000).default([]),
});

export type Circuit = Readonly<z.infer<typeof circuitSchema>>;

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
  readonly convertedPower: number;
  readonly outputPower: number;
  /** N·m, at the air gap and at the shaft */
  readonly inducedTorque: number;
  readonly shaftTorque: number;
  readonly efficiency: number;
}

interface Complex {
  readonly re: number;
  readonly im: number;
}

const inverse = ({ re, im }: Complex): Complex => {
  const square = re * re + im * im;
  return { re: re / square, im: -im / square };
};
const sum = (a: Complex, b: Complex): Complex => ({ re: a.re + b.re, im: a.im + b.im });

/** Impedance of magnetising branch and cages in parallel. */
function airGapImpedance(circuit: Circuit, slip: number): Complex {
  const cages = [{ re: circuit.r2 / slip, im: circuit.x2 }];
  if (circuit.r3 !== undefined) cages.push({ re: circuit.r3 / slip, im: circuit.x3 ?? 0 });
  return inverse(cages.map(inverse).reduce(sum, { re: 0, im: -1 / circuit.xm }));
}

/**
 * Steady state at one slip (not 0), by the exact circuit of the textbooks (Chapman; Fitzgerald, Kingsley, Umans).
 * Core loss is not in the circuit; it is part of the rotational loss.
 */
export function steadyPoint(circuit: Circuit, slip: number): SteadyPoint {
  const gap = airGapImpedance(circuit, slip);
  const total = sum({ re: circuit.r1, im: circuit.x1 }, gap);
  const magnitude = Math.hypot(total.re, total.im);
  const statorCurrent = circuit.volts / Math.sqrt(3) / magnitude;
  const airGapPower = 3 * statorCurrent ** 2 * gap.re;
  const statorCopperLoss = 3 * statorCurrent ** 2 * circuit.r1;
  const inputPower = airGapPower + statorCopperLoss;
  const convertedPower = (1 - slip) * airGapPower;
  const loss = slip < 1 ? circuit.rotationalLoss : 0;
  const outputPower = convertedPower - loss;
  const synchronous = synchronousSpeed(circuit.hz, circuit.poles);
  const speed = (1 - slip) * synchronous;
  const inducedTorque = airGapPower / synchronous;
  return {
    slip,
    speed,
    statorCurrent,
    powerFactor: total.re / magnitude,
    inputPower,
    statorCopperLoss,
    airGapPower,
    rotorCopperLoss: slip * airGapPower,
    convertedPower,
    outputPower,
    inducedTorque,
    shaftTorque: speed === 0 ? inducedTorque : outputPower / speed,
    efficiency: outputPower / inputPower,
  };
}

export interface CurveExtremes {
  readonly lockedRotor: SteadyPoint;
  readonly breakdown: SteadyPoint;
}

const STEPS = 2000;

/** Standstill and the greatest torque between standstill and synchronous speed: a scan, then golden-section refinement. */
export function curveExtremes(circuit: Circuit): CurveExtremes {
  const torqueAt = (slip: number): number => steadyPoint(circuit, slip).inducedTorque;
  let best = 1;
  for (let step = 1; step < STEPS; step++) if (torqueAt(step / STEPS) > torqueAt(best)) best = step / STEPS;
  let low = Math.max(1e-6, best - 1 / STEPS);
  let high = Math.min(1, best + 1 / STEPS);
  const golden = (Math.sqrt(5) - 1) / 2;
  while (high - low > 1e-9) {
    const a = high - golden * (high - low);
    const b = low + golden * (high - low);
    if (torqueAt(a) > torqueAt(b)) high = b;
    else low = a;
  }
  return { lockedRotor: steadyPoint(circuit, 1), breakdown: steadyPoint(circuit, (low + high) / 2) };
}
