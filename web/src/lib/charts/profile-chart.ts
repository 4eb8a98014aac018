import type { Solution } from '@pilgrim/core';
import type { EChartsCoreOption } from 'echarts/core';
import { axisLook, chartColours } from './colours';

/** Power by flow for both ways of control as lines, hours as bars behind them. */
export function profileChart(steps: Solution['details']['profile']): EChartsCoreOption {
  const { ink, line, copper, sea, font } = chartColours();
  const sorted = [...steps].sort((a, b) => a.flow - b.flow);
  const axis = axisLook();
  const lineOf = (
    name: string,
    color: string,
    symbol: string,
    of: (step: (typeof sorted)[number]) => number | undefined,
  ) => ({
    name,
    type: 'line',
    data: sorted.flatMap((step) => {
      const watts = of(step);
      return watts === undefined ? [] : [[step.flow * 100, watts / 1000]];
    }),
    lineStyle: { color, width: 2.5 },
    itemStyle: { color },
    symbol,
    symbolSize: 8,
  });
  return {
    animation: false,
    textStyle: { fontFamily: font, color: ink },
    legend: { textStyle: { color: ink, fontFamily: font }, itemGap: 24, top: 0 },
    tooltip: {
      trigger: 'axis',
      valueFormatter: (value: unknown) => (typeof value === 'number' ? value.toFixed(1) : String(value)),
    },
    grid: { left: 46, right: 52, top: 48, bottom: 40 },
    xAxis: {
      ...axis,
      type: 'value',
      name: 'Flow, %',
      nameLocation: 'middle',
      nameGap: 26,
      min: 0,
      max: 120,
      interval: 20,
      splitLine: { show: false },
    },
    yAxis: [
      { ...axis, type: 'value', name: 'kW', splitLine: { lineStyle: { color: line } } },
      { ...axis, type: 'value', name: 'h a year', splitLine: { show: false } },
    ],
    series: [
      {
        name: 'Hours',
        type: 'bar',
        yAxisIndex: 1,
        barWidth: 18,
        data: sorted.map((step) => [step.flow * 100, step.hours / 3600]),
        itemStyle: { color: line },
      },
      lineOf('As controlled today', copper, 'rect', (step) => step.throttled),
      lineOf('Speed controlled', sea, 'circle', (step) => step.speedControlled),
    ],
  };
}
