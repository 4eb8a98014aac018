import type { StageName } from '@pilgrim/core/ground/stage-names';
import type { Component } from 'svelte';
import type { JobStore } from './job-store.svelte';

export interface PanelProps {
  readonly store: JobStore;
  readonly hydrated: boolean;
  /** Address of the job. */
  readonly base: string;
}

type Panel = Promise<{ default: Component<PanelProps> }>;

/** What a stage shows below its fields. Fetched with the stage, so that a first visit loads only one. */
export const stagePanels: Readonly<Partial<Record<StageName, () => Panel>>> = {
  situation: () => import('$lib/components/InquiryPanel.svelte'),
  load: () => import('$lib/components/LoadPanels.svelte'),
  place: () => import('$lib/components/EnclosurePanel.svelte'),
  profile: () => import('$lib/components/ProfileChart.svelte'),
  starting: () => import('$lib/components/StartingPanel.svelte'),
  money: () => import('$lib/components/OptionsTable.svelte'),
  pick: () => import('$lib/components/PickStage.svelte'),
  handover: () => import('$lib/components/DecidePanel.svelte'),
};
