import type { StageName } from '@pilgrim/core/ground/stage-names';
import { stagePanels } from '$lib/job/stage-panels';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ params }) => {
  const stage = (params.stage ?? 'situation') as StageName;
  return { Panel: (await stagePanels[stage]?.())?.default };
};
