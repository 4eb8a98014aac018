import { estimatedSlip } from '../../motor/typical.ts';
import { synchronousSpeed } from '../../motor/synchronous.ts';
import { PRACTICE, quantity, type Value } from '../../kernel/value.ts';

export interface Turning {
  readonly poles: Value;
  readonly synchronousSpeed: Value;
  readonly slip?: Value;
  /** Shaft speed at rated load: the plate’s, or the estimate where the plate prints the synchronous speed. */
  readonly speed?: Value;
  readonly printsSynchronous: boolean;
}

const DEFINITION = 'definition';

/** Speed and slip of a plate that prints its poles but no speed: the slip is estimated from the efficiency. */
export function turningOf(frequency: Value, count: Value, efficiency: Value | undefined): Turning | undefined {
  if (count.value % 2 !== 0) return undefined;
  const synchronous = quantity(synchronousSpeed(frequency.value, count.value), 'speed', {
    formula: 'n_s = \\dfrac{120 f}{p}',
    from: { f: frequency, p: count },
    source: DEFINITION,
  });
  const { slip, speed } = slipFrom(efficiency, synchronous, 'The plate prints no speed.');
  return {
    poles: count,
    synchronousSpeed: synchronous,
    ...(slip ? { slip } : {}),
    ...(speed ? { speed } : {}),
    printsSynchronous: false,
  };
}

function slipFrom(
  efficiency: Value | undefined,
  synchronous: Value,
  note: string,
): { readonly slip?: Value; readonly speed?: Value } {
  if (!efficiency) return {};
  const slip = quantity(estimatedSlip(efficiency.value), 'fraction', {
    origin: 'estimated',
    assumes: 'nameplate.speed',
    formula: 's \\approx 0.22\\,\\dfrac{1-\\eta}{\\eta}',
    from: { '\\eta': efficiency },
    source: PRACTICE,
    note,
  });
  return {
    slip,
    speed: quantity(synchronous.value * (1 - slip.value), 'speed', {
      origin: 'estimated',
      formula: 'n = n_s (1 - s)',
      from: { n_s: synchronous, s: slip },
      source: PRACTICE,
    }),
  };
}

/**
 * Poles from frequency and full-load speed, p = 2·floor(60 f / n), then synchronous speed and slip.
 * A plate that prints the synchronous speed gives no slip; it is then estimated from the efficiency, if one is known.
 * Undefined where no induction motor turns that fast at this frequency.
 */
export function poles(frequency: Value, speed: Value, efficiency: Value | undefined): Turning | undefined {
  const rpm = (speed.value * 60) / (2 * Math.PI);
  const count = 2 * Math.floor((60 * frequency.value) / rpm + 1e-9);
  if (count < 2) return undefined;
  const pairs = quantity(count, 'count', {
    formula: 'p = 2\\left\\lfloor \\dfrac{60 f}{n} \\right\\rfloor',
    from: { f: frequency, n: speed },
    source: DEFINITION,
  });
  const synchronous = quantity(synchronousSpeed(frequency.value, count), 'speed', {
    formula: 'n_s = \\dfrac{120 f}{p}',
    from: { f: frequency, p: pairs },
    source: DEFINITION,
  });
  const slip = 1 - speed.value / synchronous.value;
  if (slip > 0.0005) {
    return {
      poles: pairs,
      synchronousSpeed: synchronous,
      slip: quantity(slip, 'fraction', {
        formula: 's = \\dfrac{n_s - n}{n_s}',
        from: { n_s: synchronous, n: speed },
        source: DEFINITION,
      }),
      speed,
      printsSynchronous: false,
    };
  }
  const note = 'The plate prints the synchronous speed, which gives no slip.';
  return {
    poles: pairs,
    synchronousSpeed: synchronous,
    ...slipFrom(efficiency, synchronous, note),
    printsSynchronous: true,
  };
}
