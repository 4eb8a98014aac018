import type { Finding } from '../kernel/finding.ts';
import { readInputs, type Inputs } from '../job/inputs.ts';
import type { Job } from '../job/job.ts';
import { readPractice, type PracticeRead } from '../job/design-rules.ts';
import { load } from '../stages/load/load.ts';
import type { LoadResult } from '../stages/load/load-result.ts';
import { nameplate, type NameplateResult } from '../stages/nameplate/nameplate.ts';
import { place, type PlaceResult } from '../stages/environment/environment.ts';
import { situation, type SituationResult } from '../stages/task/task.ts';
import type { StageContext } from '../stages/stage.ts';
import { supply, type SupplyResult } from '../stages/supply/supply.ts';

/** Stages that all options share. */
export interface SharedResults {
  readonly situation: SituationResult;
  readonly nameplate: NameplateResult;
  readonly load: LoadResult;
  readonly supply: SupplyResult;
  readonly place: PlaceResult;
}

/** What all options share, solved once. */
export interface Shared {
  readonly job: Job;
  readonly inputs: Inputs;
  readonly brief: StageContext;
  readonly rules: PracticeRead;
  readonly results: SharedResults;
  readonly findings: readonly Finding[];
}

/** The stages all options share, in the trade’s order. */
export function solveShared(job: Job): Shared {
  const inputs = readInputs(job);
  const rules = readPractice(inputs.given.practice, inputs.given.sitePractice);
  const brief: StageContext = { job, given: inputs.given, rows: inputs.rows, practice: rules.practice };
  const plate = nameplate(brief);
  const told = situation(brief, plate);
  const needs = load(brief, plate);
  const results = {
    situation: told,
    nameplate: plate,
    load: needs,
    supply: supply(brief, plate, needs),
    place: place(brief, plate, needs),
  };
  const findings = [...inputs.findings, ...Object.values(results).flatMap((result) => result.findings)];
  return { job, inputs, brief, rules, results, findings };
}
