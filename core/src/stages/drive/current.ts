import { amount, say, type Text } from '../../kernel/text.ts';
import { overloadDuration, overloadOf, type Overload } from '../../catalogue/drive-duty.ts';
import { PRACTICE, quantity } from '../../kernel/value.ts';
import { currentNeeded, driveDuty, eventsOf, SEVERAL } from '../selection/choose-drive.ts';
import { deratedCurrent, deratesOf, type Derates } from '../selection/rank-drives.ts';
import type { DriveStageInput } from './drive-stage-input.ts';
import type { Report } from './findings.ts';
import type { DriveValues } from './values.ts';

/** W above which drives on one phase are not offered. Common practice, no published source. */
const SINGLE_PHASE_MOST = 45e3;

/** Multiple of its continuous current that a drive bears for `time` s: the other way round of how long it bears a current. */
export function bearableMultiple({ multiple, seconds, peak }: Overload, time: number): number {
  if (peak && time <= peak.seconds) return peak.multiple;
  return Math.min(multiple, Math.sqrt(1 + (seconds * (multiple ** 2 - 1)) / time));
}

/** What asks for more than the running current, against what the drive bears for that long. */
export interface Asked {
  readonly name: string;
  /** A, and s. */
  readonly current: number;
  readonly time: number;
  /** Of what the drive bears for that time; undefined without a drive. */
  readonly used: number | undefined;
  /** s that the drive bears it. */
  readonly borne: number | undefined;
}

/** What the drive is rated for at either duty, and what each circumstance leaves; undefined without a drive. */
export interface Rated {
  readonly duty: 'normal' | 'heavy';
  readonly taken: boolean;
  readonly derates: Derates;
  /** A left of it here. */
  readonly current: number;
}

/** What takes from a drive where it stands. */
const hereOf = ({ brief, place, voltage }: DriveStageInput) => ({
  ambient: place.values.ambient.value,
  altitude: place.values.altitude.value,
  inputShare: brief.job.supply.phases === '1' ? brief.practice.singlePhaseShare.value : 1,
  systemVoltage: voltage.value,
  carrier: brief.given.drive.carrier?.value,
});

export function ratedOf(driven: DriveStageInput): Rated[] {
  const { item } = driven;
  if (!item) return [];
  const duty = driveDuty(driven);
  const here = hereOf(driven);
  return (['normal', 'heavy'] as const).map((each) => ({
    duty: each,
    taken: each === duty,
    derates: deratesOf(item, { ...here, duty: each }),
    current: deratedCurrent(item, { ...here, duty: each }),
  }));
}

/** The current for good, what the drive gives here, and what is asked of it for a short time. */
export function currentOf(
  driven: DriveStageInput,
  report: Report,
): { readonly values: Partial<DriveValues>; readonly asked: readonly Asked[] } {
  const { brief, motor, motors, pick, item } = driven;
  const motorCurrent = pick.values.motorCurrent;
  const overload = item && overloadOf(item, driveDuty(driven));
  const available = pick.values.driveCurrent;
  const asked = eventsOf(motor, driven).map(({ name, current, time }): Asked => {
    const multiple = overload && bearableMultiple(overload, time);
    const share = available && current / available.value;
    return {
      name,
      current,
      time,
      used: share === undefined || multiple === undefined ? undefined : share / multiple,
      borne: overload && share !== undefined ? overloadDuration(overload, share) : undefined,
    };
  });
  const hardest = asked.reduce<Asked | undefined>(
    (most, each) => ((each.used ?? 0) > (most?.used ?? 0) ? each : most),
    undefined,
  );
  checkCurrent(driven, report);
  return {
    asked,
    values: {
      requiredCurrent: quantity(currentNeeded(motor, driven), 'current', {
        formula: motors > 1 ? `I = ${SEVERAL}\\,n\\,I_n` : 'I \\ge I_n',
        from: { I_n: motorCurrent, n: brief.given.drive.motors },
        source:
          motors > 1 ? PRACTICE : 'Nameplate current at the connected voltage; rows above base speed ask for more',
        note: `Holds for ${motor.label}.`,
      }),
      ...(available ? { availableCurrent: available } : {}),
      ...(hardest?.used !== undefined && available
        ? {
            overloadUsed: quantity(hardest.used, 'fraction', {
              formula: '\\max_i \\dfrac{I_i}{I_d\\,m(t_i)}',
              from: { I_d: available },
              source: `Overload curve of the drive; between its points t = t₁(m₁² − 1)/(m² − 1), ${PRACTICE}`,
              note: `Hardest: ${hardest.name}.`,
            }),
          }
        : {}),
    },
  };
}

/** m above which insulation and earthing of a drive are to be asked about. From memory. */
const HIGH = 2000;
/** K by which the air in a closed cabinet is warmer than the room where nothing of it is known. Common practice, no published source. */
const CLOSED = 10;

/** Where the drive stands: high above the sea, or in a cabinet of which nothing is known. */
function checkPlace(driven: DriveStageInput, report: Report): void {
  const { brief, motor, place, item } = driven;
  const { altitude, ambient, cabinetInside } = place.values;
  if (altitude.value > HIGH)
    report(
      'drive.high',
      say`At ${altitude} the reduced insulation excludes many drives, or limits them to star-earthed supplies.`,
    );
  if (!item || !brief.job.place.cabinet || cabinetInside) return;
  const here = hereOf(driven);
  const left = deratedCurrent(item, { ...here, ambient: ambient.value + CLOSED, duty: driveDuty(driven) });
  const needed = currentNeeded(motor, driven);
  if (left >= needed * 0.9999) return;
  const amperes = (current: number): Text => amount(current, 'current');
  report(
    'drive.cabinet-air',
    say`The cabinet temperature is unknown: at about ${CLOSED} K above the room, ${item.name} carries ${amperes(left)}, required ${amperes(needed)}.`,
  );
}

function checkCurrent(driven: DriveStageInput, report: Report): void {
  const { brief, motor, motors } = driven;
  checkPlace(driven, report);
  if (motors > 1)
    report(
      'drive.several-motors',
      `${motors} motors share one drive: it is sized for ${SEVERAL} times their total current and cannot protect each of them.`,
    );
  if (brief.job.supply.phases === '1' && motor.power > SINGLE_PHASE_MOST)
    report('drive.single-phase-large', 'Drives of this size are not made for a single-phase supply.');
}
