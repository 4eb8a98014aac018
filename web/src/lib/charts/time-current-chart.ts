import type { Solution } from '@pilgrim/core';
import { ADIABATIC } from '@pilgrim/core/stages/protection/adiabatic';
import { tripTime } from '@pilgrim/core/stages/starting/trip-curve';
import type { Spread } from '@pilgrim/core/stages/starting/tolerance-sampling';
import type { EChartsCoreOption } from 'echarts/core';
import { chartColours } from './colours';
import { frame, line, pairs, rounded, xAxis, yAxis } from './frame';

type Start = Solution['details']['starting'][number];
type Setting = NonNullable<Solution['details']['startSetting']>;

/** What else stands in the picture, A. */
export interface AlsoDrawn {
  readonly conductor: number | undefined;
  readonly deviceMost: number | undefined;
  readonly faultAtBus: number | undefined;
  readonly faultAtMotor: number | undefined;
  readonly device: Solution['details']['shortCircuitDevice'];
  /** Where nine of ten starts lie, once they have been run. */
  readonly spread: Spread | undefined;
}

/** Multiples of its setting at which a relay’s band is drawn. */
const MULTIPLES = [1.2, 1.3, 1.5, 2, 2.5, 3, 4, 5, 6, 7.2, 8, 10, 12];
/** Shares of its locked-rotor current at which what a standing motor bears is drawn: by the same heat, as at lower voltage. */
const STANDING = [0.5, 0.7, 0.85, 1];
/** s of the picture. */
const SHORTEST = 0.01;
const LONGEST = 10_000;

/** Named in the legend by its stroke alone. */
const plain = (...of: Parameters<typeof line>): Record<string, unknown> => ({ ...line(...of), symbol: 'none' });

type Edge = readonly (readonly [amperes: number, seconds: number])[];

/** The room between two edges; the closed outline holds whatever the axis. */
const between = (name: string, color: string, left: Edge, right: Edge, opacity: number): Record<string, unknown> => ({
  ...plain(
    name,
    color,
    [...left, ...right.toReversed(), ...left.slice(0, 1)].map((each) => [...each]),
    { width: 1 },
  ),
  areaStyle: { color, opacity },
  itemStyle: { color, opacity: Math.min(1, 2 * opacity) },
});

const upright = (
  name: string,
  amperes: number | undefined,
  color: string,
  type: 'dashed' | 'dotted' = 'dashed',
): Record<string, unknown>[] =>
  amperes === undefined
    ? []
    : [
        plain(
          name,
          color,
          [
            [amperes, SHORTEST],
            [amperes, LONGEST],
          ],
          { width: 1.5, type },
        ),
      ];

/** A current of the motor, marked at the foot of the picture with its symbol. */
const foot = (name: string, symbol: string, amperes: number): Record<string, unknown> => ({
  ...line(name, chartColours.copper, [[amperes, SHORTEST]]),
  showSymbol: true,
  symbol: 'triangle',
  symbolSize: 9,
  label: {
    show: true,
    formatter: symbol,
    position: 'left',
    distance: 2,
    color: chartColours.copper,
    fontFamily: chartColours.font,
  },
});

/** Where nine of ten starts lie at each moment, a little beyond the last of them. */
function startBand({ times, time, motorCurrent }: Spread, color: string): Record<string, unknown>[] {
  const shown = times.filter((each, at) => at < 2 || each <= 1.2 * time.high);
  const edge = (of: 'low' | 'high'): Edge =>
    shown.map((each, at) => [Math.max(1e-3, motorCurrent[at]?.[of] ?? 0), Math.max(SHORTEST, each)] as const);
  return [between('90 % of starts', color, edge('low'), edge('high'), 0.22)];
}

/** The relay’s band from cold, and from the warmth of the motor as it runs. */
function relayBands({ relayClass, relay }: Start, { overload, loadedHeat }: Setting): Record<string, unknown>[] {
  const { sea } = chartColours;
  const edge = (time: number, warm: number): Edge =>
    MULTIPLES.map((multiple) => [multiple * overload, tripTime(time, multiple, warm)] as const);
  const band = (name: string, warm: number, opacity: number): Record<string, unknown> =>
    between(name, sea, edge(relay.fastest, warm), edge(relay.slowest, warm), opacity);
  return [band(`Relay class ${relayClass}, cold`, 0, 0.3), band('Overload relay, warm', loadedHeat, 0.1)];
}

/** What the motor bears standing, from cold and from running temperature. */
function standing({ lockedRotorMost, stalls }: Setting, color: string): Record<string, unknown>[] {
  const bears = (name: string, seconds: number, type: 'solid' | 'dashed'): Record<string, unknown> => ({
    ...plain(
      name,
      color,
      STANDING.map((share) => [share * lockedRotorMost, seconds / share ** 2]),
      { width: 2, type },
    ),
  });
  return [
    bears('Locked-rotor withstand, cold', stalls.cold, 'solid'),
    bears('Locked-rotor withstand, hot', stalls.hot, 'dashed'),
  ];
}

/** Time against current on logarithmic axes: the start with its band, the relay’s, what the motor bears, wire and device. */
export function timeCurrentChart(start: Start, setting: Setting, also: AlsoDrawn): EChartsCoreOption {
  // One colour one meaning: the motor, its relay, its conductor, its short-circuit device, a fault.
  const { copper, quiet, stop, ink, good, font } = chartColours;
  const { overload, lockedRotorMost } = setting;
  const { device, faultAtBus, faultAtMotor, spread } = also;
  const { trace } = start;
  const run = trace
    ? pairs(trace.motorCurrent, trace.time).filter(([amps = 0, time = 0]) => amps > 0 && time > SHORTEST)
    : [];
  const logarithmic = { type: 'log', minorSplitLine: { show: false } };
  const series = [
    ...(spread ? startBand(spread, copper) : []),
    plain(`Start, ${start.method}${setting.ceiling ? ', guaranteed torque' : ''}`, copper, run),
    // A drive’s own overload has a curve of its maker.
    ...(start.method === 'drive' ? [] : relayBands(start, setting)),
    ...standing(setting, copper),
    ...upright('Conductor ampacity', also.conductor, good),
    ...upright('Maximum device rating', also.deviceMost, ink),
    ...upright('Fault current at bus', faultAtBus, stop),
    ...upright('Fault current at motor', faultAtMotor, stop, 'dotted'),
    foot('Rated current', 'Iₙ', setting.motor.current),
    foot('Locked-rotor current, max.', 'I_A', lockedRotorMost),
    ...(device ? deviceLines(device) : []),
  ];
  return {
    ...frame(),
    // Every line is named in view, a band as a patch; what is marked with its symbol names itself.
    legend: {
      textStyle: { color: ink, fontFamily: font },
      itemGap: 9,
      itemWidth: 18,
      itemHeight: 9,
      padding: 0,
      top: 0,
      left: 0,
      data: series
        .filter(({ label }) => label === undefined)
        .map(({ name, areaStyle }) => (areaStyle ? { name, icon: 'rect' } : { name })),
    },
    grid: { left: 66, right: 24, top: 84, bottom: 42 },
    tooltip: { trigger: 'item', valueFormatter: rounded },
    xAxis: {
      ...xAxis('Current, A'),
      ...logarithmic,
      min: 10 ** Math.floor(Math.log10(Math.max(1, overload / 2))),
      max:
        10 **
        Math.ceil(
          Math.log10(Math.max(lockedRotorMost * 1.2, device?.operatingCurrent.at(-1)?.[0] ?? 0, faultAtBus ?? 0)),
        ),
    },
    yAxis: {
      ...yAxis('Time, s'),
      nameLocation: 'middle',
      nameGap: 46,
      ...logarithmic,
      axisLabel: { color: quiet, formatter: '{value}' },
      min: SHORTEST,
      max: LONGEST,
    },
    series,
  };
}

/** What the device carries and what opens it, what damages the wire, and the half-wave the device must let pass. */
function deviceLines(device: NonNullable<AlsoDrawn['device']>): Record<string, unknown>[] {
  const { ink, good } = chartColours;
  const { carries, operatingCurrent, conductorI2t, firstHalfCyclePeak } = device;
  const along = (edge: Edge): number[][] => edge.map((each) => [...each]);
  return [
    plain('Device non-operating curve', ink, along(carries), { width: 1.5, type: 'dotted' }),
    plain('Device operating curve', ink, along(operatingCurrent)),
    ...(conductorI2t === undefined
      ? []
      : [
          plain(
            'Conductor damage',
            good,
            [ADIABATIC, 1, 0.1, SHORTEST].map((time) => [Math.sqrt(conductorI2t / time), time]),
            { width: 1.5, type: 'dashed' },
          ),
        ]),
    ...(firstHalfCyclePeak === undefined
      ? []
      : [
          {
            ...line('First half-cycle peak', ink, [[firstHalfCyclePeak, SHORTEST]]),
            showSymbol: true,
            symbol: 'triangle',
            symbolSize: 12,
          },
        ]),
  ];
}
