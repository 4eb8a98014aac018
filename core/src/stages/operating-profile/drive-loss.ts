import { interpolate } from '../../kernel/numeric.ts';
import { driveLosses } from '../../kernel/tables/index.ts';

/**
 * Loss over frequency and torque-producing current as a share of that at 90 % and 100 %, at the points at which IEC 61800-9-2
 * has them stated; (90;25) follows from the others by the standard’s rule. The shape is an estimate (common practice).
 */
const FREQUENCIES = [0, 0.5, 0.9] as const;
const CURRENTS = [0.25, 0.5, 1] as const;
const SHAPE = [
  [0.46, 0.57, 0.82],
  [0.47, 0.59, 0.9],
  [0.62 - (0.59 - 0.47), 0.62, 1],
] as const;

/** Bilinear between the points, the edge outside them. */
function between(rows: readonly (readonly number[])[], frequency: number, current: number): number {
  const across = rows.map((losses) => interpolate(CURRENTS, losses, current));
  return interpolate(FREQUENCIES, across, frequency);
}
export const lossShape = (frequency: number, current: number): number => between(SHAPE, frequency, current);

/** What a catalogue says of a drive’s losses: its eight points, W, and what the motor’s current is of the drive’s. */
export interface StatedLosses {
  readonly points: readonly number[];
  readonly share: number;
}

/** Loss, W, from the eight points of a drive; (90;25) = (90;50) − [(50;50) − (50;25)]. `current` is a share of the motor’s. */
export function statedLoss({ points, share }: StatedLosses, frequency: number, current: number): number {
  const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0, h = 0] = points;
  const rows = [
    [a, b, c],
    [d, e, f],
    [g - (e - d), g, h],
  ];
  return between(rows, frequency, current * share);
}

const SIZES = driveLosses.rows.map((row) => Number(row['motor_kw']) * 1000);
const LOSSES = driveLosses.rows.map((row) => Number(row['loss_kw']) * 1000);

const LARGEST = SIZES.at(-1) ?? 1;

/**
 * Loss of the reference drive for a motor of `power` W, at 90 % frequency and full torque current; W. Straight between sizes, in
 * proportion above the largest.
 */
export const referenceLoss = (power: number): number =>
  interpolate(SIZES, LOSSES, power) * Math.max(1, power / LARGEST);
