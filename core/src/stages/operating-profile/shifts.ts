import { HOUR, MINUTE } from '../../kernel/constants.ts';
import type { Value } from '../../kernel/value.ts';
import type { OptionContext } from '../stage.ts';
import { timeOfUse, holds, yearOf } from '../supply/time-of-use.ts';
import { clockedBands } from '../supply/tariff.ts';
import type { Report } from './findings.ts';

/** A shift of the year: its flow, how long it lasts, s, in all and in each month, and the mean price of its hours. */
export interface Shift {
  readonly at: number;
  readonly flow: Value;
  readonly seconds: number;
  readonly monthly: readonly number[];
  /** Per J; undefined where the tariff says nothing of the clock or misses some of its hours. */
  readonly price: number | undefined;
}

/** The shifts of a job laid over its year. Where two hold at once the first of them counts, and it is said. */
export function shiftsOf({ job, rows }: OptionContext, report: Report): Shift[] {
  const shifts = rows['profile.shifts'].flatMap(({ at, flow, ...times }) => {
    const typed = job.profile.shifts[at];
    return flow && typed ? [{ at, flow, clock: timeOfUse(typed, times) }] : [];
  });
  if (shifts.length === 0) return [];
  const bands = clockedBands({ job, rows });
  const sums = shifts.map(() => ({ seconds: 0, monthly: Array.from({ length: 12 }, () => 0), cost: 0, priced: 0 }));
  let twice = 0;
  for (const { month, kind, begins, seconds } of yearOf([...shifts, ...bands].map(({ clock }) => clock))) {
    const holding = sums.filter((_, at) => {
      const shift = shifts[at];
      return shift && holds(shift.clock, month, kind, begins);
    });
    const [first] = holding;
    if (!first) continue;
    if (holding.length > 1) twice += seconds;
    first.seconds += seconds;
    first.monthly[month] = (first.monthly[month] ?? 0) + seconds;
    const band = bands.find(({ clock }) => holds(clock, month, kind, begins));
    if (!band) continue;
    first.cost += band.price.value * seconds;
    first.priced += seconds;
  }
  if (twice > 0)
    report(
      'profile.shifts-overlap',
      `Two shifts hold at once for ${Math.round(twice / HOUR)} h a year; the first of them counts.`,
    );
  return shifts.map(({ at, flow }, index): Shift => {
    const { seconds = 0, monthly = [], cost = 0, priced = 0 } = sums[index] ?? {};
    return { at, flow, seconds, monthly, price: priced > seconds - MINUTE && priced > 0 ? cost / priced : undefined };
  });
}
