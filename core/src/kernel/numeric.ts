/** Straight line through rising points; held constant outside. */
export function interpolate(xs: readonly number[], ys: readonly number[], x: number): number {
  let low = 0;
  let high = xs.length - 1;
  if (high < 0) return 0;
  if (x <= (xs[0] ?? 0)) return ys[0] ?? 0;
  if (x >= (xs[high] ?? 0)) return ys[high] ?? 0;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if ((xs[middle] ?? 0) <= x) low = middle;
    else high = middle;
  }
  const x0 = xs[low] ?? 0;
  const x1 = xs[high] ?? 0;
  const y0 = ys[low] ?? 0;
  const y1 = ys[high] ?? 0;
  return x1 === x0 ? y1 : y0 + ((x - x0) / (x1 - x0)) * (y1 - y0);
}

interface Halving {
  readonly rounds: number;
  /** Width of the bracket at which it ends; 0 to do all rounds. */
  readonly width?: number;
  /** Where it is halved: in the middle, or in the geometric mean for figures over decades. */
  readonly mean?: 'arithmetic' | 'geometric';
}
export interface Bracket {
  readonly low: number;
  readonly high: number;
}

/** Halves a bracket at whose low end `below` holds and at whose high end it does not. */
export function bisect(below: (x: number) => boolean, { low, high }: Bracket, halving: Halving): Bracket {
  const { rounds, width = 0, mean = 'arithmetic' } = halving;
  for (let round = 0; round < rounds && high - low > width; round++) {
    const middle = mean === 'geometric' ? Math.sqrt(low * high) : (low + high) / 2;
    if (below(middle)) low = middle;
    else high = middle;
  }
  return { low, high };
}

/**
 * The low end of a bracket around a root of a function that falls through zero and is all but straight there: false
 * position, halved where an end stands still (Illinois).
 */
export function regulaFalsi(f: (x: number) => number, { low, high }: Bracket, { rounds, width = 0 }: Halving): number {
  let atLow = f(low);
  let atHigh = f(high);
  for (let round = 0; round < rounds && high - low > width; round++) {
    const middle = (low * atHigh - high * atLow) / (atHigh - atLow);
    const at = f(middle);
    if (at === 0) return middle;
    if (at > 0) {
      low = middle;
      atLow = at;
      atHigh /= 2;
    } else {
      high = middle;
      atHigh = at;
      atLow /= 2;
    }
  }
  return low;
}

/** The value that a share of all lies below; 0 where there is none. */
export const quantile = (rising: readonly number[], share: number): number =>
  rising[Math.min(rising.length - 1, Math.floor(share * rising.length))] ?? 0;

/** Where a share of values lies below, half of them, and the same share above. */
export interface Band {
  readonly low: number;
  readonly middle: number;
  readonly high: number;
}

export function bandOf(values: readonly number[], outside: number): Band {
  const rising = [...values].sort((a, b) => a - b);
  return { low: quantile(rising, outside), middle: quantile(rising, 0.5), high: quantile(rising, 1 - outside) };
}

/** The largest and the smallest of a list of any length; −∞ and ∞ of an empty one. */
export const mostOf = (values: readonly number[]): number =>
  values.reduce((most, value) => Math.max(most, value), Number.NEGATIVE_INFINITY);
export const leastOf = (values: readonly number[]): number =>
  values.reduce((least, value) => Math.min(least, value), Number.POSITIVE_INFINITY);
