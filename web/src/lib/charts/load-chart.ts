import type { Solution } from '@pilgrim/core';
import { formatQuantity } from '@pilgrim/core/kernel/quantity/format';
import { shownUnit, type StandardsSystem } from '@pilgrim/core/kernel/quantity/units';
import type { EChartsCoreOption } from 'echarts/core';
import { axisLook, chartColours } from './colours';

const NOWHERE = { speed: 0, torque: 0 };

type Curve = NonNullable<Solution['details']['loadCurve']>;

/** What the load’s curve is drawn with. */
export interface LoadMarks {
  readonly running: { readonly torque: number; readonly speed: number } | undefined;
  /** The curve of the motor on the line; undefined until there is one. */
  readonly motor: readonly { readonly speed: number; readonly shaftTorque: number }[] | undefined;
}

/** Torque of the load against speed at the motor shaft, with breakaway, peak and running point marked, and the motor’s over it. */
export function loadChart(curve: Curve, { running, motor }: LoadMarks, school: StandardsSystem): EChartsCoreOption {
  const { ink, line, sea, copper, quiet, font } = chartColours;
  const torqueUnit = shownUnit('torque', school);
  const rpm = (speed: number): number => (speed * 30) / Math.PI;
  const torque = (value: number): number => value / torqueUnit.factor;
  const points = curve.speeds.map((speed, at) => ({ speed, torque: curve.torques[at] ?? 0 }));
  const [breakaway] = points;
  /** Beyond the running speed it is only carried on. */
  const top = running?.speed ?? 0;
  const peak = points
    .filter(({ speed }) => speed <= top)
    .reduce((most, point) => (point.torque > most.torque ? point : most), NOWHERE);
  /** The load’s line would run through a word beside its points. */
  const flat = breakaway !== undefined && breakaway.torque > 0.7 * (running?.torque ?? Infinity);
  const marked = (
    name: string,
    point: { torque: number; speed: number },
    color: string,
    position: string,
  ): Record<string, unknown> => ({
    name,
    type: 'line',
    symbol: 'circle',
    symbolSize: 10,
    data: [[rpm(point.speed), torque(point.torque)]],
    itemStyle: { color },
    label: {
      show: true,
      position,
      // At the axis a word above its point begins there.
      ...(position === 'top' && point.speed === 0 ? { align: 'left' } : {}),
      color: ink,
      formatter: `${name} ${formatQuantity(point.torque, 'torque', school)}`,
    },
  });
  return {
    animation: false,
    textStyle: { fontFamily: font, color: ink },
    tooltip: {
      trigger: 'axis',
      valueFormatter: (value: unknown) => (typeof value === 'number' ? value.toFixed(1) : String(value)),
    },
    ...(motor
      ? { legend: { textStyle: { color: ink, fontFamily: font }, data: ['Load', 'Motor at rated supply'], top: 0 } }
      : {}),
    grid: { left: 52, right: 20, top: 30, bottom: 42 },
    xAxis: {
      ...axisLook,
      type: 'value',
      name: 'Motor speed, r/min',
      nameLocation: 'middle',
      nameGap: 26,
      min: 0,
      splitLine: { show: false },
    },
    yAxis: {
      ...axisLook,
      type: 'value',
      name: torqueUnit.names[0],
      min: 0,
      splitLine: { lineStyle: { color: line } },
    },
    series: [
      {
        name: 'Load',
        type: 'line',
        showSymbol: false,
        data: curve.speeds.map((speed, at) => [rpm(speed), torque(curve.torques[at] ?? 0)]),
        lineStyle: { color: sea, width: 2.5 },
        itemStyle: { color: sea },
      },
      ...(motor
        ? [
            {
              name: 'Motor at rated supply',
              type: 'line',
              showSymbol: false,
              data: motor.map(({ speed, shaftTorque }) => [rpm(speed), torque(Math.max(0, shaftTorque))]),
              lineStyle: { color: quiet, width: 1.5, type: 'dashed' },
              itemStyle: { color: quiet },
            },
          ]
        : []),
      ...(breakaway && breakaway.torque > 0
        ? [marked('Breakaway torque', breakaway, sea, flat ? 'top' : 'right')]
        : []),
      // A peak that is neither of the others.
      ...(running && peak.speed > 0 && peak.torque > 1.02 * Math.max(running.torque, breakaway?.torque ?? 0)
        ? [marked('Peak', peak, sea, 'top')]
        : []),
      ...(running ? [marked('Operating point', running, copper, flat || motor ? 'bottom' : 'left')] : []),
    ],
  };
}
