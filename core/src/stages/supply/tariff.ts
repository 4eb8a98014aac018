import { figures, say } from '../../kernel/text.ts';
import { YEAR } from '../../kernel/constants.ts';
import { quantity, type Value } from '../../kernel/value.ts';
import type { StageContext } from '../stage.ts';
import { timeOfUse, holds, yearOf, type Clock } from './time-of-use.ts';
import type { Report } from './findings.ts';

/**
 * Mean of the bands: by their share of the motor’s hours where one is typed, else by the clock over the whole year. Where shifts are
 * known, what runs in a band is charged its price instead.
 */
export function meanPrice(brief: StageContext, report: Report): Value | undefined {
  const bands = byShare(brief) ?? byClock(brief);
  const total = bands.reduce((sum, band) => sum + band.share.value, 0);
  if (bands.length === 0 || total <= 0) return undefined;
  if (Math.abs(total - 1) > 0.011) {
    report(
      'supply.band-shares',
      say`The tariff periods cover ${figures(total * 100)} % of the hours; the mean price is calculated from these.`,
    );
  }
  return quantity(bands.reduce((sum, { price, share }) => sum + price.value * share.value, 0) / total, 'energyPrice', {
    formula: '\\bar c = \\sum_k s_k\\,c_k',
    from: Object.fromEntries(
      bands.flatMap(({ price, share }, at) => [
        [`c_${at + 1}`, price],
        [`s_${at + 1}`, share],
      ]),
    ),
    source: 'tariff typed in this job',
  });
}

interface Band {
  readonly price: Value;
  readonly share: Value;
}

function byShare({ rows }: StageContext): Band[] | undefined {
  const shared = rows['supply.bands'].flatMap(({ price, share }) => (price && share ? [{ price, share }] : []));
  return shared.length > 0 ? shared : undefined;
}

/** A band that holds by the clock. */
export interface TariffPeriod {
  readonly price: Value;
  readonly clock: Clock;
}

/** The bands of a tariff that goes by the clock: one in which no share is typed. A band that says no time holds always. */
export function clockedBands({ rows, job }: Pick<StageContext, 'rows' | 'job'>): TariffPeriod[] {
  const bands = rows['supply.bands'];
  if (bands.some(({ price, share }) => price && share)) return [];
  return bands.flatMap(({ at, price, ...times }) => {
    const typed = job.supply.bands[at];
    return price && typed ? [{ price, clock: timeOfUse(typed, times) }] : [];
  });
}

/** Every band by its part of the year; where two hold at once the first of them counts. */
function byClock(brief: StageContext): Band[] {
  const bands = clockedBands(brief).map((band) => ({ ...band, seconds: 0 }));
  for (const { month, kind, begins, seconds } of yearOf(bands.map(({ clock }) => clock))) {
    const band = bands.find(({ clock }) => holds(clock, month, kind, begins));
    if (band) band.seconds += seconds;
  }
  return bands.map(({ price, seconds }) => ({
    price,
    share: quantity(seconds / YEAR, 'fraction', { source: 'calendar: hours of the band in a year' }),
  }));
}
