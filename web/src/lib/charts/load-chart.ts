import type { Solution } from '@pilgrim/core';
import { formatQuantity } from '@pilgrim/core/ground/quantity/format';
import { shownUnit, type School } from '@pilgrim/core/ground/quantity/units';
import type { EChartsCoreOption } from 'echarts/core';
import { axisLook, chartColours } from './colours';

type Curve = NonNullable<Solution['details']['loadCurve']>;

/** Torque of the load against speed at the motor shaft, with the running point marked. */
export function loadChart(
  curve: Curve,
  running: { readonly torque: number; readonly speed: number } | undefined,
  school: School,
): EChartsCoreOption {
  const { ink, line, sea, copper, font } = chartColours();
  const torqueUnit = shownUnit('torque', school);
  const rpm = (speed: number): number => (speed * 30) / Math.PI;
  const torque = (value: number): number => value / torqueUnit.factor;
  return {
    animation: false,
    textStyle: { fontFamily: font, color: ink },
    tooltip: {
      trigger: 'axis',
      valueFormatter: (value: unknown) => (typeof value === 'number' ? value.toFixed(1) : String(value)),
    },
    grid: { left: 52, right: 20, top: 30, bottom: 42 },
    xAxis: {
      ...axisLook(),
      type: 'value',
      name: 'r/min at the motor',
      nameLocation: 'middle',
      nameGap: 26,
      min: 0,
      splitLine: { show: false },
    },
    yAxis: {
      ...axisLook(),
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
      ...(running
        ? [
            {
              name: 'Running',
              type: 'line',
              symbol: 'circle',
              symbolSize: 10,
              data: [[rpm(running.speed), torque(running.torque)]],
              itemStyle: { color: copper },
              label: {
                show: true,
                position: 'top',
                color: ink,
                formatter: `${formatQuantity(running.torque, 'torque', school)} at ${formatQuantity(running.speed, 'speed', school)}`,
              },
            },
          ]
        : []),
    ],
  };
}
