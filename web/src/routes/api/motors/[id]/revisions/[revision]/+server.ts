import { error, json } from '@sveltejs/kit';
import { loadEarlier } from '$lib/server/motors';
import { baseSchema } from '$lib/server/read-json';
import type { RequestHandler } from './$types';

/** The motor as it stood under an earlier revision. */
export const GET: RequestHandler = async ({ params }) => {
  const revision = baseSchema.safeParse(Number(params.revision));
  if (!revision.success) error(404, 'There is no such earlier state of this motor.');
  return json({ motor: await loadEarlier(params.id, revision.data) });
};
