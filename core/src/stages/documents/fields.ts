import { words } from '../../kernel/field.ts';

export const lead = 'The selection sheet for purchasing, electrician and auditor.';

/** What this stage asks, in the order a person reads it off plate, machine or drawing. */
export const fields = {
  preparedBy: words(120, { label: 'Prepared by' }),
  why: words(300, {
    label: 'Reason for not taking the best',
    hint: 'One sentence, where another costs clearly less over the years',
    area: true,
  }),
  note: words(2000, { label: 'Note on the sheet', area: true }),
};
