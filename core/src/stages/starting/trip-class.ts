import { tripClasses } from '../../kernel/tables/index.ts';
import type { Trace } from './recorder.ts';
import { tripUse } from './trip-curve.ts';

export type TripClass = '5' | '10A' | '10' | '20' | '30' | '40';

/** Shortest and longest trip time of a class at 7.2 times the setting, cold, s. */
export interface ClassTimes {
  readonly fastest: number;
  readonly slowest: number;
}

/** Trip times of a class (IEC 60947-4-1 Table 2). */
export function classTimes(name: TripClass): ClassTimes {
  const row = tripClasses.row(name);
  return { fastest: tripClasses.number(row, 't_from') ?? 2, slowest: tripClasses.number(row, 't_to') ?? 10 };
}

const rising: readonly TripClass[] = ['5', '10', '20', '30', '40'];

/** The fastest class that lets the start pass even where the relay is at its fast edge. */
export const leastClass = (trace: Trace, setting: number, warm: number): TripClass | undefined =>
  rising.find((name) => tripUse(trace, setting, classTimes(name).fastest, warm) < 1);
