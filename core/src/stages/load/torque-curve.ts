import type { RowOf } from '../../job/inputs.ts';
import type { Job } from '../../job/job.ts';
import type { Value } from '../../kernel/value.ts';

/** Torque against speed, seen from the motor shaft, rising in speed; SI. */
export interface TorqueCurve {
  readonly speeds: readonly number[];
  readonly torques: readonly number[];
  /** How the shape came about, in words. */
  readonly shape: string;
}

export interface CurveSetting {
  readonly load: Job['load'];
  /** Running torque and speed at the motor shaft. */
  readonly torque: number;
  readonly speed: number;
  /** Share of running torque at standstill. */
  readonly breakaway: number;
  /** Static share of the pump’s head, if it has any. */
  readonly staticShare: number;
  /** Points of a table already carried to the motor shaft. */
  readonly table: readonly { readonly speed: number; readonly torque: number }[];
}

type Row = RowOf<'load.curve'>;
/** A row of the table with both its figures. */
export type TypedPoint = Row & { readonly speed: Value; readonly torque: Value };

export const wholePoints = (rows: readonly Row[]): readonly TypedPoint[] =>
  rows.filter((row): row is TypedPoint => row.speed !== undefined && row.torque !== undefined);

const STEPS = 60;
const REACH = 1.2;
/** Speed share by which breakaway has gone over into running friction. Common practice, no published source. */
const BREAKAWAY_GONE = 0.08;
/** Torque of a centrifugal machine just after it broke away. Common practice, no published source. */
const QUADRATIC_FLOOR = 0.1;
/** Power of a centrifugal pump against a closed valve, of its power at duty. Common practice, no published source. */
const SHUT_OFF_TORQUE = 0.5;
/** Head of a pump at no flow over its duty head. Common practice, no published source. */
const SHUT_OFF_HEAD = 1.25;

/** Share of running torque at a share of running speed, breakaway left out. */
function shareAt(x: number, { load, staticShare }: CurveSetting): number {
  if (load.torqueKind === 'constant') return 1;
  if (staticShare <= 0) return x ** 2;
  // Until the pump can lift the static head its valve stays shut and it takes shut-off torque; then flow sets in.
  const opens = Math.sqrt(staticShare / SHUT_OFF_HEAD);
  if (x <= opens) return SHUT_OFF_TORQUE * x ** 2;
  const shut = SHUT_OFF_TORQUE * opens ** 2;
  return shut + (1 - shut) * ((x ** 2 - opens ** 2) / (1 - opens ** 2));
}

/** Torque against speed from standstill to a fifth above running speed, with breakaway. */
export function torqueCurve(setting: CurveSetting): TorqueCurve {
  const { load, torque, speed, breakaway, table, staticShare } = setting;
  if (load.way === 'curve' && table.length > 1) {
    const sorted = table.toSorted((a, b) => a.speed - b.speed);
    return {
      speeds: sorted.map((each) => each.speed),
      torques: sorted.map((each) => each.torque),
      shape: 'the table typed',
    };
  }
  const speeds = Array.from({ length: STEPS + 1 }, (_, at) => (at / STEPS) * REACH * speed);
  const floor = load.torqueKind === 'variable' ? QUADRATIC_FLOOR : 0;
  const torques = speeds.map((each) => {
    const x = each / speed;
    const running = Math.max(shareAt(x, setting), x < 0.4 ? floor * (1 - x / 0.4) : 0);
    if (x >= BREAKAWAY_GONE) return torque * running;
    return torque * (breakaway + (running - breakaway) * (x / BREAKAWAY_GONE));
  });
  const shape =
    load.torqueKind === 'constant'
      ? 'constant torque after breakaway'
      : staticShare > 0
        ? 'pump against a check valve and static head'
        : 'torque with the square of speed';
  return { speeds, torques, shape };
}
