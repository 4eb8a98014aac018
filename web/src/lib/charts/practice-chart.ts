import type { EChartsCoreOption } from 'echarts/core';
import { axisLook, chartColours } from './colours';

/** Output frequency and motor current over the last minute. */
export function practiceChart(past: readonly (readonly [number, number, number])[]): EChartsCoreOption {
  const { ink, line, copper, sea, font } = chartColours;
  const newest = past.at(-1)?.[0] ?? 0;
  const curve = (name: string, at: 1 | 2, color: string, axis: number) => ({
    name,
    type: 'line',
    symbol: 'none',
    yAxisIndex: axis,
    data: past.map((look) => [Number((look[0] - newest).toFixed(1)), Number(look[at].toFixed(2))]),
    lineStyle: { color, width: 2 },
    itemStyle: { color },
  });
  const axis = (name: string, grid: boolean) => ({
    ...axisLook,
    type: 'value',
    name,
    min: 0,
    axisLine: { onZero: false },
    splitLine: grid ? { lineStyle: { color: line } } : { show: false },
  });
  return {
    animation: false,
    textStyle: { fontFamily: font, color: ink },
    legend: { textStyle: { color: ink, fontFamily: font, fontSize: 12 }, itemStyle: { opacity: 0 }, top: 0 },
    grid: { left: 36, right: 36, top: 44, bottom: 24 },
    xAxis: { ...axisLook, type: 'value', min: -60, max: 0, splitLine: { show: false } },
    yAxis: [axis('Hz', true), axis('A', false)],
    series: [curve('Hz', 1, sea, 0), curve('A', 2, copper, 1)],
  };
}
