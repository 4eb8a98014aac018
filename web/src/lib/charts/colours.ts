import type { EChartsCoreOption } from 'echarts/core';

/**
 * The colours charts are drawn in: those of light paper, as `app.css` has them. On a dark screen its rules show those of
 * the theme instead, so a chart follows a change of it at once, and one that is printed or saved is as light as paper.
 */
export const chartColours = {
  ink: '#1d2529',
  quiet: '#575b5c',
  line: '#dcd9d0',
  copper: '#a8562a',
  sea: '#12566b',
  stop: '#a01c2c',
  good: '#1d6b45',
  card: '#fffefb',
  font: "'Atkinson Hyperlegible Next Variable', system-ui, sans-serif",
} as const;

/** A figure on an axis. */
export const minus = (value: number | string): string => String(value).replace('-', '−');

/** Axis look shared by all charts. */
export const axisLook = {
  axisLabel: { color: chartColours.quiet, formatter: minus, hideOverlap: true },
  nameTextStyle: { color: chartColours.quiet },
  axisLine: { lineStyle: { color: chartColours.line } },
} as const;

/** What is pointed at keeps its colour: a lifted one would be none of the theme’s. */
export const settled = (option: EChartsCoreOption): EChartsCoreOption => ({
  ...option,
  series: ((option['series'] ?? []) as object[]).map((series) => ({ ...series, emphasis: { disabled: true } })),
});
