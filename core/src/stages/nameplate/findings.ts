import { declared, type ReportOf } from '../declared-finding.ts';
import { PRACTICE } from '../../kernel/value.ts';

/** What this stage may find, by its code. */
export const findings = declared({
  'nameplate.hot-spot': {
    severity: 'caution',
    basis: `IEC 60085, IEC 60034-1 (recalled from memory); halving per 10 K: ${PRACTICE}`,
    clear: 'Cooler air, a higher thermal class, a lower rise, or less load.',
    field: 'nameplate.thermalClass',
  },
  'nameplate.explosion-protected': {
    severity: 'stop',
    basis: 'NEC 500 to 506, IEC 60079 series',
    clear: 'Have a competent person for hazardous areas select it; Pilgrim does not.',
    field: 'nameplate.enclosure',
    defers: true,
  },
  'nameplate.service-factor': {
    severity: 'note',
    basis: PRACTICE,
    clear: 'Do not load it above its rated power.',
    field: 'nameplate.serviceFactor',
  },
  'nameplate.duty': {
    severity: 'caution',
    basis: 'IEC 60034-1 4.2, MG 1 10.36 (recalled from memory)',
    clear: 'Choose a continuous-duty motor unless the load is truly intermittent.',
    field: 'nameplate.duty',
  },
  'nameplate.design-unknown': {
    severity: 'note',
    basis: 'MG 1 1.19, IEC 60034-12 (recalled from memory)',
    clear: 'Write the design as A, B, C or D, or as N or H with what follows it.',
    field: 'nameplate.designLetter',
  },
  'nameplate.thermal-class-unknown': {
    severity: 'note',
    basis: 'IEC 60085 (recalled from memory)',
    clear: 'Write the class as A, E, B, F or H, or as 105, 120, 130, 155 or 180.',
    field: 'nameplate.thermalClass',
  },
  'nameplate.bearing-unknown': {
    severity: 'note',
    basis: 'ISO 15 (recalled from memory)',
    clear: 'Write it like 6309-2Z/C3 or NU 313.',
  },
  'nameplate.grease-mixed': {
    severity: 'caution',
    basis: PRACTICE,
    clear: 'Have the bearings cleaned out and filled with one grease, or replaced; tag the motor with its grease.',
    field: 'situation.greasedWith',
  },
  'nameplate.grease': {
    severity: 'note',
    basis: PRACTICE,
    clear: 'Grease the new motor with what its own plate names, and tell who greases it.',
    field: 'nameplate.grease',
  },
  'nameplate.inverter-silent': {
    severity: 'caution',
    basis: `MG 1 Parts 30 and 31 (recalled from memory); age: ${PRACTICE}`,
    clear: 'Ask the maker for the data sheet, keep the cable short or add a filter, or choose a new motor.',
    field: 'nameplate.inverter',
  },
  'nameplate.class-below-today': {
    severity: 'note',
    basis: 'Least efficiency of new motors by law (recalled from memory)',
    clear: 'On a fan or pump check the power at the higher speed; it rises with its cube.',
    field: 'nameplate.efficiency',
  },
  'nameplate.class-disagrees': {
    severity: 'caution',
    basis: 'Least efficiency of the class (recalled from memory)',
    clear: 'Read the efficiency, the power and the class again.',
    field: 'nameplate.efficiency',
  },
  'nameplate.code-letter': {
    severity: 'caution',
    basis: 'NEC Table 430.7(B)',
    clear: 'Read the letter again. I, O and Q are never used; they are often a 1 or a 0.',
    field: 'nameplate.codeLetter',
  },
  'nameplate.pairing': {
    severity: 'caution',
    basis: PRACTICE,
    clear: 'Type as many currents as voltages, in the same order: 230/460 with 38/19.',
    field: 'nameplate.currents',
  },
  'nameplate.several-ratings': {
    severity: 'note',
    basis: PRACTICE,
    clear: 'Put the speed you mean first, or type one frequency for each.',
    field: 'nameplate.speed',
  },
  'nameplate.frequency-assumed': {
    severity: 'note',
    basis: PRACTICE,
    clear: 'Type the frequency.',
    field: 'nameplate.frequency',
  },
  'nameplate.speed-impossible': {
    severity: 'stop',
    basis: 'n = 120 f / p',
    clear: 'Read speed and frequency again.',
    field: 'nameplate.speed',
  },
  'nameplate.synchronous-speed': {
    severity: 'note',
    basis: PRACTICE,
    clear: 'Measure the speed at full load, or take it from the data sheet.',
    field: 'nameplate.speed',
  },
  'nameplate.slip-high': {
    severity: 'caution',
    basis: 'MG 1 Design D, 5 % and more (recalled from memory)',
    clear: 'Read speed and frequency again.',
    field: 'nameplate.speed',
  },
  'nameplate.code-above-design': {
    severity: 'caution',
    basis: 'MG 1 12.35.1 (recalled from memory)',
    clear: 'Read code and design letter again; one of them is likely wrong.',
    field: 'nameplate.codeLetter',
  },
  'nameplate.frame-unknown': {
    severity: 'caution',
    basis: 'MG 1 4.2, IEC 60072-1',
    clear: 'Write it like 254T, 143/5T, 56C, 132M. Or measure floor to shaft centre.',
    field: 'nameplate.frame',
  },
  'nameplate.frame-unusual': {
    severity: 'note',
    basis: 'MG 1 Part 13, EN 50347 (recalled from memory)',
    clear: 'Check power and speed, or expect an older or special motor.',
    field: 'nameplate.frame',
  },
  'nameplate.frame-u': {
    severity: 'caution',
    basis: 'MG 1 4.2.2 (recalled from memory)',
    clear: 'Plan a transition base, or have the maker match the mounting.',
    field: 'nameplate.frame',
  },
  'nameplate.unread': {
    severity: 'caution',
    basis: 'Text of the plate',
    clear: 'Read the nameplate again and type the figure into its field, or correct the text.',
  },
  'nameplate.single-phase': {
    severity: 'stop',
    basis: 'P = √3 V I η cos φ holds for three phases',
    clear: 'Read the nameplate again; a single-phase motor is selected from its own tables.',
    field: 'nameplate.phases',
  },
  'nameplate.speed-chosen': {
    severity: 'note',
    basis: 'chosen in this job',
    clear: 'A drive gives both speeds from one winding; a two-speed motor and its starter are bought to specification.',
    field: 'nameplate.speedInForce',
  },
  'nameplate.two-speed': {
    severity: 'stop',
    basis: 'Power, current and torque differ with the speed',
    clear: 'Choose the speed.',
    field: 'nameplate.speedInForce',
  },
  'nameplate.other-school': {
    severity: 'caution',
    basis: 'Units, frequency, class and frame on the plate',
    clear: 'Set “Rules and units” to the plate’s, unless the new equipment is to follow the job’s.',
    field: 'school',
  },
  'nameplate.implausible': {
    severity: 'caution',
    basis: `P = √3 V I η cos φ; usual figures: ${PRACTICE}`,
    clear: 'One of power, voltage, current or the factors is misread, or belongs to another connection; look again.',
  },
  'nameplate.poles-disagree': {
    severity: 'caution',
    basis: 'n = 120 f / p',
    clear: 'Read speed, frequency and poles again.',
    field: 'nameplate.poles',
  },
  'nameplate.ratio': {
    severity: 'caution',
    basis: 'same power at every connection: V·I constant',
    clear: 'Read the nameplate again.',
  },
  'nameplate.code-current': {
    severity: 'caution',
    basis: 'NEC Table 430.7(B) (recalled from memory)',
    clear: 'Read code letter, locked-rotor current and voltage again.',
    field: 'nameplate.codeLetter',
  },
  'nameplate.pair-speed': {
    severity: 'caution',
    basis: 'n = 120 f / p',
    clear: 'Read both speeds and frequencies again.',
  },
  'nameplate.pair-voltage': {
    severity: 'caution',
    basis: `V/f constant within 12 %: ${PRACTICE}`,
    clear: 'Read the voltages of both sets again.',
    field: 'nameplate.altVoltages',
  },
  'nameplate.recovered': {
    severity: 'caution',
    basis: PRACTICE,
    clear: 'Measure the load torque or the running current, and size the new motor from the load.',
    field: 'nameplate.measuredShaftHeight',
  },
  'nameplate.misread': {
    severity: 'caution',
    basis: 'P = √3 V I η cos φ; limit 12 %: ' + PRACTICE,
    clear: 'Read the nameplate again.',
    field: 'nameplate.currents',
  },
  'nameplate.disagrees': {
    severity: 'caution',
    basis: 'P = √3 V I η cos φ; limit 5 %: ' + PRACTICE,
    clear: 'Read the nameplate again.',
    field: 'nameplate.currents',
  },
  'nameplate.power-factor-over-one': {
    severity: 'caution',
    basis: 'P = √3 V I η cos φ',
    clear: 'One of power, voltage, current or the factors is misread; read the nameplate again.',
    field: 'nameplate.currents',
  },
  'nameplate.efficiency-over-one': {
    severity: 'caution',
    basis: 'P = √3 V I η cos φ',
    clear: 'One of power, voltage, current or the factors is misread; read the nameplate again.',
    field: 'nameplate.currents',
  },
});

export type Report = ReportOf<typeof findings>;
