import { HOUR, YEAR } from '../../kernel/constants.ts';
import { clockCells } from '../supply/time-of-use.ts';
import { quantity, choice, list, rows, perOption, tick } from '../../kernel/field.ts';

export const lead = 'Annual hours at each flow, and the present flow control.';

/** What this stage asks, in the order a person reads it off plate, machine or drawing. */
export const fields = {
  control: choice(
    [
      ['unknown', 'Unknown'],
      ['none', 'None, full flow'],
      ['on/off', 'On/off'],
      ['damper', 'Outlet damper'],
      ['inlet vane', 'Inlet vanes'],
      ['throttle', 'Throttle valve'],
      ['bypass', 'Bypass'],
      ['two speeds', 'Two speeds'],
      ['slip coupling', 'Slip or fluid coupling'],
      ['trim', 'Trimmed impeller or new sheave'],
    ],
    {
      label: 'Present flow control',
      usual: 'unknown',
      note: 'How flow is controlled today, or would be without a drive',
    },
  ),
  ...perOption({
    ownControl: choice(
      [
        ['auto', 'Speed with a drive, else as present'],
        ['none', 'None, full flow'],
        ['on/off', 'On/off'],
        ['damper', 'Outlet damper'],
        ['inlet vane', 'Inlet vanes'],
        ['throttle', 'Throttle valve'],
        ['bypass', 'Bypass'],
        ['two speeds', 'Two speeds'],
        ['slip coupling', 'Slip or fluid coupling'],
        ['trim', 'Trimmed impeller or new sheave'],
      ],
      {
        label: 'Flow control of this option',
        usual: 'auto',
        note: 'How flow is controlled in this option',
      },
    ),
  }),
  ...perOption({
    fluxOptimised: tick({
      label: 'Flux optimization at part load',
      note: 'A drive of this option finds the flux with the least input; slow to answer a shock',
    }),
  }),
  efficiencyBasis: choice(
    [
      ['cautious', 'Conservative (smaller saving)'],
      ['nominal', 'Nominal'],
      ['guaranteed', 'Guaranteed minimum'],
    ],
    {
      label: 'Efficiency basis',
      usual: 'cautious',
      group: 'Machine and system curve',
      note: 'Cautious counts a new motor beside an old one by its guaranteed minimum, all others by their nominal efficiency: the worse the motor, the more a drive would seem to save',
    },
  ),
  measuredFlow: quantity('fraction', {
    label: 'Flow at which load was measured',
    min: 0.05,
    max: 1.2,
    example: '100 %',
    note: 'Share of full flow at which the load was measured; at full flow it may take more',
  }),
  calibration: quantity('count', {
    label: 'Calibration factor',
    min: 0.2,
    max: 5,
    example: '1.04',
    group: 'Recorded log',
    note: 'By which the power at full flow is multiplied, from a log of flow and power',
  }),
  calibrationFit: quantity('fraction', {
    label: 'Coefficient of determination r²',
    min: -1e6,
    max: 1,
    example: '92 %',
    group: 'Recorded log',
  }),
  recordedOver: quantity('span', {
    label: 'Recording period',
    min: 0,
    max: 100 * YEAR,
    example: '6 weeks',
    group: 'Recorded log',
    note: 'From the first to the last sample of the log that the hours come from',
  }),
  peakFlows: list('fraction', {
    label: 'Monthly peak flows',
    min: 0,
    max: 3,
    example: '96/92/100 %',
    group: 'Recorded log',
    note: 'Highest mean flow over the interval of the meter, month by month, from the log; a month that was not recorded counts as the highest of them',
  }),
  storage: quantity('volume', {
    label: 'Storage volume, on/off control',
    min: 1e-4,
    max: 1e6,
    example: '1200 gal or 4.5 m³',
    asked: (look) => look('profile.control') === 'on/off' || look('profile.ownControl') === 'on/off',
    note: 'What is stored between switching on and off; sets how often it starts',
  }),
  staticHeadShare: quantity('fraction', { label: 'Static head, % of total head', min: 0, max: 0.98, example: '30 %' }),
  shutOffHead: quantity('fraction', {
    label: 'Shut-off head',
    min: 1,
    max: 4,
    example: '125 % of that at full flow',
    hint: '125 %',
    group: 'Machine and system curve',
    note: 'Head or pressure at no flow, of that at full flow',
  }),
  bestFlow: quantity('fraction', {
    label: 'Best-efficiency point',
    min: 0.3,
    max: 2,
    example: '100 % of full flow',
    hint: '100 %',
    group: 'Machine and system curve',
    note: 'Flow of the best efficiency, of full flow',
  }),
  fullFlow: quantity('flow', {
    label: 'Full flow',
    min: 1e-6,
    max: 1000,
    example: '850 gpm, 190 m³/h or 12000 cfm',
    hint: '850 gpm',
    group: 'Machine and system curve',
    note: 'Flow that counts as 100 %; that of the load where it is known by it',
  }),
  fullHead: quantity('altitude', {
    label: 'Head at full flow',
    min: 0.1,
    max: 3000,
    example: '95 ft or 29 m',
    group: 'Machine and system curve',
    note: 'Head of the system at full flow, for a curve in feet or metres',
  }),
  fullPressure: quantity('pressure', {
    label: 'Pressure at full flow',
    min: 1,
    max: 1e9,
    example: '6 inH2O or 1500 Pa',
    group: 'Machine and system curve',
    note: 'Pressure of the system at full flow, for a curve in pressures',
  }),
  machines: quantity('count', {
    label: 'Number of equal machines',
    min: 1,
    max: 8,
    example: '1',
    group: 'Machine and system curve',
    note: 'Equal machines that together bring full flow and its head, side by side or in series',
  }),
  inSeries: tick({
    label: 'Machines in series',
    group: 'Machine and system curve',
    note: 'Their heads add up at a common flow',
  }),
  oneOnSpeed: tick({
    label: 'One machine speed-controlled',
    group: 'Machine and system curve',
    note: 'One of them is on a drive, the others run at full speed',
  }),
  lowerSpeed: quantity('fraction', {
    label: 'Low speed, % of full speed',
    min: 0.2,
    max: 0.95,
    example: '67 % of full speed',
    hint: '67 %',
    group: 'Machine and system curve',
    note: 'The slower of two speeds, of full speed',
  }),
  leastSpeed: quantity('fraction', {
    label: 'Minimum speed of the drive',
    min: 0,
    max: 1,
    example: '30 % of full speed',
    hint: '30 %',
    group: 'Machine and system curve',
    note: 'A drive does not turn it slower; the rest is throttled',
  }),
  curve: rows(
    40,
    {
      flow: quantity('flow', { label: 'Flow', min: 0, max: 1000, example: '600 gpm or 140 m³/h' }),
      head: quantity('altitude', { label: 'Head', min: 0, max: 3000, example: '110 ft or 34 m' }),
      pressure: quantity('pressure', { label: 'Pressure', min: 0, max: 1e9, example: '7 inH2O or 1700 Pa' }),
      efficiency: quantity('fraction', { label: 'Efficiency', min: 0.01, max: 1, example: '76 %' }),
    },
    { label: 'Machine curve', note: 'Flow, head or pressure, and efficiency at full speed' },
  ),
  points: rows(
    200,
    {
      flow: quantity('fraction', { label: 'Flow', min: 0, max: 1.2, example: '70 %' }),
      hours: quantity('time', { label: 'Annual hours', min: 0, max: 8784 * HOUR, example: '2000 h' }),
    },
    { label: 'Duty profile' },
  ),
  shifts: rows(
    24,
    {
      flow: quantity('fraction', { label: 'Flow', min: 0, max: 1.2, example: '70 %' }),
      ...clockCells,
    },
    {
      label: 'Shift schedule',
      note: 'Flow by the clock, the days of the week and the months; counts beside the speed profile',
    },
  ),
};
