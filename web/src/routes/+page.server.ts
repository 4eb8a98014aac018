import { emptyJob, issuesOf, jobSchema, documentSchema, type JobInput } from '@pilgrim/core';
import { fail, redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { readForm, typedIn } from '$lib/server/read-form';
import { brokenText, readText } from '$lib/server/read-json';
import { readPlate } from '@pilgrim/core/stages/nameplate/read/read-plate';
import { copyJob, createJob, findItems, listJobs, setJobStatus, shelves } from '$lib/server/jobs';
import { listMotors, overloadedMotors } from '$lib/server/motors';
import { findSite, listSites } from '$lib/server/sites';
import type { Actions, PageServerLoad } from './$types';

const MIN_SEARCH = 2;
const MOST_FOUND = 20;
const LAST_PAGE = 10_000;

export const load: PageServerLoad = async ({ url }) => {
  const asked = (name: string): string => (url.searchParams.get(name) ?? '').trim().slice(0, 120);
  const search = asked('q').slice(0, 100);
  const query = {
    search,
    shelf: shelves.find((each) => each === asked('shelf')) ?? 'all',
    site: asked('at'),
    page: Math.min(LAST_PAGE, Math.max(1, Number.parseInt(asked('page'), 10) || 1)),
  };
  const [list, sites, overloaded, items, motors] = await Promise.all([
    listJobs(query),
    listSites(),
    search === '' && query.shelf === 'all' && query.page === 1 ? overloadedMotors() : [],
    search.length >= MIN_SEARCH ? findItems(search) : [],
    search.length >= MIN_SEARCH
      ? listMotors({ search, state: '', site: '', order: 'tag', down: false })
      : { motors: [] },
  ]);
  const aside = { id: asked('aside'), how: asked('how') === 'archived' ? ('archived' as const) : ('removed' as const) };
  return { query, ...list, sites, overloaded, items, motors: motors.motors.slice(0, MOST_FOUND), aside };
};

const newJobSchema = z.object({
  tag: z.string().trim().max(60, 'At most 60 characters.'),
  title: z.string().trim().max(200, 'At most 200 characters.'),
  site: z.string().trim().max(120, 'At most 120 characters.'),
  kind: documentSchema.shape.situation.unwrap().shape.kind,
  plate: z.string().trim().max(5000, 'At most 5000 characters.').default(''),
});

/** The fields a pasted plate gives; undefined where nothing in it could be read. */
function plateOf(text: string): Pick<JobInput, 'school' | 'nameplate'> | undefined {
  const { fields, school } = readPlate(text);
  const { asRead, ...read } = fields;
  return Object.keys(read).length === 0 ? undefined : { school, nameplate: { ...read, asRead: text } };
}

/** Archives, removes or takes back the job of a form, and goes back to where in the list that was sent from. */
async function putAside(request: Request, how: 'archived' | 'removed' | undefined): Promise<never> {
  const form = await readForm(request);
  const id = typedIn(form, 'id');
  await setJobStatus(id, how);
  const query = new URLSearchParams(typedIn(form, 'back').slice(0, 500));
  if (how !== undefined) {
    query.set('aside', id);
    query.set('how', how);
  }
  redirect(303, query.size === 0 ? '/' : `/?${query}`);
}

export const actions: Actions = {
  create: async ({ request }) => {
    const sent = await readForm(request);
    const form = Object.fromEntries([...sent.keys()].map((name) => [name, typedIn(sent, name)]));
    const parsed = newJobSchema.safeParse(form);
    if (!parsed.success) return fail(422, { form, issues: issuesOf(parsed.error), imported: undefined });
    const { tag, title, site, kind, plate } = parsed.data;
    const read = plate === '' ? undefined : plateOf(plate);
    if (plate !== '' && !read) {
      const message = 'Nothing could be read. Write it like: HP 15 RPM 1770 V 230/460 A 38/19 HZ 60 SF 1.15';
      return fail(422, { form, issues: [{ path: 'plate', message }], imported: undefined });
    }
    const known = await findSite(site);
    const defaults = known
      ? { school: known.school, paper: known.paper, currency: known.currency, sitePractice: known.practice }
      : {};
    const id = await createJob(emptyJob({ tag, title, site, situation: { kind }, ...defaults, ...read }));
    redirect(303, `/jobs/${id}/${kind === 'new' && !read ? 'load' : 'nameplate'}`);
  },

  copy: async ({ request }) => {
    redirect(303, `/jobs/${await copyJob(typedIn(await readForm(request), 'id'))}`);
  },
  archive: ({ request }) => putAside(request, 'archived'),
  remove: ({ request }) => putAside(request, 'removed'),
  /** Takes back a job that was archived or removed. */
  restore: ({ request }) => putAside(request, undefined),

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
