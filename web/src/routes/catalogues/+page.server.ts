import { fail, redirect } from '@sveltejs/kit';
import { addCatalogue, dropCatalogue, listCatalogues } from '$lib/server/catalogue';
import { readForm, typedIn } from '$lib/server/read-form';
import { beside } from '$lib/server/work/pool';
import type { Actions, PageServerLoad } from './$types';

/** Below what the server takes of any form. */
const LARGEST = 7_500_000;

export const load: PageServerLoad = async () => ({ catalogues: await listCatalogues() });

export const actions: Actions = {
  add: async ({ request }) => {
    const refuse = (...problems: readonly string[]) => fail(422, { problems });
    const file = (await readForm(request)).get('file');
    if (!(file instanceof File) || file.size === 0)
      return refuse('Choose a catalogue file first: JSON, as exported here.');
    if (file.size > LARGEST) return refuse('This file is larger than 7.5 MB. Split the catalogue in two.');
    const done = await beside({ kind: 'catalogue', content: new Uint8Array(await file.arrayBuffer()) });
    if (done.kind !== 'catalogue') throw new Error('the worker read no catalogue');
    if ('problems' in done.read) return refuse(...done.read.problems);
    const refused = await addCatalogue(done.read.catalogue);
    if (refused) return refuse(refused);
    redirect(303, '/catalogues');
  },
  remove: async ({ request }) => {
    await dropCatalogue(typedIn(await readForm(request), 'id'));
    redirect(303, '/catalogues');
  },
};
