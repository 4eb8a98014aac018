import { MINUTE } from '../../kernel/constants.ts';
import { interpolate, mostOf } from '../../kernel/numeric.ts';
import { quantity, type Value } from '../../kernel/value.ts';
import type { OptionRow, ProfilePoint } from '../operating-profile/profile-result.ts';
import type { OptionContext } from '../stage.ts';

const MONTHS = 12;

/** A row of hours with what it takes then, W and VA. */
interface Demanding extends Pick<ProfilePoint, 'hours' | 'monthly'>, Pick<OptionRow, 'peak' | 'apparent'> {}

/**
 * Highest demand of each month. A shift counts in its months; a row of hours in every month of which it can fill the interval
 * of the meter, and in as many as it can where it is rarer.
 */
export function monthlyDemands(rows: readonly Demanding[], interval: number, counted: 'peak' | 'apparent'): number[] {
  const months = Array.from({ length: MONTHS }, () => 0);
  for (const row of rows) {
    const often = Math.floor(row.hours / interval + 1e-9);
    for (let month = 0; month < MONTHS; month++)
      if (row.monthly ? (row.monthly[month] ?? 0) >= interval : month < often)
        months[month] = Math.max(months[month] ?? 0, row[counted]);
  }
  return months;
}

/**
 * The same from the highest mean flow of each recorded month: what the rows take there, straight between them. A month that was not
 * recorded counts as the highest of them.
 */
export function loggedDemands(
  flows: readonly number[],
  points: readonly Pick<ProfilePoint, 'flow'>[],
  taken: readonly Pick<OptionRow, 'peak' | 'apparent'>[],
  counted: 'peak' | 'apparent',
): number[] {
  const rising = points
    .flatMap(({ flow }, at) => (flow > 0 && taken[at] ? [{ flow, takes: taken[at][counted] }] : []))
    .toSorted((a, b) => a.flow - b.flow);
  const at = (flow: number): number =>
    flow <= 0
      ? 0
      : interpolate(
          rising.map((row) => row.flow),
          rising.map(({ takes }) => takes),
          flow,
        );
  const highest = mostOf(flows);
  return Array.from({ length: MONTHS }, (_, month) => at(flows[month] ?? highest));
}

/**
 * A year of demand charge of rows and what they take: every month its highest, never below a share of the highest of the year.
 */
export function demandOf(
  points: readonly Pick<ProfilePoint, 'flow' | 'hours' | 'monthly'>[],
  taken: readonly Pick<OptionRow, 'peak' | 'apparent'>[],
  { job, given }: OptionContext,
): Value | undefined {
  const { demandPrice, demandRatchet } = given.supply;
  if (!demandPrice) return undefined;
  const interval = (job.supply.demandInterval === '30 min' ? 30 : 15) * MINUTE;
  const byApparent = job.supply.demandBy === 'kVA';
  const rows = points.flatMap(({ hours, monthly }, at) => {
    const row = taken[at];
    return row ? [{ hours, monthly, peak: row.peak, apparent: row.apparent }] : [];
  });
  const counted = byApparent ? 'apparent' : 'peak';
  const logged = given.profile.peakFlows?.flat().map(({ value }) => value);
  const months = logged ? loggedDemands(logged, points, taken, counted) : monthlyDemands(rows, interval, counted);
  const highest = Math.max(...months);
  const least = (demandRatchet?.value ?? 0) * highest;
  const charged = months.reduce((sum, month) => sum + Math.max(month, least), 0);
  const [symbol, dimension] = byApparent ? (['S', 'apparentPower'] as const) : (['P', 'power'] as const);
  const figure = (value: number): Value =>
    quantity(value, dimension, {
      source: 'profile',
    });
  return quantity(charged * demandPrice.value, 'money', {
    origin: 'estimated',
    formula: demandRatchet
      ? `K_d = d\\sum_m \\max(${symbol}_m, \\rho\\,${symbol}_{max})`
      : `K_d = 12\\,d\\,\\overline{${symbol}_m}`,
    from: {
      d: demandPrice,
      [demandRatchet ? `${symbol}_{max}` : `\\overline{${symbol}_m}`]: figure(
        demandRatchet ? highest : charged / MONTHS,
      ),
      '\\rho': demandRatchet,
    },
    source: 'tariff typed in this job',
    note: logged ? 'By the highest intervals of each month in the log.' : undefined,
  });
}
