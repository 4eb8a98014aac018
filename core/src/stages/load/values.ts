import { figure, textField, type ValuesOf } from '../declared-value.ts';

/** What this stage works out, in the order it is shown. */
export const values = {
  /** At the driven shaft. */
  torque: figure('torque', 'Torque at driven shaft'),
  drivenSpeed: figure('speed', 'Speed of driven shaft'),
  ratio: figure('count', 'Speed ratio', { symbol: 'i' }),
  transmissionEfficiency: figure('fraction', 'Transmission efficiency', { always: true }),
  /** Breakaway torque as a share of running torque. */
  breakaway: figure('fraction', 'Breakaway torque, % of running', { always: true }),
  /** Torque the transmission must be rated for, at the driven shaft. */
  transmissionRating: figure('torque', 'Required transmission torque rating'),
  motorTorque: figure('torque', 'Torque at motor shaft', { sheet: 'Load and rating' }),
  motorSpeed: figure('speed', 'Motor speed at this load', { sheet: 'Load and rating' }),
  motorPower: figure('power', 'Power at motor shaft', { sheet: 'Load and rating' }),
  /** Seen from the motor shaft, without its rotor. */
  inertia: figure('inertia', 'Load inertia referred to motor shaft', { symbol: { NEMA: 'WK²', IEC: 'J' } }),
  dutyCycle: figure('duration', 'Cycle time'),
  /** Duty type of the cycle. */
  dutyType: textField('Duty type', { sheet: 'Load and rating' }),
  /** Of the cycle, at the driven shaft; `torque` is the one of equal heat. */
  rmsTorque: figure('torque', 'RMS torque of the duty cycle'),
  /** Typed, or those of the duty cycle. */
  startsPerHour: figure('count', 'Starts per hour', { sheet: 'Load and rating' }),
  /** Of a hoist that lowers, at the motor shaft; below zero. */
  loweringTorque: figure('torque', 'Lowering torque at motor shaft'),
  /** Highest torque of cycle or overload, at the motor shaft. */
  peakTorque: figure('torque', 'Peak torque at motor shaft'),
  /** What the motor can give before it stalls, at the dip it must ride through. */
  peakAllowed: figure('torque', 'Peak torque limit at minimum voltage'),
  sideLoad: figure('force', 'Overhung (radial) load', { sheet: 'Load and rating' }),
  /** Least pitch diameter of a V-belt sheave on the motor. */
  leastSheave: figure('length', 'Minimum motor sheave diameter', { sheet: 'Load and rating' }),
  driveEndBearing: textField('Drive-end bearing', { sheet: 'Load and rating' }),
  poles: figure('count', 'Number of poles'),
  standardPower: figure('power', 'Standard rating', { sheet: 'Load and rating' }),
  loadFraction: figure('fraction', 'Load factor'),
  /** Driven shaft, from the full-load speed at this load. */
  outputSpeed: figure('speed', 'Driven shaft speed at this load'),
};

export type LoadValues = ValuesOf<typeof values>;
