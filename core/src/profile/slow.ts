import type { Brief } from '../stage.ts';

/** Below this share of full speed a fan on the shaft hardly cools the motor. Common practice, no published source. */
const SLOW = 0.5;

/** Whether the profile asks for full torque at a speed where the motor’s own fan hardly turns. */
export const slowAtFullTorque = ({ job, rows }: Brief): boolean =>
  job.load.torqueKind === 'constant' &&
  rows['profile.points'].some(
    ({ flow, hours }) => flow && hours && flow.value > 0 && flow.value < SLOW && hours.value > 0,
  );
