import { of, type Instant } from './motor-on-supply.ts';

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

/** Share of the speed reached up to which a margin over the load is looked for. */
export const MARGIN_UP_TO = 0.9;

/** When, how fast and how warm. */
export interface Reached {
  readonly time: number;
  readonly speed: number;
  readonly rotorHeat: number;
  readonly statorHeat: number;
}

interface Margin {
  readonly margin: number;
  readonly speed: number;
}

/** Keeps what a run passes through. */
export function recorder() {
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
    push({ time, speed, rotorHeat, statorHeat }: Reached, at: Instant, load: number): void {
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
    least: (ratedTorque: number): Margin => leastMargin(rows, available, ratedTorque),
  };
}

/**
 * Least torque over the load, of rated, up to nine tenths of the speed reached: beyond it motor and load meet, and there is no
 * margin to speak of.
 */
function leastMargin({ speed, loadTorque }: Trace, available: readonly number[], ratedTorque: number): Margin {
  const end = MARGIN_UP_TO * (speed.at(-1) ?? 0);
  const over = (at: number): number => ((available[at] ?? 0) - (loadTorque[at] ?? 0)) / ratedTorque;
  let least: Margin = { margin: Number.POSITIVE_INFINITY, speed: 0 };
  for (let at = 0; at < speed.length; at++) {
    const here = speed[at] ?? 0;
    const next = speed[at + 1];
    const value = over(at);
    if (here <= end && value < least.margin) least = { margin: value, speed: here };
    if (here < end && next !== undefined && next > end) {
      const there = value + ((end - here) / (next - here)) * (over(at + 1) - value);
      if (there < least.margin) least = { margin: there, speed: end };
    }
  }
  return least;
}
