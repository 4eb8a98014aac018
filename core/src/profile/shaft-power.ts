import type { Job } from '../job.ts';
import { flowControlFan, flowControlPump } from '../tables/index.ts';
import type { Table } from '../tables/table.ts';

export interface ShaftShare {
  /** Shaft power as a share of that at full flow. */
  readonly throttled: number;
  readonly speedControlled: number;
  /** Speed as a share of full speed when the speed is controlled. */
  readonly speed: number;
}

/** Head of a pump at no flow over head at its duty point. Common practice, no published source. */
const SHUTOFF_HEAD = 1.25;

/** Cubic in the flow share, scaled so that full flow is exactly 1; DOE-2 lineage curves, recalled from memory. */
function curve(table: Table, control: string, flow: number): number {
  const row = table.row(control);
  const at = (x: number) =>
    ['a', 'b', 'c', 'd'].reduce((sum, column, power) => sum + (table.number(row, column) ?? 0) * x ** power, 0);
  return flow <= 0 ? 0 : Math.max(0, at(flow) / at(1));
}

/** Shaft power with today’s flow control. Without any, or with a bypass, the machine takes full power at every flow. */
export function throttledShare(control: Job['profile']['control'], flow: number): number {
  if (flow <= 0) return 0;
  switch (control) {
    case 'damper':
      return curve(flowControlFan, 'outlet_damper', flow);
    case 'inlet vane':
      return curve(flowControlFan, 'inlet_guide_vane', flow);
    case 'throttle':
      return curve(flowControlPump, 'throttle_valve', flow);
    case 'bypass':
    case 'none':
      return 1;
  }
}

/**
 * Shaft power by the affinity laws. Friction only: q³. With a share h of static head in the head at full flow the
 * hydraulic power is q·(h + (1−h)·q²) and the pump, whose curve falls from 1.25 times its duty head, must turn at
 * s = √((h + (1−h)q² + 0.25 q²)/1.25). Constant-torque machines take power in proportion to speed.
 */
export function affinity(flow: number, staticShare: number): { power: number; speed: number } {
  const q = Math.max(0, flow);
  const head = staticShare + (1 - staticShare) * q ** 2;
  return { power: q * head, speed: Math.sqrt((head + (SHUTOFF_HEAD - 1) * q ** 2) / SHUTOFF_HEAD) };
}

export function shaftPowerShare(
  load: Job['load'],
  control: Job['profile']['control'],
  flow: number,
  staticShare: number,
): ShaftShare {
  const throttled = throttledShare(control, flow);
  if (flow <= 0) return { throttled: 0, speedControlled: 0, speed: 0 };
  if (load.torqueKind === 'constant') return { throttled, speedControlled: flow, speed: flow };
  const { power, speed } = affinity(flow, staticShare);
  return { throttled, speedControlled: power, speed };
}
