import { figure, textField, type ValuesOf } from '../declared-value.ts';

/** What this stage works out, in the order it is shown. */
export const values = {
  method: textField('Starting method', { sheet: 'Selection' }),
  startingCurrent: figure('current', 'Starting current', { sheet: 'Supply and starting' }),
  startingTorque: figure('fraction', 'Starting torque'),
  startingDip: figure('fraction', 'Voltage dip at the bus', { sheet: 'Supply and starting' }),
  accelerationTime: figure(
    'duration',
    { NEMA: 'Acceleration time', IEC: 'Run-up time' },
    { sheet: 'Supply and starting' },
  ),
  /** Least torque over the load on the way up, of rated torque. */
  torqueMargin: figure('fraction', 'Minimum accelerating torque margin'),
  changeoverCurrent: figure('current', 'Transition current'),
  /** To rest with the supply cut off, and by a soft stop; where a sudden stop matters. */
  coastTime: figure('duration', 'Coast-down time', { sheet: 'Supply and starting' }),
  softStopTime: figure('duration', 'Soft-stop time', { sheet: 'Supply and starting' }),
  /** What design letter or data sheet guarantee, of rated torque at rated voltage. */
  guaranteedLockedRotor: figure('fraction', 'Guaranteed locked-rotor torque'),
  guaranteedPullUp: figure('fraction', 'Guaranteed pull-up torque'),
  guaranteedBreakdown: figure('fraction', 'Guaranteed breakdown torque'),
  /** Load and rotor, at the motor shaft. */
  totalInertia: figure('inertia', 'Total inertia at motor shaft', { symbol: { NEMA: 'WK²', IEC: 'J' } }),
  /** Rotor heat of the start over what the rotor bears. */
  rotorHeat: figure('fraction', 'Thermal capacity used by the start', { sheet: 'Supply and starting' }),
  stallTime: figure('duration', { NEMA: 'Safe stall time', IEC: 'Permissible locked-rotor time' }),
  tripClass: textField('Overload trip class', { sheet: 'Supply and starting' }),
  /** That the motor bears, and the rest before each. */
  startsPerHour: figure('count', 'Permissible starts per hour'),
  restTime: figure('duration', 'Minimum rest time before a start'),
};

export type StartingValues = ValuesOf<typeof values>;
