import { words } from '../../ground/field.ts';

export const lead = 'The sheet that goes to purchasing, the electrician and the auditor.';

/** What this stage asks, in the order a person reads it off plate, machine or drawing. */
export const fields = {
  preparedBy: words(120, { label: 'Prepared by' }),
  note: words(2000, { label: 'Note for the sheet', area: true }),
};
