import { declared, type ReportOf } from '../declared-finding.ts';
import { distortionLimits, safeSpeed, voltageDistortion, windingWithstand } from '../../kernel/tables/index.ts';
import { PRACTICE } from '../../kernel/value.ts';

const REFLECTED = 'Reflected wave on the motor cable; reflection and speed of the wave from memory';

/** What this stage may find, by its code. */
export const findings = declared({
  'drive.winding-peak': {
    severity: 'stop',
    basis: `${REFLECTED}; withstand: ${windingWithstand.source}`,
    clear: 'Fit a filter at the drive, shorten the cable, or take a winding made for it.',
    field: 'drive.filter',
  },
  'drive.filter-needed': {
    severity: 'caution',
    basis: `${REFLECTED}; withstand: ${windingWithstand.source}`,
    clear: 'Order the filter with the drive; it stands at the drive, not at the motor.',
    field: 'drive.filter',
  },
  'drive.lead-rule': {
    severity: 'note',
    basis: `Rule of the site for cables without a filter, ${PRACTICE}`,
    clear: 'Fit the filter, or change the rule where the site has figures of its own.',
    field: 'practice.leadRule',
  },
  'drive.small-drive-long-lead': {
    severity: 'caution',
    basis: PRACTICE,
    clear: 'Read the longest cable in the drive’s data; a reactor or a larger drive carries the charging current.',
    field: 'drive.lead',
  },
  'drive.sine-torque': {
    severity: 'caution',
    basis: PRACTICE,
    clear: 'Lower the highest frequency, take a larger motor, or a dV/dt filter if the cable allows it.',
    field: 'drive.filter',
  },
  'drive.reactor-rings': {
    severity: 'caution',
    basis: PRACTICE,
    clear: 'Take a dV/dt filter where the peak counts.',
    field: 'drive.filter',
  },
  'drive.bearings': {
    severity: 'caution',
    basis: PRACTICE,
    clear: 'Order motor and parts that way, and earth the frames of motor and machine together.',
    field: 'nameplate.frame',
  },
  'drive.below-least': {
    severity: 'caution',
    basis: `Cooling, machine and way of control; ${PRACTICE}`,
    clear: 'Take out the row, add a blower of its own, or close the loop.',
    field: 'profile.points',
  },
  'drive.above-most': {
    severity: 'stop',
    basis: `Constant power and breakdown torque above base speed; ${safeSpeed.source} (recalled only roughly)`,
    clear: 'Take out the row, a larger motor, or ask the makers of motor and machine.',
    field: 'profile.points',
  },
  'drive.no-range': {
    severity: 'stop',
    basis: `Cooling, machine and way of control; ${PRACTICE}`,
    clear: 'Add a blower of its own, a larger motor, or another reduction.',
    field: 'drive.cooling',
  },
  'drive.bypass': {
    severity: 'note',
    basis: 'Direct start of the fitted circuit on this source',
    clear: 'See that network and machine bear it; interlock both contactors, with isolation around the drive.',
    field: 'drive.bypass',
  },
  'drive.dc-brake': {
    severity: 'note',
    basis: 'A dc field turns the whole energy into heat of the rotor, plugging three times as much (definition)',
    clear: 'Count each DC-braked stop as a start.',
    field: 'drive.dcBrake',
  },
  'drive.filter-carrier': {
    severity: 'caution',
    basis: PRACTICE,
    clear: 'Set the carrier the filter’s data name.',
    field: 'drive.carrier',
  },
  'drive.delta-winding': {
    severity: 'stop',
    basis: 'A winding takes its rated volts per hertz only',
    clear: 'Leave it in star, or take a motor whose plate names that voltage.',
    field: 'drive.deltaAbove',
  },
  'drive.delta-above': {
    severity: 'caution',
    basis: PRACTICE,
    clear: 'Have rotor, bearings and winding confirmed by the maker; the drive is sized by the current in delta.',
    field: 'drive.deltaAbove',
  },
  'drive.longest-lead': {
    severity: 'caution',
    basis: 'catalogue',
    clear: 'Fit a filter, or shorten the cable.',
    field: 'drive.filter',
  },
  'drive.several-motors': {
    severity: 'note',
    basis: `NEC 430.32, 430.124 (from memory); ${PRACTICE}`,
    clear: 'Give each motor an overload relay of its own; volts per hertz without self-tuning; equal speed only.',
    field: 'drive.motors',
  },
  'drive.one-phase': {
    severity: 'note',
    basis: PRACTICE,
    clear: 'Bring three phases, or ask the maker of the drive for its input current and distortion on one.',
    field: 'supply.phases',
  },
  'drive.high': {
    severity: 'caution',
    basis: 'IEC 61800-5-1 above 2000 m (from memory)',
    clear: 'Ask the maker for insulation and supply at this height, or bring the drive lower.',
    field: 'place.altitude',
  },
  'drive.cabinet-air': {
    severity: 'caution',
    basis: PRACTICE,
    clear: 'Type the cabinet’s size, for the air in it to be worked out, or take a larger drive.',
    field: 'place.cabinetHeight',
  },
  'drive.single-phase-large': {
    severity: 'stop',
    basis: PRACTICE,
    clear: 'Bring three phases.',
    field: 'supply.phases',
  },
  'drive.demand-distortion': {
    severity: 'caution',
    basis: distortionLimits.source,
    clear: 'Take the line side that passes; the owner of the installation answers for it at the point of coupling.',
    field: 'drive.lineSide',
  },
  'drive.voltage-distortion': {
    severity: 'caution',
    basis: voltageDistortion.source,
    clear: 'Take a line side with less distortion, or a stronger source.',
    field: 'drive.lineSide',
  },
  'drive.generator-share': {
    severity: 'caution',
    basis: PRACTICE,
    clear: 'Take a choke, a smaller drive or an active front end; no leading filter on a small set.',
    field: 'drive.lineSide',
  },
  'drive.iec-consent': {
    severity: 'note',
    basis: 'IEC 61000-3-12 for 16 to 75 A a phase, the supplier’s consent above (from memory)',
    clear: 'Ask the network’s owner; the figures of IEEE 519 are shown as a yardstick.',
    field: 'drive.lineSide',
  },
  'drive.unearthed': {
    severity: 'caution',
    basis: PRACTICE,
    clear: 'Open the links of filter and varistors, as the drive’s manual shows, before it is switched on.',
    field: 'drive.earthing',
  },
  'drive.stop-too-short': {
    severity: 'stop',
    basis: `Energy of the turning masses; losses of about 15 %: ${PRACTICE}`,
    clear: 'Take a brake resistor, a longer stop, or a drive that feeds back.',
    field: 'starting.braking',
  },
  'drive.resistor': {
    severity: 'stop',
    basis: 'R between V_b/I of the chopper and V_b²/P at first',
    clear: 'Take a resistor between the two limits, of the mean power and the energy of a stop.',
    field: 'drive.resistor',
  },
  'drive.regenerate': {
    severity: 'note',
    basis: PRACTICE,
    clear: 'Price a drive that feeds back beside the resistor.',
    field: 'starting.braking',
  },
  'drive.pipe-ramp': {
    severity: 'caution',
    basis: `Four travels of the pressure wave at 1150 m/s, ${PRACTICE}`,
    clear: 'Lengthen the ramp down.',
    field: 'drive.stopRamp',
  },
  'drive.ramp-short': {
    severity: 'caution',
    basis: 'Torque at the drive’s current limit over that of the load',
    clear: 'Lengthen the ramp, or take a larger drive.',
    field: 'starting.driveRamp',
  },
  'drive.part-missing': {
    severity: 'note',
    basis: 'catalogue',
    clear: 'Type it with its price under the accessories of the option, or add a catalogue.',
    field: 'pick.accessories',
  },
  'drive.restarts': {
    severity: 'caution',
    basis: PRACTICE,
    clear: 'Guard the machine and post a warning sign, or disable automatic restart.',
    field: 'drive.restart',
  },
  'drive.scaling': {
    severity: 'caution',
    basis: 'Linear scale between the two ends of the signal',
    clear: 'Let the signal end where the speed ends.',
    field: 'drive.referenceHigh',
  },
  'drive.setting-differs': {
    severity: 'caution',
    basis: 'Settings worked out in this job',
    clear: 'Set it to the calculated value, or correct the inputs.',
    field: 'drive.asSet',
  },
});

export type Report = ReportOf<typeof findings>;
