import { z } from 'zod';
import type { Catalogue } from '../catalogue/catalogue.ts';
import { bySeverity, findingSchema, type Finding } from '../ground/finding.ts';
import { handover } from '../stages/handover/handover.ts';
import { readInputs, type FieldEcho } from '../job/inputs.ts';
import type { Job } from '../job/job.ts';
import type { Warming } from '../stages/load/duty.ts';
import { load, type LoadResult } from '../stages/load/load.ts';
import { comparePoles, type PoleChoice } from '../stages/load/pole-comparison.ts';
import { money } from '../stages/money/money.ts';
import { decodeFrame } from '../stages/nameplate/frame.ts';
import { nameplate, type NameplateResult } from '../stages/nameplate/nameplate.ts';
import { misfitsOf, outlineOf, type Outlines } from '../stages/nameplate/outline.ts';
import type { Clue } from '../stages/nameplate/recovery.ts';
import { pick, type PickResult } from '../stages/pick/pick.ts';
import { exchangeRate } from '../stages/pick/exchange.ts';
import type { MotorNeed } from '../stages/pick/motor-rules.ts';
import { place, type PlaceResult } from '../stages/place/place.ts';
import { readPractice, type UsedRule } from '../job/practice.ts';
import { profile, profileOn, type ProfilePoint } from '../stages/profile/profile.ts';
import { protection } from '../stages/protection/protection.ts';
import { isAsked } from '../stages/situation/asked.ts';
import type { Inquiry } from '../stages/situation/inquiry.ts';
import { situation } from '../stages/situation/situation.ts';
import { missingSchema, type AnyValue, type Brief, type Missing } from '../stages/stage.ts';
import { stageNames, type StageName } from '../ground/stage-names.ts';
import { referenceMotor } from '../stages/load/reference-motor.ts';
import type { Method } from '../stages/starting/feeds.ts';
import type { Comparison } from '../stages/starting/comparison.ts';
import { methodOnReference, startingOn, type StartingResult } from '../stages/starting/starting.ts';
import { supply } from '../stages/supply/supply.ts';
import { powerTrain, trainBlockSchema, type TrainBlock } from './train.ts';
import { valueSchema } from '../ground/value.ts';

/** Raised with every change that can alter a result; kept with every saved revision. */
export const ENGINE = 'pilgrim 0.8.0';

export const stageStateSchema = z.object({
  state: z.enum(['done', 'open', 'caution', 'stop', 'not asked']),
  summary: z.string(),
});
export type StageState = Readonly<z.infer<typeof stageStateSchema>>;

/** The published part of a solution. `fields`, `stages`, `train` and `details` serve the screens and may grow. */
export const solutionSchema = z.object({
  engine: z.string(),
  catalogue: z.string().describe('Name of the catalogue it was solved with'),
  values: z.record(z.string().describe('<stage>.<name>'), valueSchema),
  findings: z.array(findingSchema),
  missing: z.array(missingSchema),
  fields: z.record(
    z.string(),
    z.object({ read: z.string(), other: z.string().optional(), error: z.string().optional() }),
  ),
  stages: z.record(z.enum(stageNames), stageStateSchema),
  train: z.array(trainBlockSchema),
  details: z.record(z.string(), z.unknown()),
});

export interface Details {
  readonly suspicions: Inquiry['suspicions'];
  readonly clues: readonly Clue[];
  readonly outlines: Outlines;
  /** What the motor to buy must be; the register is asked for a spare by it. */
  readonly need: MotorNeed | undefined;
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
  readonly enclosures: PlaceResult['verdicts'];
  readonly rules: readonly UsedRule[];
  readonly profile: readonly ProfilePoint[];
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
}

export interface Solution {
  readonly engine: string;
  readonly catalogue: string;
  readonly values: Readonly<Record<string, AnyValue>>;
  readonly findings: readonly Finding[];
  readonly missing: readonly Missing[];
  readonly fields: Readonly<Record<string, FieldEcho>>;
  readonly stages: Readonly<Record<StageName, StageState>>;
  readonly train: readonly TrainBlock[];
  readonly details: Details;
}

/**
 * Solves a job: pure, total, in the trade’s order. Missing or unreadable input gives a partial result that says what
 * is missing; only a programming error throws. Profile, starting and money are run again on the picked motor.
 */
export function solve(job: Job, catalogue: Catalogue): Solution {
  const inputs = readInputs(job);
  const rules = readPractice(inputs.given.practice, inputs.given.sitePractice, job.school);
  const brief: Brief = {
    job,
    given: inputs.given,
    rows: inputs.rows,
    practice: rules.practice,
  };

  const nameplateResult = nameplate(brief);
  const situationResult = situation(brief, nameplateResult);
  const loadResult = load(brief, nameplateResult);
  const supplyResult = supply(brief, nameplateResult, loadResult);
  const placeResult = place(brief, nameplateResult, loadResult);
  const referenceProfile = profile(brief, nameplateResult, loadResult, supplyResult);
  const referenceMethod = methodOnReference(brief, nameplateResult, loadResult, supplyResult, referenceProfile);
  const pickFor = (method: Method | undefined) =>
    pick(
      brief,
      catalogue,
      situationResult,
      nameplateResult,
      loadResult,
      supplyResult,
      placeResult,
      referenceProfile,
      method,
    );

  const firstPick = pickFor(referenceMethod);
  const { motor } = firstPick;
  const profileResult = motor ? profileOn(motor, brief, nameplateResult, loadResult) : referenceProfile;
  const startOn = (drive: PickResult['driveLimits']) =>
    startingOn({
      motor: motor ?? referenceMotor(job, nameplateResult, loadResult, supplyResult.values.motorVoltage?.value),
      brief,
      load: loadResult,
      supply: supplyResult,
      profile: profileResult,
      drive,
    });
  const firstStart = startOn(firstPick.driveLimits);
  // The picked motor may start differently from the reference motor; then its starter or drive is picked again, and a
  // drive that was not there before is what the start is judged by.
  const again = firstStart.method !== referenceMethod;
  const pickResult = again ? pickFor(firstStart.method) : firstPick;
  const startingResult = again && pickResult.driveLimits ? startOn(pickResult.driveLimits) : firstStart;
  const protectionResult = protection({
    brief,
    catalogue,
    nameplate: nameplateResult,
    supply: supplyResult,
    starting: startingResult,
    pick: pickResult,
  });
  const moneyResult = money({
    brief,
    catalogue,
    supply: supplyResult,
    profile: profileResult,
    starting: startingResult,
    pick: pickResult,
  });

  const results = {
    situation: situationResult,
    nameplate: nameplateResult,
    load: loadResult,
    supply: supplyResult,
    place: placeResult,
    profile: profileResult,
    starting: startingResult,
    pick: pickResult,
    protection: protectionResult,
    money: moneyResult,
  };
  const asked = ({ stage }: { readonly stage: string }): boolean => isAsked(job, stage as StageName);
  const earlier = [...inputs.findings, ...Object.values(results).flatMap((result) => result.findings)].filter(asked);
  const open = distinct(Object.values(results).flatMap((result) => result.missing)).filter(asked);
  const all = { ...results, handover: handover(brief, pickResult, earlier, open) };
  const findings = bySeverity([...earlier, ...all.handover.findings]);

  return {
    engine: ENGINE,
    catalogue: catalogue.name,
    values: flatten(all),
    findings,
    missing: open,
    fields: inputs.fields,
    stages: Object.fromEntries(
      stageNames.map((name) => [
        name,
        isAsked(job, name)
          ? { state: stateOf(name, all[name].summary, findings, open), summary: all[name].summary }
          : { state: 'not asked', summary: 'Not asked here' },
      ]),
    ) as Record<StageName, StageState>,
    train: powerTrain(job, results, findings),
    details: {
      suspicions: situationResult.inquiry?.suspicions ?? [],
      clues: nameplateResult.clues,
      need: pickResult.need,
      outlines: outlinesOf(job.school, nameplateResult, pickResult),
      shafts: loadResult.shafts,
      loadCurve: loadResult.curve,
      duty: loadResult.duty,
      warming: {
        timeConstant: rules.valueOf('thermalTime'),
        standstillCooling: rules.valueOf('standstillCooling'),
      },
      sizes: loadResult.sizes,
      poles: comparePoles(
        brief,
        loadResult,
        supplyResult.values.frequency?.value ??
          nameplateResult.values.frequency?.value ??
          (job.school === 'NEMA' ? 60 : 50),
        catalogue,
      ),
      torquePerAmpere: torquePerAmpere(nameplateResult, loadResult),
      enclosures: placeResult.verdicts,
      rules: rules.used(),
      profile: profileResult.points,
      starting: startingResult.comparisons,
      machine: startingResult.machine,
      startSetting: startingResult.setting,
      motors: pickResult.motors,
      drives: pickResult.drives,
      starter: pickResult.starter,
      chosenMotor: pickResult.chosenMotor,
      pricing: pricingOf(brief, catalogue),
      chosenDrive: pickResult.chosenDrive,
    },
  };
}

/** Torque is taken in proportion to current (US DOE fact sheet on motor load, recalled from memory). */
function torquePerAmpere({ values: plate }: NameplateResult, { values: load }: LoadResult): number | undefined {
  if (!plate.ratedTorque || !plate.ratedCurrent || !load.ratio) return undefined;
  return (plate.ratedTorque.value / plate.ratedCurrent.value) * load.ratio.value * load.transmissionEfficiency.value;
}

function pricingOf(brief: Brief, catalogue: Catalogue): Details['pricing'] {
  const rate = exchangeRate(brief, catalogue);
  return rate === undefined
    ? { factor: 1, currency: catalogue.currency }
    : { factor: rate, currency: brief.job.currency || catalogue.currency };
}

function outlinesOf(school: Job['school'], { outline }: NameplateResult, { chosenMotor }: PickResult): Outlines {
  const frame = chosenMotor && decodeFrame(chosenMotor.item.frame, chosenMotor.item.school);
  const fresh = frame && outlineOf(frame, chosenMotor.item.poles);
  return { old: outline, fresh, misfits: misfitsOf(outline, fresh, school) };
}

function flatten(results: Readonly<Record<string, { readonly values: object }>>): Record<string, AnyValue> {
  const flat: Record<string, AnyValue> = {};
  for (const [stage, { values }] of Object.entries(results))
    for (const [name, value] of Object.entries(values)) flat[`${stage}.${name}`] = value as AnyValue;
  return flat;
}

function stateOf(
  stage: StageName,
  summary: string,
  findings: readonly Finding[],
  missing: readonly Missing[],
): StageState['state'] {
  const own = findings.filter((finding) => finding.stage === stage);
  const concerns = stage === 'handover' ? findings : own;
  if (concerns.some((finding) => finding.severity === 'stop')) return 'stop';
  if (summary === '' || missing.some((each) => each.stage === stage && each.kind === 'needed')) return 'open';
  return own.some((finding) => finding.severity === 'caution') ? 'caution' : 'done';
}

/** One field is asked for once, by the first stage that needs it. */
function distinct(missing: readonly Missing[]): Missing[] {
  const needed = new Set(missing.filter(({ kind }) => kind === 'needed').map(({ field }) => field));
  const seen = new Set<string>();
  return missing.filter(
    ({ field, kind }) => (kind === 'needed' || !needed.has(field)) && !seen.has(field) && seen.add(field),
  );
}
