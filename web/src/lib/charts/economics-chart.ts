import type { Solution } from '@pilgrim/core';
import type { EChartsCoreOption } from 'echarts/core';
import type { Band } from '@pilgrim/core/kernel/numeric';
import type { Risk } from '@pilgrim/core/solve/risk/judge';
import { axisLook, chartColours } from './colours';

type Comparison = Solution['comparison'];

const nameOf = ({ option, name }: Comparison['costs'][number]): string => `${option} ${name}`;

/** Between a tenth and nine tenths of the draws; a stack of two lines, the lower of them not seen. */
function bandsOf(risk: Risk | undefined, colours: readonly string[]): EChartsCoreOption[] {
  return (risk?.options ?? []).flatMap(({ letter, costs }, at) => {
    const line = {
      type: 'line',
      stack: `band ${letter}`,
      symbol: 'none',
      silent: true,
      tooltip: { show: false },
      lineStyle: { opacity: 0 },
    };
    const points = (of: (band: Band) => number): number[][] => costs.map(({ year, band }) => [year, of(band)]);
    return [
      { ...line, name: `${letter} low`, data: points(({ low }) => low) },
      {
        ...line,
        name: `${letter} band`,
        data: points(({ low, high }) => high - low),
        areaStyle: { color: colours[at % colours.length], opacity: 0.16 },
      },
    ];
  });
}

/** What each option has cost after so many years, with the moments at which the best and another are even. */
export function moneyChart({ costs, evens }: Comparison, currency: string, risk?: Risk): EChartsCoreOption {
  const { ink, line, copper, sea, quiet, font } = chartColours;
  const looks = [
    { color: sea, symbol: 'circle', type: 'solid' },
    { color: copper, symbol: 'rect', type: 'solid' },
    { color: ink, symbol: 'triangle', type: 'dashed' },
    { color: quiet, symbol: 'diamond', type: 'dotted' },
  ];
  return {
    animation: false,
    textStyle: { fontFamily: font, color: ink },
    legend: { data: costs.map(nameOf), textStyle: { color: ink, fontFamily: font }, itemGap: 20, top: 0 },
    tooltip: {
      trigger: 'axis',
      valueFormatter: (value: unknown) =>
        typeof value === 'number' ? `${Math.round(value)} ${currency}` : String(value),
    },
    grid: { left: 64, right: 24, top: 40, bottom: 40 },
    xAxis: {
      ...axisLook,
      type: 'value',
      name: 'Years',
      nameLocation: 'middle',
      nameGap: 26,
      max: Math.max(...costs.flatMap(({ points }) => points.map(({ year }) => year))),
      splitLine: { show: false },
    },
    yAxis: { ...axisLook, type: 'value', name: currency, min: 0, splitLine: { lineStyle: { color: line } } },
    series: [
      ...bandsOf(
        risk,
        costs.map((_, at) => looks[at % looks.length]?.color ?? ink),
      ),
      ...costs.map((each, at) => {
        const look = looks[at % looks.length];
        return {
          name: nameOf(each),
          type: 'line',
          data: each.points.map(({ year, cost }) => [year, cost]),
          lineStyle: { color: look?.color, type: look?.type, width: 2.5 },
          itemStyle: { color: look?.color },
          symbol: look?.symbol,
          symbolSize: 7,
        };
      }),
      ...evens.map(({ options, year, cost }) => ({
        name: `${options[0]} and ${options[1]} even`,
        type: 'line',
        data: [[year, cost]],
        symbol: 'circle',
        symbolSize: 12,
        itemStyle: { color: 'transparent', borderColor: ink, borderWidth: 2 },
        label: {
          show: true,
          position: 'right',
          distance: 8,
          color: ink,
          fontFamily: font,
          fontSize: 13,
          formatter: `${options[0]} and ${options[1]} even after ${year.toPrecision(2)} years`,
        },
      })),
    ],
  };
}
