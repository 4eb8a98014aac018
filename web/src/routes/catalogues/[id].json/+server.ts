import { catalogueFile } from '$lib/server/catalogue';
import { attachJson } from '$lib/server/attach-json';
import type { RequestHandler } from './$types';

/** A catalogue as a file that can be added again, here or elsewhere. */
export const GET: RequestHandler = async ({ params }) => {
  const catalogue = await catalogueFile(params.id);
  return attachJson(catalogue, `catalogue-${params.id.slice(0, 8)}.json`);
};
