import { declared, type ReportOf } from '../declared-finding.ts';
import { PRACTICE } from '../../kernel/value.ts';

/** What this stage may find, by its code. */
export const findings = declared({
  'starting.ac4': {
    severity: 'note',
    basis: `IEC 60947-4-1, AC-4; twice the AC-3 current: ${PRACTICE}`,
    clear: 'Confirm the contact life for so many operations in the maker’s AC-4 data.',
    field: 'starting.inching',
  },
  'starting.reversing': {
    severity: 'note',
    basis: PRACTICE,
    clear: 'Order the interlocks, and wire the stop between the directions.',
    field: 'starting.reversing',
  },
  'starting.open-loop': {
    severity: 'stop',
    basis: `Torque proven before the brake opens; ${PRACTICE}`,
    clear: 'Order an encoder and a drive with closed loop and brake logic, and say so.',
    field: 'starting.closedLoop',
  },
  'starting.no-braking': {
    severity: 'stop',
    basis: 'Energy is conserved; a rectifier passes it one way only',
    clear: 'Select a braking resistor or a regenerative drive.',
    field: 'starting.braking',
  },
  'starting.method-fails': {
    severity: 'stop',
    basis: 'Limits of supply, load, motor and overload relay; ' + PRACTICE,
    clear: 'Change what fails, or select the starting method automatically.',
    field: 'starting.method',
  },
  'starting.inertia-above-table': {
    severity: 'caution',
    basis: 'MG 1 12.54, IEC 60034-12 (recalled from memory)',
    clear: 'Have the maker confirm the start, or choose a larger motor.',
    field: 'load.inertia',
  },
  'starting.drive-wasted': {
    severity: 'caution',
    basis: PRACTICE,
    clear: 'Select the starting method automatically.',
    field: 'starting.method',
  },
  'starting.next-cheaper': {
    severity: 'note',
    basis: 'Limits of supply, load, motor and overload relay',
    clear: 'Make this change to use the cheaper starting method.',
    field: 'starting.method',
  },
  'starting.slow-relay': {
    severity: 'caution',
    basis: 'IEC 60947-4-1 Table 2; stall time of the motor',
    clear: 'Confirm the safe stall time with the manufacturer, or shorten the start.',
    field: 'starting.tripClass',
  },
  'starting.soft-stop': {
    severity: 'note',
    basis: 'Run-down of load and inertia; water hammer: ' + PRACTICE,
    clear: 'Set the stop ramp to at least four travels of the pressure wave, and enter it on the settings sheet.',
    field: 'starting.softStop',
  },
  'starting.stall-times-swapped': {
    severity: 'caution',
    basis: 'Hot, less warmth is left to the limit',
    clear: 'Read both on the data sheet again; they may be swapped.',
    field: 'starting.stallTimeHot',
  },
  'starting.supply-unknown': {
    severity: 'caution',
    basis: PRACTICE,
    clear: 'Type the size and impedance of the transformer or generator, or a limit on the starting current.',
    field: 'supply.sourcePower',
  },
  'starting.load-assumed': {
    severity: 'caution',
    basis: PRACTICE,
    clear: 'Measure the torque or the running current and enter it.',
    field: 'load.torque',
  },
  'starting.inertia-assumed': {
    severity: 'note',
    basis: PRACTICE,
    clear: 'Enter the load inertia from the machine manufacturer.',
    field: 'load.inertia',
  },
  'starting.no-circuit': {
    severity: 'stop',
    basis: 'Per-phase circuit of the induction motor',
    clear: 'Read speed, efficiency and current on the plate again.',
    field: 'nameplate.speed',
  },
  'starting.figures-fight': {
    severity: 'caution',
    basis: 'Per-phase circuit with a double cage',
    clear: 'Read the nameplate again, or type torques and part-load efficiencies from the data sheet.',
    field: 'starting.breakdownTorque',
  },
  'starting.none': {
    severity: 'stop',
    basis: 'Limits of supply, load, motor and overload relay',
    clear:
      'See the table for what each method requires; use a stronger supply, a lower breakaway torque or a larger motor.',
    field: 'supply.startCurrentLimit',
  },
});

export type Report = ReportOf<typeof findings>;
