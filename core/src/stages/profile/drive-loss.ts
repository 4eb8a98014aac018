import { interpolate } from '../../ground/numeric.ts';
import { driveLosses } from '../../ground/tables/index.ts';

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
export function lossShape(frequency: number, current: number): number {
  const across = SHAPE.map((losses) => interpolate(CURRENTS, losses, current));
  return interpolate(FREQUENCIES, across, frequency);
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
