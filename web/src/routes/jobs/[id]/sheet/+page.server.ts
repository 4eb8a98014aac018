import { selectionSheet } from '@pilgrim/core/handover/sheet';
import { loadSolved } from '$lib/server/jobs';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
  const { job, solution } = await loadSolved(params.id);
  return { sheet: selectionSheet(job, solution) };
};
