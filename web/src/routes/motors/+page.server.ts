import { registeredMotorSchema, motorStates } from '@pilgrim/core/register/registered-motor';
import { issuesOf } from '@pilgrim/core';
import { fail, redirect } from '@sveltejs/kit';
import { createMotor, listMotors, motorOrders, REMOVED, restoreMotor, type MotorQuery } from '$lib/server/motors';
import { readForm, typedIn } from '$lib/server/read-form';
import { findSite } from '$lib/server/sites';
import type { Actions, PageServerLoad } from './$types';

const LONGEST = 120;
const states = ['', ...motorStates, REMOVED];
const groupings = ['none', 'size', 'frame', 'site'] as const;

export const load: PageServerLoad = async ({ url }) => {
  const asked = (name: string): string => (url.searchParams.get(name) ?? '').trim().slice(0, LONGEST);
  const oneOf = <T extends string>(name: string, known: readonly T[], otherwise: T): T =>
    known.find((each) => each === asked(name)) ?? otherwise;
  const group = oneOf('group', groupings, 'none');
  const order = group === 'none' ? oneOf('order', motorOrders, 'tag') : group;
  const query: MotorQuery = {
    search: asked('q'),
    state: oneOf('state', states, ''),
    site: asked('site'),
    order,
    down: group === 'none' && asked('down') === '1',
  };
  return { query, group, states, justRemoved: asked('gone'), ...(await listMotors(query)) };
};

export const actions: Actions = {
  create: async ({ request }) => {
    const form = await readForm(request);
    const value = (name: string): string => typedIn(form, name);
    const site = value('site');
    const school = (await findSite(site))?.school ?? 'NEMA';
    const parsed = registeredMotorSchema.safeParse({ tag: value('tag'), site, school });
    if (!parsed.success)
      return fail(422, { tag: value('tag'), site, message: issuesOf(parsed.error)[0]?.message ?? '' });
    redirect(303, `/motors/${await createMotor(parsed.data)}`);
  },
  /** Takes a motor back that was removed. */
  restore: async ({ request }) => {
    const id = typedIn(await readForm(request), 'id');
    await restoreMotor(id);
    redirect(303, `/motors/${id}`);
  },
};
