import { loadJob } from '$lib/server/jobs';
import type { RequestHandler } from './$types';

/** The job document as a file, to be imported elsewhere or solved on the command line. */
export const GET: RequestHandler = async ({ params }) => {
  const { document } = await loadJob(params.id);
  const text = JSON.stringify(JSON.parse(document), null, 2);
  return new Response(text, {
    headers: { 'content-type': 'application/json', 'content-disposition': `attachment; filename="job-${params.id.slice(0, 8)}.json"` },
  });
};
