import { emptyJob } from '@pilgrim/core';
import { redirect } from '@sveltejs/kit';
import { createJob } from '$lib/server/jobs';
import { readForm, typedIn } from '$lib/server/read-form';
import { findSite } from '$lib/server/sites';
import { loadMotor, removeMotor } from '$lib/server/motors';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params }) => loadMotor(params.id);

const kinds = ['replace', 'drive', 'starter', 'energy'] as const;

export const actions: Actions = {
  /** Starts a job from this motor: its plate, site and rules go along. */
  job: async ({ params, request }) => {
    const { motor } = await loadMotor(params.id);
    const asked = typedIn(await readForm(request), 'kind');
    const kind = kinds.find((each) => each === asked) ?? 'replace';
    const site = await findSite(motor.site);
    const job = emptyJob({
      tag: motor.tag,
      title: motor.location,
      site: motor.site,
      school: motor.school,
      ...(site ? { paper: site.paper, currency: site.currency, sitePractice: site.practice } : {}),
      situation: { kind, ...(motor.runningCurrent ? { runningCurrent: motor.runningCurrent } : {}) },
      nameplate: motor.plate,
    });
    redirect(303, `/jobs/${await createJob(job)}/situation`);
  },
  remove: async ({ params }) => {
    await removeMotor(params.id);
    redirect(303, `/motors?gone=${params.id}`);
  },
};
