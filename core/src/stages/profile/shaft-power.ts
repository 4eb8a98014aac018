import type { JobView } from '../../job/job.ts';
import { flowControlFan, flowControlPump } from '../../ground/tables/index.ts';
import type { Table } from '../../ground/tables/table.ts';

export interface ShaftShare {
  /** Shaft power as a share of that at full flow, as controlled today; undefined where that is not known. */
  readonly throttled: number | undefined;
  readonly speedControlled: number;
  /** Speed as a share of full speed when the speed is controlled. */
  readonly speed: number;
  /** Share of the time in which today’s machine runs; below 1 only where it is switched on and off. */
  readonly running: number;
}

type Control = JobView['profile']['control'];

/** Head of a pump at no flow over head at its duty point. Common practice, no published source. */
const SHUTOFF_HEAD = 1.25;
/** Least power of a pump or fan at full speed against a closed valve, of that at full flow. Common practice, no published source. */
const SHUT_OFF_POWER = 0.35;

/** Cubic in the flow share, scaled so that full flow is exactly 1; DOE-2 lineage curves, recalled from memory. */
function curve(table: Table, control: string, flow: number): number {
  const row = table.row(control);
  const at = (x: number) =>
    ['a', 'b', 'c', 'd'].reduce((sum, column, power) => sum + (table.number(row, column) ?? 0) * x ** power, 0);
  return flow <= 0 ? 0 : Math.max(SHUT_OFF_POWER, at(flow) / at(1));
}

/**
 * Shaft power with today’s flow control, of that at full flow, while it runs. Undefined where the control is not known and
 * flow is less than full: then no power may be assumed.
 */
export function throttledShare(control: Control, flow: number): number | undefined {
  if (flow <= 0) return 0;
  // Beyond its full flow a machine asks for the cube, whatever the control.
  if (flow > 1) return flow ** 3;
  switch (control) {
    case 'damper':
      return curve(flowControlFan, 'outlet_damper', flow);
    case 'inlet vane':
      return curve(flowControlFan, 'inlet_guide_vane', flow);
    case 'throttle':
      return curve(flowControlPump, 'throttle_valve', flow);
    case 'bypass':
    case 'on/off':
      return 1;
    case 'none':
    case 'unknown':
      return flow >= FULL ? Math.max(1, flow ** 3) : undefined;
  }
}

/** Flow from which a machine counts as running full. */
export const FULL = 0.98;

/**
 * Shaft power by the affinity laws. Friction only: q³. With a share h of static head in the head at full flow the
 * hydraulic power is q·(h + (1−h)·q²) and the pump, whose curve falls from 1.25 times its duty head, must turn at
 * s = √((h + (1−h)q² + 0.25 q²)/1.25). Against its static head it takes no less than at a closed valve at that speed.
 */
export function affinity(flow: number, staticShare: number): { power: number; speed: number } {
  const q = Math.max(0, flow);
  const head = staticShare + (1 - staticShare) * q ** 2;
  const speed = Math.sqrt((head + (SHUTOFF_HEAD - 1) * q ** 2) / SHUTOFF_HEAD);
  return { power: Math.max(q * head, SHUT_OFF_POWER * speed ** 3), speed };
}

export function shaftPowerShare(
  load: JobView['load'],
  control: Control,
  flow: number,
  staticShare: number,
): ShaftShare {
  if (flow <= 0) return { throttled: 0, speedControlled: 0, speed: 0, running: 1 };
  if (load.torqueKind === 'constant') {
    // Without speed control the same work is done by running for a share of the time, or by letting the rest go round.
    const running = control === 'bypass' ? 1 : Math.min(1, flow);
    return { throttled: Math.max(1, flow), speedControlled: flow, speed: flow, running };
  }
  const { power, speed } = affinity(flow, staticShare);
  const running = control === 'on/off' ? Math.min(1, flow) : 1;
  return { throttled: throttledShare(control, flow), speedControlled: power, speed, running };
}
