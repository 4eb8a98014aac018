import type { EChartsCoreOption, EChartsType } from 'echarts/core';
import { chartColours } from './colours';

/** Where a handle stands. */
export interface Grip {
  readonly at: readonly [x: number, y: number];
  /** Which of the chart’s value axes `at` is read against. */
  readonly yAxis?: number;
}

/** A point of a chart that can be dragged. */
export interface Handle extends Grip {
  /** Up and down only, to the sides only, or both. */
  readonly ways: 'vertical' | 'horizontal' | 'both';
  readonly moved: (x: number, y: number) => void;
}

const RADIUS = 7;

export const gripLook = {
  type: 'circle',
  shape: { r: RADIUS },
  z: 100,
  style: { fill: chartColours.card, stroke: chartColours.sea, lineWidth: 2.5 },
} as const;

const finder = ({ yAxis = 0 }: Grip): { xAxisIndex: number; yAxisIndex: number } => ({
  xAxisIndex: 0,
  yAxisIndex: yAxis,
});

export function pixelOf(chart: EChartsType, grip: Grip): { x: number; y: number } {
  const [x = 0, y = 0] = chart.convertToPixel(finder(grip), [...grip.at]);
  return { x, y };
}

export interface Grips {
  /** Draws the chart anew; what is being dragged stays under the pointer. */
  readonly draw: (option: EChartsCoreOption) => void;
  /** Puts the handles where their points are now. */
  readonly place: () => void;
}

/** Lets the points of a chart be dragged, one write for each frame. */
export function grips(chart: EChartsType, handles: () => readonly Handle[]): Grips {
  let dragging = false;
  /** Nothing has a place before the first picture. */
  let pictured = false;
  let frame = 0;

  const graphic = (): unknown[] => {
    return handles().map((handle, index) => {
      return {
        ...gripLook,
        ...pixelOf(chart, handle),
        id: `handle-${index}`,
        cursor: handle.ways === 'vertical' ? 'ns-resize' : handle.ways === 'horizontal' ? 'ew-resize' : 'move',
        draggable: handle.ways === 'both' ? true : handle.ways,
        ondragstart: () => void (dragging = true),
        ondragend: () => {
          dragging = false;
          place();
        },
        ondrag(this: { x: number; y: number }) {
          const at = [this.x, this.y];
          cancelAnimationFrame(frame);
          frame = requestAnimationFrame(() => {
            const newest = handles()[index];
            if (!newest) return;
            const [to = 0, up = 0] = chart.convertFromPixel(finder(newest), at);
            newest.moved(to, up);
          });
        },
      };
    });
  };
  function place(): void {
    if (!pictured || dragging || handles().length === 0) return;
    chart.setOption({ graphic: { elements: graphic() } }, { replaceMerge: ['graphic'] });
  }
  return {
    draw(option) {
      // A handle that is made anew while it is held would be dropped.
      if (dragging) chart.setOption(option, { replaceMerge: ['series'] });
      else chart.setOption(option, { notMerge: true });
      pictured = true;
      place();
    },
    place,
  };
}
