import type { StageName } from '@pilgrim/core/ground/stage-names';
import { sheetOf } from '$lib/job/sheets';
import { stageViews } from '$lib/stages/views';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ params }) => {
  const stage = (params.stage ?? 'situation') as StageName;
  const [sheet, view] = await Promise.all([sheetOf(stage), stageViews[stage]()]);
  return { sheet, View: view.default };
};
