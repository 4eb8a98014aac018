/** Magnetic trip of a thermal-magnetic breaker as a multiple of its rating, and its tolerance. Common practice, no published source. */
export const MAGNETIC = 10;
export const TOLERANCE = 0.2;

/** A at which a magnetic trip so many times a rating may open at once, and from which it surely does. */
export const magneticBand = (rating: number, multiple: number = MAGNETIC): readonly [may: number, surely: number] => [
  (1 - TOLERANCE) * multiple * rating,
  (1 + TOLERANCE) * multiple * rating,
];
