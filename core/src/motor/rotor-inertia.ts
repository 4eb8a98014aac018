/** Rotor inertia of a 4-pole motor of 1 kW, kg·m², and how it grows with size; other poles by factor. */
const AT_ONE_KILOWATT = 0.001_33;
const EXPONENT = 1.53;
const byPoles: Readonly<Record<number, number>> = { 2: 0.65, 4: 1, 6: 2.2, 8: 3.8 };

/**
 * Inertia of a cage rotor, kg·m², from its power (W) and poles. Common practice, no published source; good to about
 * ±40 %, so the maker’s figure is asked for where the start is close.
 */
export const usualRotorInertia = (power: number, poles: number): number =>
  AT_ONE_KILOWATT * (power / 1000) ** EXPONENT * (byPoles[poles] ?? (poles / 4) ** 1.9);
