import { choice, words, named, never } from '../../ground/field.ts';

export const lead = 'What fits, ranked; and why the rest do not.';

/** What this stage asks, in the order a person reads it off plate, machine or drawing. */
export const fields = {
  prefer: choice(named('life cost', 'first cost', 'availability'), { label: 'Rank by', usual: 'life cost' }),
  motor: words(40, { label: 'motor', asked: never, note: 'Catalogue id of a motor chosen over the first-ranked one' }),
  drive: words(40, { label: 'drive', asked: never }),
  starter: words(40, { label: 'starter', asked: never }),
};
