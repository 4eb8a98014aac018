import { error } from '@sveltejs/kit';
import { jobsOfSite } from '$lib/server/jobs';
import { schedules } from '$lib/server/schedules';
import { findSite } from '$lib/server/sites';
import type { RequestHandler } from './$types';

/** Cable, device and setting schedules of every job at work of a site. */
export const GET: RequestHandler = async ({ params, request }) => {
  const site = await findSite(params.name);
  if (!site) error(404, 'There is no such site.');
  const { jobs, total } = await jobsOfSite(site.name);
  return schedules(
    { jobs, site: { name: site.name, paper: site.paper, more: total - jobs.length } },
    params.format,
    site.name,
    request.signal,
  );
};
