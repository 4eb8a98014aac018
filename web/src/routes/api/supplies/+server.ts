import { documentSchema } from '@pilgrim/core';
import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { readJson, refuse } from '$lib/server/read-json';
import { keepSupply, listSupplies } from '$lib/server/supplies';
import type { RequestHandler } from './$types';

const LONGEST = 120;

/** The supplies of the site named by `site`. */
export const GET: RequestHandler = async ({ url }) =>
  json(await listSupplies((url.searchParams.get('site') ?? '').slice(0, LONGEST)));

const keepSchema = z.strictObject({
  site: z.string().min(1, 'Name the site of the job first.').max(LONGEST),
  name: z.string().trim().min(1, 'Give the supply a name, for example “Bus 2, 1000 kVA”.').max(LONGEST),
  supply: documentSchema.shape.supply.unwrap(),
});

/** Keeps a supply for other jobs of the site. */
export const PUT: RequestHandler = async ({ request }) => {
  const read = await readJson(request, keepSchema);
  if ('refusal' in read) return read.refusal;
  const { site, name, supply } = read.value;
  if (await keepSupply(site, name, supply)) return json({ name });
  return refuse(422, [{ path: 'site', message: 'The site is not stored yet. Save the job first.' }]);
};
