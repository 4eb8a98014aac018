import { declared, type FlagOf } from '../declared-finding.ts';
import { PRACTICE } from '../../ground/value.ts';

/** What this stage may find, by its code. */
export const findings = declared({
  'profile.hours': {
    severity: 'stop',
    basis: 'Calendar',
    clear: 'Correct the hours so that together they fit in a year.',
    field: 'profile.points.0.hours',
  },
  'profile.drive-wastes': {
    severity: 'note',
    basis: PRACTICE + ': a drive costs 2–4 % of what passes through it',
    clear: 'Leave the drive out unless it is needed for the start or the process.',
    field: 'profile.points',
  },
  'profile.control-unknown': {
    severity: 'caution',
    basis: 'Throttle, damper, vanes, bypass and switching take very different power at one flow',
    clear: 'Say how the flow is controlled.',
    field: 'profile.control',
  },
  'profile.control-mismatch': {
    severity: 'caution',
    basis: PRACTICE,
    clear: 'Choose on/off or bypass, or set the torque to rising with speed.',
    field: 'profile.control',
  },
  'profile.above-full': {
    severity: 'stop',
    basis: `Cube of the speed for fans and pumps; constant power above base speed, breakdown torque with 1/f²; reserve: ${PRACTICE}`,
    clear: 'Lower that row, or size the motor by it with a margin over the load.',
  },
});

export type Flag = FlagOf<typeof findings>;
