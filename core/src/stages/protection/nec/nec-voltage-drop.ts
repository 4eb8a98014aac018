import type { Complex } from '../../../kernel/complex.ts';
import { conductorImpedance } from '../../../kernel/tables/index.ts';

const PER_1000_FEET = 1 / 304.8;

/** A run of single conductors in steel conduit. */
export interface NecRun {
  readonly size: string;
  readonly metal: 'cu' | 'al';
  /** m */
  readonly length: number;
}

/** Ω of one wire, Chapter 9 Table 9; undefined beyond it. */
export function impedanceOf({ size, metal, length }: NecRun): Complex | undefined {
  const row = conductorImpedance.row(size);
  const re = conductorImpedance.number(row, `r_${metal}_in_steel`);
  const im = conductorImpedance.number(row, 'x_in_steel');
  if (re === undefined || im === undefined) return undefined;
  return { re: re * length * PER_1000_FEET, im: im * length * PER_1000_FEET };
}

/** Volts lost between lines at a current, A, with a power factor: √3 I (R cos φ + X sin φ) L, Chapter 9 Table 9; undefined beyond it. */
export function voltageDrop(run: NecRun, current: number, powerFactor: number): number | undefined {
  const own = impedanceOf(run);
  const sine = Math.sqrt(1 - powerFactor ** 2);
  return own && Math.sqrt(3) * current * (own.re * powerFactor + own.im * sine);
}
