import { figure, phrase, type ValuesOf } from '../declared-value.ts';

/** What this stage works out, in the order it is shown. */
export const values = {
  /** At the driven shaft. */
  torque: figure('torque', 'Torque at driven shaft'),
  drivenSpeed: figure('speed', 'Speed of driven shaft'),
  ratio: figure('count', 'Ratio'),
  transmissionEfficiency: figure('fraction', 'Efficiency of the train', { always: true }),
  /** Breakaway torque as a share of running torque. */
  breakaway: figure('fraction', 'Torque to break away, of running torque', { always: true }),
  /** Torque the transmission must be rated for, at the driven shaft. */
  transmissionRating: figure('torque', 'Transmission rated for'),
  motorTorque: figure('torque', 'Torque at motor shaft', { sheet: 'Load and size' }),
  motorSpeed: figure('speed', 'Motor speed', { sheet: 'Load and size' }),
  motorPower: figure('power', 'Power at motor shaft', { sheet: 'Load and size' }),
  /** Seen from the motor shaft, without its rotor. */
  inertia: figure('inertia', 'Inertia at the motor shaft'),
  dutyCycle: figure('duration', 'One cycle'),
  /** Duty type of the cycle. */
  dutyType: phrase('Duty type', { sheet: 'Load and size' }),
  /** Of the cycle, at the driven shaft; `torque` is the one of equal heat. */
  rmsTorque: figure('torque', 'RMS torque of the cycle'),
  /** Typed, or those of the duty cycle. */
  startsPerHour: figure('count', 'Starts an hour', { sheet: 'Load and size' }),
  /** Of a hoist that lowers, at the motor shaft; below zero. */
  loweringTorque: figure('torque', 'Torque while lowering, at the motor'),
  /** Highest torque of cycle or overload, at the motor shaft. */
  peakTorque: figure('torque', 'Peak at the motor'),
  /** What the motor can give before it stalls, at the dip it must ride through. */
  peakAllowed: figure('torque', 'Peak it bears in a dip'),
  sideLoad: figure('force', 'Side pull on the shaft', { sheet: 'Load and size' }),
  /** Least pitch diameter of a V-belt sheave on the motor. */
  leastSheave: figure('length', 'Least motor sheave', { sheet: 'Load and size' }),
  driveEndBearing: phrase('Drive-end bearing', { sheet: 'Load and size' }),
  poles: figure('count', 'Poles'),
  standardPower: figure('power', 'Standard size', { sheet: 'Load and size' }),
  loadFraction: figure('fraction', 'Load on that size'),
  /** Driven shaft, from the full-load speed at this load. */
  outputSpeed: figure('speed', 'Driven shaft turns at'),
};

export type LoadValues = ValuesOf<typeof values>;
