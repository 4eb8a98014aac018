import { emptyJob, issuesOf, jobSchema, documentSchema } from '@pilgrim/core';
import { fail, redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { readForm, typedIn } from '$lib/server/read-form';
import { brokenText, readText } from '$lib/server/read-json';
import { createJob, findItems, listJobs } from '$lib/server/jobs';
import { findSite, listSites } from '$lib/server/sites';
import type { Actions, PageServerLoad } from './$types';

const MIN_SEARCH = 2;

export const load: PageServerLoad = async ({ url }) => {
  const search = (url.searchParams.get('q') ?? '').slice(0, 100).trim();
  const [jobs, sites, items] = await Promise.all([
    listJobs(search),
    listSites(),
    search.length >= MIN_SEARCH ? findItems(search) : [],
  ]);
  return { search, jobs, sites, items };
};

const newJobSchema = z.object({
  tag: z.string().trim().max(60, 'At most 60 characters.'),
  title: z.string().trim().max(200, 'At most 200 characters.'),
  site: z.string().trim().max(120, 'At most 120 characters.'),
  kind: documentSchema.shape.situation.unwrap().shape.kind,
});

export const actions: Actions = {
  create: async ({ request }) => {
    const sent = await readForm(request);
    const form = Object.fromEntries([...sent.keys()].map((name) => [name, typedIn(sent, name)]));
    const parsed = newJobSchema.safeParse(form);
    if (!parsed.success) return fail(422, { form, issues: issuesOf(parsed.error), imported: undefined });
    const { tag, title, site, kind } = parsed.data;
    const known = await findSite(site);
    const defaults = known
      ? { school: known.school, paper: known.paper, currency: known.currency, sitePractice: known.practice }
      : {};
    const id = await createJob(emptyJob({ tag, title, site, situation: { kind }, ...defaults }));
    redirect(303, `/jobs/${id}/${kind === 'new' ? 'load' : 'nameplate'}`);
  },

  import: async ({ request }) => {
    const refuse = (message: string) => fail(422, { form: undefined, issues: undefined, imported: message });
    const file = (await readForm(request)).get('file');
    if (!(file instanceof File) || file.size === 0)
      return refuse('Choose a job file first: JSON, as exported from a selection sheet.');
    if (file.size > 400_000) return refuse('This file is too large; a job is well under 400 kB.');
    let content: unknown;
    try {
      content = readText(await file.text());
    } catch {
      return refuse('This is not complete JSON. Export a job again; the file may have been cut short.');
    }
    const broken = brokenText(content);
    if (broken) return refuse(`${broken.path || 'file'}: ${broken.message}`);
    const parsed = jobSchema.safeParse(content);
    if (!parsed.success) {
      const first = issuesOf(parsed.error)[0];
      return refuse(`This is not a Pilgrim job. ${first ? `${first.path || 'file'}: ${first.message}` : ''}`);
    }
    redirect(303, `/jobs/${await createJob(parsed.data)}/situation`);
  },
};
