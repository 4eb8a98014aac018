import { amount, figures, say, type Text, series } from '../../kernel/text.ts';
import { PRACTICE, textValue, type Value } from '../../kernel/value.ts';

interface Rated {
  readonly power: Value;
  readonly voltage: Value;
  readonly frequency: Value;
  readonly speed: Value;
  readonly poles: Value;
}

/** Motor voltages that systems of each frequency have, V. */
const systems: Readonly<Record<50 | 60, readonly number[]>> = {
  50: [190, 220, 230, 380, 400, 415, 440, 500, 660, 690],
  60: [200, 208, 220, 230, 380, 400, 440, 460, 480, 575, 690],
};

/**
 * What the motor would be at the other line frequency: V/f kept, torque kept, so power goes with frequency and the slip
 * speed stays. Says which of the usual voltages there keep the flux and which over-flux it.
 */
export function atOtherFrequency(rated: Rated): Value<Text> | undefined {
  const f = rated.frequency.value;
  const other = Math.abs(f - 60) < 1 ? 50 : Math.abs(f - 50) < 1 ? 60 : undefined;
  if (other === undefined) return undefined;
  const k = other / f;
  const volts = rated.voltage.value * k;
  const slipSpeed = (4 * Math.PI * f) / rated.poles.value - rated.speed.value;
  const speed = (4 * Math.PI * other) / rated.poles.value - slipSpeed;
  const flux = (system: number): number => system / other / (rated.voltage.value / f);
  const safe = systems[other].filter((system) => Math.abs(flux(system) - 1) <= 0.05);
  const over = systems[other].filter((system) => flux(system) > 1.05 && flux(system) <= 1.15);
  const text = [
    say`at ${other} Hz: ${figures(volts)} V, ${amount(rated.power.value * k, 'power')}, ${amount(speed, 'speed')}`,
    safe.length > 0 ? `safe on ${safe.join(', ')} V` : 'no usual voltage there keeps the flux',
    over.length > 0 ? `over-fluxed on ${over.join(', ')} V` : '',
  ];
  return textValue(series(text, '; '), {
    origin: 'estimated',
    formula: "V' = V\\,\\dfrac{f'}{f},\\quad P' = P\\,\\dfrac{f'}{f},\\quad n' = n_s' - (n_s - n)",
    from: { V: rated.voltage, P: rated.power, n: rated.speed, f: rated.frequency },
    source: `constant V/f and torque; ±5 % flux taken as safe: ${PRACTICE}`,
  });
}
