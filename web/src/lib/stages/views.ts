import type { StageName } from '@pilgrim/core/ground/stage-names';
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
  situation: () => import('./SituationView.svelte'),
  nameplate: () => import('./NameplateView.svelte'),
  load: () => import('./LoadView.svelte'),
  supply: () => import('./SupplyView.svelte'),
  place: () => import('./PlaceView.svelte'),
  profile: () => import('./ProfileView.svelte'),
  starting: () => import('./StartingView.svelte'),
  pick: () => import('./PickView.svelte'),
  drive: () => import('./DriveView.svelte'),
  protection: () => import('./ProtectionView.svelte'),
  money: () => import('./MoneyView.svelte'),
  handover: () => import('./HandoverView.svelte'),
};
