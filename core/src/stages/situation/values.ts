import { figure, phrase, type ValuesOf } from '../declared-value.ts';

/** What this stage works out, in the order it is shown. */
export const values = {
  kind: phrase('Situation', { always: true }),
  life: figure('span', 'Life of the old motor'),
  /** What the causes found ask of the new motor, for the order. */
  remedies: phrase('Because of the failure', { sheet: 'Selection' }),
};

export type SituationValues = ValuesOf<typeof values>;
