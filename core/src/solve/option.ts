import type { Text } from '../kernel/text.ts';
import type { Catalogue } from '../catalogue/catalogue.ts';
import type { Finding } from '../kernel/finding.ts';
import type { StageName } from '../kernel/stage-list.ts';
import { readOption, type FieldEcho } from '../job/inputs.ts';
import { viewOf, type Proposal } from '../job/job.ts';
import { documentPath, type Option } from '../job/options.ts';
import { type Letter } from '../job/document-paths.ts';
import type { Motor } from '../motor/typical.ts';
import { drive, type DriveResult } from '../stages/drive/drive.ts';
import { filterLoss } from '../stages/drive/motor-cable.ts';
import { handover, type HandoverResult } from '../stages/documents/documents.ts';
import { referenceMotor } from '../stages/load/reference-motor.ts';
import { money, type MoneyResult } from '../stages/economics/economics.ts';
import { pick, withStarter, type PickResult } from '../stages/selection/selection.ts';
import { withOptionEnergy, type RunsBy } from '../stages/operating-profile/option-energy.ts';
import { profileOn } from '../stages/operating-profile/operating-profile.ts';
import type { ProfileResult } from '../stages/operating-profile/profile-result.ts';
import { protection, type ProtectionResult } from '../stages/protection/protection.ts';
import { isAsked } from '../stages/task/requested.ts';
import type { Missing, OptionContext, StageResult } from '../stages/stage.ts';
import type { DriveLimits, Method } from '../stages/starting/starting-mode.ts';
import { startingOn, type StartingResult } from '../stages/starting/starting.ts';
import type { Shared } from './shared.ts';

/** An option to be solved: of the document, or proposed. */
export interface Asked {
  readonly letter: Letter;
  readonly own: Option;
  readonly proposed?: { readonly kind: Proposal; readonly name: string; readonly why: Text };
}

/** Stages every option has for itself. */
export interface OptionResults {
  readonly profile: ProfileResult;
  readonly starting: StartingResult;
  readonly pick: PickResult;
  readonly drive: DriveResult;
  readonly protection: ProtectionResult;
  readonly money: MoneyResult;
  readonly handover: HandoverResult;
}

export interface SolvedOption extends Asked {
  readonly brief: OptionContext;
  /** What it runs by; undefined until there is a motor. */
  readonly runs: RunsBy | undefined;
  readonly fields: Readonly<Record<string, FieldEcho>>;
  readonly results: OptionResults;
  /** Of this option alone; places are those of the document. */
  readonly findings: readonly Finding[];
  readonly missing: readonly Missing[];
}

/**
 * The stages of one option, in the trade’s order. Profile and starting run on the reference motor until one is picked, and
 * again on the picked one; if that starts differently, the pick is made once more, and a drive that was not there before
 * is what the start is judged by.
 */
export function solveOption(asked: Asked, shared: Shared, catalogue: Catalogue): SolvedOption {
  const { letter, own } = asked;
  const { job, results: from, rules } = shared;
  const { nameplate, load, supply } = from;
  const inputs = readOption(shared.inputs, own, letter, job.school);
  const brief: OptionContext = {
    job: viewOf(job, own),
    given: inputs.given,
    rows: inputs.rows,
    practice: rules.practice,
  };
  const reference = referenceMotor(job, nameplate, load, supply.values.motorVoltage?.value);
  const atFirst = profileOn({ motor: reference, brief, nameplate, load });
  const start = (motor: Motor | undefined, profile: ProfileResult, drive?: DriveLimits): StartingResult =>
    startingOn({ motor, brief, load, supply, profile, drive });
  const pickFor = (method: Method | undefined): PickResult =>
    pick({ brief, catalogue, ...from, profile: atFirst, method });

  const supposed = startingOn({ motor: reference, brief, load, supply, profile: atFirst, extent: 'method only' });
  const first = pickFor(supposed.method);
  const { motor } = first;
  const profile = motor ? profileOn({ motor, brief, nameplate, load }) : atFirst;
  const firstStart = start(motor ?? reference, profile, first.driveLimits);
  const again = firstStart.method !== supposed.method;
  const method = again ? firstStart.method : supposed.method;
  const tried = again ? pickFor(method) : first;
  const starting = again && tried.driveLimits ? start(motor ?? reference, profile, tried.driveLimits) : firstStart;
  const picked = withStarter(tried, { brief, catalogue, ...from, profile, method, starting });
  const onDrive = starting.method === 'drive';
  const runs = motor ?? reference;
  const driven = drive({ brief, catalogue, ...from, profile, starting, pick: picked });
  const by = runs && {
    brief,
    motor: runs,
    nameplate,
    load,
    onDrive,
    filterLoss: filterLoss(driven.filter),
    ...saidOf(picked, runs),
  };
  const used = by ? withOptionEnergy(profile, by) : profile;
  const on = { brief, catalogue, nameplate, load, supply, profile: used, starting, pick: picked, drive: driven };
  const results = {
    profile: used,
    starting,
    pick: picked,
    drive: driven,
    protection: protection(on),
    money: money(on),
  };
  return { ...asked, brief, runs: by, fields: inputs.fields, ...concluded(asked, shared, results, inputs.findings) };
}

/** What the catalogue says of the losses of the picked drive. */
function saidOf({ chosenDrive }: PickResult, motor: Motor): Pick<RunsBy, 'stated' | 'standby'> {
  if (!chosenDrive) return {};
  const { losses, normalCurrent, standbyPower } = chosenDrive.item;
  return {
    stated: losses && { points: losses, share: motor.current / normalCurrent },
    standby: standbyPower,
  };
}

type Before = Omit<OptionResults, 'handover'>;

/** What is found and missing in an option, and whether it can be handed over. */
function concluded(
  { letter }: Asked,
  { job, results: from, findings: before }: Shared,
  results: Before,
  unreadable: readonly Finding[],
): Pick<SolvedOption, 'results' | 'findings' | 'missing'> {
  const counts = ({ stage }: { readonly stage: string }): boolean => isAsked(job, stage as StageName);
  const own = <Each extends Finding | Missing>(each: Each): Each => ({
    ...each,
    option: letter,
    ...(each.field === undefined ? {} : { field: documentPath(each.field, letter) }),
  });
  const stages = Object.values(results);
  const findings = [...unreadable, ...stages.flatMap((result) => result.findings)].filter(counts).map(own);
  const shared = Object.values<StageResult<object>>({ ...from }).flatMap((result) => result.missing);
  const open = distinct([...shared, ...stages.flatMap((result) => result.missing.map(own))]).filter(counts);
  return {
    results: { ...results, handover: handover(results.pick, [...before.filter(counts), ...findings], open) },
    findings,
    missing: open,
  };
}

/** One field is asked for once, by the first stage that needs it. */
function distinct(missing: readonly Missing[]): Missing[] {
  const needed = new Set(missing.filter(({ kind }) => kind === 'needed').map(({ field }) => field));
  const seen = new Set<string>();
  return missing.filter(
    ({ field, kind }) => (kind === 'needed' || !needed.has(field)) && !seen.has(field) && seen.add(field),
  );
}
