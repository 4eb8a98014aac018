import { json } from '@sveltejs/kit';
import { loadJob, saveJob } from '$lib/server/jobs';
import { readJson, saveSchema } from '$lib/server/read-json';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ params }) => {
  const { id, revision, document, result } = await loadJob(params.id);
  return json({ id, revision, document: JSON.parse(document) as unknown, result: JSON.parse(result) as unknown });
};

/** Saves over a revision. 409 with the stored document where somebody else saved first; nothing is overwritten. */
export const PUT: RequestHandler = async ({ params, request }) => {
  const read = await readJson(request, saveSchema);
  if ('refusal' in read) return read.refusal;
  const saved = await saveJob(params.id, read.value.base, read.value.document);
  if ('revision' in saved) return json(saved);
  const { revision, document } = saved.conflict;
  return json({ revision, document: JSON.parse(document) as unknown }, { status: 409 });
};
