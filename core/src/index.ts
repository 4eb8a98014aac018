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
export type { Letter } from './job/places.ts';
export {
  catalogueSchema,
  emptyCatalogue,
  type Catalogue,
  type DriveItem,
  type MotorItem,
  type StarterPart,
} from './catalogue/catalogue.ts';
export type { AnyValue, Missing } from './stages/stage.ts';
export { stageNames, type StageName } from './ground/stage-names.ts';
export type { Finding } from './ground/finding.ts';
export type { TrainBlock } from './solve/train.ts';
export { jobJsonSchema, machineJsonSchema, solutionJsonSchema } from './commands/json-schema.ts';
