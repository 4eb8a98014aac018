import { z } from 'zod';
import { rigRange } from '@pilgrim/core/test-rig/rig';
import { readJson } from '$lib/server/read-json';
import { answered, readRig, setRig } from '$lib/server/test-rig/client';
import type { RequestHandler } from './$types';

const within = ([low, high]: readonly [number, number]) => z.number().min(low).max(high);
const settingSchema = z.strictObject({
  damper: within(rigRange.damper),
  speed: within(rigRange.speed),
  leastFlux: z.boolean(),
  oversized: z.boolean(),
});

/** Reads hand and meters of the rig. */
export const GET: RequestHandler = () => answered(readRig);

/** Sets damper, speed, flux and motors of the rig. */
export const PUT: RequestHandler = async ({ request }) => {
  const read = await readJson(request, settingSchema);
  return 'refusal' in read ? read.refusal : answered(() => setRig(read.value));
};
