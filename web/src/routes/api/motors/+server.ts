import { registeredMotorSchema } from '@pilgrim/core/register/registered-motor';
import { json } from '@sveltejs/kit';
import { createMotor } from '$lib/server/motors';
import { readJson } from '$lib/server/read-json';
import type { RequestHandler } from './$types';

/** Registers one motor. */
export const POST: RequestHandler = async ({ request }) => {
  const read = await readJson(request, registeredMotorSchema);
  if ('refusal' in read) return read.refusal;
  const id = await createMotor(read.value);
  return json({ id, revision: 1 }, { status: 201, headers: { location: `/motors/${id}` } });
};
