import { revisionText } from '$lib/server/jobs';
import { schedules } from '$lib/server/schedules';
import type { RequestHandler } from './$types';

/** Cable, device and setting schedules of a job as it is stored. */
export const GET: RequestHandler = async ({ params, url, request }) => {
  const text = await revisionText(params.id, url.searchParams.get('revision'));
  return schedules({ jobs: [text], site: undefined }, params.format, text.tag || 'job', request.signal);
};
