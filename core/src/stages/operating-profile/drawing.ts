import { bisect } from '../../kernel/numeric.ts';
import type { Value } from '../../kernel/value.ts';
import { NOTHING, type Control } from './flow-control.ts';
import { systemHead, type FlowMachine } from './flow-machine.ts';
import { runBy, type FlowModel } from './flow-model.ts';
import { inputOf, type Fed } from './input-power.ts';
import type { Drawing, FlowCurve, FlowPicture } from './profile-result.ts';

/** What a screen draws of a profile: input over flow for every control, heads of machine and system where there are such. */
export const drawingOf = (motor: Fed, full: number, model: FlowModel, points: readonly Drawn[]): Drawing => ({
  curves: curvesOf(motor, full, model),
  picture: model.kind === 'variable' ? pictureOf(model, points) : undefined,
});

const SPEEDS = [1, 0.85, 0.7, 0.55] as const;
const HEADS = Array.from({ length: 25 }, (_, at) => at / 20);

/** A row that stands in the picture. */
interface Drawn {
  readonly path: string;
  readonly flow: Value;
  readonly hours: Value;
}

/** Heads over flow at several speeds, the system’s, and where the rows stand on it. */
function pictureOf({ setting: { machine }, typed }: FlowModel, points: readonly Drawn[]): FlowPicture {
  return {
    machine: SPEEDS.map((speed) => ({
      speed,
      heads: HEADS.map((flow) => speed * speed * machine.head(flow / speed)),
    })),
    flows: HEADS,
    system: HEADS.map((flow) => systemHead(machine, flow)),
    typed,
    contours: contoursOf(machine),
    duty: points.map(({ path, flow, hours }) => ({
      path,
      flow: flow.value,
      head: systemHead(machine, flow.value),
      hours: hours.value,
    })),
  };
}

/** Shares of the best efficiency that are drawn. */
const CONTOURS = [0.95, 0.85, 0.7] as const;
const MOST_FLOW = 2;

/** By the affinity laws the same efficiency lies on a parabola through no flow; one either side of the best point. */
function contoursOf(machine: FlowMachine): FlowPicture['contours'] {
  const flows = Array.from({ length: 190 }, (_, at) => 0.05 + 0.01 * at);
  const best = flows.reduce((most, flow) => (machine.efficiency(flow) > machine.efficiency(most) ? flow : most), 1);
  return CONTOURS.flatMap((share) => {
    const less = (flow: number): boolean => machine.efficiency(flow) < share * machine.efficiency(best);
    const ends = [
      ...(less(0.01) ? [bisect(less, { low: 0.01, high: best }, { rounds: 40 }).low] : []),
      ...(less(MOST_FLOW) ? [bisect((flow) => !less(flow), { low: best, high: MOST_FLOW }, { rounds: 40 }).low] : []),
    ];
    return ends.map((end) => ({
      share,
      heads: HEADS.map((flow) => (flow <= end ? machine.head(end) * (flow / end) ** 2 : 0)),
    }));
  });
}

const DRAWN = [0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1] as const;
const fanControls: readonly Control[] = [
  'speed',
  'inlet vane',
  'damper',
  'two speeds',
  'slip coupling',
  'on/off',
  'bypass',
];
const pumpControls: readonly Control[] = [
  'speed',
  'throttle',
  'trim',
  'two speeds',
  'slip coupling',
  'on/off',
  'bypass',
];
const workControls: readonly Control[] = ['speed', 'on/off', 'slip coupling', 'bypass'];

/** Mean input, W, over the flow for every way there is to control such a machine. */
function curvesOf(motor: Fed, full: number, model: FlowModel): FlowCurve[] {
  const controls = model.kind === 'constant' ? workControls : model.fan ? fanControls : pumpControls;
  return controls.map((control) => ({
    control,
    flows: DRAWN,
    inputs: DRAWN.map((flow) => {
      const point = runBy(model, control, flow) ?? NOTHING;
      return inputOf(point, motor, full).input * point.share;
    }),
  }));
}
