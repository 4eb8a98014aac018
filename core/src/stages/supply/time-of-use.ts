import { HOUR } from '../../kernel/constants.ts';
import { choice, quantity } from '../../kernel/field.ts';
import type { Value } from '../../kernel/value.ts';

const MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
] as const;
export type Month = (typeof MONTHS)[number];
/** Of a year that is no leap year. */
const MONTH_DAYS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31] as const;

const months = MONTHS.map((name) => [name, name.slice(0, 3)] as const);

const DAY = 24 * HOUR;

/** When in the year something holds: the cells of a row. */
export const clockCells = {
  days: choice(
    [
      ['every', 'Every day'],
      ['weekdays', 'Weekdays'],
      ['weekends', 'Weekends'],
      ['saturdays', 'Saturdays'],
      ['sundays', 'Sundays'],
    ],
    { label: 'Days', usual: 'every' },
  ),
  from: quantity('timeOfDay', { label: 'From', min: 0, max: DAY, example: '06:00' }),
  to: quantity('timeOfDay', { label: 'To', min: 0, max: DAY, example: '22:00' }),
  firstMonth: choice(months, { label: 'First month', usual: 'January' }),
  lastMonth: choice(months, { label: 'Last month', usual: 'December' }),
};

/** A row’s choices as they stand in the document. */
export interface ClockChoices {
  readonly days: 'every' | 'weekdays' | 'weekends' | 'saturdays' | 'sundays';
  readonly firstMonth: Month;
  readonly lastMonth: Month;
}
/** Its times, where they were typed and read. */
interface ClockTimes {
  readonly from?: Value;
  readonly to?: Value;
}

/** When something holds; s of the day, months from 0, all of them where both are equal or wrap. */
export interface Clock {
  readonly days: readonly DayKind[];
  readonly from: number;
  readonly to: number;
  readonly firstMonth: number;
  readonly lastMonth: number;
}

const DAY_KINDS = ['weekday', 'saturday', 'sunday'] as const;
export type DayKind = (typeof DAY_KINDS)[number];
const DAYS: Readonly<Record<ClockChoices['days'], readonly DayKind[]>> = {
  every: DAY_KINDS,
  weekdays: ['weekday'],
  weekends: ['saturday', 'sunday'],
  saturdays: ['saturday'],
  sundays: ['sunday'],
};
const OF_WEEK: Readonly<Record<DayKind, number>> = { weekday: 5 / 7, saturday: 1 / 7, sunday: 1 / 7 };
/** A row as a clock. Without times it holds all day. */
export const timeOfUse = ({ days, firstMonth, lastMonth }: ClockChoices, { from, to }: ClockTimes): Clock => ({
  days: DAYS[days],
  from: from?.value ?? 0,
  to: to?.value ?? DAY,
  firstMonth: MONTHS.indexOf(firstMonth),
  lastMonth: MONTHS.indexOf(lastMonth),
});

/** Between two ends that may lie either side of the turn of the day or year. */
const between = (at: number, from: number, to: number): boolean =>
  from < to ? at >= from && at < to : at >= from || at < to;

/** Whether it holds then; a night shift counts to the day on which each of its hours lies. */
export const holds = (
  { days, from, to, firstMonth, lastMonth }: Clock,
  month: number,
  kind: DayKind,
  second: number,
): boolean => days.includes(kind) && between(second, from, to) && between(month, firstMonth, (lastMonth + 1) % 12);

/** A stretch of the day in a month’s days of one kind, and how long it lasts in a year, s. */
export interface Stretch {
  readonly month: number;
  readonly kind: DayKind;
  /** When it begins, s of the day. */
  readonly begins: number;
  readonly seconds: number;
}

/** The year cut wherever one of the clocks changes. */
export function yearOf(clocks: readonly Clock[]): Stretch[] {
  const cuts = [...new Set([0, DAY, ...clocks.flatMap(({ from, to }) => [from, to])])].toSorted((a, b) => a - b);
  return MONTH_DAYS.flatMap((days, month) =>
    DAY_KINDS.flatMap((kind) =>
      cuts.slice(0, -1).map((begins, at) => ({
        month,
        kind,
        begins,
        seconds: days * OF_WEEK[kind] * ((cuts[at + 1] ?? DAY) - begins),
      })),
    ),
  );
}
