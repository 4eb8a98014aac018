import { findTerms } from '@pilgrim/core/commands/term-list';
import { stageList } from '@pilgrim/core/kernel/stage-list';
import type { PageServerLoad } from './$types';

const titles = new Map<string, string>(stageList.map(({ name, title }) => [name, title]));
/** Longer than any term. */
const LONGEST = 80;

export const load: PageServerLoad = ({ url }) => {
  const typed = (url.searchParams.get('q') ?? '').slice(0, LONGEST);
  const found = findTerms(typed).map((term) => ({
    ...term,
    stage: titles.get(term.id.split('.')[0] ?? '') ?? 'Starter',
  }));
  // What is defined comes first where everything is listed.
  return {
    typed,
    found: typed === '' ? found.toSorted((a, b) => Number(b.clause !== '') - Number(a.clause !== '')) : found,
  };
};
