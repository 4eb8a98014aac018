/** The parts of ECharts that are used, registered once. Imported lazily; never in the first load. */
import { BarChart, LineChart } from 'echarts/charts';
import { GraphicComponent, GridComponent, LegendComponent, TooltipComponent } from 'echarts/components';
import { init, use } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';

use([BarChart, LineChart, GraphicComponent, GridComponent, LegendComponent, TooltipComponent, SVGRenderer]);

export { init };

const waiting = new Map<object, () => void>();

/**
 * Draws a chart in a frame of its own: several charts that change with one keystroke never hold up the next one. A chart
 * that changes again before its turn is drawn once.
 */
export function drawSoon(chart: object, draw: () => void): void {
  const idle = waiting.size === 0;
  waiting.set(chart, draw);
  if (idle) requestAnimationFrame(drawNext);
}

function drawNext(): void {
  const [first] = waiting;
  if (!first) return;
  const [chart, draw] = first;
  waiting.delete(chart);
  draw();
  if (waiting.size > 0) requestAnimationFrame(drawNext);
}
