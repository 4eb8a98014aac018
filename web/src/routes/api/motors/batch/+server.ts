import { registeredMotorSchema } from '@pilgrim/core/register/registered-motor';
import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { createMotors } from '$lib/server/motors';
import { readJson } from '$lib/server/read-json';
import type { RequestHandler } from './$types';

const batchSchema = z.strictObject({ importId: z.uuid(), motors: z.array(registeredMotorSchema).min(1).max(250) });

/** One part of an import. All of an import’s parts carry its id, so that it can be taken back whole. */
export const POST: RequestHandler = async ({ request }) => {
  const read = await readJson(request, batchSchema);
  if ('refusal' in read) return read.refusal;
  return json({ taken: await createMotors(read.value.motors, read.value.importId) }, { status: 201 });
};
