import { figures, say, type Text } from '../../kernel/text.ts';
import { magnitude } from '../../kernel/complex.ts';
import { quantity, type Value } from '../../kernel/value.ts';
import type { SupplyResult } from './supply.ts';

/** A, three phases shorted at the bus; what every device there must break. Undefined where the source is not known. */
export function faultAtBus({ source, values }: SupplyResult): Value | undefined {
  if (!source) return undefined;
  // Of a generator in the first instant, which is the most.
  const impedance = magnitude(source.firstInternal ?? source.internal);
  return quantity(source.voltage / Math.sqrt(3) / impedance, 'current', {
    origin: 'estimated',
    formula: "I''_{k3} = \\dfrac{U}{\\sqrt3\\,Z_q}",
    from: { U: values.voltage, Z_q: values.sourceImpedance },
    source: 'IEC 60909-0 (from memory), without the voltage factor',
    note: 'Breaking capacity of every device at the bus is at least this; motors that run add to it.',
  });
}

/** A short-circuit current as it is spoken of. */
export const kiloAmperes = (current: number): Text => say`${figures(current / 1000, 3)}\u00a0kA`;

/** Whether something holds a short circuit, A; what does not say for how much may. */
export const withstands = (rating: number | undefined, fault: number): boolean =>
  rating === undefined || fault <= rating * 1.001;
