import type { Motor } from '../../motor/typical.ts';
import type { Comparison } from './comparison.ts';

/** First half-wave of a standing motor at power factor 0.3 over its steady peak: κ = 1.02 + 0.98 e^(−3R/X) (IEC 60909-0, from memory). */
export const INRUSH = 1.02 + 0.98 * Math.exp(-3 * (0.3 / Math.sqrt(1 - 0.3 ** 2)));

/** What a short-circuit device must let pass while the motor starts. */
export interface StartCurrent {
  /** Line current, A, for how many s. */
  readonly starting: number;
  readonly time: number;
  /** What stands at first, A, and its first half-wave over the steady peak. */
  readonly standing: number;
  readonly inrush: number;
}

/** Of one way to start, with the spike of its change; of a standing motor where the way is not known. */
export function startCurrent(motor: Motor, own: Comparison | undefined): StartCurrent {
  const standing = Math.max(own?.current ?? motor.lockedRotorCurrent, own?.changeoverCurrent ?? 0);
  return {
    starting: standing,
    time: own?.time ?? 0,
    standing,
    inrush: own?.method === 'soft starter' ? 1 : INRUSH,
  };
}
