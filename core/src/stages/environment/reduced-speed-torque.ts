import type { StageContext } from '../stage.ts';
import { reducedSpeedTorque } from '../../kernel/tables/index.ts';
import { interpolate } from '../../kernel/numeric.ts';

const byFrequency = reducedSpeedTorque.rows.toSorted((a, b) => Number(a['frequency']) - Number(b['frequency']));
const SHARES = byFrequency.map((row) => Number(row['frequency']) / 60);
const TORQUES = byFrequency.map((row) => Number(row['torque']) / Number(byFrequency.at(-1)?.['torque']));

/**
 * Share of rated torque that a motor with its fan on the shaft bears for good at a share of its speed: the shape of MG 1
 * Figure 30-2, one at full speed. Recalled only roughly, so an estimate.
 */
export const continuousTorqueAtReducedSpeed = (speed: number): number =>
  interpolate(SHARES, TORQUES, Math.min(1, speed));

/** What the table may be off by before a torque counts as too much. Common practice, no published source. */
const UNSURE = 0.05;

/** A row of the profile that asks for more torque than the motor’s own fan can cool. */
export interface SlowDemand {
  readonly speed: number;
  readonly torque: number;
  readonly bearable: number;
}

/**
 * The row of the profile that asks most beyond what the fan on the shaft can cool, at a load of `loadShare` of rated torque;
 * `ratio` is the range of full torque that the plate promises (4 for 4:1). Only for torque that does not fall with speed.
 */
export function slowDemand({ job, rows }: StageContext, loadShare: number, ratio = 1): SlowDemand | undefined {
  if (job.load.torqueKind !== 'constant') return undefined;
  const asked = rows['profile.points'].flatMap(({ flow, hours }): SlowDemand[] => {
    if (!flow || !hours || flow.value <= 0 || flow.value >= 1 || hours.value <= 0) return [];
    // Below the range that the plate promises nothing is known but the fan.
    const bearable = flow.value * ratio >= 0.999 ? 1 : continuousTorqueAtReducedSpeed(flow.value);
    return [{ speed: flow.value, torque: loadShare, bearable }];
  });
  const over = asked.filter(({ torque, bearable }) => torque > bearable + UNSURE);
  return over.toSorted((a, b) => b.torque - b.bearable - (a.torque - a.bearable))[0];
}
