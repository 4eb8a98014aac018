import { browser } from '$app/environment';
import type { StageName } from '@pilgrim/core/kernel/stage-list';
import { fetched } from '$lib/fetched.svelte';
import { sheetOf } from '$lib/job/sheets';
import { viewOfStage } from '$lib/stages/views';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ params }) => {
  const stage = (params.stage ?? 'situation') as StageName;
  const code = () => Promise.all([sheetOf(stage), viewOfStage(stage)]);
  // While the server is away the page that is there stays, and the next one comes when it can.
  const [sheet, view] = await (browser ? fetched(code) : code());
  // Evaluating what came and bringing the page to life are tasks of their own: between them the browser answers.
  if (browser) await new Promise((resolve) => setTimeout(resolve));
  return { sheet, View: view.default };
};
