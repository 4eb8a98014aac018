import { stageList, type StageName } from '@pilgrim/core/kernel/stage-list';
import type { Component } from 'svelte';
import type { JobStore } from '$lib/job/job-store.svelte';
import type { Sheet } from '$lib/job/sheets';

export interface ViewProps {
  readonly store: JobStore;
  /** Address of the job. */
  readonly base: string;
  readonly sheet: Sheet;
}

/** A sheet without a field that stands elsewhere on the stage. */
export const without = (sheet: Sheet, path: string): Sheet => ({
  ...sheet,
  fields: sheet.fields.filter((field) => field.path !== path),
});

/** How each stage is shown. Fetched with the stage, so that a first visit loads only one. */
const views = import.meta.glob<{ default: Component<ViewProps> }>('./*/*View.svelte');

/** The view in a stage’s folder. */
export const viewOfStage = (stage: StageName): Promise<{ default: Component<ViewProps> }> => {
  const { folder } = stageList.find(({ name }) => name === stage) ?? { folder: '' };
  const [, load] = Object.entries(views).find(([path]) => path.startsWith(`./${folder}/`)) ?? [];
  if (!load) throw new Error(`No stage is called ${stage}.`);
  return load();
};
