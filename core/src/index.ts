export { solve, solveByBoth } from './solve/solve.ts';
export { solutionSchema, ENGINE, type Solution, type OptionSolution, type StageState } from './solve/solution.ts';
export type { Details } from './solve/details.ts';
export {
  jobSchema,
  documentSchema,
  emptyJob,
  issuesOf,
  viewOf,
  type Job,
  type JobInput,
  type JobView,
  type Issue,
} from './job/job.ts';
export { ownNames, type Option } from './job/options.ts';
export type { Letter } from './job/document-paths.ts';
export {
  catalogueSchema,
  emptyCatalogue,
  type Catalogue,
  type DriveItem,
  type MotorItem,
  type StarterPart,
} from './catalogue/catalogue.ts';
import type { Shown } from './present/present.ts';
import type { Finding as FoundFinding } from './kernel/finding.ts';
import type { Missing as FoundMissing } from './stages/stage.ts';
import type { TrainBlock as FoundTrainBlock } from './solve/train.ts';
export type { AnyShownValue as AnyValue, Shown } from './present/present.ts';
export type Missing = Shown<FoundMissing>;
export { stageNames, type StageName } from './kernel/stage-list.ts';
export type Finding = Shown<FoundFinding>;
export type TrainBlock = Shown<FoundTrainBlock>;
export { jobJsonSchema, machineJsonSchema, solutionJsonSchema } from './commands/json-schema.ts';
