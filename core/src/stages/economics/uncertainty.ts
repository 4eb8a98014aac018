/**
 * How far a figure may lie below and above what was typed, as shares of it. Common practice, no published source.
 */
export const UNCERTAINTY = {
  hours: { less: 0.1, more: 0.1 },
  energyPrice: { less: 0.2, more: 0.3 },
  capital: { less: 0.1, more: 0.25 },
} as const;
