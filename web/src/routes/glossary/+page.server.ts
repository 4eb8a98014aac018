import { findTerms } from '@pilgrim/core/commands/term-list';
import { stageTitles, type StageName } from '@pilgrim/core/kernel/stage-list';
import type { PageServerLoad } from './$types';

/** Longer than any term. */
const LONGEST = 80;

export const load: PageServerLoad = ({ url }) => {
  const typed = (url.searchParams.get('q') ?? '').slice(0, LONGEST);
  const found = findTerms(typed).map((term) => ({
    ...term,
    stage: stageTitles[term.id.split('.')[0] as StageName] ?? 'Starter',
  }));
  // What is defined comes first where everything is listed.
  return {
    typed,
    found: typed === '' ? found.toSorted((a, b) => Number(b.clause !== '') - Number(a.clause !== '')) : found,
  };
};
