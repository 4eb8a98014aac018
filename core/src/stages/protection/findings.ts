import { declared, type FlagOf } from '../declared-finding.ts';
import { motorCurrent } from '../../ground/tables/index.ts';
import { PRACTICE } from '../../ground/value.ts';

/** What this stage may find, by its code. */
export const findings = declared({
  'protection.iec': {
    severity: 'note',
    basis: 'IEC 60947-4-1, IEC 60364-5-52',
    clear: 'Have cable and device sized by a licensed person.',
  },
  'protection.no-table-current': {
    severity: 'caution',
    basis: motorCurrent.source,
    clear: 'Check the voltage, or have the circuit sized by a licensed person.',
    field: 'supply.voltage',
  },
  'protection.no-conductor': {
    severity: 'caution',
    basis: 'NEC Table 310.16 after ambient and bundling',
    clear: 'Run conductors in parallel, sized by a licensed person, or bring the circuit into cooler air.',
    field: 'protection.conductor',
  },
  'protection.conductor-basis': {
    severity: 'note',
    basis: 'NEC 310.15, 110.14(C) (recalled from memory)',
    clear: 'Type ambient and number of conductors along the way of the cable; the hottest stretch counts.',
    field: 'protection.ambient',
  },
  'protection.dial-outside': {
    severity: 'stop',
    basis: 'Range of the relay',
    clear: 'Choose a relay whose range holds that setting.',
    field: 'pick.starter',
  },
  'protection.no-breaker': {
    severity: 'caution',
    basis: `NEC 430.52; magnetic trip: ${PRACTICE}`,
    clear: 'Add a catalogue, take fuses, or have the exceptions of 430.52 applied by a licensed person.',
    field: 'protection.device',
  },
});

export type Flag = FlagOf<typeof findings>;
