import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { findCircuit, type FitTargets } from '../../motor/fit-circuit.ts';
import { bandOf, interpolate, type Band } from '../../kernel/numeric.ts';
import { synchronousSpeed } from '../../motor/synchronous.ts';
import type { Method } from './starting-mode.ts';
import { runStart, type StartSetting } from './run-start.ts';

/**
 * How far a real motor, load and supply may lie from the figures, as shares either way: IEC 60034-1 Table of tolerances
 * (locked-rotor current +20 %, torque −15/+25 %, breakdown −10 %, slip ±20 %; from memory) and MG 1 12.44; what the load
 * and the inertia may be off is common practice, no published source.
 */
export const tolerances = {
  lockedRotorCurrent: [-0.05, 0.2],
  lockedRotorTorque: [-0.15, 0.25],
  breakdownTorque: [-0.1, 0.1],
  slip: [-0.2, 0.2],
  load: [-0.1, 0.1],
  inertia: [-0.2, 0.2],
  voltage: [-0.05, 0.05],
} as const;

export interface SpreadSetting {
  readonly start: StartSetting;
  readonly targets: FitTargets;
  readonly method: Method;
  readonly seed: number;
}

/** One start of a motor that might be delivered. */
export interface Sample {
  readonly reached: boolean;
  /** s */
  readonly time: number;
  readonly dip: number;
  readonly peakCurrent: number;
  readonly rotorUse: number;
  /** Of the overload relay’s trip level at its fast edge. */
  readonly tripUse: number;
  /** At the grid times: rad/s, A of the line and A of the motor. */
  readonly speeds: readonly number[];
  readonly currents: readonly number[];
  readonly motorCurrents: readonly number[];
}

const GRID = 40;
const STEPS = 24;

/** Speed and current are kept for so many times the start of a motor as it is fitted, without what is promised at the least. */
const KEPT = 1.8;

/** s up to which speed and current of the samples are kept. */
export function horizonOf({ start, method }: SpreadSetting): number {
  const { run } = runStart({ ...start, ceiling: undefined }, method, STEPS);
  return KEPT * (run.reached ? run.time : (run.trace.time.at(-1) ?? 1));
}

const gridTimes = (horizon: number): number[] => Array.from({ length: GRID + 1 }, (_, at) => (at / GRID) * horizon);

/**
 * Sample number `index` of a seeded spread: each has a generator of its own, so that any split over workers gives the
 * same samples. Undefined where no motor could be built with the figures drawn.
 */
export function sampleStart(
  { start, targets, method, seed }: SpreadSetting,
  index: number,
  horizon: number,
): Sample | undefined {
  const generator = xoroshiro128plus((Math.imul(seed, 0x9e37_79b1) ^ Math.imul(index + 1, 0x85eb_ca6b)) | 0);
  const draw = ([low, high]: readonly [number, number]): number => {
    // Mean of two uniform draws: the middle is likelier than the edges.
    const part = (uniformFloat64(generator) + uniformFloat64(generator)) / 2;
    return 1 + low + (high - low) * part;
  };
  const synchronous = synchronousSpeed(targets.frequency, targets.poles);
  const current = targets.lockedRotorCurrent * draw(tolerances.lockedRotorCurrent);
  const torque = targets.lockedRotorTorque * draw(tolerances.lockedRotorTorque);
  const breakdown = targets.breakdownTorque * draw(tolerances.breakdownTorque);
  const slip = (1 - targets.speed / synchronous) * draw(tolerances.slip);
  const loadFactor = draw(tolerances.load);
  const inertiaFactor = draw(tolerances.inertia);
  const voltageFactor = draw(tolerances.voltage);
  const fit = findCircuit({
    ...targets,
    speed: synchronous * (1 - slip),
    lockedRotorCurrent: current,
    lockedRotorCurrentLeast: Math.min(current, targets.lockedRotorCurrentLeast),
    lockedRotorTorque: torque,
    breakdownTorque: breakdown,
    torquesAtLeast: true,
  });
  if (!fit) return undefined;
  const { source } = start;
  const varied: StartSetting = {
    ...start,
    ceiling: undefined,
    circuit: source ? fit.circuit : { ...fit.circuit, volts: fit.circuit.volts * voltageFactor },
    source: source && { ...source, voltage: source.voltage * voltageFactor },
    turning: {
      speeds: start.turning.speeds,
      torques: start.turning.torques.map((each) => each * loadFactor),
      inertia: start.turning.inertia * inertiaFactor,
    },
  };
  const { run, rotorUse, tripUse } = runStart(varied, method, STEPS);
  const kept = (row: readonly number[]): number[] =>
    Array.from({ length: GRID + 1 }, (_, at) => interpolate(run.trace.time, row, (at / GRID) * horizon));
  return {
    reached: run.reached,
    time: run.time,
    dip: run.busDip,
    peakCurrent: run.peakLineCurrent,
    rotorUse,
    tripUse,
    speeds: kept(run.trace.speed),
    currents: kept(run.trace.lineCurrent),
    motorCurrents: kept(run.trace.motorCurrent),
  };
}

export interface Spread {
  readonly count: number;
  /** Share of the starts that came up to speed. */
  readonly chance: number;
  /** Share of the starts that the overload relay lets through even at its fast edge. */
  readonly held: number;
  /** 5 %, 50 % and 95 % of the starts lie below; of those that came up. */
  readonly time: Band;
  readonly dip: Band;
  readonly peakCurrent: Band;
  readonly rotorUse: Band;
  readonly times: readonly number[];
  readonly speed: readonly Band[];
  readonly current: readonly Band[];
  readonly motorCurrent: readonly Band[];
}

/** Of the starts, below and above a band. */
const OUTSIDE = 0.05;
const within = (values: readonly number[]): Band => bandOf(values, OUTSIDE);

/** Chance and bands of all samples. */
export function spreadOf(samples: readonly Sample[], horizon: number): Spread {
  const up = samples.filter((each) => each.reached);
  const times = gridTimes(horizon);
  const share = (count: number): number => (samples.length === 0 ? 0 : count / samples.length);
  return {
    count: samples.length,
    chance: share(up.length),
    held: share(samples.filter((each) => each.tripUse < 1).length),
    time: within(up.map((each) => each.time)),
    dip: within(samples.map((each) => each.dip)),
    peakCurrent: within(samples.map((each) => each.peakCurrent)),
    rotorUse: within(up.map((each) => each.rotorUse)),
    times,
    speed: times.map((_, at) => within(samples.map((each) => each.speeds[at] ?? 0))),
    current: times.map((_, at) => within(samples.map((each) => each.currents[at] ?? 0))),
    motorCurrent: times.map((_, at) => within(samples.map((each) => each.motorCurrents[at] ?? 0))),
  };
}
