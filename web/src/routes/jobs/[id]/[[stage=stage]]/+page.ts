import type { StageName } from '@pilgrim/core/ground/stage-names';
import { sheetOf } from '$lib/job/sheets';
import { stagePanels } from '$lib/job/stage-panels';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ params }) => {
  const stage = (params.stage ?? 'situation') as StageName;
  const [sheet, panel] = await Promise.all([sheetOf(stage), stagePanels[stage]?.()]);
  return { sheet, Panel: panel?.default };
};
