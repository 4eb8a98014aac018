import { complex, lagging, magnitude, type Complex } from '../../kernel/complex.ts';
import { standstillPowerFactor } from './direct-start.ts';
import type { Fed } from './fed.ts';
import { flowOf, type Flow } from './source.ts';

/** One phase as phasors, V and A; the source lies along the real axis. */
export interface Phasors extends Flow {
  readonly when: 'running' | 'direct start';
  readonly source: Complex;
}

/** The phasors of the running motor and of its direct start; empty until source and motor are known. */
export function phasorsOf({ brief, source, motor }: Fed): Phasors[] {
  if (!source || !motor) return [];
  const as = (when: Phasors['when'], current: number, powerFactor: number): Phasors => ({
    when,
    source: complex(source.voltage / Math.sqrt(3)),
    ...flowOf(source, lagging(motor.voltage / (Math.sqrt(3) * current), powerFactor)),
  });
  return [
    as('running', motor.current, motor.powerFactor),
    as('direct start', motor.lockedRotorCurrent, standstillPowerFactor(motor, brief).value),
  ];
}

/** Length, and angle against the source in degrees, of a phasor. */
export const polar = (phasor: Complex): { readonly size: number; readonly degrees: number } => ({
  size: magnitude(phasor),
  degrees: (Math.atan2(phasor.im, phasor.re) * 180) / Math.PI,
});
