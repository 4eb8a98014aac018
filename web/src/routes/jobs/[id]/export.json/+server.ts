import { attachJson } from '$lib/server/attach-json';
import { loadRevision } from '$lib/server/jobs';
import type { RequestHandler } from './$types';

/** The job document as a file, to be imported elsewhere or solved on the command line. */
export const GET: RequestHandler = async ({ params }) => {
  const { job } = await loadRevision(params.id, null);
  return attachJson(job, `job-${params.id.slice(0, 8)}.json`);
};
