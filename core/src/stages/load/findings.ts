import { declared, type ReportOf } from '../declared-finding.ts';
import { sheaves } from '../../kernel/tables/index.ts';
import { PRACTICE } from '../../kernel/value.ts';

/** What this stage may find, by its code. */
export const findings = declared({
  'load.too-large': {
    severity: 'stop',
    basis: 'NEMA MG 1 10.32.4, IEC 60072-1: standard sizes end there',
    clear: 'Check torque, speed and units; a motor this large is bought to specification.',
  },
  'load.from-plate': {
    severity: 'note',
    basis: PRACTICE,
    clear: 'Measure the torque or the running current and type it.',
    field: 'load.torque',
  },
  'load.exceeds-plate': {
    severity: 'stop',
    basis: 'Rated power is the continuous limit; the service factor is a reserve for short times',
    clear: 'Reduce the load, or choose a larger motor.',
  },
  'load.oversized': {
    severity: 'note',
    basis: PRACTICE,
    clear: 'Check torque and speed, or lower the margin setting.',
    field: 'practice.sizeMargin',
  },
  'load.speed-mismatch': {
    severity: 'caution',
    basis: 'n = 120 f / p',
    clear: 'Choose another ratio, or control the speed with a drive.',
  },
  'load.torque-kind': {
    severity: 'caution',
    basis: 'Affinity laws; ' + PRACTICE,
    clear: 'Set how the torque goes with speed; start, drive and energy follow from it.',
    field: 'load.torqueKind',
  },
  'load.peak-stalls': {
    severity: 'stop',
    basis: 'Breakdown torque at reduced voltage, T ∝ V²; MG 1 12.39, IEC 60034-12',
    clear: 'Cut the peak, or choose a larger motor.',
  },
  'load.cycle-long': {
    severity: 'note',
    basis: 'Heating of a body with one time constant; ' + PRACTICE,
    clear: 'Set the time constant of the very motor where its maker gives one.',
    field: 'practice.thermalTime',
  },
  'load.train-creates-power': {
    severity: 'stop',
    basis: 'Energy is conserved',
    clear: 'Read both torques again, or the ratio.',
  },
  'load.readings-differ': {
    severity: 'caution',
    basis: 'Two readings of one train',
    clear: 'Type the efficiency of the stage, or measure again.',
  },
  'load.no-belt-named': {
    severity: 'caution',
    basis: sheaves.source,
    clear: 'Have the maker confirm the belt drive, choose more poles, or couple the machine directly.',
    field: 'load.stages.0.kind',
  },
  'load.short-shaft-belt': {
    severity: 'stop',
    basis: 'MG 1 4.4.1 (recalled from memory)',
    clear: 'Couple the machine directly, or take a motor with a long shaft.',
    field: 'load.stages.0.kind',
  },
  'load.sheave-small': {
    severity: 'caution',
    basis: sheaves.source,
    clear:
      'Take a larger sheave and a larger one on the machine in the same ratio, or have the maker confirm the shaft.',
    field: 'load.sheave',
  },
  'load.rim-speed': {
    severity: 'caution',
    basis: PRACTICE,
    clear: 'Take a smaller sheave, more poles, or a sheave made and balanced for the speed.',
    field: 'load.sheave',
  },
  'load.no-holding-brake': {
    severity: 'stop',
    basis: `Rules for lifting gear ask for a brake that closes without current; ${PRACTICE}`,
    clear:
      'Fit a brake that closes without current and is proven before release, and say so; local rules for lifting decide.',
    field: 'load.holdingBrake',
  },
  'load.reading-impossible': {
    severity: 'stop',
    basis: 'What the plate’s motor can carry',
    clear: 'Read the meter and its unit again.',
  },
  'load.current-says-little': {
    severity: 'caution',
    basis: PRACTICE,
    clear: 'Measure the power into the motor, or its speed.',
  },
  'load.drives-motor': {
    severity: 'stop',
    basis: 'Weight along the slope exceeds friction',
    clear:
      'A load that drives needs a brake and a drive that takes energy back; have it engineered, or check the sign of the slope.',
    field: 'load.incline',
  },
  'load.curve-twice': {
    severity: 'caution',
    basis: 'One torque at each speed',
    clear: 'Remove the rows that are too many.',
  },
  'load.curve-ends': {
    severity: 'caution',
    basis: 'Straight lines between the points that were typed',
    clear: 'Add the torque at full speed.',
  },
  'load.measured-on-motor': {
    severity: 'note',
    basis: 'Way of knowing the load',
    clear: 'Measure the torque or the input power where it matters.',
  },
  'load.estimated': {
    severity: 'note',
    basis: 'Way of knowing the load',
    clear: 'Measure the torque or the input power where it matters.',
  },
});

export type Report = ReportOf<typeof findings>;
