import { json } from '@sveltejs/kit';
import { jobSchema } from '@pilgrim/core';
import { findSpares } from '$lib/server/motors';
import { solveNow } from '$lib/server/jobs';
import { readJson } from '$lib/server/read-json';
import type { RequestHandler } from './$types';

/** The spares of the register for a job: those that fit first, the others with what speaks against them. */
export const POST: RequestHandler = async ({ request }) => {
  const read = await readJson(request, jobSchema);
  if ('refusal' in read) return read.refusal;
  const { requirement } = (await solveNow(read.value)).details;
  return json({ asked: requirement !== undefined, spares: requirement ? await findSpares(requirement) : [] });
};
