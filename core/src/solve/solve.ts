import { textOf, type Text } from '../kernel/text.ts';
import type { Catalogue } from '../catalogue/catalogue.ts';
import { bySeverity, type Finding } from '../kernel/finding.ts';
import { optionStages, stageNames, type StageName } from '../kernel/stage-list.ts';
import { typedOptions, type Job } from '../job/job.ts';
import { letters } from '../job/document-paths.ts';
import { comparePoles } from '../stages/load/pole-comparison.ts';
import { late, lazy } from '../kernel/memoize.ts';
import type { LoadResult } from '../stages/load/load-result.ts';
import { decodeFrame } from '../stages/nameplate/frame.ts';
import { misfitsOf, outlineOf, type Outlines } from '../stages/nameplate/outline.ts';
import { sideBySide } from '../stages/protection/standards-comparison.ts';
import { methods } from '../stages/starting/starting-mode.ts';
import type { NameplateResult } from '../stages/nameplate/nameplate.ts';
import { studyPeriod } from '../stages/economics/study-period.ts';
import { exchangeRate } from '../stages/selection/exchange.ts';
import type { PickResult } from '../stages/selection/selection.ts';
import { isAsked } from '../stages/task/requested.ts';
import type { AnyValue, Missing } from '../stages/stage.ts';
import { compareOptions, type OptionComparison } from './compare-options.ts';
import { solveOption, type OptionResults, type SolvedOption } from './option.ts';
import { propose, startName } from './propose.ts';
import { solveShared, type Shared } from './shared.ts';
import type { Details } from './details.ts';
import { readoutsOf } from './readouts.ts';
import { present, type AnyShownValue } from '../present/present.ts';
import { WITH_WORKING } from './page.ts';
import type { StandardsSystem } from '../kernel/quantity/units.ts';
import { ENGINE, type Answer, type OptionAnswer, type Solution, type StageState, type Stages } from './solution.ts';
import { idsOf, otherIds, starterIds } from './published.ts';
import { powerTrain } from './train.ts';

/**
 * Solves a job: pure, total, in the trade’s order. What all options share is solved once, then each option of the
 * document, then what Pilgrim proposes beside them. Missing or unreadable input gives a partial result that says what
 * is missing; only a programming error throws.
 */
export const answer = (job: Job, catalogue: Catalogue): Answer => solving(job, catalogue).solution;

/** The same in words, in the units of the job’s system or another. */
export const solve = (job: Job, catalogue: Catalogue, units: StandardsSystem = job.school): Solution =>
  present(answer(job, catalogue), { units });

/** A solution whose figures come without their workings, but for the reason of the start; `explain` gives one whole. */
export function solveForScreen(
  job: Job,
  catalogue: Catalogue,
  units: StandardsSystem,
): { readonly solution: Solution; readonly explain: (id: string) => AnyShownValue | undefined } {
  const { details, ...told } = answer(job, catalogue);
  const explain = (id: string): AnyShownValue | undefined => {
    const value = told.values[id];
    return value && present(value, { units });
  };
  const bare = present(told, { units, bare: true });
  const method = explain(WITH_WORKING);
  const values = method ? { ...bare.values, [WITH_WORKING]: method } : bare.values;
  return { solution: { ...bare, values, details: present(details, { units }) }, explain };
}

/** The same with the circuit by the rules of the other school too, under `other.`: for files, interface and command line. */
export function solveByBoth(job: Job, catalogue: Catalogue, units: StandardsSystem = job.school): Solution {
  const { solution, chosen } = solving(job, catalogue);
  return present({ ...solution, values: { ...solution.values, ...otherSchoolOf(chosen) } }, { units });
}

function solving(job: Job, catalogue: Catalogue): { readonly solution: Answer; readonly chosen: SolvedOption } {
  const { shared, typed, solved } = solveOptions(job, catalogue);
  const chosen = typed.find(({ letter }) => letter === job.chosen) ?? typed[0];
  if (!chosen) throw new Error('a job has at least one option');
  const published = solved.map((option) => ({ option, solution: publish(option, shared) }));
  const own = published.find(({ option }) => option === chosen)?.solution;
  const findings = findingsOf(chosen, shared);
  const comparison = compareOptions(
    published.map(({ option: { letter }, solution }) => ({ letter, ...solution })),
    job.school,
    studyPeriod(shared.brief),
  );
  const missing = [...chosen.missing, ...whyNotBest(job, chosen, comparison)];
  const values = Object.assign(flatten(shared.results), own?.values);
  const solution: Answer = {
    engine: ENGINE,
    catalogue: catalogue.name,
    chosen: chosen.letter,
    values,
    findings,
    missing,
    fields: Object.assign({}, shared.inputs.fields, ...typed.map(({ fields }) => fields)) as Answer['fields'],
    stages: stagesOf({ ...chosen, missing }, shared, findings),
    train: own?.train ?? [],
    options: Object.fromEntries(published.map(({ option, solution }) => [option.letter, solution])),
    comparison,
    details: detailsOf(chosen, shared, catalogue, values),
  };
  return { solution, chosen };
}

/** Taking another than the one that clearly costs least over the years asks for one sentence why. */
function whyNotBest(job: Job, { letter, results }: SolvedOption, { best }: OptionComparison): Missing[] {
  if (best?.by !== 'money.lifeCost' || best.option === letter || best.near.includes(letter)) return [];
  if (job.handover.why?.trim() || !results.money.values.lifeCost) return [];
  const message = `One sentence why ${letter} is taken and not ${best.option}, which costs clearly less over the years; it stands on the sheet`;
  return [{ field: 'handover.why', stage: 'handover', message, kind: 'needed' }];
}

/** What all options share, those of the document, and those with the proposed ones in the order of their letters. */
export function solveOptions(
  job: Job,
  catalogue: Catalogue,
): { readonly shared: Shared; readonly typed: readonly SolvedOption[]; readonly solved: readonly SolvedOption[] } {
  const shared = solveShared(job);
  const typed = typedOptions(job).flatMap((letter) => {
    const own = job.options[letter];
    return own ? [solveOption({ letter, own }, shared, catalogue)] : [];
  });
  const proposed = propose(job, typed).map((idea) => solveOption(idea, shared, catalogue));
  const solved = [...typed, ...proposed].toSorted((a, b) => letters.indexOf(a.letter) - letters.indexOf(b.letter));
  return { shared, typed, solved };
}

/** What an option is called. */
export const nameOf = ({ own, results }: SolvedOption): string =>
  own.name || (results.starting.method ? startName(results.starting.method) : 'Not decided');

export const isStopped = (option: SolvedOption, shared: Shared): boolean =>
  findingsOf(option, shared).some(({ severity }) => severity === 'stop');

const findingsOf = (option: SolvedOption, { job, findings }: Shared): Finding[] =>
  bySeverity([...findings.filter(({ stage }) => isAsked(job, stage as StageName)), ...option.findings]);

/** The circuit of the chosen option by the rules of the other school, under `other.`. */
function otherSchoolOf({ results: { protection } }: SolvedOption): Record<string, AnyValue> {
  const other: Record<string, AnyValue> = {};
  put(other, protection.other(), otherIds);
  return other;
}

/** What an option has for itself. */
function publish(option: SolvedOption, shared: Shared): OptionAnswer {
  const { own, proposed, results } = option;
  const findings = findingsOf(option, shared);
  const stages = stagesOf(option, shared, findings);
  const decided = results.handover.summary !== '';
  return {
    name: nameOf(option),
    ...(proposed ? { proposed: proposed.kind, says: own } : {}),
    why: proposed?.why ?? '',
    summary: textOf(results.handover.values.decision),
    stopped: isStopped(option, shared),
    decided,
    values: flatten(results),
    findings: bySeverity(option.findings),
    missing: option.missing.filter(({ option: letter }) => letter !== undefined),
    stages: Object.fromEntries([...optionStages, 'handover' as const].map((name) => [name, stages[name]])),
    train: powerTrain(option.brief.job, { ...shared.results, ...results }, findings),
  };
}

function stagesOf(option: SolvedOption, { job, results }: Shared, findings: readonly Finding[]): Stages {
  const all: Readonly<Record<StageName, { readonly summary: Text }>> = { ...results, ...option.results };
  const stateAt = (name: StageName): StageState =>
    isAsked(job, name) && (name !== 'drive' || option.results.drive.applies)
      ? { state: stateOf(name, all[name].summary, findings, option.missing), summary: all[name].summary }
      : { state: 'not asked', summary: name === 'drive' ? 'No drive in this option' : 'Not asked here' };
  return Object.fromEntries(stageNames.map((name) => [name, stateAt(name)])) as Stages;
}

function stateOf(
  stage: StageName,
  summary: Text,
  findings: readonly Finding[],
  missing: readonly Missing[],
): StageState['state'] {
  const own = findings.filter((finding) => finding.stage === stage);
  const concerns = stage === 'handover' ? findings : own;
  if (concerns.some((finding) => finding.severity === 'stop')) return 'stop';
  if (summary === '' || missing.some((each) => each.stage === stage && each.kind === 'needed')) return 'open';
  return own.some((finding) => finding.severity === 'caution') ? 'caution' : 'done';
}

/** What only one stage draws is worked out when it is looked at first. */
function detailsOf(
  chosen: SolvedOption,
  { job, brief, rules, results }: Shared,
  catalogue: Catalogue,
  values: Answer['values'],
): Details {
  const { situation, nameplate, load, supply, place } = results;
  const { profile, starting, pick, money } = chosen.results;
  const usual = job.school === 'NEMA' ? 60 : 50;
  const frequency = supply.values.frequency?.value ?? nameplate.values.frequency?.value ?? usual;
  const rate = exchangeRate(brief, catalogue);
  const outlines = lazy(() => outlinesOf(job.school, nameplate, pick));
  const starts = lazy(() => (starting.bench ? methods.map(starting.bench.comparison) : []));
  const poles = lazy(() => comparePoles(brief, load, frequency, catalogue));
  const flow = lazy(profile.drawn);
  const device = lazy(chosen.results.protection.drawn);
  const scheme = lazy(chosen.results.protection.scheme);
  const both = lazy(() => sideBySide(chosen.results.protection.values, chosen.results.protection.other()));
  const drivePictures = lazy(chosen.results.drive.drawn);
  return late({
    readouts: readoutsOf(chosen.brief, values),
    suspicions: situation.inquiry?.suspicions ?? [],
    clues: nameplate.clues,
    requirement: pick.requirement,
    get outlines() {
      return outlines();
    },
    shafts: load.shafts,
    loadCurve: load.curve,
    duty: load.duty,
    warming: { timeConstant: rules.valueOf('thermalTime'), standstillCooling: rules.valueOf('standstillCooling') },
    sizes: load.sizes,
    get poles() {
      return poles();
    },
    torquePerAmpere: torquePerAmpere(nameplate, load),
    phasors: supply.phasors,
    enclosures: place.verdicts,
    rules: rules.used(),
    profile: profile.points,
    get flowCurves() {
      return flow().curves;
    },
    get flowPicture() {
      return flow().picture;
    },
    fullFlow: (brief.given.profile.fullFlow ?? brief.given.load.flow)?.value,
    get starting() {
      return starts();
    },
    machine: starting.machine,
    startSetting: starting.setting,
    motors: pick.motors,
    drives: pick.drives,
    starter: pick.starter,
    chosenMotor: pick.chosenMotor,
    pricing:
      rate === undefined
        ? { factor: 1, currency: catalogue.currency }
        : { factor: rate, currency: job.currency || catalogue.currency },
    chosenDrive: pick.chosenDrive,
    bill: money.bill,
    get bothSchools() {
      return both();
    },
    get shortCircuitDevice() {
      return device();
    },
    runs: chosen.results.protection.runs,
    get scheme() {
      return scheme();
    },
    get drivePictures() {
      return drivePictures();
    },
  });
}

/** Torque is taken in proportion to current (US DOE fact sheet on motor load, recalled from memory). */
function torquePerAmpere({ values: plate }: NameplateResult, { values: load }: LoadResult): number | undefined {
  if (!plate.ratedTorque || !plate.ratedCurrent || !load.ratio) return undefined;
  return (plate.ratedTorque.value / plate.ratedCurrent.value) * load.ratio.value * load.transmissionEfficiency.value;
}

function outlinesOf(school: Job['school'], { outline }: NameplateResult, { chosenMotor }: PickResult): Outlines {
  const frame = chosenMotor && decodeFrame(chosenMotor.item.frame, chosenMotor.item.school);
  const fresh = frame && outlineOf(frame, chosenMotor.item.poles);
  return { old: outline, fresh, misfits: misfitsOf(outline, fresh, school) };
}

/** The values of stages by their ids; ids are made once, since hundreds of fresh names cost more than what they name. */
function flatten(results: Shared['results'] | OptionResults): Record<string, AnyValue> {
  const flat: Record<string, AnyValue> = {};
  for (const [stage, { values }] of Object.entries<{ readonly values: Readonly<Record<string, AnyValue>> }>({
    ...results,
  })) {
    put(flat, values, idsOf[stage as StageName]);
  }
  if ('protection' in results) put(flat, results.protection.starter, starterIds);
  return flat;
}

function put(
  flat: Record<string, AnyValue>,
  values: Readonly<Record<string, AnyValue | undefined>>,
  ids: Readonly<Record<string, string | undefined>>,
): void {
  for (const name in values) {
    const id = ids[name];
    const value = values[name];
    if (id !== undefined && value) flat[id] = value;
  }
}
