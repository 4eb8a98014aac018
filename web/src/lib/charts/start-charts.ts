import type { Solution } from '@pilgrim/core';
import type { SteadyPoint } from '@pilgrim/core/motor/circuit';
import { tripTime } from '@pilgrim/core/stages/starting/trip-curve';
import type { Spread } from '@pilgrim/core/stages/starting/tolerance-sampling';
import type { TransientRun } from '@pilgrim/core/stages/starting/transient';
import { shownUnit, type StandardsSystem } from '@pilgrim/core/kernel/quantity/units';
import type { EChartsCoreOption } from 'echarts/core';
import { chartColours } from './colours';
import { frame, line, pairs, xAxis, yAxis } from './frame';

type Start = Solution['details']['starting'][number];
type Machine = NonNullable<Solution['details']['machine']>;
type LoadCurve = Solution['details']['loadCurve'];

const rpm = (speed: number): number => (speed * 30) / Math.PI;

/** Torque against speed: the motor at full voltage, the motor as started, and the load under it. */
export function torqueSpeedChart(
  start: Start,
  machine: Machine,
  load: LoadCurve,
  school: StandardsSystem,
): EChartsCoreOption {
  const { copper, sea, quiet } = chartColours;
  const unit = shownUnit('torque', school);
  const torque = (values: readonly number[]): number[] => values.map((value) => value / unit.factor);
  const speeds = machine.curve.speeds.map(rpm);
  return {
    ...frame(),
    xAxis: xAxis('r/min', Math.ceil((speeds.at(-1) ?? 0) / 100) * 100),
    yAxis: yAxis(unit.names[0] ?? ''),
    series: [
      line('Motor at full voltage', quiet, pairs(speeds, torque(machine.curve.torques)), {
        width: 1.5,
        type: 'dashed',
      }),
      ...(start.trace
        ? [line(`Motor, ${start.method}`, copper, pairs(start.trace.speed.map(rpm), torque(start.trace.torque)))]
        : []),
      ...(load
        ? [
            line(
              'Load',
              sea,
              pairs(load.speeds.map(rpm), torque(load.torques)).filter(([x = 0]) => x <= (speeds.at(-1) ?? 0)),
            ),
          ]
        : []),
    ],
  };
}

export type Against = 'speed' | 'load';

/** Torque, current, power factor and efficiency against speed, or all but torque against torque, with the plate’s points. */
export function machineChart(
  points: readonly SteadyPoint[],
  { targets, quantities }: Machine,
  against: Against,
  school: StandardsSystem,
): EChartsCoreOption {
  const { copper, sea, quiet, ink } = chartColours;
  const unit = shownUnit('torque', school);
  const rated = targets.power / targets.speed;
  const reached = (name: string): number => quantities.find((each) => each.name === name)?.reached ?? 0;
  // Against torque only the running branch is drawn: above breakdown every torque has two speeds.
  const top = Math.max(...points.map((point) => point.shaftTorque));
  const running = points
    .slice(points.findIndex((point) => point.shaftTorque === top))
    .filter((point) => point.shaftTorque >= 0);
  const shown = against === 'speed' ? points.filter((point) => point.shaftTorque >= 0) : running;
  const x = (point: SteadyPoint): number =>
    against === 'speed' ? rpm(point.speed) : (100 * point.shaftTorque) / rated;
  const marked = (name: string, data: number[][], yAxisIndex: number, color: string): Record<string, unknown> => ({
    name,
    type: 'line',
    data,
    yAxisIndex,
    symbol: 'diamond',
    symbolSize: 11,
    lineStyle: { opacity: 0 },
    itemStyle: { color },
  });
  const percent = (of: (point: SteadyPoint) => number): number[][] => shown.map((point) => [x(point), 100 * of(point)]);
  const ratedX = against === 'speed' ? rpm(targets.speed) : 100;
  return {
    ...frame(),
    xAxis: xAxis(against === 'speed' ? 'r/min' : '% of rated torque'),
    yAxis: [
      yAxis(against === 'speed' ? `A, ${unit.names[0] ?? ''}` : 'A'),
      { ...yAxis('%', false), min: 0, max: 100, interval: 20 },
    ],
    series: [
      ...(against === 'speed'
        ? [
            line(
              'Torque',
              sea,
              shown.map((point) => [x(point), point.shaftTorque / unit.factor]),
            ),
          ]
        : []),
      line(
        'Current',
        copper,
        shown.map((point) => [x(point), point.statorCurrent]),
      ),
      line(
        'Power factor',
        quiet,
        percent((point) => point.powerFactor),
        { width: 1.5, yAxisIndex: 1, type: 'dashed' },
      ),
      line(
        'Efficiency',
        ink,
        percent((point) => Math.max(0, point.efficiency)),
        { width: 1.5, yAxisIndex: 1, type: 'dotted' },
      ),
      marked(
        'Nameplate current',
        [[ratedX, targets.current], ...(against === 'speed' ? [[0, reached('Locked-rotor current')]] : [])],
        0,
        copper,
      ),
      ...(against === 'speed'
        ? [
            marked(
              'Nameplate torque',
              [
                [0, reached('Locked-rotor torque') / unit.factor],
                [ratedX, rated / unit.factor],
              ],
              0,
              sea,
            ),
          ]
        : [marked('Nameplate efficiency', [[ratedX, 100 * targets.efficiency]], 1, ink)]),
    ],
  };
}

/** Line current, speed, voltage, rotor heat, and the relay’s trip curve at its fast and slow edge, against time. */
export function timeChart(start: Start, overload: number, voltage: number): EChartsCoreOption {
  const { copper, sea, quiet, ink, stop } = chartColours;
  const { trace } = start;
  if (!trace) return frame();
  const end = trace.time.at(-1) ?? 1;
  const most = Math.max(...trace.motorCurrent);
  const { fastest, slowest } = start.relay;
  // Far enough to see how far off the relay is, unless that would squeeze the run to nothing.
  const clearance = 1.15 * tripTime(fastest, Math.max(1.2, most / overload));
  const horizon = Number((clearance < 5 * end ? Math.max(1.3 * end, clearance) : 1.6 * end).toPrecision(2));
  const heat = trace.rotorHeat.at(-1) ?? 0;
  const trip = (time: number): number[][] =>
    Array.from({ length: 40 }, (_, at) => 1.2 + (at / 39) * 9)
      .map((multiple) => [tripTime(time, multiple), multiple * overload] as const)
      .filter(([at, current]) => at <= horizon && current <= most * 1.4)
      .map(([at, current]) => [at, current])
      .toReversed();
  return {
    ...frame(),
    xAxis: xAxis('s', horizon),
    yAxis: [yAxis('A'), { ...yAxis('% of rated', false), min: 0, max: 120, interval: 20 }],
    series: [
      line('Line current', copper, pairs(trace.time, trace.lineCurrent)),
      ...(trace.motorCurrent.some((each, at) => Math.abs(each - (trace.lineCurrent[at] ?? 0)) > 0.5)
        ? [line('Motor current', copper, pairs(trace.time, trace.motorCurrent), { width: 1.5, type: 'dotted' })]
        : []),
      line(
        'Speed',
        sea,
        pairs(
          trace.time,
          trace.speed.map((each) => (100 * each) / (trace.speed.at(-1) || 1)),
        ),
        { yAxisIndex: 1 },
      ),
      line(
        'Voltage',
        quiet,
        pairs(
          trace.time,
          trace.voltage.map((each) => (100 * each) / voltage),
        ),
        { width: 1.5, yAxisIndex: 1 },
      ),
      line(
        'Thermal capacity used',
        stop,
        pairs(
          trace.time,
          trace.rotorHeat.map((each) => (heat > 0 ? (100 * start.rotorUse * each) / heat : 0)),
        ),
        { width: 1.5, type: 'dotted', yAxisIndex: 1 },
      ),
      line(`Relay ${start.relayClass}, fast edge`, ink, trip(fastest), { width: 1.5, type: 'dashed' }),
      line('slow edge', ink, trip(slowest), { width: 1, type: 'dotted' }),
    ].filter(({ data }) => (data as number[][]).length > 0),
  };
}

/** Instantaneous current of a phase and electromagnetic torque between two moments. */
export function transientChart(
  { trace }: TransientRun,
  from: number,
  to: number,
  school: StandardsSystem,
): EChartsCoreOption {
  const { copper, sea } = chartColours;
  const unit = shownUnit('torque', school);
  const inside = (data: number[][]): number[][] => data.filter(([at = 0]) => at >= from && at <= to);
  return {
    ...frame(),
    xAxis: { ...xAxis('s'), min: Number(from.toFixed(2)), max: Number(to.toFixed(2)) },
    yAxis: [yAxis('A'), yAxis(unit.names[0] ?? '', false)],
    series: [
      line('Phase a current', copper, inside(pairs(trace.time, trace.current)), { width: 1.5 }),
      line(
        'Air-gap torque',
        sea,
        inside(
          pairs(
            trace.time,
            trace.torque.map((each) => each / unit.factor),
          ),
        ),
        { yAxisIndex: 1 },
      ),
    ],
  };
}

/** Bands of speed and current in which nine of ten starts lie. */
export function bandChart(spread: Spread): EChartsCoreOption {
  const { copper, sea } = chartColours;
  const full = Math.max(...spread.speed.map((each) => each.high)) || 1;
  const band = (
    name: string,
    color: string,
    bands: Spread['speed'],
    scale: number,
    yAxisIndex: number,
  ): Record<string, unknown>[] => [
    {
      type: 'line',
      name: `${name}, least`,
      stack: name,
      symbol: 'none',
      yAxisIndex,
      data: pairs(
        spread.times,
        bands.map((each) => each.low * scale),
      ),
      lineStyle: { opacity: 0 },
      itemStyle: { color },
    },
    {
      type: 'line',
      name: `${name}, nine of ten`,
      stack: name,
      symbol: 'none',
      yAxisIndex,
      data: pairs(
        spread.times,
        bands.map((each) => (each.high - each.low) * scale),
      ),
      lineStyle: { opacity: 0 },
      areaStyle: { color, opacity: 0.25 },
      itemStyle: { color },
    },
    line(
      `${name}, middle`,
      color,
      pairs(
        spread.times,
        bands.map((each) => each.middle * scale),
      ),
      { yAxisIndex },
    ),
  ];
  return {
    ...frame(),
    tooltip: { show: false },
    legend: {
      ...(frame()['legend'] as object),
      data: ['Speed, median', 'Current, median', 'Speed, 90 % band', 'Current, 90 % band'],
    },
    xAxis: xAxis('s'),
    yAxis: [yAxis('A'), { ...yAxis('% speed', false), min: 0, max: 120, interval: 20 }],
    series: [...band('Speed', sea, spread.speed, 100 / full, 1), ...band('Current', copper, spread.current, 1, 0)],
  };
}
