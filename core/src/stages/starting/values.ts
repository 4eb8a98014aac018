import { figure, phrase, type ValuesOf } from '../declared-value.ts';

/** What this stage works out, in the order it is shown. */
export const values = {
  method: phrase('Way to start', { sheet: 'Selection' }),
  startingCurrent: figure('current', 'Starting current', { sheet: 'Supply and start' }),
  startingTorque: figure('fraction', 'Starting torque, of rated'),
  startingDip: figure('fraction', 'Dip at the bus', { sheet: 'Supply and start' }),
  accelerationTime: figure('duration', 'Up to speed in', { sheet: 'Supply and start' }),
  /** Least torque over the load on the way up, of rated torque. */
  torqueMargin: figure('fraction', 'Torque left over the load'),
  changeoverCurrent: figure('current', 'Current after change-over'),
  /** To rest with the supply cut off, and by a soft stop; where a sudden stop matters. */
  coastTime: figure('duration', 'Stops, cut off, in', { sheet: 'Supply and start' }),
  softStopTime: figure('duration', 'Stops softly in', { sheet: 'Supply and start' }),
  /** What design letter or data sheet guarantee, of rated torque at rated voltage. */
  guaranteedLockedRotor: figure('fraction', 'Torque counted on, standing'),
  guaranteedPullUp: figure('fraction', 'Torque counted on, on the way up'),
  guaranteedBreakdown: figure('fraction', 'Torque counted on, at most'),
  /** Load and rotor, at the motor shaft. */
  totalInertia: figure('inertia', 'Inertia, rotor and load'),
  /** Rotor heat of the start over what the rotor bears. */
  rotorHeat: figure('fraction', 'Heat of the start, of what it bears', { sheet: 'Supply and start' }),
  stallTime: figure('duration', 'Time it may stand stalled'),
  tripClass: phrase('Overload relay', { sheet: 'Supply and start' }),
  /** That the motor bears, and the rest before each. */
  startsPerHour: figure('count', 'Starts an hour it bears'),
  restTime: figure('duration', 'Rest before a start, at least'),
};

export type StartingValues = ValuesOf<typeof values>;
