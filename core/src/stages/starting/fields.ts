import { type Asked, quantity, choice, flag, named, is, perOption } from '../../ground/field.ts';

const ways = (...ways: readonly string[]): Asked => is('load.way', ...ways);
/** Machines that may drive their motor, and those that turn back, are jogged or plugged. */
const drivesMotor = ways('hoist', 'duty', 'curve');
const reverses = ways('hoist', 'conveyor', 'crusher', 'mixer', 'duty');
const jogs = ways('hoist', 'conveyor', 'press', 'duty');
const plugs = ways('hoist', 'press', 'centrifuge', 'duty');

export const lead = 'The least costly start that passes every limit, unless the speed must be controlled.';

/** What this stage asks, in the order a person reads it off plate, machine or drawing. */
export const fields = {
  speedControl: choice(
    [
      ['auto', 'Decide from the profile'],
      ['yes', 'Needed'],
      ['no', 'Not needed'],
    ],
    { label: 'Speed control while running', usual: 'auto', note: 'Must the speed be controlled while running?' },
  ),
  ...perOption({
    method: choice(
      [
        ['auto', 'Let Pilgrim choose'],
        ['direct', 'Direct'],
        ['star-delta', 'Star-delta'],
        ['soft starter', 'Soft starter'],
        ['autotransformer', 'Autotransformer'],
        ['drive', 'Drive'],
      ],
      { label: 'Way to start', usual: 'auto' },
    ),
  }),
  leads: choice(named('unknown', '3', '6', '9', '12'), { label: 'Leads brought out', usual: 'unknown' }),
  ...perOption({
    tripClass: choice(
      [
        ['auto', 'The fastest that holds'],
        ['5', '5'],
        ['10A', '10A'],
        ['10', '10'],
        ['20', '20'],
        ['30', '30'],
        ['40', '40'],
      ],
      {
        label: 'Overload relay class',
        usual: 'auto',
        note: 'Class of the overload relay; auto takes the fastest that holds',
      },
    ),
  }),
  startTimeLimit: quantity('duration', { label: 'Must be up within', min: 0.1, max: 600, example: '4 s' }),
  reversing: choice(
    [
      ['unknown', 'Not known'],
      ['no', 'No'],
      ['yes', 'Yes'],
    ],
    {
      label: 'Runs in both directions',
      usual: 'unknown',
      asked: reverses,
      note: 'It is run in both directions',
    },
  ),
  inching: choice(
    [
      ['unknown', 'Not known'],
      ['no', 'No'],
      ['yes', 'Yes'],
    ],
    {
      label: 'Jogged by short starts',
      usual: 'unknown',
      asked: jogs,
      note: 'It is jogged by short starts',
    },
  ),
  plugging: choice(
    [
      ['unknown', 'Not known'],
      ['no', 'No'],
      ['yes', 'Yes'],
    ],
    {
      label: 'Braked by reversing the field',
      usual: 'unknown',
      asked: plugs,
      note: 'It is braked by reversing the field',
    },
  ),
  ...perOption({
    closedLoop: choice(
      [
        ['unknown', 'Not known'],
        ['no', 'No'],
        ['yes', 'Yes'],
      ],
      {
        label: 'Drive measures the shaft’s speed',
        usual: 'unknown',
        asked: drivesMotor,
        note: 'The drive measures the shaft’s speed',
      },
    ),
    braking: choice(
      [
        ['unknown', 'Not known'],
        ['none', 'Nowhere'],
        ['chopper', 'Into a brake resistor'],
        ['regenerative', 'Back into the supply'],
      ],
      {
        label: 'Energy of lowering or braking goes',
        usual: 'unknown',
        asked: drivesMotor,
        note: 'Where the energy goes when the drive slows the load down or lowers it',
      },
    ),
  }),
  hot: flag({ label: 'Restarts from running temperature', note: 'It restarts from running temperature' }),
  waterHammer: flag({ label: 'A sudden stop would slam the pipe' }),
  ...perOption({
    softMode: choice(named('current limit', 'voltage ramp', 'torque ramp'), {
      label: 'Soft starter',
      usual: 'current limit',
      group: 'Settings of the starter or drive',
    }),
    currentLimit: quantity('count', {
      label: 'Current limit, × rated',
      min: 1.5,
      max: 8,
      example: '3.5 × rated',
      hint: '3.5',
      group: 'Settings of the starter or drive',
    }),
    startVoltage: quantity('fraction', {
      label: 'Starting voltage',
      min: 0.1,
      max: 1,
      example: '40 %',
      group: 'Settings of the starter or drive',
    }),
    softRamp: quantity('duration', {
      label: 'Ramp of the soft starter',
      min: 0,
      max: 120,
      example: '10 s',
      hint: '8 s',
      group: 'Settings of the starter or drive',
    }),
    softStop: quantity('duration', {
      label: 'Ramp of the soft stop',
      min: 0,
      max: 240,
      example: '12 s',
      group: 'Settings of the starter or drive',
    }),
    kickVoltage: quantity('fraction', {
      label: 'Kick voltage',
      min: 0.2,
      max: 1,
      example: '75 %',
      group: 'Settings of the starter or drive',
    }),
    kickTime: quantity('duration', {
      label: 'Kick time',
      min: 0,
      max: 3,
      example: '300 ms',
      group: 'Settings of the starter or drive',
    }),
    transition: choice(named('open', 'closed'), {
      label: 'Star-delta change-over',
      usual: 'open',
      group: 'Settings of the starter or drive',
      note: 'Change-over from star to delta',
    }),
    changeSpeed: quantity('fraction', {
      label: 'Changes over at',
      min: 0.3,
      max: 0.99,
      example: '90 % of synchronous speed',
      hint: '90 %',
      group: 'Settings of the starter or drive',
    }),
    starTime: quantity('duration', {
      label: 'Changes over at the latest after',
      min: 0.2,
      max: 120,
      example: '8 s',
      hint: '15 s',
      group: 'Settings of the starter or drive',
    }),
    gap: quantity('duration', {
      label: 'Gap of the change-over',
      min: 0,
      max: 2,
      example: '60 ms',
      group: 'Settings of the starter or drive',
    }),
    tap: quantity('fraction', {
      label: 'Autotransformer tap',
      min: 0.3,
      max: 0.95,
      example: '65 %',
      group: 'Settings of the starter or drive',
    }),
    driveRamp: quantity('duration', {
      label: 'Ramp of the drive',
      min: 0.1,
      max: 600,
      example: '8 s',
      group: 'Settings of the starter or drive',
    }),
    driveCurrentLimit: quantity('count', {
      label: 'Drive limit, × rated',
      min: 0.5,
      max: 2.5,
      example: '1.1 × rated',
      hint: '1.5',
      group: 'Settings of the starter or drive',
    }),
    driveBoost: quantity('fraction', {
      label: 'Torque at standstill',
      min: 0.2,
      max: 2,
      example: '120 % torque at standstill',
      hint: '150 %',
      group: 'Settings of the starter or drive',
    }),
  }),
  rotorInertia: quantity('inertia', {
    label: 'Rotor inertia',
    min: 1e-5,
    max: 1e4,
    example: '0.25 kg·m² or 5.9 lb·ft²',
    hint: '0.25 kg·m²',
    group: 'From the motor’s data sheet',
  }),
  lockedRotorTorque: quantity('fraction', {
    label: 'Locked-rotor torque',
    min: 0.2,
    max: 5,
    example: '190 % of rated torque',
    hint: '190 %',
    group: 'From the motor’s data sheet',
  }),
  pullUpTorque: quantity('fraction', {
    label: 'Pull-up torque',
    min: 0.2,
    max: 5,
    example: '150 % of rated torque',
    hint: '150 %',
    group: 'From the motor’s data sheet',
  }),
  breakdownTorque: quantity('fraction', {
    label: 'Breakdown torque',
    min: 1,
    max: 6,
    example: '260 % of rated torque',
    hint: '260 %',
    group: 'From the motor’s data sheet',
  }),
  efficiency75: quantity('fraction', {
    label: 'Efficiency at 3/4 load',
    min: 0.3,
    max: 0.995,
    example: '93.8 %',
    group: 'From the motor’s data sheet',
  }),
  efficiency50: quantity('fraction', {
    label: 'Efficiency at half load',
    min: 0.3,
    max: 0.995,
    example: '93.1 %',
    group: 'From the motor’s data sheet',
  }),
  leakageKnee: quantity('count', {
    label: 'Leakage saturates from',
    min: 1,
    max: 10,
    example: '2.5 × rated',
    group: 'From the motor’s data sheet',
  }),
  leakageFloor: quantity('fraction', {
    label: 'Leakage falls to',
    min: 0.2,
    max: 1,
    example: '60 %',
    group: 'From the motor’s data sheet',
  }),
  stallTimeHot: quantity('duration', {
    label: 'Time it may stand stalled, hot',
    min: 1,
    max: 120,
    example: '12 s',
    group: 'From the motor’s data sheet',
  }),
  stallTimeCold: quantity('duration', {
    label: 'Time it may stand stalled, cold',
    min: 1,
    max: 240,
    example: '20 s',
    group: 'From the motor’s data sheet',
  }),
};
