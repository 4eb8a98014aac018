/**
 * Flicker of repeated starts by the analytical method of IEC 61000-3-3 (from memory): each step d % leaves an impression
 * of t_f = 2.3·(F·d)^3.2 s, and P = (Σ t_f / T)^(1/3.2). A start is taken as one step (F = 1).
 * @param dip share of the voltage lost at the bus
 * @param startsPerHour starts in an hour
 * @returns short-term (10 min, limit 1) and long-term (2 h, limit 0.65) severity
 */
export function flickerOf(
  dip: number,
  startsPerHour: number,
): { readonly shortTerm: number; readonly longTerm: number } {
  const impression = 2.3 * (dip * 100) ** 3.2;
  const severity = (seconds: number, least: number): number => {
    const starts = Math.max(least, (startsPerHour * seconds) / 3600);
    return ((starts * impression) / seconds) ** (1 / 3.2);
  };
  return { shortTerm: severity(600, Math.min(1, startsPerHour)), longTerm: severity(7200, 0) };
}

export const SHORT_TERM_LIMIT = 1;
export const LONG_TERM_LIMIT = 0.65;
