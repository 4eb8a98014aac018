import { unbalanceDerate } from '../kernel/tables/index.ts';
import { quantity, type Value } from '../kernel/value.ts';

export interface Unbalance {
  readonly unbalance: Value;
  /** Share of rated power that is left. Undefined above 5 %, where no motor may run. */
  readonly derate?: Value;
}

/**
 * Voltage unbalance of three line voltages, the largest deviation from their mean over the mean (MG 1 14.36), and the
 * share of rated power it leaves, read between the points of Figure 14-1. Undefined unless there are three readings.
 */
export function unbalanceOf(readings: readonly Value[]): Unbalance | undefined {
  if (readings.length !== 3) return undefined;
  const mean = readings.reduce((sum, each) => sum + each.value, 0) / 3;
  const worst = Math.max(...readings.map((each) => Math.abs(each.value - mean)));
  const unbalance = quantity(worst / mean, 'fraction', {
    formula: 'u = \\dfrac{\\max |V_i - \\bar V|}{\\bar V}',
    from: { V_1: readings[0], V_2: readings[1], V_3: readings[2] },
    source: 'MG 1 14.36 (recalled from memory)',
  });
  const left = factorAt(unbalance.value * 100);
  return left === undefined
    ? { unbalance }
    : {
        unbalance,
        derate: quantity(left, 'fraction', {
          origin: 'recalled',
          formula: 'k = k(u)',
          from: { u: unbalance },
          source: unbalanceDerate.source,
          note: 'Read between the points of a curve.',
        }),
      };
}

/** The most at which a motor may run, the end of the curve of MG 1 14.36. */
export const UNBALANCE_MOST = Math.max(...unbalanceDerate.rows.map((row) => Number(row['unbalance']))) / 100;

function factorAt(percent: number): number | undefined {
  const points = unbalanceDerate.rows.map((row) => [Number(row['unbalance']), Number(row['factor'])] as const);
  const after = points.findIndex(([at]) => at >= percent - 1e-9);
  const [x1, y1] = points[after] ?? [];
  if (x1 === undefined || y1 === undefined) return undefined;
  const [x0, y0] = points[after - 1] ?? [x1, y1];
  return x1 === x0 ? y1 : y0 + ((percent - x0) / (x1 - x0)) * (y1 - y0);
}
