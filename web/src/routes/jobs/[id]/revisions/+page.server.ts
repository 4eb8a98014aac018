import { fieldAt } from '@pilgrim/core/job/document-paths';
import { stageTitles } from '@pilgrim/core/kernel/stage-list';
import { redirect } from '@sveltejs/kit';
import { differences } from '$lib/job/conflict';
import { fieldNames } from '$lib/job/sheets';
import { restoreRevision, listRevisions } from '$lib/server/jobs';
import { readForm, typedIn } from '$lib/server/read-form';
import type { Actions, PageServerLoad } from './$types';

const NEWEST = 2_000_000_000;
/** More than these changes at once are counted, not told. */
const TOLD = 12;
const LONGEST = 80;

const short = (text: string): string => (text.length > LONGEST ? `${text.slice(0, LONGEST)} …` : text);

export const load: PageServerLoad = async ({ params, url }) => {
  const from = Number(url.searchParams.get('from') ?? NEWEST);
  const upTo = Number.isInteger(from) && from > 0 && from <= NEWEST ? from : NEWEST;
  const [{ rows, newest, more }, names] = await Promise.all([
    listRevisions(params.id, upTo),
    fieldNames(stageTitles, 'NEMA'),
  ]);
  const shown = more ? rows.slice(0, -1) : rows;
  const nameOf = (place: string): string => {
    const { path, letter } = fieldAt(place);
    return `${letter ? `Option ${letter} · ` : ''}${names.get(path) ?? path}`;
  };
  return {
    newest,
    older: more ? rows.at(-1)?.revision : undefined,
    revisions: shown.map(({ revision, savedAt, engine, document }, at) => {
      const before = rows[at + 1];
      const changes = before ? differences(before.document, document) : [];
      return {
        revision,
        savedAt,
        engine,
        changes: changes
          .slice(0, TOLD)
          .map(({ path, mine, theirs }) => ({ name: nameOf(path), before: short(mine), after: short(theirs) })),
        untold: Math.max(0, changes.length - TOLD),
      };
    }),
  };
};

export const actions: Actions = {
  /** Makes what stood at a revision the newest one. */
  default: async ({ params, request }) => {
    await restoreRevision(params.id, typedIn(await readForm(request), 'revision'));
    redirect(303, `/jobs/${params.id}/situation`);
  },
};
