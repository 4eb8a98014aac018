import type { StarterPart } from '../../catalogue/catalogue.ts';

/** Magnetic trip of a thermal-magnetic breaker as a multiple of its rating, and its tolerance. Common practice, no published source. */
const MAGNETIC = 10;
const TOLERANCE = 0.2;
/** First half-wave of a standing motor at power factor 0.3 over its steady peak: κ = 1.02 + 0.98 e^(−3R/X) (IEC 60909-0, from memory). */
export const INRUSH = 1.02 + 0.98 * Math.exp(-3 * (0.3 / Math.sqrt(1 - 0.3 ** 2)));
/** A breaker carries its motor for good with this in hand. Common practice, no published source. */
const RUNNING = 1.15;

/** Least rating of a breaker, A, that carries the motor for good and does not trip at once on the current of its start. */
export const leastBreaker = (running: number, starting: number): number =>
  Math.max(RUNNING * running, (INRUSH * starting) / (MAGNETIC * (1 - TOLERANCE)));

/** A at which a magnetic trip so many times a rating may open at once, and from which it surely does. */
export const magneticBand = (rating: number, multiple: number = MAGNETIC): readonly [may: number, surely: number] => [
  (1 - TOLERANCE) * multiple * rating,
  (1 + TOLERANCE) * multiple * rating,
];

/** Breakers of the catalogue for a system voltage between two ratings, A; the largest first. */
export const breakersFor = (
  parts: readonly StarterPart[],
  voltage: number,
  least: number,
  most: number,
): readonly StarterPart[] =>
  parts
    .filter(
      (part) =>
        part.kind === 'breaker' && part.voltageMax >= voltage && part.currentMax <= most && part.currentMax >= least,
    )
    .toSorted((a, b) => b.currentMax - a.currentMax || a.price - b.price);
