export { solve, solutionSchema, ENGINE, type Solution, type Details, type StageState } from './solve/solve.ts';
export { jobSchema, emptyJob, issuesOf, type Job, type JobInput, type Issue } from './job/job.ts';
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
