import { HOUR, YEAR } from '../../ground/constants.ts';
import { clockCells } from '../supply/clock.ts';
import { quantity, choice, list, rows, perOption, tick } from '../../ground/field.ts';

export const lead = 'Hours a year at each flow, and how flow is controlled today.';

/** What this stage asks, in the order a person reads it off plate, machine or drawing. */
export const fields = {
  control: choice(
    [
      ['unknown', 'Not known'],
      ['none', 'None: runs at full flow'],
      ['on/off', 'Switched on and off'],
      ['damper', 'Outlet damper'],
      ['inlet vane', 'Inlet vanes'],
      ['throttle', 'Throttle valve'],
      ['bypass', 'Bypass'],
      ['two speeds', 'Two speeds'],
      ['slip coupling', 'Slip or fluid coupling'],
      ['trim', 'Trimmed impeller, new sheave'],
    ],
    {
      label: 'Flow control today',
      usual: 'unknown',
      note: 'How flow is controlled today, or would be without a drive',
    },
  ),
  ...perOption({
    ownControl: choice(
      [
        ['auto', 'By speed with a drive, else as today'],
        ['none', 'None: runs at full flow'],
        ['on/off', 'Switched on and off'],
        ['damper', 'Outlet damper'],
        ['inlet vane', 'Inlet vanes'],
        ['throttle', 'Throttle valve'],
        ['bypass', 'Bypass'],
        ['two speeds', 'Two speeds'],
        ['slip coupling', 'Slip or fluid coupling'],
        ['trim', 'Trimmed impeller, new sheave'],
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
      label: 'Drive lowers the flux at part load',
      note: 'A drive of this option finds the flux with the least input; slow to answer a shock',
    }),
  }),
  efficiencyBasis: choice(
    [
      ['cautious', 'What gives the smaller saving'],
      ['nominal', 'Nominal'],
      ['guaranteed', 'Guaranteed minimum'],
    ],
    {
      label: 'Efficiency counted',
      usual: 'cautious',
      group: 'Machine and its curve',
      note: 'Cautious counts a new motor beside an old one by its guaranteed minimum, all others by their nominal efficiency: the worse the motor, the more a drive would seem to save',
    },
  ),
  measuredFlow: quantity('fraction', {
    label: 'Flow when the load was measured',
    min: 0.05,
    max: 1.2,
    example: '100 %',
    note: 'Share of full flow at which the load was measured; at full flow it may take more',
  }),
  calibration: quantity('count', {
    label: 'Measured power over calculated',
    min: 0.2,
    max: 5,
    example: '1.04',
    group: 'Recorded log',
    note: 'By which the power at full flow is multiplied, from a log of flow and power',
  }),
  calibrationFit: quantity('fraction', {
    label: 'Of its spread explained, r²',
    min: -1e6,
    max: 1,
    example: '92 %',
    group: 'Recorded log',
  }),
  recordedOver: quantity('span', {
    label: 'Recorded over',
    min: 0,
    max: 100 * YEAR,
    example: '6 weeks',
    group: 'Recorded log',
    note: 'From the first to the last sample of the log that the hours come from',
  }),
  peakFlows: list('fraction', {
    label: 'Highest of each month',
    min: 0,
    max: 3,
    example: '96/92/100 %',
    group: 'Recorded log',
    note: 'Highest mean flow over the interval of the meter, month by month, from the log; a month that was not recorded counts as the highest of them',
  }),
  storage: quantity('volume', {
    label: 'Volume between on and off',
    min: 1e-4,
    max: 1e6,
    example: '1200 gal or 4.5 m³',
    asked: (look) => look('profile.control') === 'on/off' || look('profile.ownControl') === 'on/off',
    note: 'What is stored between switching on and off; sets how often it starts',
  }),
  staticHeadShare: quantity('fraction', { label: 'Static share of the head', min: 0, max: 0.98, example: '30 %' }),
  shutOffHead: quantity('fraction', {
    label: 'Head at no flow',
    min: 1,
    max: 4,
    example: '125 % of that at full flow',
    hint: '125 %',
    group: 'Machine and its curve',
    note: 'Head or pressure at no flow, of that at full flow',
  }),
  bestFlow: quantity('fraction', {
    label: 'Best point at',
    min: 0.3,
    max: 2,
    example: '100 % of full flow',
    hint: '100 %',
    group: 'Machine and its curve',
    note: 'Flow of the best efficiency, of full flow',
  }),
  fullFlow: quantity('flow', {
    label: 'Full flow',
    min: 1e-6,
    max: 1000,
    example: '850 gpm, 190 m³/h or 12000 cfm',
    hint: '850 gpm',
    group: 'Machine and its curve',
    note: 'Flow that counts as 100 %; that of the load where it is known by it',
  }),
  fullHead: quantity('altitude', {
    label: 'Head there',
    min: 0.1,
    max: 3000,
    example: '95 ft or 29 m',
    group: 'Machine and its curve',
    note: 'Head of the system at full flow, for a curve in feet or metres',
  }),
  fullPressure: quantity('pressure', {
    label: 'Pressure there',
    min: 1,
    max: 1e9,
    example: '6 inH2O or 1500 Pa',
    group: 'Machine and its curve',
    note: 'Pressure of the system at full flow, for a curve in pressures',
  }),
  machines: quantity('count', {
    label: 'Equal machines',
    min: 1,
    max: 8,
    example: '1',
    group: 'Machine and its curve',
    note: 'Equal machines that together bring full flow and its head, side by side or in series',
  }),
  inSeries: tick({
    label: 'One behind the other, not side by side',
    group: 'Machine and its curve',
    note: 'Their heads add up at a common flow',
  }),
  oneOnSpeed: tick({
    label: 'Only one of them changes its speed',
    group: 'Machine and its curve',
    note: 'One of them is on a drive, the others run at full speed',
  }),
  lowerSpeed: quantity('fraction', {
    label: 'Lower of two speeds',
    min: 0.2,
    max: 0.95,
    example: '67 % of full speed',
    hint: '67 %',
    group: 'Machine and its curve',
    note: 'The slower of two speeds, of full speed',
  }),
  leastSpeed: quantity('fraction', {
    label: 'Least speed of a drive',
    min: 0,
    max: 1,
    example: '30 % of full speed',
    hint: '30 %',
    group: 'Machine and its curve',
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
    { label: 'Curve of the machine', note: 'Flow, head or pressure, and efficiency at full speed' },
  ),
  points: rows(
    200,
    {
      flow: quantity('fraction', { label: 'Flow', min: 0, max: 1.2, example: '70 %' }),
      hours: quantity('time', { label: 'Hours a year', min: 0, max: 8784 * HOUR, example: '2000 h' }),
    },
    { label: 'Speed profile' },
  ),
  shifts: rows(
    24,
    {
      flow: quantity('fraction', { label: 'Flow', min: 0, max: 1.2, example: '70 %' }),
      ...clockCells,
    },
    {
      label: 'Shifts',
      note: 'Flow by the clock, the days of the week and the months; counts beside the speed profile',
    },
  ),
};
