import { TURN } from '../../ground/constants.ts';
import { choice, flag, is, line, list, named, perOption, quantity, rows, type Asked } from '../../ground/field.ts';

const pump: Asked = is('load.machine', 'pump');
const brakes: Asked = (look) => look('starting.braking') === 'chopper' || Boolean(look('drive.stopTime'));
const analog = is('drive.reference', '4–20 mA', '0–10 V');

const CABLE = 'Cable, winding and filter';
const LINE = 'Line side and harmonics';
const SPEEDS = 'Speeds and machine';
const STOP = 'Ramps and stopping';
const CONTROL = 'Control';

export const lead = 'What the drive must carry, what the cable does to the winding, and what is set in it.';

/** What this stage asks, in the order a person reads it off plate, machine or drawing. */
export const fields = {
  lead: quantity('altitude', {
    label: 'Cable to the motor',
    min: 0.3,
    max: 5000,
    example: '210 ft or 64 m',
    note: 'Length of the cable from drive to motor; of all of them together where several motors hang on one drive',
  }),
  stopTime: quantity('duration', { label: 'Must stop within', min: 0.1, max: 3600, example: '10 s' }),
  ...perOption({
    filter: choice(
      [
        ['auto', 'As the winding needs'],
        ['none', 'None'],
        ['reactor', 'Output reactor'],
        ['dV/dt', 'dV/dt filter'],
        ['sine', 'Sine filter'],
      ],
      { label: 'Filter at its output', usual: 'auto' },
    ),
    lineSide: choice(
      [
        ['auto', 'As the network needs'],
        ['none', 'Nothing'],
        ['choke 3 %', 'Choke of 3 %'],
        ['choke 5 %', 'Choke of 5 %, or in the dc link'],
        ['passive filter', 'Passive filter'],
        ['12-pulse', '12-pulse'],
        ['18-pulse', '18-pulse'],
        ['active front end', 'Active front end'],
      ],
      { label: 'At its input', usual: 'auto' },
    ),
    cooling: choice(
      [
        ['auto', 'As plate or catalogue say'],
        ['own fan', 'Fan on its shaft'],
        ['blower', 'Blower of its own'],
      ],
      { label: 'Motor cooled by', usual: 'auto' },
    ),
    carrier: quantity('carrier', { label: 'Carrier frequency', min: 500, max: 20_000, example: '4 kHz' }),
  }),
  windingPeak: quantity('voltage', {
    label: 'Winding bears peaks of',
    min: 300,
    max: 10_000,
    example: '1426 V, by its data sheet',
    hint: '1000 V where nothing is known',
    group: CABLE,
    note: 'Peak voltage the winding bears by its data sheet',
  }),
  leadKind: choice(named('shielded', 'plain'), { label: 'Cable is', usual: 'shielded', group: CABLE }),
  ...perOption({
    riseTime: quantity('riseTime', {
      label: 'Rise time of its edges',
      min: 5e-9,
      max: 1e-5,
      example: '0.1 µs',
      group: CABLE,
    }),
    motors: quantity('count', {
      label: 'Motors on this drive',
      min: 1,
      max: 40,
      example: '1 motor',
      hint: '1',
      group: CABLE,
    }),
  }),
  fluted: flag({ label: 'A bearing of it was fluted before', group: CABLE }),
  demandCurrent: quantity('current', {
    label: 'Demand current there',
    min: 1,
    max: 100_000,
    example: '1200 A',
    group: LINE,
    note: 'Mean of the twelve monthly highest demands at the point of common coupling, A at the supply’s voltage',
  }),
  otherDrives: quantity('current', {
    label: 'Other drives there, together',
    min: 0,
    max: 100_000,
    example: '260 A',
    group: LINE,
  }),
  otherDistortion: quantity('fraction', {
    label: 'Their distortion',
    min: 0,
    max: 1.5,
    example: '45 %',
    group: LINE,
  }),
  earthing: choice(
    [
      ['solid', 'Star point earthed'],
      ['corner', 'One corner earthed'],
      ['unearthed', 'Not earthed, or by a resistor'],
    ],
    { label: 'Supply is', usual: 'solid', group: LINE },
  ),
  resonances: list('frequency', {
    label: 'Resonances to skip',
    min: 1,
    max: 200,
    example: '23/41 Hz',
    group: SPEEDS,
  }),
  leastFlow: quantity('fraction', {
    label: 'Least flow of the pump',
    min: 0.01,
    max: 1,
    example: '30 %',
    group: SPEEDS,
    asked: pump,
  }),
  machineSpeed: quantity('speed', {
    label: 'Machine bears, at the motor',
    min: 10 * TURN,
    max: 20_000 * TURN,
    example: '2100 rpm',
    group: SPEEDS,
    note: 'Highest speed the driven machine bears, as the motor turns then',
  }),
  ...perOption({
    deltaAbove: flag({
      label: 'Connected in delta, full torque to √3 of its frequency',
      note: 'The winding is connected for 1/√3 of the supply (230 V delta on 400 V), so that it keeps its flux to 87 of 50 Hz',
      group: SPEEDS,
    }),
    leastFrequency: quantity('frequency', {
      label: 'Lowest frequency',
      min: 0,
      max: 200,
      example: '15 Hz',
      group: SPEEDS,
    }),
    mostFrequency: quantity('frequency', {
      label: 'Highest frequency',
      min: 5,
      max: 400,
      example: '60 Hz',
      group: SPEEDS,
    }),
  }),
  stopEvery: quantity('duration', {
    label: 'It is stopped every',
    min: 1,
    max: 604_800,
    example: '120 s',
    group: STOP,
    asked: brakes,
  }),
  pipeLength: quantity('altitude', {
    label: 'Pipe to the first vessel',
    min: 1,
    max: 100_000,
    example: '1800 ft or 550 m',
    group: STOP,
    asked: pump,
  }),
  ...perOption({
    stopRamp: quantity('duration', {
      label: 'Ramp down',
      min: 0.1,
      max: 3600,
      example: '10 s',
      group: STOP,
    }),
    resistor: quantity('resistance', {
      label: 'Brake resistor',
      min: 0.1,
      max: 10_000,
      example: '22 Ω',
      group: STOP,
      asked: brakes,
    }),
    dcBrake: flag({ label: 'Braked by dc in its winding', group: STOP }),
    command: choice(
      [
        ['three-wire', 'Start and stop buttons'],
        ['two-wire', 'A contact that stays closed'],
        ['keypad', 'Its keypad'],
        ['fieldbus', 'Fieldbus'],
      ],
      { label: 'Started by', usual: 'three-wire', group: CONTROL },
    ),
    reference: choice(
      [
        ['keypad', 'Its keypad'],
        ['4–20 mA', '4–20 mA'],
        ['0–10 V', '0–10 V'],
        ['fieldbus', 'Fieldbus'],
        ['PID', 'Its own controller, from a transmitter'],
      ],
      { label: 'Speed told by', usual: '4–20 mA', group: CONTROL },
    ),
    referenceLow: quantity('frequency', {
      label: 'Lowest signal means',
      min: 0,
      max: 400,
      example: '0 Hz',
      group: CONTROL,
      asked: analog,
    }),
    referenceHigh: quantity('frequency', {
      label: 'Highest signal means',
      min: 1,
      max: 400,
      example: '60 Hz',
      group: CONTROL,
      asked: analog,
    }),
    lostReference: choice(
      [
        ['trip', 'Stop and tell'],
        ['hold', 'Go on as before'],
        ['lowest', 'Go to the lowest speed'],
      ],
      { label: 'If the signal is lost', usual: 'trip', group: CONTROL },
    ),
    restart: choice(
      [
        ['no', 'Waits to be started'],
        ['yes', 'Starts by itself'],
      ],
      { label: 'When power comes back', usual: 'no', group: CONTROL },
    ),
    safeOff: flag({ label: 'Emergency stop by safe torque off', group: CONTROL }),
    bypass: flag({ label: 'Contactors lead around it', note: 'The motor can be run on the line', group: CONTROL }),
    /** What the person at the keypad has set, as it stands there. */
    asSet: rows(
      60,
      { setting: line(60, { label: 'Setting', usual: '' }), value: line(60, { label: 'As set', usual: '' }) },
      { label: 'As set', note: 'What was set in the drive, by the id of each setting' },
    ),
  }),
};
