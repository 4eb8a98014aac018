import { bisect } from '../../kernel/numeric.ts';

/** Money over the years; rates as shares a year, either all with inflation or all without. */
export interface Horizon {
  readonly years: number;
  readonly discount: number;
  /** By which what is paid each year rises. */
  readonly growth: number;
}

/** Worth now of one a year for n years: (1 − (1+r)⁻ⁿ)/r. */
export const annuity = (discount: number, years: number): number =>
  Math.abs(discount) < 1e-12 ? years : (1 - (1 + discount) ** -years) / discount;

/** The same where each year’s grows: (1 − ((1+e)/(1+r))ⁿ)/(r − e); n/(1+r) where both are equal. */
export function growingAnnuity({ discount, growth, years }: Horizon): number {
  if (Math.abs(discount - growth) < 1e-12) return years / (1 + discount);
  return (1 - ((1 + growth) / (1 + discount)) ** years) / (discount - growth);
}

/** A sum now, and what it saves in the first year. */
export interface Investment {
  readonly capital: number;
  readonly saving: number;
}

export const netPresentValue = ({ capital, saving }: Investment, horizon: Horizon): number =>
  saving * growingAnnuity(horizon) - capital;

const LOWEST_RATE = -0.99;
const HIGHEST_RATE = 10;

/** Rate at which the present value is nothing; undefined where none between −99 and 1000 % does, or nothing is invested. */
export function internalRate(investment: Investment, horizon: Horizon): number | undefined {
  const worth = (discount: number): number => netPresentValue(investment, { ...horizon, discount });
  if (investment.capital <= 0 || worth(LOWEST_RATE) <= 0 || worth(HIGHEST_RATE) >= 0) return undefined;
  const { low, high } = bisect((rate) => worth(rate) > 0, { low: LOWEST_RATE, high: HIGHEST_RATE }, { rounds: 60 });
  return (low + high) / 2;
}

/** Years in which the savings, without interest, have paid it; undefined where they never do. */
export const simplePayback = ({ capital, saving }: Investment): number | undefined =>
  saving > 0 && capital >= 0 ? capital / saving : undefined;

/** The same with interest and growth; undefined where they never do. */
export function discountedPayback({ capital, saving }: Investment, { discount, growth }: Horizon): number | undefined {
  if (saving <= 0 || capital < 0) return undefined;
  if (Math.abs(discount - growth) < 1e-12) return (capital * (1 + discount)) / saving;
  const left = 1 - (capital * (discount - growth)) / saving;
  return left <= 0 ? undefined : Math.log(left) / Math.log((1 + growth) / (1 + discount));
}
