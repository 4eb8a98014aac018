import { z } from 'zod';
import { practiceRange, type SettingName } from '@pilgrim/core/test-rig/practice';
import { readJson } from '$lib/server/read-json';
import { answered, readPractice, setPractice } from '$lib/server/test-rig/client';
import type { RequestHandler } from './$types';

const settings = Object.fromEntries(
  Object.entries(practiceRange).map(([name, [low, high]]) => [name, z.number().min(low).max(high)]),
) as Record<SettingName, z.ZodNumber>;
const practiceSchema = z.strictObject({
  setting: z.strictObject(settings),
  hand: z.strictObject({ run: z.boolean(), reset: z.boolean(), signal: z.number().min(0).max(22) }),
});

/** Reads settings and state of the drive to practise on. */
export const GET: RequestHandler = () => answered(readPractice);

/** Sets it, runs it, stops it, resets a trip. */
export const PUT: RequestHandler = async ({ request }) => {
  const read = await readJson(request, practiceSchema);
  return 'refusal' in read ? read.refusal : answered(() => setPractice(read.value));
};
