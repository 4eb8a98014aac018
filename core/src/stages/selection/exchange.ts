import type { Catalogue } from '../../catalogue/catalogue.ts';
import type { StageContext } from '../stage.ts';

/**
 * Currency of the job for one of the catalogue’s: 1 where they are the same, the typed rate where they differ, undefined
 * where no rate is typed. Prices of two currencies are never added.
 */
export function exchangeRate(
  { job, given }: StageContext,
  { currency }: Pick<Catalogue, 'currency'>,
): number | undefined {
  if (currency === '' || currency.toUpperCase() === job.currency.trim().toUpperCase()) return 1;
  return given.money.exchangeRate?.value;
}
