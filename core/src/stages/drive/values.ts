import { figure, phrase, type ValuesOf } from '../declared-value.ts';

/** What this stage works out, in the order it is shown. */
export const values = {
  /** Whether this motor may run on this drive over this cable. */
  verdict: phrase('Motor on this drive', { sheet: 'Drive, cable and settings' }),
  requiredCurrent: figure('current', 'Current needed for good', { sheet: 'Drive, cable and settings' }),
  availableCurrent: figure('current', 'Current it gives here', { sheet: 'Drive, cable and settings' }),
  /** Highest of breaking away, ramp, overload and cycle, of what the drive bears for that time. */
  overloadUsed: figure('fraction', 'Overload used', { sheet: 'Drive, cable and settings' }),
  controlMode: phrase('Way of control', { sheet: 'Drive, cable and settings' }),
  /** Speed of the motor’s shaft. */
  leastSpeed: figure('speed', 'Lowest speed', { sheet: 'Drive, cable and settings', heading: 'Speed range' }),
  leastReason: phrase('Limited there by'),
  mostSpeed: figure('speed', 'Highest speed', { sheet: 'Drive, cable and settings' }),
  mostReason: phrase('Limited above by'),
  riseTime: figure('riseTime', 'Rise time of the edges', { heading: 'Cable and winding' }),
  /** From which on a step is reflected whole. */
  criticalLength: figure('altitude', 'Cable that reflects all'),
  /** Line to line at the motor’s terminals, without a filter. */
  peakVoltage: figure('voltage', 'Peak at the winding, no filter', { sheet: 'Drive, cable and settings' }),
  windingWithstand: figure('voltage', 'The winding bears', { sheet: 'Drive, cable and settings' }),
  filter: phrase('Filter at the output', { sheet: 'Drive, cable and settings' }),
  filteredPeak: figure('voltage', 'Peak behind the filter', { sheet: 'Drive, cable and settings' }),
  filterDrop: figure('fraction', 'Voltage lost in the filter'),
  bearings: phrase('Bearings and earth', { sheet: 'Drive, cable and settings' }),
  /** True, harmonics included, with the motor at its rated power. */
  inputCurrent: figure('current', 'Input current', { sheet: 'Drive, cable and settings', heading: 'Line side' }),
  lineSide: phrase('At the input', { sheet: 'Drive, cable and settings' }),
  chokeInductance: figure('inductance', 'Inductance of the choke'),
  currentDistortion: figure('fraction', 'Distortion of its current', { sheet: 'Drive, cable and settings' }),
  trueInputPowerFactor: figure('powerFactor', 'True power factor', { sheet: 'Drive, cable and settings' }),
  /** All drives of the place against its demand current. */
  demandDistortion: figure('fraction', 'Distortion of the demand', { sheet: 'Drive, cable and settings' }),
  demandDistortionLimit: figure('fraction', 'Its limit there', { sheet: 'Drive, cable and settings' }),
  voltageDistortion: figure('fraction', 'Distortion of the voltage', { sheet: 'Drive, cable and settings' }),
  voltageDistortionLimit: figure('fraction', 'Its limit', { sheet: 'Drive, cable and settings' }),
  shortestStart: figure('duration', 'Shortest ramp up', { heading: 'Ramps and braking' }),
  shortestStop: figure('duration', 'Shortest ramp down', { sheet: 'Drive, cable and settings' }),
  /** Of all that turns, seen from the motor’s shaft. */
  brakeEnergy: figure('kineticEnergy', 'Energy of one stop'),
  brakePeakPower: figure('heat', 'Brake power, at first', { sheet: 'Drive, cable and settings' }),
  brakeMeanPower: figure('heat', 'Brake power, on average', { sheet: 'Drive, cable and settings' }),
  brakeResistorMax: figure('resistance', 'Brake resistor, at most', { sheet: 'Drive, cable and settings' }),
  brakeResistorMin: figure('resistance', 'Brake resistor, at least', { sheet: 'Drive, cable and settings' }),
  /** Below which stopping a column of water slams the pipe. */
  pipeRamp: figure('duration', 'Ramp the pipe bears'),
};

export type DriveValues = ValuesOf<typeof values>;
