import { quantity } from '../../ground/value.ts';
import type { Taken } from '../../motor/at-part-load.ts';
import type { Motor } from '../../motor/typical.ts';
import type { LoadResult } from '../load/load-result.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import type { OptionBrief } from '../stage.ts';
import { inputOf, onDrives, type Fed } from './input-power.ts';
import { optionMotor } from './motor-today.ts';
import { drivesOf, DRIVE_LOSS, standbyEnergy } from './profile-energy.ts';
import type { OptionRow, ProfilePoint, ProfileResult } from './profile-result.ts';
import { runBy, type FlowModel } from './flow-model.ts';
import type { ProfileValues } from './values.ts';

/** What an option runs by. */
export interface RunsBy {
  readonly brief: OptionBrief;
  readonly motor: Motor;
  readonly nameplate: NameplateResult;
  readonly load: LoadResult;
  readonly onDrive: boolean;
}

/** What it takes while it runs, the same with the flux that takes least, and the share of the hours in which it runs. */
interface OptionInput {
  readonly usual: Taken;
  readonly least: Taken;
  readonly running: number;
}

interface Running {
  readonly motor: Fed;
  readonly model: FlowModel;
  /** Shaft power of one machine at full flow, W. */
  readonly full: number;
  /** Whether less flux is worked out too. */
  readonly flux: boolean;
}

const REST: OptionInput = { usual: { input: 0, apparent: 0 }, least: { input: 0, apparent: 0 }, running: 0 };

/** Input of one row as this option controls its flow; undefined where its control is not known. */
function inputAt({ flow }: ProfilePoint, { brief, onDrive }: RunsBy, on: Running): OptionInput | undefined {
  const { ownControl, control } = brief.job.profile;
  if (flow <= 0) return REST;
  const by = onDrive && ownControl === 'auto' ? 'speed' : ownControl === 'auto' ? control : ownControl;
  const point = runBy(on.model, by, flow);
  if (!point) return undefined;
  const run = onDrive && by !== 'speed' ? onDrives(point) : point;
  const usual = inputOf(run, on.motor, on.full);
  const least = on.flux ? inputOf(run, on.motor, on.full, 'least') : usual;
  return { usual, least, running: point.share };
}

/** Slow to come back when a shock asks for torque. */
const canLowerFlux = ({ job: { load } }: OptionBrief): boolean =>
  load.torqueKind === 'variable' || load.shock === 'uniform';

/** Energy of a year, J, and highest input, W, of the option itself, once it is known how it runs. */
export function withOptionEnergy(profile: ProfileResult, by: RunsBy): ProfileResult {
  const { points, model, fullPower } = profile;
  if (points.length === 0 || !model || !fullPower) return profile;
  const { brief, onDrive } = by;
  const on = {
    motor: optionMotor(by.motor, by),
    model,
    full: fullPower.value,
    flux: onDrive && canLowerFlux(brief),
  };
  const lowered = on.flux && brief.job.profile.fluxOptimised;
  const own: OptionRow[] = [];
  let [usual, least, peak, apparent] = [0, 0, 0, 0];
  for (const point of points) {
    const at = point.hours <= 0 ? REST : inputAt(point, by, on);
    if (!at) return profile;
    const taken = lowered ? at.least : at.usual;
    own.push({ mean: taken.input * at.running, peak: taken.input, apparent: taken.apparent });
    usual += at.usual.input * at.running * point.hours;
    least += at.least.input * at.running * point.hours;
    peak = Math.max(peak, taken.input);
    apparent = Math.max(apparent, taken.apparent);
  }
  const standby = onDrive ? standbyEnergy(points, by.motor.power, drivesOf(model), brief.practice) : 0;
  const energy = (lowered ? least : usual) + standby;
  const values = valuesOf({ energy, peak, apparent, saved: on.flux ? usual - least : undefined }, by, profile);
  return { ...profile, own, values: { ...profile.values, ...values } };
}

interface Sums {
  readonly energy: number;
  readonly peak: number;
  readonly apparent: number;
  readonly saved: number | undefined;
}

function valuesOf(
  { energy, peak, apparent, saved }: Sums,
  { brief, motor, load, onDrive }: RunsBy,
  { values }: ProfileResult,
): Pick<ProfileValues, 'energy' | 'peakInput' | 'peakApparent' | 'fluxSaving'> {
  const { school, profile } = brief.job;
  const how = {
    origin: 'estimated' as const,
    from: { P: load.values.motorPower, t: values.hours },
    source: `Flow control, motor and feed of this option; losses by the fitted circuit${onDrive ? `; ${DRIVE_LOSS}` : ''}`,
    note: `Holds for ${motor.label}${onDrive ? ' on a drive' : ''}.`,
  };
  return {
    energy: quantity(energy, 'energy', school, { ...how, formula: 'E = \\sum_i t_i\\,P_{in}(q_i)' }),
    peakInput: quantity(peak, 'power', school, { ...how, formula: '\\max_i P_{in}(q_i)' }),
    peakApparent: quantity(apparent, 'apparentPower', school, { ...how, formula: '\\max_i S_{in}(q_i)' }),
    ...(saved === undefined
      ? {}
      : {
          fluxSaving: quantity(saved, 'energy', school, {
            ...how,
            formula: '\\sum_i t_i\\,(P_{in}(q_i) - \\min_\\varphi P_{in}(q_i, \\varphi))',
            note: `${how.note} ${profile.fluxOptimised ? 'Counted in the energy of this option.' : 'Not counted: the drive is not said to lower its flux.'} Breakdown torque is kept 1.5 times the torque.`,
          }),
        }),
  };
}
