import { of, type Instant } from './fed-motor.ts';

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
    /** Least torque over the load, of rated. */
    least: (ratedTorque: number): Margin =>
      leastMargin(
        rows.speed,
        rows.loadTorque.map((load, at) => ((available[at] ?? 0) - load) / ratedTorque),
      ),
  };
}

/** Up to nine tenths of the speed reached: beyond it motor and load meet, and there is no margin to speak of. */
function leastMargin(speeds: readonly number[], over: readonly number[]): Margin {
  const end = MARGIN_UP_TO * (speeds.at(-1) ?? 0);
  let margin = Number.POSITIVE_INFINITY;
  let speed = 0;
  const consider = (value: number, where: number): void => {
    if (value >= margin) return;
    margin = value;
    speed = where;
  };
  for (const [at, value] of over.entries()) {
    const here = speeds[at] ?? 0;
    const next = speeds[at + 1];
    if (here <= end) consider(value, here);
    if (here < end && next !== undefined && next > end)
      consider(value + ((end - here) / (next - here)) * ((over[at + 1] ?? value) - value), end);
  }
  return { margin, speed };
}
