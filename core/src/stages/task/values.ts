import { figure, textField, type ValuesOf } from '../declared-value.ts';

/** What this stage works out, in the order it is shown. */
export const values = {
  kind: textField('Task', { always: true }),
  life: figure('span', 'Service life of the failed motor'),
  /** What the causes found ask of the new motor, for the order. */
  remedies: textField('Requirements from failure analysis', { sheet: 'Selection' }),
};

export type SituationValues = ValuesOf<typeof values>;
