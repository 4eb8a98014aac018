import { declared, type ReportOf } from '../declared-finding.ts';
import { motorCurrent } from '../../kernel/tables/index.ts';
import { PRACTICE } from '../../kernel/value.ts';

/** What this stage may find, by its code. */
export const findings = declared({
  'protection.iec': {
    severity: 'note',
    basis: 'IEC 60947-4-1, IEC 60364-5-52, tables recalled from memory',
    clear: 'Have cable and device confirmed by a licensed person, and the coordination by the manufacturer’s table.',
  },
  'protection.no-cable': {
    severity: 'caution',
    basis: 'IEC 60364-5-52, 60364-4-41, 60364-4-43',
    clear: 'Run cables side by side, sized by a licensed person, lay it cooler or shorter, or take another device.',
    field: 'protection.laying',
  },
  'protection.cable-small': {
    severity: 'caution',
    basis: 'IEC 60364-5-52, 60364-4-41, 60364-4-43',
    clear: 'Take the larger cable, or have the present one proven by a licensed person.',
    field: 'supply.feederSize',
  },
  'protection.inrush': {
    severity: 'caution',
    basis: `Peak of the first half-wave by IEC 60909-0 (from memory); magnetic trip: ${PRACTICE}`,
    clear: 'Take fuses, or a breaker with contactor and relay.',
    field: 'protection.shortCircuit',
  },
  'protection.slow-start': {
    severity: 'caution',
    basis: PRACTICE,
    clear: 'Take fuses with contactor and a relay of that class, or a start that is through sooner.',
    field: 'protection.shortCircuit',
  },
  'protection.earth-system': {
    severity: 'caution',
    basis: 'IEC 60364-4-41 (from memory)',
    clear: 'Have the protection against shock worked out by a licensed person.',
    field: 'protection.earthSystem',
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
  'protection.soft-starter': {
    severity: 'stop',
    basis: 'IEC 60947-4-2, AC-53 of the item',
    clear: 'Take a larger or harder rated soft starter, a lower current limit, or fewer starts.',
    field: 'starting.currentLimit',
  },
  'protection.lead-holds': {
    severity: 'caution',
    basis: `C ≤ 500 P/V² · 50/f µF, a lead has 0.3 µF/km (both from memory): ${PRACTICE}`,
    clear: 'Feed the coils with 24 V dc, put a relay at the starter, or lead it shorter.',
    field: 'protection.controlLead',
  },
  'protection.speeds-start': {
    severity: 'caution',
    basis: PRACTICE,
    clear: 'Start it direct at its lower speed, or take a drive for both speeds.',
    field: 'starting.method',
  },
  'protection.one-speed': {
    severity: 'caution',
    basis: 'The catalogue has motors of one speed',
    clear: 'Take a drive for both speeds, or have a two-speed motor and its starter bought to specification.',
    field: 'nameplate.speedInForce',
  },
  'protection.speed-change': {
    severity: 'note',
    basis: PRACTICE,
    clear: 'Set the timer longer than it takes to run down to the lower speed.',
  },
  'protection.speed-current': {
    severity: 'caution',
    basis: 'NEC 430.32, IEC 60947-4-1: each speed by its own current',
    clear: 'Type both currents in the order of the speeds: 44/20 A.',
    field: 'nameplate.currents',
  },
  'protection.drop': {
    severity: 'caution',
    basis: 'NEC 210.19, as a note; Chapter 9 Table 9',
    clear: 'Run wires in parallel, sized by a licensed person, bring the source nearer, or take a higher voltage.',
    field: 'supply.feederLength',
  },
  'protection.conductor-basis': {
    severity: 'note',
    basis: 'NEC 310.15, 110.14(C) (recalled from memory)',
    clear: 'Type ambient and number of conductors along the way of the cable; the hottest stretch counts.',
    field: 'protection.ambient',
  },
  'protection.fault-above': {
    severity: 'stop',
    basis: 'NEC 110.10; IEC 60947-2, 61439-1 (from memory)',
    clear:
      'Take a device and an assembly rated for it, or one tested with a fuse before it that limits the current, or choke the supply.',
    field: 'protection.assemblyRating',
  },
  'protection.coil-drops': {
    severity: 'caution',
    basis: 'IEC 60947-4-1: a coil is held from 85 % and lets go between 75 and 20 % (from memory)',
    clear: 'Feed the coils with 24 V dc of its own supply, hold them by a ride-through relay, or start more gently.',
    field: 'protection.control',
  },
  'protection.pair-untested': {
    severity: 'caution',
    basis: 'IEC 60947-4-1 9.3.4 (from memory); the maker’s table decides',
    clear: 'Take device, contactor and relay as one row of the maker’s table, and add it to the catalogue.',
    field: 'protection.consequence',
  },
  'protection.wire-gap': {
    severity: 'caution',
    basis: 'IEC 60364-4-43 434.5.2; ICEA P-32-382 (from memory); IEC 60947-4-1 Table 2',
    clear: 'Take a larger wire, a device that opens sooner, or a faster class of relay.',
    field: 'protection.device',
  },
  'protection.device-large': {
    severity: 'stop',
    basis: 'NEC 430.52(C)(1), 240.6(A)',
    clear: 'Take what the code allows, or show by exception 2 that the motor does not start with it.',
    field: 'protection.rating',
  },
  'protection.rating-unused': {
    severity: 'note',
    basis: 'IEC 60269-1, IEC 60947-4-1',
    clear: 'Clear the rating, or use fuses with tabulated gates.',
    field: 'protection.rating',
  },
  'protection.device-small': {
    severity: 'caution',
    basis: `IEC 60269-1 gates; magnetic trip of a breaker: ${PRACTICE}`,
    clear: 'Take a larger rating, or a start that takes less current.',
    field: 'protection.rating',
  },
  'protection.dial-high': {
    severity: 'stop',
    basis: 'NEC 430.32(A)(1); IEC 60947-4-1 (from memory)',
    clear: 'Reduce the setting to the maximum.',
    field: 'protection.dial',
  },
  'protection.dial-low': {
    severity: 'caution',
    basis: PRACTICE,
    clear: 'Increase the setting up to the maximum, or reduce the load.',
    field: 'protection.dial',
  },
  'protection.dial-unused': {
    severity: 'note',
    basis: PRACTICE,
    clear: 'Clear the setting, or select a starter with an overload relay.',
    field: 'protection.dial',
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

export type Report = ReportOf<typeof findings>;
