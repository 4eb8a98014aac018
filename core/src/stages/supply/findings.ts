import { declared, type ReportOf } from '../declared-finding.ts';
import { PRACTICE } from '../../kernel/value.ts';

const MG1_VOLTAGE = 'MG 1 12.44 (recalled from memory): ±10 % voltage, ±5 % frequency, ±10 % together';

/** What this stage may find, by its code. */
export const findings = declared({
  'supply.reactances-swapped': {
    severity: 'caution',
    basis: 'Synchronous machine: the damper currents of the first cycles lower its reactance',
    clear: 'Read both on the generator’s data sheet again; they may be swapped.',
    field: 'supply.subtransientReactance',
  },
  'supply.single-phase': {
    severity: 'caution',
    basis: 'Rotating field needs three phases; derate of the drive: ' + PRACTICE,
    clear: 'Confirm single-phase input in the drive’s manual, or bring a three-phase supply.',
    field: 'supply.phases',
  },
  'supply.unbalance': {
    severity: 'stop',
    basis: 'MG 1 14.36, Figure 14-1 (recalled from memory)',
    clear: 'Find the single-phase load, the bad joint or the transformer tap, and measure again.',
    field: 'supply.phaseVoltages',
  },
  'supply.overloaded': {
    severity: 'caution',
    basis: 'Sum of apparent powers, which is on the safe side',
    clear: 'Check what runs together with this motor, or feed it from a larger source.',
  },
  'supply.lowest-voltage': {
    severity: 'caution',
    basis: 'ANSI C84.1 and IEC 60038 keep a supply within 10 % (from memory)',
    clear: 'Type the lowest voltage between two lines that the bus has while the motor is to start.',
    field: 'supply.lowestVoltage',
  },
  'supply.feeder-ampacity': {
    severity: 'stop',
    basis: 'NEC 430.22, IEC 60364-5-52',
    clear: 'Take a larger feeder, or more cables a phase.',
    field: 'supply.feederSize',
  },
  'supply.feeder-drop': {
    severity: 'caution',
    basis: `NEC 210.19 and IEC 60364-5-52 Annex G, as notes (from memory); limit: ${PRACTICE}`,
    clear: 'Take a larger feeder or a shorter way.',
    field: 'supply.feederLength',
  },
  'supply.readings-not-three': {
    severity: 'stop',
    basis: 'MG 1 14.36 (recalled from memory)',
    clear: 'Measure between each two of the three lines and type all three, such as 478/462/481 V.',
    field: 'supply.phaseVoltages',
  },
  'supply.readings-off': {
    severity: 'caution',
    basis: 'ANSI C84.1 and IEC 60038 keep a supply within 10 % (from memory)',
    clear: 'Measure again between lines, not to earth; if it is so, mend the supply first.',
    field: 'supply.phaseVoltages',
  },
  'supply.band-shares': {
    severity: 'caution',
    basis: 'Shares of a whole',
    clear: 'Enter shares that add up to 100 %.',
    field: 'supply.bands.0.share',
  },
  'supply.other-frequency': {
    severity: 'caution',
    basis: `V/f constant within 5 %: ${PRACTICE}; ${MG1_VOLTAGE}`,
    clear: 'Check speed and power of the machine at this frequency.',
    field: 'supply.frequency',
  },
  'supply.low-winding': {
    severity: 'caution',
    basis: 'T ∝ V²; MG 1 12.44 and 14.35 (recalled from memory)',
    clear: 'Check the start; prefer a motor wound for this voltage where the load is heavy.',
    field: 'nameplate.voltages',
  },
  'supply.frequency': {
    severity: 'stop',
    basis: MG1_VOLTAGE,
    clear: 'Use the plate’s rating for this frequency if it has one, or choose a motor for this frequency.',
    field: 'supply.frequency',
  },
  'supply.usable-at': {
    severity: 'caution',
    basis: MG1_VOLTAGE + '; T ∝ V²',
    clear: 'Set the overload by the current named for that voltage; do not use the service factor.',
    field: 'nameplate.usableAt',
  },
  'supply.voltage': {
    severity: 'stop',
    basis: MG1_VOLTAGE + '; T ∝ V²',
    clear: 'Choose a winding whose plate names the system’s voltage.',
    field: 'supply.voltage',
  },
  'supply.voltage-marginal': {
    severity: 'caution',
    basis: MG1_VOLTAGE,
    clear: 'Prefer a winding for this system; measure the voltage at the terminals under load.',
    field: 'supply.voltage',
  },
});

export type Report = ReportOf<typeof findings>;
