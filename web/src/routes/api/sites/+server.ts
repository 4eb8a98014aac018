import { error, json } from '@sveltejs/kit';
import { findSite } from '$lib/server/sites';
import type { RequestHandler } from './$types';

/** One site with its rules of thumb, by `name`. */
export const GET: RequestHandler = async ({ url }) => {
  const site = await findSite((url.searchParams.get('name') ?? '').slice(0, 120));
  if (!site) error(404, 'There is no such site.');
  return json(site);
};
