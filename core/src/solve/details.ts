import type { Shown } from '../present/present.ts';
import type { Readout } from './readouts.ts';
import { stageNames, type StageName } from '../kernel/stage-list.ts';
import type { UsedRule } from '../job/design-rules.ts';
import type { Warming } from '../stages/load/duty.ts';
import type { DriveResult } from '../stages/drive/drive.ts';
import type { LoadResult } from '../stages/load/load-result.ts';
import type { PoleChoice } from '../stages/load/pole-comparison.ts';
import type { Outlines } from '../stages/nameplate/outline.ts';
import type { Clue } from '../stages/nameplate/measured-motor.ts';
import type { PickResult } from '../stages/selection/selection.ts';
import type { MotorNeed } from '../stages/selection/motor-rules.ts';
import type { MoneyResult } from '../stages/economics/economics.ts';
import type { DevicePicture } from '../stages/protection/protection.ts';
import type { Scheme } from '../stages/protection/diagram/scheme.ts';
import type { ConductorRun } from '../stages/protection/conductor-run.ts';
import type { BothAnswers } from '../stages/protection/standards-comparison.ts';
import type { PlaceResult } from '../stages/environment/environment.ts';
import type { FlowCurve, FlowPicture, ProfilePoint } from '../stages/operating-profile/profile-result.ts';
import type { Inquiry } from '../stages/task/inquiry.ts';
import type { SupplyResult } from '../stages/supply/supply.ts';
import type { Comparison } from '../stages/starting/comparison.ts';
import type { StartingResult } from '../stages/starting/starting.ts';
import type { Text } from '../kernel/text.ts';

/** What the screens draw beside the published values. */
export interface Details {
  /** Of all stages; a page brings those of its own. */
  readonly readouts: readonly Readout[];
  readonly suspicions: Inquiry['suspicions'];
  readonly clues: readonly Clue[];
  readonly outlines: Outlines;
  /** What the motor to buy must be; the register is asked for a spare by it. */
  readonly requirement: MotorNeed | undefined;
  /** The mechanical train, from the motor’s shaft to the machine’s. */
  readonly shafts: LoadResult['shafts'];
  /** Torque of the load against speed, at the motor shaft. */
  readonly loadCurve: LoadResult['curve'];
  readonly duty: LoadResult['duty'];
  /** For a cycle made from a log. */
  readonly warming: Warming;
  readonly sizes: LoadResult['sizes'];
  readonly poles: readonly PoleChoice[];
  /** N·m at the driven shaft for one ampere of the motor’s line current, for logs of current; good above half load. */
  readonly torquePerAmpere: number | undefined;
  readonly phasors: SupplyResult['phasors'];
  readonly enclosures: PlaceResult['verdicts'];
  readonly rules: readonly UsedRule[];
  readonly profile: readonly ProfilePoint[];
  /** Input over flow for every way of control. */
  readonly flowCurves: readonly FlowCurve[];
  readonly flowPicture: FlowPicture | undefined;
  /** m³/s that count as 100 %. */
  readonly fullFlow: number | undefined;
  readonly starting: readonly Comparison[];
  /** The motor as a circuit with what the fit reached, and what a start of it depends on. */
  readonly machine: StartingResult['machine'];
  readonly startSetting: StartingResult['setting'];
  readonly motors: PickResult['motors'];
  readonly drives: PickResult['drives'];
  readonly starter: PickResult['starter'];
  readonly chosenMotor: PickResult['chosenMotor'];
  /** How the catalogue’s prices are shown: in the job’s currency where a rate is known, else in their own. */
  readonly pricing: { readonly factor: number; readonly currency: string };
  readonly chosenDrive: PickResult['chosenDrive'];
  readonly bill: MoneyResult['bill'];
  /** The circuit as both schools answer it. */
  readonly bothSchools: readonly BothAnswers[];
  readonly shortCircuitDevice: DevicePicture | undefined;
  /** The wires of the circuit, with what asks for their sizes. */
  readonly runs: readonly ConductorRun[];
  /** What power and control circuit are drawn from. */
  readonly scheme: Scheme<Text> | undefined;
  /** What the drive carries, reaches, sends back and is set to. */
  readonly drivePictures: ReturnType<DriveResult['drawn']>;
}

/** The stages whose screens show a detail first; none where only a solve brings it. */
export const shownAt: Readonly<Record<keyof Details, readonly StageName[]>> = {
  readouts: stageNames,
  suspicions: ['situation'],
  clues: ['nameplate'],
  outlines: ['nameplate', 'pick'],
  requirement: ['pick'],
  shafts: ['load'],
  loadCurve: ['load', 'starting'],
  duty: ['load'],
  warming: stageNames,
  sizes: ['load'],
  poles: ['load'],
  torquePerAmpere: ['load'],
  phasors: ['supply'],
  enclosures: ['place'],
  rules: ['handover'],
  profile: ['profile', 'drive'],
  flowCurves: ['profile'],
  flowPicture: ['profile'],
  fullFlow: ['profile'],
  starting: ['starting', 'protection'],
  machine: [],
  startSetting: [],
  motors: ['pick'],
  drives: ['pick'],
  starter: ['pick'],
  chosenMotor: ['pick'],
  pricing: stageNames,
  chosenDrive: ['pick'],
  bill: ['money'],
  bothSchools: ['protection'],
  shortCircuitDevice: ['protection'],
  runs: ['protection'],
  scheme: ['protection', 'handover'],
  drivePictures: ['drive', 'handover'],
};

/** What stands in for the details of other stages until a solve brings them. */
export const noDetails: Omit<Details, 'warming' | 'pricing' | 'readouts'> = {
  suspicions: [],
  clues: [],
  outlines: { old: undefined, fresh: undefined, misfits: [] },
  requirement: undefined,
  shafts: [],
  loadCurve: undefined,
  duty: undefined,
  sizes: [],
  poles: [],
  torquePerAmpere: undefined,
  phasors: [],
  enclosures: [],
  rules: [],
  profile: [],
  flowCurves: [],
  flowPicture: undefined,
  fullFlow: undefined,
  starting: [],
  machine: undefined,
  startSetting: undefined,
  motors: undefined,
  drives: undefined,
  starter: undefined,
  chosenMotor: undefined,
  chosenDrive: undefined,
  bill: [],
  bothSchools: [],
  shortCircuitDevice: undefined,
  runs: [],
  scheme: undefined,
  drivePictures: undefined,
};

/** Pictures of one stage each; they are worked out when they are asked for first. */
const late = [
  'outlines',
  'poles',
  'flowCurves',
  'flowPicture',
  'starting',
  'motors',
  'drives',
  'bothSchools',
  'shortCircuitDevice',
  'scheme',
  'drivePictures',
] as const satisfies (keyof Details)[];
const later = (stage: StageName): readonly (typeof late)[number][] =>
  late.filter((name) => !shownAt[name].includes(stage));

/** Those that are wanted; the others are not even worked out. */
export const pickDetails = (
  details: Shown<Details>,
  wanted: (name: keyof Details) => boolean,
): Partial<Shown<Details>> =>
  Object.fromEntries((Object.keys(shownAt) as (keyof Details)[]).filter(wanted).map((name) => [name, details[name]]));

/** All that somebody who looks at a stage sees at once; pictures of other stages are left to `detailsAfter`. */
export function detailsAt(stage: StageName, details: Shown<Details>): Shown<Details> {
  const left: readonly (keyof Details)[] = later(stage);
  return { ...noDetails, ...pickDetails(details, (name) => !left.includes(name)) } as Shown<Details>;
}

export function detailsAfter(stage: StageName, details: Shown<Details>): Partial<Shown<Details>> {
  const left: readonly (keyof Details)[] = later(stage);
  return pickDetails(details, (name) => left.includes(name));
}
