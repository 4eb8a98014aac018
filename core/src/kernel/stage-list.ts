/**
 * The stages in the trade’s own order; a stage may look back, never forward. `name` is what documents and ids call it, and never
 * changes; `folder` is where it stands in core and web. `scope`: solved once for the job, once for each option, or at the end.
 */
export const stageList = [
  { name: 'situation', folder: 'task', title: 'Task', scope: 'shared' },
  { name: 'nameplate', folder: 'nameplate', title: 'Nameplate', scope: 'shared' },
  { name: 'load', folder: 'load', title: 'Load', scope: 'shared' },
  { name: 'supply', folder: 'supply', title: 'Supply', scope: 'shared' },
  { name: 'place', folder: 'environment', title: 'Environment', scope: 'shared' },
  { name: 'profile', folder: 'operating-profile', title: 'Speed profile', scope: 'option' },
  { name: 'starting', folder: 'starting', title: 'Starting', scope: 'option' },
  { name: 'pick', folder: 'selection', title: 'Selection', scope: 'option' },
  { name: 'drive', folder: 'drive', title: 'Drive', scope: 'option' },
  { name: 'protection', folder: 'protection', title: 'Protection & wiring', scope: 'option' },
  { name: 'money', folder: 'economics', title: 'Economics', scope: 'option' },
  { name: 'handover', folder: 'documents', title: 'Documents', scope: 'job' },
] as const;

type Listed = (typeof stageList)[number];
export type StageName = Listed['name'];
/** Stages of which every option of a job has a part of its own. */
export type OptionStage = Extract<Listed, { scope: 'option' }>['name'];

export const stageNames: readonly StageName[] = stageList.map(({ name }) => name);
export const optionStages = stageList.flatMap(({ name, scope }) => (scope === 'option' ? [name] : []));

export const stageTitles = Object.fromEntries(stageList.map(({ name, title }) => [name, title])) as Readonly<
  Record<StageName, string>
>;
