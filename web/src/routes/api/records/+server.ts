import { documentSchema } from '@pilgrim/core';
import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { bookFields, type RecordKind } from '$lib/job/site-records';
import { readJson, refuse } from '$lib/server/read-json';
import { keepRecord, listRecords } from '$lib/server/site-records';
import type { RequestHandler } from './$types';

const LONGEST = 120;
const MOST_PARTS = 100;

/** The records of the site named by `site`, of the kind named by `kind`; supplies where none is. */
export const GET: RequestHandler = async ({ url }) => {
  const kind: RecordKind = url.searchParams.get('kind') === 'prices' ? 'prices' : 'supply';
  return json(await listRecords((url.searchParams.get('site') ?? '').slice(0, LONGEST), kind));
};

const money = documentSchema.shape.money
  .unwrap()
  .pick(Object.fromEntries(bookFields.map((name) => [name, true])) as Record<(typeof bookFields)[number], true>);
const part = z.strictObject({
  part: z.string().trim().min(1, 'Say what the price is for.').max(80),
  price: z.union([z.string().max(200), z.number()]).optional(),
});
const named = (example: string) => ({
  site: z.string().min(1, 'Name the site of the job first.').max(LONGEST),
  name: z.string().trim().min(1, `Give it a name, for example “${example}”.`).max(LONGEST),
});
const keepSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('supply'),
    ...named('Bus 2, 1000 kVA'),
    document: documentSchema.shape.supply.unwrap(),
  }),
  z.strictObject({
    kind: z.literal('prices'),
    ...named('2026'),
    document: money.extend({ parts: z.array(part).max(MOST_PARTS) }),
  }),
]);

/** Keeps a supply or a book of prices for other jobs of the site. */
export const PUT: RequestHandler = async ({ request }) => {
  const read = await readJson(request, keepSchema);
  if ('refusal' in read) return read.refusal;
  const { site, kind, name, document } = read.value;
  if (await keepRecord(site, kind, name, document)) return json({ name });
  return refuse(422, [{ path: 'site', message: 'The site is not stored yet. Save the job first.' }]);
};
