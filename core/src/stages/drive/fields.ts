import { TURN } from '../../kernel/constants.ts';
import { choice, flag, is, line, list, perOption, quantity, rows, type Asked } from '../../kernel/field.ts';

const pump: Asked = is('load.machine', 'pump');
const brakes: Asked = (look) => look('starting.braking') === 'chopper' || Boolean(look('drive.stopTime'));
const analog = is('drive.reference', '4–20 mA', '0–10 V');

const CABLE = 'Motor cable, winding and filter';
const LINE = 'Line side and harmonics';
const SPEEDS = 'Speed range and machine';
const STOP = 'Ramps and stopping';
const CONTROL = 'Control';

export const lead = 'Sizing, motor cable, line side, braking and settings of the drive.';

/** What this stage asks, in the order a person reads it off plate, machine or drawing. */
export const fields = {
  lead: quantity('altitude', {
    label: 'Motor cable length',
    min: 0.3,
    max: 5000,
    example: '210 ft or 64 m',
    note: 'Length of the cable from drive to motor; of all of them together where several motors hang on one drive',
  }),
  stopTime: quantity('duration', { label: 'Required stopping time', min: 0.1, max: 3600, example: '10 s' }),
  ...perOption({
    filter: choice(
      [
        ['auto', 'As the winding requires'],
        ['none', 'None'],
        ['reactor', 'Output reactor'],
        ['dV/dt', 'dV/dt filter'],
        ['sine', 'Sine filter'],
      ],
      { label: 'Output filter', usual: 'auto' },
    ),
    lineSide: choice(
      [
        ['auto', 'As the supply system requires'],
        ['none', 'None'],
        ['choke 3 %', '3 % line reactor'],
        ['choke 5 %', '5 % line reactor or DC choke'],
        ['passive filter', 'Passive harmonic filter'],
        ['12-pulse', '12-pulse rectifier'],
        ['18-pulse', '18-pulse rectifier'],
        ['active front end', 'Active front end'],
      ],
      { label: 'Line reactor or front end', usual: 'auto' },
    ),
    cooling: choice(
      [
        ['auto', 'As nameplate or catalogue'],
        ['own fan', 'Shaft-mounted fan (IC411)'],
        ['blower', 'Separate blower (IC416)'],
      ],
      { label: 'Motor cooling (IC code)', usual: 'auto' },
    ),
    carrier: quantity('carrier', { label: 'Switching frequency', min: 500, max: 20_000, example: '4 kHz' }),
  }),
  windingPeak: quantity('voltage', {
    label: 'Winding peak-voltage withstand',
    min: 300,
    max: 10_000,
    example: '1426 V, by its data sheet',
    hint: '1000 V where nothing is known',
    group: CABLE,
    note: 'Peak voltage the winding bears by its data sheet',
  }),
  leadKind: choice(
    [
      ['shielded', 'Shielded'],
      ['plain', 'Unshielded'],
    ],
    { label: 'Motor cable type', usual: 'shielded', group: CABLE },
  ),
  ...perOption({
    riseTime: quantity('riseTime', {
      label: 'Voltage rise time',
      min: 5e-9,
      max: 1e-5,
      example: '0.1 µs',
      group: CABLE,
    }),
    motors: quantity('count', {
      label: 'Number of motors on the drive',
      min: 1,
      max: 40,
      example: '1 motor',
      hint: '1',
      group: CABLE,
    }),
  }),
  fluted: flag({ label: 'Previous bearing fluting', group: CABLE }),
  demandCurrent: quantity('current', {
    label: 'Maximum demand load current I_L',
    min: 1,
    max: 100_000,
    example: '1200 A',
    group: LINE,
    note: 'Mean of the twelve monthly highest demands at the point of common coupling, A at the supply’s voltage',
  }),
  otherDrives: quantity('current', {
    label: 'Other drives, total current',
    min: 0,
    max: 100_000,
    example: '260 A',
    group: LINE,
  }),
  otherDistortion: quantity('fraction', {
    label: 'Other drives, current THD',
    min: 0,
    max: 1.5,
    example: '45 %',
    group: LINE,
  }),
  earthing: choice(
    [
      ['solid', { NEMA: 'Solidly grounded wye', IEC: 'Star point earthed' }],
      ['corner', { NEMA: 'Corner-grounded delta', IEC: 'Phase conductor earthed' }],
      ['unearthed', { NEMA: 'Ungrounded or resistance-grounded', IEC: 'Unearthed or impedance-earthed' }],
    ],
    { label: { NEMA: 'System grounding', IEC: 'System earthing' }, usual: 'solid', group: LINE },
  ),
  resonances: list('frequency', {
    label: 'Resonance frequencies to skip',
    min: 1,
    max: 200,
    example: '23/41 Hz',
    group: SPEEDS,
  }),
  leastFlow: quantity('fraction', {
    label: 'Minimum flow',
    min: 0.01,
    max: 1,
    example: '30 %',
    group: SPEEDS,
    asked: pump,
  }),
  machineSpeed: quantity('speed', {
    label: 'Speed limit of the machine, at motor',
    min: 10 * TURN,
    max: 20_000 * TURN,
    example: '2100 rpm',
    group: SPEEDS,
    note: 'Highest speed the driven machine bears, as the motor turns then',
  }),
  ...perOption({
    deltaAbove: flag({
      label: 'Delta connection, torque to √3 × fₙ',
      note: 'The winding is connected for 1/√3 of the supply (230 V delta on 400 V), so that it keeps its flux to 87 of 50 Hz',
      group: SPEEDS,
    }),
    leastFrequency: quantity('frequency', {
      label: 'Minimum frequency',
      min: 0,
      max: 200,
      example: '15 Hz',
      group: SPEEDS,
    }),
    mostFrequency: quantity('frequency', {
      label: 'Maximum frequency',
      min: 5,
      max: 400,
      example: '60 Hz',
      group: SPEEDS,
    }),
  }),
  stopEvery: quantity('duration', {
    label: 'Stopping interval',
    min: 1,
    max: 604_800,
    example: '120 s',
    group: STOP,
    asked: brakes,
  }),
  pipeLength: quantity('altitude', {
    label: 'Pipe length to first vessel',
    min: 1,
    max: 100_000,
    example: '1800 ft or 550 m',
    group: STOP,
    asked: pump,
  }),
  ...perOption({
    stopRamp: quantity('duration', {
      label: 'Deceleration ramp',
      min: 0.1,
      max: 3600,
      example: '10 s',
      group: STOP,
    }),
    resistor: quantity('resistance', {
      label: 'Braking resistor',
      min: 0.1,
      max: 10_000,
      example: '22 Ω',
      group: STOP,
      asked: brakes,
    }),
    dcBrake: flag({ label: 'DC injection braking', group: STOP }),
    command: choice(
      [
        ['three-wire', 'Three-wire, start and stop buttons'],
        ['two-wire', 'Two-wire, maintained contact'],
        ['keypad', 'Keypad'],
        ['fieldbus', 'Fieldbus'],
      ],
      { label: 'Start command', usual: 'three-wire', group: CONTROL },
    ),
    reference: choice(
      [
        ['keypad', 'Keypad'],
        ['4–20 mA', '4–20 mA'],
        ['0–10 V', '0–10 V'],
        ['fieldbus', 'Fieldbus'],
        ['PID', 'Internal PID controller, transmitter'],
      ],
      { label: 'Speed reference', usual: '4–20 mA', group: CONTROL },
    ),
    referenceLow: quantity('frequency', {
      label: 'Frequency at minimum signal',
      min: 0,
      max: 400,
      example: '0 Hz',
      group: CONTROL,
      asked: analog,
    }),
    referenceHigh: quantity('frequency', {
      label: 'Frequency at maximum signal',
      min: 1,
      max: 400,
      example: '60 Hz',
      group: CONTROL,
      asked: analog,
    }),
    lostReference: choice(
      [
        ['trip', 'Trip'],
        ['hold', 'Hold last speed'],
        ['lowest', 'Minimum speed'],
      ],
      { label: 'Loss-of-reference action', usual: 'trip', group: CONTROL },
    ),
    restart: choice(
      [
        ['no', 'Disabled'],
        ['yes', 'Enabled'],
      ],
      { label: 'Automatic restart', usual: 'no', group: CONTROL },
    ),
    safeOff: flag({ label: 'Emergency stop by STO', group: CONTROL }),
    bypass: flag({ label: 'Bypass contactor', note: 'The motor can be run on the line', group: CONTROL }),
    /** What the person at the keypad has set, as it stands there. */
    asSet: rows(
      60,
      { setting: line(60, { label: 'Setting', usual: '' }), value: line(60, { label: 'As left', usual: '' }) },
      { label: 'As-left settings', note: 'What was set in the drive, by the id of each setting' },
    ),
  }),
};
