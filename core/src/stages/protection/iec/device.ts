import type { StarterPart } from '../../../catalogue/catalogue.ts';
import { aMGates, fuseRatings, gGGates } from '../../../kernel/tables/index.ts';
import { fixedTrip, type MotorBreaker } from '../../selection/motor-breaker.ts';
import type { StartCurrent } from '../../starting/inrush.ts';
import { interpolate } from '../../../kernel/numeric.ts';

export type Gate = readonly [current: number, time: number];

/** What clears a short circuit of a motor, with what it takes to do so. */
export interface Device {
  readonly kind: 'motor breaker' | 'gG' | 'aM';
  /** A; of a motor breaker the top of its dial. */
  readonly rating: number;
  readonly name: string;
  /** A that surely open it within a time, s. */
  readonly opensAt: (time: number) => number;
  /** A and s: what it surely carries, and what surely opens it, from the slow end to the fast. */
  readonly carries: readonly Gate[];
  readonly operatingCurrent: readonly Gate[];
  /** A²s that it lets through of a fault, A; undefined where only its maker says. */
  readonly letThrough: ((fault: number) => number) | undefined;
  /** As the catalogue has it. */
  readonly part?: StarterPart | undefined;
}

/** What the device must carry: A of the running motor, and its start. */
export interface Asked extends StartCurrent {
  readonly running: number;
}

/** A motor breaker as a device. */
export function breakerDevice({ from, to, part }: MotorBreaker): Device {
  return {
    kind: 'motor breaker',
    rating: to,
    name: part?.name ?? `motor breaker ${from}–${to} A`,
    opensAt: () => fixedTrip(to)[1],
    ...atOnce(fixedTrip(to)),
    letThrough: undefined,
    part,
  };
}

/** The magnetic trip of a breaker, from where it may open at once and from where it surely does. */
export const atOnce = ([may, surely]: readonly [may: number, surely: number]): Pick<
  Device,
  'carries' | 'operatingCurrent'
> => ({
  carries: [
    [may, SHOWN],
    [may, INSTANT],
  ],
  operatingCurrent: [
    [surely, SHOWN],
    [surely, INSTANT],
  ],
});
/** s between which a magnetic trip is drawn. */
const SHOWN = 0.2;
const INSTANT = 0.01;

/** Starts up to this are carried by Imin(10 s); a longer one wants the next size. Common practice, no published source. */
const LONG_START = 10;

/** Straight on logarithmic scales. */
const between = (times: readonly number[], currents: readonly number[], time: number): number =>
  Math.exp(interpolate(times.map(Math.log), currents.map(Math.log), Math.log(time)));

const gGRows = gGGates.rows.filter((row) => fuseRatings.row(Number(row['in']))?.['gg'] === true);
/** Ratings of which the gates are known, A. */
export const gGSizes = gGRows.map((row) => Number(row['in']));

/** The smallest gG fuse that carries motor and start, and is no smaller than wanted, A: IEC 60269-1 gates. */
export function gGFuse({ running, starting, time }: Asked, wanted = 0): Device | undefined {
  const rows = gGRows.filter((row) => Number(row['in']) >= wanted * 0.9999);
  const first = rows.findIndex(
    (row) => Number(row['in']) >= running * 0.9999 && (gGGates.number(row, 'imin_10s') ?? 0) >= starting,
  );
  const row = first < 0 ? undefined : rows[time > LONG_START ? first + 1 : first];
  if (!row) return undefined;
  const rating = Number(row['in']);
  const fast = gGGates.number(row, 'imax_0_1s') ?? 0;
  const slow = gGGates.number(row, 'imax_5s') ?? 0;
  return {
    kind: 'gG',
    rating,
    name: `fuses gG ${rating} A`,
    opensAt: (within) => between([0.1, 5], [fast, slow], within),
    carries: [
      [gGGates.number(row, 'imin_10s') ?? 0, 10],
      [gGGates.number(row, 'imin_0_1s') ?? 0, 0.1],
    ],
    operatingCurrent: [
      [slow, 5],
      [fast, 0.1],
    ],
    letThrough: (fault) =>
      fault >= fast ? (gGGates.number(row, 'i2t_max') ?? 0) : fault ** 2 * timeAt(fault, fast, slow),
  };
}

/** s in which a gG fuse surely opens at a current between its gates. */
const timeAt = (fault: number, fast: number, slow: number): number =>
  Math.exp(interpolate([Math.log(slow), Math.log(fast)], [Math.log(5), Math.log(0.1)], Math.log(fault)));

const holds = aMGates.rows.flatMap((row) => {
  const time = aMGates.number(row, 't_prearc_min');
  return time === undefined ? [] : [{ multiple: Number(row['multiple']), time }];
});
const operatingCurrent = aMGates.rows.flatMap((row) => {
  const time = aMGates.number(row, 't_operate_max');
  return time === undefined ? [] : [{ multiple: Number(row['multiple']), time }];
});

/** s that an aM fuse surely carries a multiple of its rating; it never opens below its first gate. */
function carriedFor(multiple: number): number {
  if (multiple < (holds[0]?.multiple ?? 0)) return Number.POSITIVE_INFINITY;
  return between(
    holds.map((each) => each.multiple),
    holds.map(({ time }) => time),
    multiple,
  );
}

/** Ratings of fuses aM, A. */
export const aMSizes = fuseRatings.rows.filter((row) => row['am'] === true).map((row) => Number(row['in']));

/** The smallest aM fuse that carries motor and start, and is no smaller than wanted, A; it opens on short circuits only. */
export function aMFuse({ running, starting, time }: Asked, wanted = 0): Device | undefined {
  const rating = aMSizes.find(
    (each) => each >= wanted * 0.9999 && each >= running * 0.9999 && carriedFor(starting / each) >= time,
  );
  if (rating === undefined) return undefined;
  return {
    kind: 'aM',
    rating,
    name: `fuses aM ${rating} A`,
    carries: holds.map(({ multiple, time: each }) => [rating * multiple, each]),
    operatingCurrent: operatingCurrent.map(({ multiple, time: each }) => [rating * multiple, each]),
    opensAt: (within) => {
      const rising = operatingCurrent.toSorted((a, b) => a.time - b.time);
      return (
        rating *
        between(
          rising.map((each) => each.time),
          rising.map(({ multiple }) => multiple),
          within,
        )
      );
    },
    letThrough: undefined,
  };
}
