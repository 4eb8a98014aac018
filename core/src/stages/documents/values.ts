import { textField, type ValuesOf } from '../declared-value.ts';

/** What this stage works out, in the order it is shown. */
export const values = {
  decision: textField('Decision', { always: true }),
};

export type HandoverValues = ValuesOf<typeof values>;
