import { figure, textField, type ValuesOf } from '../declared-value.ts';

/** What this stage works out, in the order it is shown. */
export const values = {
  /** Whether this motor may run on this drive over this cable. */
  verdict: textField('Motor and drive compatibility', { sheet: 'Drive and motor cable' }),
  requiredCurrent: figure('current', 'Required continuous current', { sheet: 'Drive and motor cable' }),
  availableCurrent: figure('current', 'Available continuous current', { sheet: 'Drive and motor cable' }),
  /** Highest of breaking away, ramp, overload and cycle, of what the drive bears for that time. */
  overloadUsed: figure('fraction', 'Overload capacity used', { sheet: 'Drive and motor cable' }),
  controlMode: textField('Control mode', { sheet: 'Drive and motor cable' }),
  /** Speed of the motor’s shaft. */
  leastSpeed: figure('speed', 'Minimum speed', { sheet: 'Drive and motor cable', heading: 'Speed range' }),
  leastReason: textField('Limiting factor, minimum speed'),
  mostSpeed: figure('speed', 'Maximum speed', { sheet: 'Drive and motor cable' }),
  mostReason: textField('Limiting factor, maximum speed'),
  riseTime: figure('riseTime', 'Voltage rise time', { heading: 'Cable and winding' }),
  /** From which on a step is reflected whole. */
  criticalLength: figure('altitude', 'Critical cable length'),
  /** Line to line at the motor’s terminals, without a filter. */
  peakVoltage: figure('voltage', 'Peak terminal voltage, unfiltered', { sheet: 'Drive and motor cable' }),
  windingWithstand: figure('voltage', 'Winding peak-voltage withstand', { sheet: 'Drive and motor cable' }),
  filter: textField('Output filter', { sheet: 'Drive and motor cable' }),
  filteredPeak: figure('voltage', 'Peak terminal voltage, with filter', { sheet: 'Drive and motor cable' }),
  filterDrop: figure('fraction', 'Filter voltage drop'),
  bearings: textField(
    { NEMA: 'Bearing and grounding measures', IEC: 'Bearing and earthing measures' },
    { sheet: 'Drive and motor cable' },
  ),
  /** True, harmonics included, with the motor at its rated power. */
  inputCurrent: figure('current', 'Drive input current', { sheet: 'Drive and motor cable', heading: 'Line side' }),
  lineSide: textField('Line reactor or front end', { sheet: 'Drive and motor cable' }),
  chokeInductance: figure('inductance', 'Line reactor inductance'),
  currentDistortion: figure('fraction', 'Input current THD', { symbol: 'THDi', sheet: 'Drive and motor cable' }),
  trueInputPowerFactor: figure('powerFactor', 'True input power factor', {
    symbol: { NEMA: 'PF', IEC: 'λ' },
    sheet: 'Drive and motor cable',
  }),
  /** All drives of the place against its demand current. */
  demandDistortion: figure('fraction', 'Total demand distortion', {
    symbol: 'TDD',
    sheet: 'Drive and motor cable',
  }),
  demandDistortionLimit: figure('fraction', 'Total demand distortion limit', { sheet: 'Drive and motor cable' }),
  voltageDistortion: figure('fraction', 'Voltage THD', { symbol: 'THDu', sheet: 'Drive and motor cable' }),
  voltageDistortionLimit: figure('fraction', 'Voltage THD limit', { sheet: 'Drive and motor cable' }),
  shortestStart: figure('duration', 'Minimum acceleration time', { heading: 'Ramps and braking' }),
  shortestStop: figure('duration', 'Minimum deceleration time', { sheet: 'Drive and motor cable' }),
  /** Of all that turns, seen from the motor’s shaft. */
  brakeEnergy: figure('kineticEnergy', 'Braking energy per stop'),
  brakePeakPower: figure('heat', 'Peak braking power', { sheet: 'Drive and motor cable' }),
  brakeMeanPower: figure('heat', 'Average braking power', { sheet: 'Drive and motor cable' }),
  brakeResistorMax: figure('resistance', 'Braking resistor, max.', { sheet: 'Drive and motor cable' }),
  brakeResistorMin: figure('resistance', 'Braking resistor, min.', { sheet: 'Drive and motor cable' }),
  /** Below which stopping a column of water slams the pipe. */
  pipeRamp: figure('duration', 'Minimum ramp against water hammer'),
};

export type DriveValues = ValuesOf<typeof values>;
