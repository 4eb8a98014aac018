export { solve, solutionSchema, ENGINE, type Solution, type Details, type StageState } from './solve.ts';
export { jobSchema, emptyJob, issuesOf, type Job, type JobInput, type Issue } from './job.ts';
export {
  catalogueSchema,
  emptyCatalogue,
  type Catalogue,
  type DriveItem,
  type MotorItem,
  type StarterPart,
} from './catalogue.ts';
export type { AnyValue, Missing } from './stage.ts';
export { stageNames, type StageName } from './stage-names.ts';
export type { Finding } from './finding.ts';
export type { TrainBlock } from './train.ts';
export { jobJsonSchema, machineJsonSchema, solutionJsonSchema } from './json-schema.ts';
