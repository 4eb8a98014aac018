import { revisionText } from '$lib/server/jobs';
import { schedules } from '$lib/server/schedules';
import { readKept } from '$lib/server/work/kept';
import type { RequestHandler } from './$types';

/** Cable, device and setting schedules of a job as it is stored. */
export const GET: RequestHandler = async ({ params, url, request }) => {
  const text = await revisionText(params.id, url.searchParams.get('revision'));
  const { job } = readKept(text);
  return schedules(
    {
      title: [job.site, job.tag, job.title, `revision ${text.revision}`].filter(Boolean).join(' · '),
      paper: job.paper,
      jobs: [text],
      more: 0,
    },
    params.format,
    text.tag || 'job',
    request.signal,
  );
};
