import { json } from '@sveltejs/kit';
import { loadRevision, saveJob } from '$lib/server/jobs';
import { readJson, saveSchema } from '$lib/server/read-json';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ params }) => {
  const { job, revision, solution } = await loadRevision(params.id, null);
  return json({ id: params.id, revision, document: job, result: solution });
};

/** Saves over a revision. 409 with the stored document where somebody else saved first; nothing is overwritten. */
export const PUT: RequestHandler = async ({ params, request }) => {
  const read = await readJson(request, saveSchema);
  if ('refusal' in read) return read.refusal;
  const saved = await saveJob(params.id, read.value.base, read.value.document);
  if ('revision' in saved) return json(saved);
  const { revision, job } = saved.conflict;
  return json({ revision, document: job }, { status: 409 });
};
