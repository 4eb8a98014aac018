import { quantity, type Value } from '../../ground/value.ts';
import type { Motor } from '../../motor/typical.ts';
import type { LoadResult } from '../load/load-result.ts';
import type { OptionBrief } from '../stage.ts';
import { inputOf, onDrives } from './input-power.ts';
import type { ProfilePoint, ProfileResult } from './profile-result.ts';
import { runBy } from './flow-model.ts';

/** What an option runs by. */
export interface RunsBy {
  readonly brief: OptionBrief;
  readonly motor: Motor;
  readonly load: LoadResult;
  readonly onDrive: boolean;
}

interface OptionInput {
  /** Electrical input while it runs, W, and the share of the hours in which it does. */
  readonly input: number;
  readonly running: number;
}

/** Input of one row as this option controls its flow; undefined where its control is not known. */
function inputAt(
  { flow }: ProfilePoint,
  { brief, motor, onDrive }: RunsBy,
  { model, fullPower }: ProfileResult,
): OptionInput | undefined {
  const { job, practice } = brief;
  const { ownControl, control } = job.profile;
  if (flow <= 0) return { input: 0, running: 0 };
  const by = onDrive && ownControl === 'auto' ? 'speed' : ownControl === 'auto' ? control : ownControl;
  const point = model && runBy(model, by, flow);
  if (!point || !fullPower) return undefined;
  const run = onDrive && by !== 'speed' ? onDrives(point) : point;
  return { input: inputOf(run, motor, fullPower.value, practice), running: point.share };
}

/** Energy of a year, J, and highest input, W, of the option itself, once it is known how it runs. */
export function withOptionEnergy(profile: ProfileResult, by: RunsBy): ProfileResult {
  const { school } = by.brief.job;
  let energy = 0;
  let peak = 0;
  for (const point of profile.points) {
    if (point.hours <= 0) continue;
    const at = inputAt(point, by, profile);
    if (!at) return profile;
    energy += at.input * at.running * point.hours;
    peak = Math.max(peak, at.input);
  }
  if (profile.points.length === 0) return profile;
  const how = {
    origin: 'estimated' as const,
    from: { P: by.load.values.motorPower, t: profile.values.hours },
    source: 'Flow control, motor and feed of this option; losses as for the energy above',
    note: `Holds for ${by.motor.label}${by.onDrive ? ' on a drive' : ''}.`,
  };
  const values: { energy: Value; peakInput: Value } = {
    energy: quantity(energy, 'energy', school, { ...how, formula: 'E = \\sum_i t_i\\,P_{in}(q_i)' }),
    peakInput: quantity(peak, 'power', school, { ...how, formula: '\\max_i P_{in}(q_i)' }),
  };
  return { ...profile, values: { ...profile.values, ...values } };
}
