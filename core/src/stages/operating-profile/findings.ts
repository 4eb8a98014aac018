import { declared, type ReportOf } from '../declared-finding.ts';
import { PRACTICE } from '../../kernel/value.ts';

/** What this stage may find, by its code. */
export const findings = declared({
  'profile.hours': {
    severity: 'stop',
    basis: 'Calendar',
    clear: 'Correct the hours so that together they fit in a year.',
    field: 'profile.points.0.hours',
  },
  'profile.shifts-overlap': {
    severity: 'caution',
    basis: 'Calendar',
    clear: 'Let each hour of the week belong to one shift.',
    field: 'profile.shifts.0.flow',
  },
  'profile.season': {
    severity: 'caution',
    basis: PRACTICE,
    clear: 'Record for four weeks or more, in the season that matters, or type the hours of a year.',
    field: 'profile.recordedOver',
  },
  'profile.calibration-poor': {
    severity: 'caution',
    basis: 'Least squares over the samples of the log',
    clear: 'Check full flow, the control and the curve of the machine, or leave the factor out.',
    field: 'profile.calibration',
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
    clear: 'Enter the present flow control.',
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
  'profile.measured-below-full': {
    severity: 'caution',
    basis: 'Affinity laws and the curve of the machine',
    clear: 'Size the motor by the power at full flow, or type at which flow the load was measured.',
    field: 'profile.measuredFlow',
  },
  'profile.trim': {
    severity: 'note',
    basis: `Affinity laws; ${PRACTICE}`,
    clear: 'Have the impeller trimmed or the sheave changed, and compare a drive with that.',
    field: 'profile.points',
  },
  'profile.static-head': {
    severity: 'caution',
    basis: `Affinity laws with static head; ${PRACTICE}`,
    clear: 'Compare with fewer machines running, a trimmed one or on and off into a storage.',
    field: 'profile.staticHeadShare',
  },
  'profile.least-flow': {
    severity: 'caution',
    basis: 'Least flow of centrifugal machines, about 30 % of the best (from memory)',
    clear: 'Ask its maker for the least flow; run it slower, less long or with a bypass there.',
    field: 'profile.points',
  },
  'profile.off-best': {
    severity: 'note',
    basis: 'Preferred range of 70 to 120 % of best flow, hydraulic standards (from memory)',
    clear: 'Look for a machine whose best point lies nearer, or accept its efficiency and wear.',
    field: 'profile.bestFlow',
  },
  'profile.curve-unused': {
    severity: 'caution',
    basis: 'A curve is read against full flow and its head',
    clear: 'Type full flow with its head or pressure, and points up to it.',
    field: 'profile.fullFlow',
  },
  'profile.drooping': {
    severity: 'caution',
    basis: 'Two flows at one head: unstable side by side and on flat systems',
    clear: 'Check the points near no flow, and that the machine never runs there.',
    field: 'profile.curve.0.head',
  },
});

export type Report = ReportOf<typeof findings>;
