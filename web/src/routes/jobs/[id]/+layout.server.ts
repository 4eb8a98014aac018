import { ownNames, type StageName } from '@pilgrim/core';
import { loadJob } from '$lib/server/jobs';
import type { LayoutServerLoad } from './$types';

/** Once for a visit: going on to another stage does not ask again. */
export const load: LayoutServerLoad = async ({ params: { id }, untrack, params }) => ({
  ...(await loadJob(id, untrack(() => ('stage' in params ? params.stage : undefined) ?? 'situation') as StageName)),
  ownNames,
});
