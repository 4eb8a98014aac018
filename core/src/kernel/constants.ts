/** s */
export const MINUTE = 60;
export const HOUR = 60 * MINUTE;
/** s; of 365 days. */
export const YEAR = 8760 * HOUR;
/** rad/s in one r/min. */
export const TURN = (2 * Math.PI) / 60;
/** K at 0 °C. */
export const KELVIN = 273.15;
/** m/s², standard gravity (CGPM 1901). */
export const GRAVITY = 9.806_65;
