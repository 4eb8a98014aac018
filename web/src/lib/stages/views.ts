import type { StageName } from '@pilgrim/core/kernel/stage-names';
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

type View = Promise<{ default: Component<ViewProps> }>;

/** How each stage is shown. Fetched with the stage, so that a first visit loads only one. */
export const stageViews: Readonly<Record<StageName, () => View>> = {
  situation: () => import('./task/TaskView.svelte'),
  nameplate: () => import('./nameplate/NameplateView.svelte'),
  load: () => import('./load/LoadView.svelte'),
  supply: () => import('./supply/SupplyView.svelte'),
  place: () => import('./environment/EnvironmentView.svelte'),
  profile: () => import('./operating-profile/OperatingProfileView.svelte'),
  starting: () => import('./starting/StartingView.svelte'),
  pick: () => import('./selection/SelectionView.svelte'),
  drive: () => import('./drive/DriveView.svelte'),
  protection: () => import('./protection/ProtectionView.svelte'),
  money: () => import('./economics/EconomicsView.svelte'),
  handover: () => import('./documents/DocumentsView.svelte'),
};
