import { ENGINE } from '@pilgrim/core';
import { loadRevision } from '$lib/server/jobs';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, url }) => {
  const asked = url.searchParams.get('revision');
  return { kept: await loadRevision(params.id, asked), asked: asked !== null, engine: ENGINE };
};
