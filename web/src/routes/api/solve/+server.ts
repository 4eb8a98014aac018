import { json } from '@sveltejs/kit';
import { solveNow } from '$lib/server/jobs';
import { readJob, refuse } from '$lib/server/read-json';
import type { RequestHandler } from './$types';

/** Solves a job without storing it. 422 with the fields where a quantity cannot be read. */
export const POST: RequestHandler = async ({ request }) => {
  const read = await readJob(request);
  if ('refusal' in read) return read.refusal;
  const solution = await solveNow(read.value, request.signal);
  const issues = Object.entries(solution.fields).flatMap(([path, { error }]) =>
    error ? [{ path, message: error }] : [],
  );
  return issues.length > 0 ? refuse(422, issues) : json(solution);
};
