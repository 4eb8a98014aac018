import type { Solution } from '@pilgrim/core';
import { shownUnit, type StandardsSystem } from '@pilgrim/core/kernel/quantity/units';
import type { EChartsCoreOption } from 'echarts/core';
import { axisLook, chartColours } from './colours';

type Pictures = NonNullable<Solution['details']['drivePictures']>;
type Row = Solution['details']['profile'][number];

function legendLook(): Record<string, unknown> {
  const { ink, font } = chartColours;
  return {
    textStyle: { color: ink, fontFamily: font, fontSize: 12 },
    itemGap: 10,
    itemWidth: 26,
    itemStyle: { opacity: 0 },
    top: 0,
  };
}

function frame(): Record<string, unknown> {
  const { ink, font } = chartColours;
  return {
    animation: false,
    textStyle: { fontFamily: font, color: ink },
    legend: legendLook(),
    grid: { left: 54, right: 24, top: 52, bottom: 42 },
  };
}

const axis = (name: string, more: Record<string, unknown> = {}): Record<string, unknown> => ({
  ...axisLook,
  type: 'value',
  name,
  min: 0,
  ...more,
});
const along = (name: string, more: Record<string, unknown> = {}): Record<string, unknown> =>
  axis(name, { nameLocation: 'middle', nameGap: 26, splitLine: { show: false }, ...more });

/** A line upright, named at its foot or head. */
function upright(name: string, at: number, top: number, color: string, type = 'solid'): Record<string, unknown> {
  const { ink, font } = chartColours;
  return {
    name,
    type: 'line',
    symbol: 'none',
    silent: true,
    data: [
      [at, 0],
      [at, top],
    ],
    lineStyle: { color, width: 1.5, type },
    itemStyle: { color },
    endLabel: { show: true, formatter: name, color: ink, fontFamily: font, fontSize: 12, offset: [-4, 8] },
  };
}

/** What is not to be run in, from a speed to another. */
function shaded(name: string, from: number, to: number, top: number): Record<string, unknown> {
  const { stop } = chartColours;
  return {
    name,
    type: 'line',
    symbol: 'none',
    silent: true,
    data: [
      [from, top],
      [to, top],
    ],
    lineStyle: { opacity: 0 },
    itemStyle: { color: stop },
    areaStyle: { color: stop, opacity: 0.1 },
  };
}

/** Next round figure at or above. */
const roundUp = (value: number, step: number): number => Math.ceil(value / step) * step;

/** Torque that is allowed over the speed, for good and for a minute, the load under it, and the ends of the range. */
export function rangeChart({ range }: Pictures, rated: number, rows: readonly Row[]): EChartsCoreOption {
  const { line, copper, sea, stop } = chartColours;
  const turns = (share: number): number => Math.round((share * rated * 30) / Math.PI);
  const points = (torques: readonly number[]): number[][] =>
    range.shares.map((share, at) => [turns(share), Math.round((torques[at] ?? 0) * 1000) / 10]);
  const end = range.shares.at(-1) ?? 1;
  const top = roundUp(Math.max(...range.short, ...range.continuous) * 105, 20);
  const loadAt = (share: number): number => (range.load?.[range.shares.findIndex((each) => each >= share)] ?? 0) * 100;
  /** Its own fan cools less the slower it turns. */
  const selfCooled = range.shares.some((share, at) => share < 0.9 && (range.continuous[at] ?? 1) < 0.99);
  const ran = rows.filter(({ hours, flow }) => hours > 0 && flow > 0);
  const curve = (name: string, torques: readonly number[], color: string, more: Record<string, unknown> = {}) => ({
    name,
    type: 'line',
    symbol: 'none',
    data: points(torques),
    lineStyle: { color, width: 2.5 },
    itemStyle: { color },
    ...more,
  });
  return {
    ...frame(),
    legend: {
      ...legendLook(),
      data: [
        'Continuous torque',
        ...(selfCooled ? ['With separate blower'] : []),
        'Short-time torque, 60 s',
        'Load',
        { name: 'Operating points', itemStyle: { opacity: 1 } },
      ],
    },
    tooltip: {
      trigger: 'axis',
      valueFormatter: (value: unknown) => (typeof value === 'number' ? `${value.toFixed(0)} %` : String(value)),
    },
    xAxis: along('Motor speed, r/min', {
      max: roundUp(turns(end), 100),
      interval: 500,
      axisLabel: { ...(axisLook['axisLabel'] as object), showMaxLabel: false },
    }),
    yAxis: axis('Torque, % of rated', { max: top, interval: 20, splitLine: { lineStyle: { color: line } } }),
    series: [
      ...(range.least.share > 0 ? [shaded('too slow', 0, turns(range.least.share), top)] : []),
      ...(range.most.share < end ? [shaded('too fast', turns(range.most.share), turns(end), top)] : []),
      ...range.skips.map(({ from, to }) => shaded('skipped', turns(from), turns(to), top)),
      curve('Continuous torque', range.continuous, sea, { areaStyle: { color: sea, opacity: 0.08 } }),
      ...(selfCooled
        ? [
            {
              name: 'With separate blower',
              type: 'line',
              symbol: 'none',
              data: [
                [0, 100],
                [turns(1), 100],
              ],
              lineStyle: { color: sea, width: 1.25, type: 'dotted' },
              itemStyle: { color: sea },
            },
          ]
        : []),
      curve('Short-time torque, 60 s', range.short, sea, { lineStyle: { color: sea, width: 1.5, type: 'dashed' } }),
      ...(range.load ? [curve('Load', range.load, copper)] : []),
      ...(range.load && ran.length > 0
        ? [
            {
              name: 'Operating points',
              type: 'line',
              symbol: 'circle',
              symbolSize: 10,
              data: ran.map(({ speed }) => [turns(speed), loadAt(speed)]),
              lineStyle: { opacity: 0 },
              itemStyle: { color: copper },
            },
          ]
        : []),
      ...(range.least.share > 0 ? [upright('lowest', turns(range.least.share), top, stop)] : []),
      ...(range.most.share <= end ? [upright('highest', turns(range.most.share), top, stop)] : []),
    ],
  };
}

/** Peak at the winding over the length of the cable, against what it bears and the rule of the site. */
export function leadChart(
  { lead }: Pictures,
  school: StandardsSystem,
  filtered: number | undefined,
): EChartsCoreOption {
  const { line, copper, sea, stop, quiet } = chartColours;
  const name = shownUnit('altitude', school).names[0] ?? '';
  const { factor } = shownUnit('altitude', school);
  const long = (metres: number): number => Number((metres / factor).toPrecision(3));
  const end = roundUp(long(lead.lengths.at(-1) ?? 1), 10);
  const top = roundUp(Math.max(...lead.peaks, lead.withstand) * 1.05, 200);
  const level = (called: string, volts: number, color: string, type: string) => ({
    name: called,
    type: 'line',
    symbol: 'none',
    data: [
      [0, Math.round(volts)],
      [end, Math.round(volts)],
    ],
    lineStyle: { color, width: 2, type },
    itemStyle: { color },
  });
  return {
    ...frame(),
    legend: { ...legendLook(), data: ['Without filter', 'With filter', 'Winding withstand'] },
    tooltip: {
      trigger: 'axis',
      valueFormatter: (value: unknown) => (typeof value === 'number' ? `${value.toFixed(0)} V` : String(value)),
    },
    xAxis: along(`Cable, ${name}`, { max: end, interval: roundUp(end / 6, end > 120 ? 50 : 10) }),
    yAxis: axis('Peak terminal voltage, V', { max: top, interval: 400, splitLine: { lineStyle: { color: line } } }),
    series: [
      {
        name: 'Without filter',
        type: 'line',
        symbol: 'none',
        data: lead.lengths.map((metres, at) => [long(metres), Math.round(lead.peaks[at] ?? 0)]),
        lineStyle: { color: copper, width: 2.5 },
        itemStyle: { color: copper },
      },
      ...(filtered === undefined ? [] : [level('With filter', filtered, sea, 'solid')]),
      level('Winding withstand', lead.withstand, stop, 'dashed'),
      upright('site’s rule', long(lead.rule), top, quiet, 'dotted'),
      ...(lead.length === undefined ? [] : [upright('this cable', long(lead.length), top, copper)]),
    ],
  };
}

/** Harmonic currents of the drive by order, against what each may be where the demand current is known. */
export function spectrumChart({ line: at }: Pictures): EChartsCoreOption {
  const { line, stop, sea } = chartColours;
  const names = at.orders.map(({ order }, index) =>
    index === at.orders.length - 1 ? `${order} and up` : String(order),
  );
  const limited = at.orders.some(({ limit }) => limit !== undefined);
  return {
    ...frame(),
    legend: { ...legendLook(), itemStyle: {} },
    tooltip: {
      trigger: 'axis',
      valueFormatter: (value: unknown) => (typeof value === 'number' ? `${value.toFixed(2)} A` : String(value)),
    },
    xAxis: { ...axisLook, type: 'category', name: 'Harmonic order', nameLocation: 'middle', nameGap: 26, data: names },
    yAxis: axis('A', { splitLine: { lineStyle: { color: line } } }),
    series: [
      {
        name: 'This drive',
        type: 'bar',
        barWidth: 22,
        data: at.orders.map(({ current }) => Number(current.toPrecision(4))),
        itemStyle: { color: sea },
      },
      ...(limited
        ? [
            {
              name: 'IEEE 519 limit',
              type: 'line',
              step: 'middle',
              symbol: 'none',
              data: at.orders.map(({ limit }) => limit),
              lineStyle: { color: stop, width: 1.5, type: 'dashed' },
              itemStyle: { color: stop },
            },
          ]
        : []),
    ],
  };
}
