/** The parts of ECharts that are used, registered once. Imported lazily; never in the first load. */
import { BarChart, LineChart } from 'echarts/charts';
import { GridComponent, LegendComponent, TooltipComponent } from 'echarts/components';
import { init, use } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';

use([BarChart, LineChart, GridComponent, LegendComponent, TooltipComponent, SVGRenderer]);

export { init };
