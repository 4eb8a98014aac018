import type { Brief } from '../stage.ts';

/** Below this share of full speed a fan on the shaft hardly cools the motor. Common practice, no published source. */
const SLOW = 0.5;

/** The least share of full speed at which the profile asks for full torque, where that is too slow for the motor’s own fan. */
export function slowAtFullTorque({ job, rows }: Brief): number | undefined {
  if (job.load.torqueKind !== 'constant') return undefined;
  const slow = rows['profile.points'].flatMap(({ flow, hours }) =>
    flow && hours && flow.value > 0 && flow.value < SLOW && hours.value > 0 ? [flow.value] : [],
  );
  return slow.length > 0 ? Math.min(...slow) : undefined;
}
