import { estimatedSlip, synchronousSpeed } from '../motor/typical.ts';
import type { School } from '../quantity/units.ts';
import { PRACTICE, quantity, type Value } from '../value.ts';

export interface Turning {
  readonly poles: Value;
  readonly synchronousSpeed: Value;
  readonly slip?: Value;
  /** Shaft speed at rated load: the plate’s, or the estimate where the plate prints the synchronous speed. */
  readonly speed?: Value;
  readonly printsSynchronous: boolean;
}

const DEFINITION = 'definition';

/**
 * Poles from frequency and full-load speed, p = 2·floor(60 f / n), then synchronous speed and slip.
 * A plate that prints the synchronous speed gives no slip; it is then estimated from the efficiency, if one is known.
 * Undefined where no induction motor turns that fast at this frequency.
 */
export function poles(
  frequency: Value,
  speed: Value,
  efficiency: Value | undefined,
  school: School,
): Turning | undefined {
  const rpm = (speed.value * 60) / (2 * Math.PI);
  const count = 2 * Math.floor((60 * frequency.value) / rpm + 1e-9);
  if (count < 2) return undefined;
  const pairs = quantity(count, 'count', school, {
    formula: 'p = 2\\left\\lfloor \\dfrac{60 f}{n} \\right\\rfloor',
    from: { f: frequency, n: speed },
    source: DEFINITION,
  });
  const synchronous = quantity(synchronousSpeed(frequency.value, count), 'speed', school, {
    formula: 'n_s = \\dfrac{120 f}{p}',
    from: { f: frequency, p: pairs },
    source: DEFINITION,
  });
  const slip = 1 - speed.value / synchronous.value;
  if (slip > 0.0005) {
    return {
      poles: pairs,
      synchronousSpeed: synchronous,
      slip: quantity(slip, 'fraction', school, {
        formula: 's = \\dfrac{n_s - n}{n_s}',
        from: { n_s: synchronous, n: speed },
        source: DEFINITION,
      }),
      speed,
      printsSynchronous: false,
    };
  }
  if (!efficiency) return { poles: pairs, synchronousSpeed: synchronous, printsSynchronous: true };
  const estimate = quantity(estimatedSlip(efficiency.value), 'fraction', school, {
    origin: 'estimated',
    formula: 's \\approx 0.22\\,\\dfrac{1-\\eta}{\\eta}',
    from: { '\\eta': efficiency },
    source: PRACTICE,
    note: 'The plate prints the synchronous speed, which gives no slip.',
  });
  return {
    poles: pairs,
    synchronousSpeed: synchronous,
    slip: estimate,
    speed: quantity(synchronous.value * (1 - estimate.value), 'speed', school, {
      origin: 'estimated',
      formula: 'n = n_s (1 - s)',
      from: { n_s: synchronous, s: estimate },
      source: PRACTICE,
    }),
    printsSynchronous: true,
  };
}
