import { quantity } from '../../kernel/value.ts';
import { evidenceOf, type Motor } from '../../motor/typical.ts';
import type { LoadResult } from '../load/load-result.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import type { OptionContext } from '../stage.ts';
import { NOTHING } from './flow-control.ts';
import { inputOf, onDrives, type Fed } from './input-power.ts';
import { countsGuaranteed, optionMotor } from './existing-motor.ts';
import { drivesOf, DRIVE_LOSS, standbyEnergy } from './profile-energy.ts';
import type { StatedLosses } from './drive-loss.ts';
import type { OptionRow, ProfilePoint, ProfileResult } from './profile-result.ts';
import { runBy, type FlowModel } from './flow-model.ts';
import type { ProfileValues } from './values.ts';

/** What an option runs by. */
export interface RunsBy {
  readonly brief: OptionContext;
  readonly motor: Motor;
  readonly nameplate: NameplateResult;
  readonly load: LoadResult;
  readonly onDrive: boolean;
  /** Share of what passes that a filter behind the drive turns into heat. */
  readonly filterLoss: number;
  /** Losses of the picked drive, and W while it waits, where the catalogue says them. */
  readonly stated?: StatedLosses | undefined;
  readonly standby?: number | undefined;
}

/** What an option is worked out with. */
export interface Running {
  readonly motor: Fed;
  readonly model: FlowModel;
  /** Shaft power of one machine at full flow, W. */
  readonly full: number;
  /** Whether less flux is worked out, and whether the drive of the option goes by it. */
  readonly flux: 'no' | 'shown' | 'counted';
}

/** Slow to come back when a shock asks for torque. */
const canLowerFlux = ({ job: { load } }: OptionContext): boolean =>
  load.torqueKind === 'variable' || load.shock === 'uniform';

/** Undefined until rows, load and motor are known. */
export function runningOf({ points, model, fullPower }: ProfileResult, by: RunsBy): Running | undefined {
  if (points.length === 0 || !model || !fullPower) return undefined;
  const { brief, onDrive } = by;
  const flux = onDrive && canLowerFlux(brief);
  return {
    motor: { ...optionMotor(by.motor, by), filterLoss: by.filterLoss, stated: by.stated },
    model,
    full: fullPower.value,
    flux: flux ? (brief.job.profile.fluxOptimised ? 'counted' : 'shown') : 'no',
  };
}

type Hours = Pick<ProfilePoint, 'flow' | 'hours'>;

/** What rows take as an option controls their flow, and what less flux saves of their energy, J; undefined where its control is not known. */
export function ownRows(
  points: readonly Hours[],
  { brief, onDrive }: RunsBy,
  { motor, model, full, flux }: Running,
): { readonly rows: readonly OptionRow[]; readonly saved: number } | undefined {
  const { ownControl, control } = brief.job.profile;
  const by = onDrive && ownControl === 'auto' ? 'speed' : ownControl === 'auto' ? control : ownControl;
  const rows: OptionRow[] = [];
  let saved = 0;
  for (const { flow, hours } of points) {
    const point = flow > 0 && hours > 0 ? runBy(model, by, flow) : NOTHING;
    if (!point) return undefined;
    const run = onDrive && by !== 'speed' ? onDrives(point) : point;
    const usual = inputOf(run, motor, full);
    const least = flux === 'no' ? usual : inputOf(run, motor, full, 'least');
    const taken = flux === 'counted' ? least : usual;
    saved += (usual.input - least.input) * point.share * hours;
    rows.push({
      mean: taken.input * point.share,
      shaft: taken.shaft * point.share,
      driveLoss: taken.driveLoss * point.share,
      peak: taken.input,
      apparent: taken.apparent,
    });
  }
  return { rows, saved };
}

/** Energy, J, that the drives of an option take in a year while they wait. */
export const waiting = (
  points: readonly Hours[],
  { brief, motor, onDrive, standby }: RunsBy,
  { model }: Running,
): number =>
  onDrive ? standbyEnergy(points, standby ?? brief.practice.driveStandby.value * motor.power, drivesOf(model)) : 0;

/** Energy of a year, J, and highest input, W, of the option itself, once it is known how it runs. */
export function withOptionEnergy(profile: ProfileResult, by: RunsBy): ProfileResult {
  const { points } = profile;
  const on = runningOf(profile, by);
  const own = on && ownRows(points, by, on);
  if (!own) return profile;
  const { rows } = own;
  const energy = rows.reduce((sum, { mean }, at) => sum + mean * (points[at]?.hours ?? 0), waiting(points, by, on));
  const peak = rows.reduce((most, row) => Math.max(most, row.peak), 0);
  const apparent = rows.reduce((most, row) => Math.max(most, row.apparent), 0);
  const values = valuesOf({ energy, peak, apparent, saved: on.flux === 'no' ? undefined : own.saved }, by, profile);
  return { ...profile, own: rows, values: { ...profile.values, ...values } };
}

const STATED = 'drive losses by the points its catalogue states (IEC 61800-9-2)';

interface Sums {
  readonly energy: number;
  readonly peak: number;
  readonly apparent: number;
  readonly saved: number | undefined;
}

function valuesOf(
  { energy, peak, apparent, saved }: Sums,
  { brief, motor, nameplate, load, onDrive, stated }: RunsBy,
  { values }: ProfileResult,
): Pick<ProfileValues, 'energy' | 'peakInput' | 'peakApparent' | 'fluxSaving'> {
  const { profile } = brief.job;
  const basis = countsGuaranteed(motor, { brief, nameplate }) ? 'guaranteed least' : 'nominal';
  const how = {
    origin: 'estimated' as const,
    evidence: evidenceOf(motor),
    from: { P: load.values.motorPower, t: values.hours },
    source: `Flow control, motor and feed of this option; losses by the fitted circuit${onDrive ? `; ${stated ? STATED : DRIVE_LOSS}` : ''}`,
    note: `Holds for ${motor.label}${onDrive ? ' on a drive' : ''}, at its ${basis} efficiency.`,
  };
  return {
    energy: quantity(energy, 'energy', { ...how, formula: 'E = \\sum_i t_i\\,P_{in}(q_i)' }),
    peakInput: quantity(peak, 'power', { ...how, formula: '\\max_i P_{in}(q_i)' }),
    peakApparent: quantity(apparent, 'apparentPower', { ...how, formula: '\\max_i S_{in}(q_i)' }),
    ...(saved === undefined
      ? {}
      : {
          fluxSaving: quantity(saved, 'energy', {
            ...how,
            formula: '\\sum_i t_i\\,(P_{in}(q_i) - \\min_\\varphi P_{in}(q_i, \\varphi))',
            note: `${how.note} ${profile.fluxOptimised ? 'Counted in the energy of this option.' : 'Not counted: the drive is not said to lower its flux.'} Breakdown torque is kept 1.5 times the torque.`,
          }),
        }),
  };
}
