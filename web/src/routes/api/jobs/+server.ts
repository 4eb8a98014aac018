import { json } from '@sveltejs/kit';
import { createJob } from '$lib/server/jobs';
import { readJob } from '$lib/server/read-json';
import type { RequestHandler } from './$types';

/** Stores a job document as a new job. */
export const POST: RequestHandler = async ({ request }) => {
  const read = await readJob(request);
  if ('refusal' in read) return read.refusal;
  const id = await createJob(read.value);
  return json({ id, revision: 1 }, { status: 201, headers: { location: `/jobs/${id}` } });
};
