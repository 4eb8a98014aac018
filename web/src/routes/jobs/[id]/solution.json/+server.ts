import { attachJson } from '$lib/server/attach-json';
import { loadSolved } from '$lib/server/jobs';
import type { RequestHandler } from './$types';

/** The solution of the newest revision as a file: every value with its working, every finding. */
export const GET: RequestHandler = async ({ params }) => {
  const { solution } = await loadSolved(params.id);
  return attachJson(solution, `solution-${params.id.slice(0, 8)}.json`);
};
