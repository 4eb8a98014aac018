import { axisLook, chartColours } from './colours';

export const pairs = (xs: readonly number[], ys: readonly number[]): number[][] => xs.map((x, at) => [x, ys[at] ?? 0]);
export const rounded = (value: unknown): string =>
  typeof value === 'number' ? value.toPrecision(4).replace(/\.?0+$/, '') : String(value);

/** Frame shared by the charts of starts and protection. */
export function frame(): Record<string, unknown> {
  const { ink, font } = chartColours;
  return {
    animation: false,
    textStyle: { fontFamily: font, color: ink },
    // Names stand in one or two rows; turning pages would hide some.
    legend: { textStyle: { color: ink, fontFamily: font }, itemGap: 8, itemWidth: 18, padding: 0, top: 0 },
    tooltip: { trigger: 'axis', valueFormatter: rounded },
    grid: { left: 56, right: 56, top: 56, bottom: 42 },
  };
}

export const xAxis = (name: string, max?: number): Record<string, unknown> => ({
  ...axisLook,
  type: 'value',
  name,
  nameLocation: 'middle',
  nameGap: 26,
  min: 0,
  ...(max === undefined ? {} : { max }),
  splitLine: { show: false },
});
export const yAxis = (name: string, grid = true): Record<string, unknown> => ({
  ...axisLook,
  type: 'value',
  name,
  nameGap: 8,
  splitLine: grid ? { lineStyle: { color: chartColours.line } } : { show: false },
});
export const line = (
  name: string,
  color: string,
  data: number[][],
  more: { readonly width?: number; readonly type?: 'solid' | 'dashed' | 'dotted'; readonly yAxisIndex?: number } = {},
): Record<string, unknown> => ({
  name,
  type: 'line',
  showSymbol: false,
  data,
  yAxisIndex: more.yAxisIndex ?? 0,
  lineStyle: { color, width: more.width ?? 2.5, type: more.type ?? 'solid' },
  itemStyle: { color },
});
