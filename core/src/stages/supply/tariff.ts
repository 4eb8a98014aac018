import { formatNumber } from '../../ground/quantity/format.ts';
import { quantity, type Value } from '../../ground/value.ts';
import type { Brief } from '../stage.ts';
import type { Flag } from './findings.ts';

/** Mean of the bands, each by its share of the motor’s hours. */
export function meanPrice({ rows, job: { school } }: Brief, flag: Flag): Value | undefined {
  const bands = rows['supply.bands'].flatMap(({ price, share }) => (price && share ? [{ price, share }] : []));
  const total = bands.reduce((sum, band) => sum + band.share.value, 0);
  if (bands.length === 0 || total <= 0) return undefined;
  if (Math.abs(total - 1) > 0.011) {
    flag(
      'supply.band-shares',
      `The time bands hold ${formatNumber(total * 100)} % of the motor’s hours; the mean price is taken over what is there.`,
    );
  }
  return quantity(
    bands.reduce((sum, { price, share }) => sum + price.value * share.value, 0) / total,
    'energyPrice',
    school,
    {
      formula: '\\bar c = \\sum_k s_k\\,c_k',
      from: Object.fromEntries(
        bands.flatMap(({ price, share }, at) => [
          [`c_${at + 1}`, price],
          [`s_${at + 1}`, share],
        ]),
      ),
      source: 'tariff typed in this job',
    },
  );
}
