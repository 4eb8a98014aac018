import { MINUTE } from '../../ground/constants.ts';
import { choice, line } from '../../ground/field.ts';

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
  from: line(5, { label: 'From', usual: '', hint: '06:00' }),
  to: line(5, { label: 'To', usual: '', hint: '22:00' }),
  firstMonth: choice(months, { label: 'First month', usual: 'January' }),
  lastMonth: choice(months, { label: 'Last month', usual: 'December' }),
};

/** A row’s cells as they were typed. */
export interface ClockTyped {
  readonly days: 'every' | 'weekdays' | 'weekends' | 'saturdays' | 'sundays';
  readonly from: string;
  readonly to: string;
  readonly firstMonth: Month;
  readonly lastMonth: Month;
}

/** When something holds; minutes of the day, months from 0, all of them where both are equal or wrap. */
export interface Clock {
  readonly days: readonly DayKind[];
  readonly from: number;
  readonly to: number;
  readonly firstMonth: number;
  readonly lastMonth: number;
}

const DAY_KINDS = ['weekday', 'saturday', 'sunday'] as const;
export type DayKind = (typeof DAY_KINDS)[number];
const DAYS: Readonly<Record<ClockTyped['days'], readonly DayKind[]>> = {
  every: DAY_KINDS,
  weekdays: ['weekday'],
  weekends: ['saturday', 'sunday'],
  saturdays: ['saturday'],
  sundays: ['sunday'],
};
const OF_WEEK: Readonly<Record<DayKind, number>> = { weekday: 5 / 7, saturday: 1 / 7, sunday: 1 / 7 };
const DAY_MINUTES = 24 * 60;

/** Minutes after midnight of `06:00`, `6` or `24:00`; undefined where it is no time of day. */
export function timeOfDay(typed: string): number | undefined {
  const [, hours, minutes = '0'] = /^(\d{1,2})(?::(\d{2}))?$/.exec(typed.trim()) ?? [];
  if (hours === undefined) return undefined;
  const at = Number(hours) * 60 + Number(minutes);
  return Number(minutes) < 60 && at <= DAY_MINUTES ? at : undefined;
}

/** A row as a clock; `unreadable` is told the cells that are no time of day. Without times it holds all day. */
export function clockOf(typed: ClockTyped, unreadable: (cell: 'from' | 'to', says: string) => void): Clock | undefined {
  const from = typed.from.trim() === '' ? 0 : timeOfDay(typed.from);
  const to = typed.to.trim() === '' ? DAY_MINUTES : timeOfDay(typed.to);
  const says = (text: string): string => `“${text}” is no time of day.`;
  if (from === undefined) unreadable('from', says(typed.from));
  if (to === undefined) unreadable('to', says(typed.to));
  if (from === undefined || to === undefined) return undefined;
  return {
    days: DAYS[typed.days],
    from,
    to,
    firstMonth: MONTHS.indexOf(typed.firstMonth),
    lastMonth: MONTHS.indexOf(typed.lastMonth),
  };
}

/** Between two ends that may lie either side of the turn of the day or year. */
const between = (at: number, from: number, to: number): boolean =>
  from < to ? at >= from && at < to : at >= from || at < to;

/** Whether it holds then; a night shift counts to the day on which each of its hours lies. */
export const holds = (
  { days, from, to, firstMonth, lastMonth }: Clock,
  month: number,
  kind: DayKind,
  minute: number,
): boolean => days.includes(kind) && between(minute, from, to) && between(month, firstMonth, (lastMonth + 1) % 12);

/** A stretch of the day in a month’s days of one kind, and how long it lasts in a year, s. */
export interface Stretch {
  readonly month: number;
  readonly kind: DayKind;
  readonly minute: number;
  readonly seconds: number;
}

/** The year cut wherever one of the clocks changes. */
export function yearOf(clocks: readonly Clock[]): Stretch[] {
  const cuts = [...new Set([0, DAY_MINUTES, ...clocks.flatMap(({ from, to }) => [from, to])])].toSorted(
    (a, b) => a - b,
  );
  return MONTH_DAYS.flatMap((days, month) =>
    DAY_KINDS.flatMap((kind) =>
      cuts.slice(0, -1).map((minute, at) => ({
        month,
        kind,
        minute,
        seconds: days * OF_WEEK[kind] * ((cuts[at + 1] ?? DAY_MINUTES) - minute) * MINUTE,
      })),
    ),
  );
}
