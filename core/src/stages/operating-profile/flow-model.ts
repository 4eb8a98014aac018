import { interpolate, mostOf } from '../../kernel/numeric.ts';
import type { Value } from '../../kernel/value.ts';
import type { OptionContext } from '../stage.ts';
import { controlled, FULL, type Control, type ControlSetting, type FlowPoint } from './flow-control.ts';
import { efficiencyAbout, twoTermMachine, type FlowMachine } from './flow-machine.ts';

/** The machine of a job as its profile runs it. */
export interface FlowModel {
  readonly kind: 'constant' | 'variable';
  readonly fan: boolean;
  readonly setting: ControlSetting;
  /** Flow at which the load was measured, of full flow. */
  readonly measured: number;
  /** What the curve rests on. */
  readonly known: 'curve' | 'shut-off head' | 'duty alone';
  /** Points were typed that make no curve. */
  readonly unused: boolean;
  /** The points that make it, where they do. */
  readonly typed: readonly CurvePoint[];
}

/** A typed point of the curve as shares of full flow and its head, with where it stands and what one share counts, SI. */
export interface CurvePoint {
  readonly path: string;
  readonly by: 'head' | 'pressure';
  readonly flow: number;
  readonly head: number;
  readonly ofFlow: number;
  readonly ofHead: number;
  readonly efficiency: number | undefined;
}

/** Head of a radial pump at no flow over that at duty. Common practice, no published source. */
const PUMP_SHUT_OFF = 1.25;
/** Pressure of a fan with backward-curved blades at no flow over that at duty. Common practice, no published source. */
const FAN_SHUT_OFF = 1.3;
/** Of the head at full flow: a curve that gives less there is another machine’s. */
const LEAST_HEAD = 0.3;
/** Six poles beside four. */
const LOWER_SPEED = 2 / 3;

/** What has a damper or vanes is a fan, whatever else is said of it. */
const isFan = ({ job: { load, profile } }: OptionContext): boolean =>
  load.way === 'fan' || load.machine === 'fan' || profile.control === 'damper' || profile.control === 'inlet vane';

/** The machine as typed: its curve, or head at no flow, or what is usual of its kind. */
export function flowModelOf(
  brief: OptionContext,
  staticShare: number,
  points: readonly { readonly flow: Value; readonly hours: Value }[],
): FlowModel {
  const { job, given, rows } = brief;
  const typed = given.profile;
  const best = typed.bestFlow?.value ?? 1;
  const tabled = tabledMachine(brief, best, staticShare);
  const shutOff = typed.shutOffHead?.value ?? (isFan(brief) ? FAN_SHUT_OFF : PUMP_SHUT_OFF);
  const used = points.flatMap(({ flow, hours }) => (hours.value > 0 ? [flow.value] : []));
  return {
    kind: job.load.torqueKind,
    fan: isFan(brief),
    setting: {
      machine: tabled?.machine ?? twoTermMachine(shutOff, best, staticShare),
      machines: Math.max(1, Math.round(typed.machines?.value ?? 1)),
      inSeries: job.profile.inSeries === true,
      oneOnSpeed: job.profile.oneOnSpeed === true,
      lowerSpeed: typed.lowerSpeed?.value ?? LOWER_SPEED,
      leastSpeed: typed.leastSpeed?.value ?? 0,
      largest: used.length > 0 ? Math.min(1, mostOf(used)) : 1,
    },
    measured: typed.measuredFlow?.value ?? 1,
    unused: !tabled && rows['profile.curve'].length > 0,
    typed: tabled?.points ?? [],
    known: tabled ? 'curve' : typed.shutOffHead ? 'shut-off head' : 'duty alone',
  };
}

/** A machine of which points were typed; undefined until two of them and full flow with its head are there. */
function tabledMachine(
  { given, rows }: OptionContext,
  best: number,
  staticShare: number,
): { readonly machine: FlowMachine; readonly points: readonly CurvePoint[] } | undefined {
  const { fullFlow = given.load.flow, fullHead, fullPressure } = given.profile;
  const head = fullHead ?? (fullPressure ? undefined : given.load.head);
  const pressure = fullPressure ?? (fullHead ? undefined : given.load.pressure);
  if (!fullFlow) return undefined;
  const points = rows['profile.curve']
    .flatMap((row): CurvePoint[] => {
      const [by, own, full] = row.head
        ? (['head', row.head, head] as const)
        : (['pressure', row.pressure, pressure] as const);
      if (!row.flow || !own || !full) return [];
      return [
        {
          path: `profile.curve.${row.at}`,
          by,
          flow: row.flow.value / fullFlow.value,
          head: own.value / full.value,
          ofFlow: fullFlow.value,
          ofHead: full.value,
          efficiency: row.efficiency?.value,
        },
      ];
    })
    .toSorted((a, b) => a.flow - b.flow);
  const apart = points.filter(({ flow }, at) => at === 0 || flow > (points[at - 1]?.flow ?? 0) * 1.0001 + 1e-9);
  if (apart.length < 2) return undefined;
  const ofFlow = along(apart.map(({ flow, head: own }) => [flow, own]));
  if (ofFlow(1) < LEAST_HEAD) return undefined;
  const measured = apart.flatMap(({ flow, efficiency }) =>
    efficiency === undefined || flow === 0 ? [] : [{ flow, efficiency }],
  );
  const machine: FlowMachine = {
    head: ofFlow,
    // Below the first point the efficiency falls with the flow to nothing.
    efficiency:
      measured.length < 2
        ? efficiencyAbout(best)
        : (flow) =>
            interpolate(
              [0, ...measured.map((each) => each.flow)],
              [0, ...measured.map((each) => each.efficiency)],
              flow,
            ),
    staticShare,
  };
  return { machine, points: apart };
}

/** Straight from point to point; before the first and beyond the last as between the nearest two, never below nothing. */
function along(points: readonly (readonly [number, number])[]): (x: number) => number {
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  const outside = (from: number, to: number, x: number): number => {
    const [x0 = 0, x1 = 1, y0 = 0, y1 = 0] = [xs[from], xs[to], ys[from], ys[to]];
    return x1 === x0 ? y0 : Math.max(0, y0 + ((x - x0) / (x1 - x0)) * (y1 - y0));
  };
  const last = xs.length - 1;
  return (x) => {
    if (x < (xs[0] ?? 0)) return outside(0, 1, x);
    return x > (xs[last] ?? 0) ? outside(last, last - 1, x) : interpolate(xs, ys, x);
  };
}

/** How a control brings a flow; undefined where the control is not known and flow is less than full. */
export function runBy({ kind, setting }: FlowModel, control: Control | 'unknown', flow: number): FlowPoint | undefined {
  const known = control === 'unknown' ? 'none' : control;
  if (kind === 'variable' || flow <= 0) return controlled(known, flow, setting);
  // The same torque at every speed: the same work by speed, in less time, or past the machine.
  const count = setting.machines;
  if (known === 'speed') {
    const speed = Math.max(setting.leastSpeed, flow);
    return { machines: [{ count, power: speed, speed, onDrive: true }], share: 1 };
  }
  const work = [{ count, power: Math.max(1, flow), speed: 1, onDrive: false }];
  return { machines: work, share: known === 'slip coupling' || known === 'bypass' ? 1 : Math.min(1, flow) };
}

/** Power at full flow over the power measured, with today’s control; 1 where that is not known. */
export function fullOverMeasured(model: FlowModel, control: Control | 'unknown'): number {
  const { measured } = model;
  if (measured >= FULL && measured <= 1) return 1;
  const [running] = runBy(model, control, measured)?.machines ?? [];
  return running && running.power > 0 ? 1 / running.power : 1;
}
