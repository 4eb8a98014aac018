import { declared, type ReportOf } from '../declared-finding.ts';
import { PRACTICE } from '../../kernel/value.ts';

/** What this stage may find, by its code. */
export const findings = declared({
  'situation.early-failure': {
    severity: 'caution',
    basis: PRACTICE,
    clear: 'Check the causes one by one; mark the one that was found.',
    field: 'situation.failureMode',
  },
});

export type Report = ReportOf<typeof findings>;
