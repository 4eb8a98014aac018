/// <reference lib="webworker" />
import type { EChartsCoreOption } from 'echarts/core';
import { setPlatformAPI } from 'echarts/core';
import fontFile from '@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2?url';
import { minus } from '$lib/charts/colours';
import { init } from '$lib/charts/echarts';
import { gripLook, pixelOf, type Grip } from '$lib/charts/handles';

/** A picture to draw. */
export interface ChartQuestion {
  readonly id: number;
  /** An option of ECharts and the handles on it (`Grip`s) as JSON, which holds no functions. */
  readonly option: string;
  readonly grips: string;
  readonly width: number;
  readonly height: number;
}
export interface ChartAnswer {
  readonly id: number;
  /** Undefined where it could not be drawn. */
  readonly svg: string | undefined;
}

// What a label takes is measured with the letters of the page.
setPlatformAPI({ createCanvas: () => new OffscreenCanvas(1, 1) as unknown as HTMLCanvasElement });
const letters = new FontFace('Atkinson Hyperlegible Next Variable', `url(${fontFile})`, { weight: '200 800' });
(self as unknown as { fonts: FontFaceSet }).fonts.add(letters);
const loaded = letters.load().catch(() => undefined);

type Axis = { readonly axisLabel?: object };
/** Axes print a minus where a computer prints a hyphen. */
function withMinus(axes: unknown): unknown {
  const one = (axis: Axis): Axis => ({ ...axis, axisLabel: { formatter: minus, ...axis.axisLabel } });
  return Array.isArray(axes) ? axes.map((axis) => one(axis as Axis)) : axes && one(axes);
}

function svgOf({ option, width, height, grips }: ChartQuestion): string {
  const chart = init(null, undefined, { renderer: 'svg', ssr: true, width, height });
  const told = JSON.parse(option) as EChartsCoreOption;
  chart.setOption({ ...told, xAxis: withMinus(told['xAxis']), yAxis: withMinus(told['yAxis']) });
  const points = JSON.parse(grips) as Grip[];
  if (points.length > 0) {
    const elements = points.map((grip) => ({ ...gripLook, ...pixelOf(chart, grip) }));
    chart.setOption({ graphic: { elements } });
  }
  const svg = chart.renderToSVGString();
  chart.dispose();
  return svg;
}

onmessage = ({ data }: MessageEvent<ChartQuestion>) =>
  void loaded
    .then(() => svgOf(data))
    .catch(() => undefined)
    .then((svg) => postMessage({ id: data.id, svg } satisfies ChartAnswer));
