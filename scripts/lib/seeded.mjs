// The same random numbers every time, by pure-rand.
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** Gives numbers from 0 up to 1. */
export function seeded(seed) {
  const generator = xoroshiro128plus(seed);
  return () => uniformFloat64(generator);
}
