import type { Solution } from '@pilgrim/core';
import type { EChartsCoreOption } from 'echarts/core';
import { axisLook, chartColours } from './colours';

type Details = Solution['details'];

export const controlNames = {
  speed: 'Speed control, drive',
  throttle: 'Throttle valve',
  damper: 'Outlet damper',
  'inlet vane': 'Inlet vanes',
  trim: 'Trimmed impeller',
  'two speeds': 'Two speeds',
  'slip coupling': 'Slip coupling',
  'on/off': 'On/off',
  bypass: 'Bypass',
  none: 'None',
} as const;

/** Hours an axis ends at: a round figure that leaves room to drag a bar upwards. */
const roomAbove = (hours: number): number => {
  const step = hours > 4000 ? 2000 : hours > 1500 ? 1000 : 500;
  return Math.min(9000, step * (Math.floor(hours / step) + 2));
};

const flowAxis = (): Record<string, unknown> => ({
  ...axisLook,
  type: 'value',
  name: 'Flow, %',
  nameLocation: 'middle',
  nameGap: 26,
  min: 0,
  max: 120,
  interval: 20,
  splitLine: { show: false },
});

/** Power by flow for every way to control it as lines, hours as bars behind them. */
export function profileChart(
  steps: Details['profile'],
  curves: Details['flowCurves'],
  today: string,
): EChartsCoreOption {
  const { ink, line, copper, sea, quiet, font } = chartColours;
  const sorted = [...steps].sort((a, b) => a.flow - b.flow);
  const dashes = ['dashed', 'dotted', [8, 3, 2, 3], [2, 4], [12, 4], 'solid'] as const;
  const others = curves.filter(({ control }) => control !== 'speed' && control !== today);
  const styleOf = (control: string): { color: string; width: number; type: unknown } => {
    if (control === 'speed') return { color: sea, width: 3, type: 'solid' };
    if (control === today) return { color: copper, width: 3, type: 'solid' };
    const at = others.findIndex((each) => each.control === control);
    return { color: quiet, width: 1.25, type: dashes[at % dashes.length] };
  };
  return {
    animation: false,
    textStyle: { fontFamily: font, color: ink },
    legend: {
      textStyle: { color: ink, fontFamily: font, fontSize: 12 },
      itemGap: 10,
      // The line with its dashes, without a point on it.
      itemWidth: 34,
      itemStyle: { opacity: 0 },
      top: 0,
      data: curves.map(({ control }) => controlNames[control]),
    },
    tooltip: {
      trigger: 'axis',
      valueFormatter: (value: unknown) => (typeof value === 'number' ? value.toFixed(1) : String(value)),
    },
    grid: { left: 46, right: 52, top: 76, bottom: 40 },
    xAxis: flowAxis(),
    yAxis: [
      { ...axisLook, type: 'value', name: 'kW', min: 0, splitLine: { lineStyle: { color: line } } },
      {
        ...axisLook,
        type: 'value',
        name: 'Annual hours, h',
        min: 0,
        max: roomAbove(Math.max(0, ...sorted.map(({ hours }) => hours / 3600))),
        splitLine: { show: false },
      },
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
      ...curves.map(({ control, flows, inputs }) => {
        const { color, width, type } = styleOf(control);
        return {
          name: controlNames[control],
          type: 'line',
          symbol: 'none',
          data: flows.map((flow, at) => [flow * 100, (inputs[at] ?? 0) / 1000]),
          lineStyle: { color, width, type },
          itemStyle: { color },
        };
      }),
    ],
  };
}

/** Head of machine and system over the flow, at several speeds; the rows as points as large as their hours. */
export function headChart(picture: NonNullable<Details['flowPicture']>): EChartsCoreOption {
  const { ink, line, copper, sea, quiet, font } = chartColours;
  const most = Math.max(1, ...picture.duty.map(({ hours }) => hours));
  const percent = (values: readonly number[]): number[][] =>
    picture.flows.flatMap((flow, at) => ((values[at] ?? 0) > 0 ? [[flow * 100, (values[at] ?? 0) * 100]] : []));
  return {
    animation: false,
    textStyle: { fontFamily: font, color: ink },
    tooltip: {
      trigger: 'axis',
      valueFormatter: (value: unknown) => (typeof value === 'number' ? `${value.toFixed(0)} %` : String(value)),
    },
    grid: { left: 46, right: 48, top: 28, bottom: 40 },
    xAxis: flowAxis(),
    yAxis: { ...axisLook, type: 'value', name: 'Head, %', min: 0, splitLine: { lineStyle: { color: line } } },
    series: [
      ...picture.machine.map(({ speed, heads }) => ({
        name: `Machine at ${Math.round(speed * 100)} % speed`,
        type: 'line',
        showSymbol: false,
        data: percent(heads),
        lineStyle: { color: sea, width: speed === 1 ? 2.5 : 1.25, type: speed === 1 ? 'solid' : 'dashed' },
        itemStyle: { color: sea },
        endLabel: { show: true, formatter: `${Math.round(speed * 100)} %`, color: quiet, fontFamily: font },
      })),
      ...picture.contours.map(({ share, heads }) => ({
        name: `${Math.round(share * 100)} % of the best efficiency`,
        type: 'line',
        showSymbol: false,
        silent: true,
        data: percent(heads),
        lineStyle: { color: quiet, width: 1, type: 'dotted' },
        itemStyle: { color: quiet },
        // The other branch of each runs out where the speeds are named.
        endLabel: {
          show: heads.at(-1) === 0,
          formatter: `η ${Math.round(share * 100)} %`,
          color: quiet,
          fontFamily: font,
        },
      })),
      {
        name: 'System',
        type: 'line',
        showSymbol: false,
        data: percent(picture.system),
        lineStyle: { color: copper, width: 2.5 },
        itemStyle: { color: copper },
      },
      ...picture.duty.map(({ flow, head, hours }) => ({
        name: `${Math.round(hours / 3600)} h`,
        type: 'line',
        symbol: 'circle',
        symbolSize: 6 + 18 * Math.sqrt(hours / most),
        data: [[flow * 100, head * 100]],
        itemStyle: { color: copper, opacity: 0.75 },
      })),
    ],
  };
}
