import { registeredMotorSchema } from '@pilgrim/core/register/registered-motor';
import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { loadMotor, removeMotor, saveMotor } from '$lib/server/motors';
import { baseSchema, readJson } from '$lib/server/read-json';
import type { RequestHandler } from './$types';

const saveSchema = z.strictObject({ base: baseSchema, motor: registeredMotorSchema });

export const GET: RequestHandler = async ({ params }) => json(await loadMotor(params.id));

/** Saves over a revision; 409 with the stored motor where somebody else saved first. */
export const PUT: RequestHandler = async ({ params, request }) => {
  const read = await readJson(request, saveSchema);
  if ('refusal' in read) return read.refusal;
  const revision = await saveMotor(params.id, read.value.base, read.value.motor);
  return revision === undefined ? json(await loadMotor(params.id), { status: 409 }) : json({ revision });
};

export const DELETE: RequestHandler = async ({ params }) => {
  await removeMotor(params.id);
  return new Response(null, { status: 204 });
};
