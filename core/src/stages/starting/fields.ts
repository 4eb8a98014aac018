import { type Asked, quantity, choice, flag, named, is, perOption } from '../../kernel/field.ts';

const ways = (...ways: readonly string[]): Asked => is('load.way', ...ways);
/** Machines that may drive their motor, and those that turn back, are jogged or plugged. */
const drivesMotor = ways('hoist', 'duty', 'curve');
const reverses = ways('hoist', 'conveyor', 'crusher', 'mixer', 'duty');
const jogs = ways('hoist', 'conveyor', 'press', 'duty');
const plugs = ways('hoist', 'press', 'centrifuge', 'duty');

export const lead = 'The least costly starting method that passes every limit.';

/** What this stage asks, in the order a person reads it off plate, machine or drawing. */
export const fields = {
  speedControl: choice(
    [
      ['auto', 'From the duty profile'],
      ['yes', 'Required'],
      ['no', 'Not required'],
    ],
    { label: 'Speed control in operation', usual: 'auto', note: 'Must the speed be controlled while running?' },
  ),
  ...perOption({
    method: choice(
      [
        ['auto', 'Automatic selection'],
        ['direct', { NEMA: 'Across-the-line', IEC: 'Direct-on-line' }],
        ['star-delta', { NEMA: 'Wye-delta', IEC: 'Star-delta' }],
        ['soft starter', 'Soft starter'],
        ['autotransformer', 'Autotransformer'],
        ['drive', 'Variable-frequency drive'],
      ],
      { label: 'Starting method', usual: 'auto' },
    ),
  }),
  leads: choice(named('unknown', '3', '6', '9', '12'), { label: 'Number of leads', usual: 'unknown' }),
  ...perOption({
    tripClass: choice(
      [
        ['auto', 'Fastest clearing the start'],
        ['5', '5'],
        ['10A', '10A'],
        ['10', '10'],
        ['20', '20'],
        ['30', '30'],
        ['40', '40'],
      ],
      {
        label: 'Overload trip class',
        usual: 'auto',
        note: 'Class of the overload relay; auto takes the fastest that holds',
      },
    ),
  }),
  startTimeLimit: quantity('duration', {
    label: { NEMA: 'Required acceleration time', IEC: 'Required run-up time' },
    min: 0.1,
    max: 600,
    example: '4 s',
  }),
  reversing: choice(
    [
      ['unknown', 'Unknown'],
      ['no', 'No'],
      ['yes', 'Yes'],
    ],
    {
      label: 'Reversing duty',
      usual: 'unknown',
      asked: reverses,
      note: 'It is run in both directions',
    },
  ),
  inching: choice(
    [
      ['unknown', 'Unknown'],
      ['no', 'No'],
      ['yes', 'Yes'],
    ],
    {
      label: { NEMA: 'Jogging duty', IEC: 'Inching duty' },
      usual: 'unknown',
      asked: jogs,
      note: 'It is jogged by short starts',
    },
  ),
  plugging: choice(
    [
      ['unknown', 'Unknown'],
      ['no', 'No'],
      ['yes', 'Yes'],
    ],
    {
      label: 'Plugging (counter-current braking)',
      usual: 'unknown',
      asked: plugs,
      note: 'It is braked by reversing the field',
    },
  ),
  ...perOption({
    closedLoop: choice(
      [
        ['unknown', 'Unknown'],
        ['no', 'No'],
        ['yes', 'Yes'],
      ],
      {
        label: 'Encoder feedback',
        usual: 'unknown',
        asked: drivesMotor,
        note: 'The drive measures the shaft’s speed',
      },
    ),
    braking: choice(
      [
        ['unknown', 'Unknown'],
        ['none', 'None'],
        ['chopper', 'Braking resistor'],
        ['regenerative', 'Regenerative'],
      ],
      {
        label: 'Braking method',
        usual: 'unknown',
        asked: drivesMotor,
        note: 'Where the energy goes when the drive slows the load down or lowers it',
      },
    ),
  }),
  hot: flag({ label: 'Hot restart', note: 'It restarts from running temperature' }),
  waterHammer: flag({ label: 'Water hammer on sudden stop' }),
  ...perOption({
    softMode: choice(named('current limit', 'voltage ramp', 'torque ramp'), {
      label: 'Soft starter control mode',
      usual: 'current limit',
      group: 'Starter and drive settings',
    }),
    currentLimit: quantity('count', {
      label: { NEMA: 'Current limit, × FLA', IEC: 'Current limit, × Iₙ' },
      min: 1.5,
      max: 8,
      example: '3.5 × rated',
      hint: '3.5',
      group: 'Starter and drive settings',
    }),
    startVoltage: quantity('fraction', {
      label: 'Initial voltage',
      min: 0.1,
      max: 1,
      example: '40 %',
      group: 'Starter and drive settings',
    }),
    softRamp: quantity('duration', {
      label: 'Soft-start ramp time',
      min: 0,
      max: 120,
      example: '10 s',
      hint: '8 s',
      group: 'Starter and drive settings',
    }),
    softStop: quantity('duration', {
      label: 'Soft-stop ramp time',
      min: 0,
      max: 240,
      example: '12 s',
      group: 'Starter and drive settings',
    }),
    kickVoltage: quantity('fraction', {
      label: 'Kick-start voltage',
      min: 0.2,
      max: 1,
      example: '75 %',
      group: 'Starter and drive settings',
    }),
    kickTime: quantity('duration', {
      label: 'Kick-start time',
      min: 0,
      max: 3,
      example: '300 ms',
      group: 'Starter and drive settings',
    }),
    transition: choice(named('open', 'closed'), {
      label: 'Transition type',
      usual: 'open',
      group: 'Starter and drive settings',
      note: 'Change-over from star to delta',
    }),
    changeSpeed: quantity('fraction', {
      label: 'Transition speed',
      min: 0.3,
      max: 0.99,
      example: '90 % of synchronous speed',
      hint: '90 %',
      group: 'Starter and drive settings',
    }),
    starTime: quantity('duration', {
      label: { NEMA: 'Maximum time in wye', IEC: 'Maximum time in star' },
      min: 0.2,
      max: 120,
      example: '8 s',
      hint: '15 s',
      group: 'Starter and drive settings',
    }),
    gap: quantity('duration', {
      label: 'Transition dead time',
      min: 0,
      max: 2,
      example: '60 ms',
      group: 'Starter and drive settings',
    }),
    tap: quantity('fraction', {
      label: 'Autotransformer tap',
      min: 0.3,
      max: 0.95,
      example: '65 %',
      group: 'Starter and drive settings',
    }),
    driveRamp: quantity('duration', {
      label: 'Drive acceleration ramp',
      min: 0.1,
      max: 600,
      example: '8 s',
      group: 'Starter and drive settings',
    }),
    driveCurrentLimit: quantity('count', {
      label: { NEMA: 'Drive current limit, × FLA', IEC: 'Drive current limit, × Iₙ' },
      min: 0.5,
      max: 2.5,
      example: '1.1 × rated',
      hint: '1.5',
      group: 'Starter and drive settings',
    }),
    driveBoost: quantity('fraction', {
      label: 'Drive torque at standstill',
      min: 0.2,
      max: 2,
      example: '120 % torque at standstill',
      hint: '150 %',
      group: 'Starter and drive settings',
    }),
  }),
  rotorInertia: quantity('inertia', {
    label: 'Rotor inertia',
    min: 1e-5,
    max: 1e4,
    example: '0.25 kg·m² or 5.9 lb·ft²',
    hint: '0.25 kg·m²',
    group: 'Motor data sheet',
    declared: true,
  }),
  lockedRotorTorque: quantity('fraction', {
    label: 'Locked-rotor torque',
    min: 0.2,
    max: 5,
    example: '190 % of rated torque',
    hint: '190 %',
    group: 'Motor data sheet',
    declared: true,
  }),
  pullUpTorque: quantity('fraction', {
    label: 'Pull-up torque',
    min: 0.2,
    max: 5,
    example: '150 % of rated torque',
    hint: '150 %',
    group: 'Motor data sheet',
    declared: true,
  }),
  breakdownTorque: quantity('fraction', {
    label: 'Breakdown torque',
    min: 1,
    max: 6,
    example: '260 % of rated torque',
    hint: '260 %',
    group: 'Motor data sheet',
    declared: true,
  }),
  efficiency75: quantity('fraction', {
    label: 'Efficiency at 75 % load',
    min: 0.3,
    max: 0.995,
    example: '93.8 %',
    group: 'Motor data sheet',
    declared: true,
  }),
  efficiency50: quantity('fraction', {
    label: 'Efficiency at 50 % load',
    min: 0.3,
    max: 0.995,
    example: '93.1 %',
    group: 'Motor data sheet',
    declared: true,
  }),
  leakageKnee: quantity('count', {
    label: 'Leakage saturation onset current',
    min: 1,
    max: 10,
    example: '2.5 × rated',
    group: 'Motor data sheet',
    declared: true,
  }),
  leakageFloor: quantity('fraction', {
    label: 'Leakage saturation factor',
    min: 0.2,
    max: 1,
    example: '60 %',
    group: 'Motor data sheet',
    declared: true,
  }),
  stallTimeHot: quantity('duration', {
    label: { NEMA: 'Safe stall time, hot', IEC: 'Locked-rotor time, hot' },
    min: 1,
    max: 120,
    example: '12 s',
    group: 'Motor data sheet',
    declared: true,
  }),
  stallTimeCold: quantity('duration', {
    label: { NEMA: 'Safe stall time, cold', IEC: 'Locked-rotor time, cold' },
    min: 1,
    max: 240,
    example: '20 s',
    group: 'Motor data sheet',
    declared: true,
  }),
};
