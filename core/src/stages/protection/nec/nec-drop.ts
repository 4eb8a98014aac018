import { conductorImpedance } from '../../../ground/tables/index.ts';

const PER_1000_FEET = 1 / 304.8;

/** A run of single conductors in steel conduit. */
export interface NecRun {
  readonly size: string;
  readonly metal: 'cu' | 'al';
  /** m */
  readonly length: number;
}

/** Volts lost between lines at a current, A, with a power factor: √3 I (R cos φ + X sin φ) L, Chapter 9 Table 9; undefined beyond it. */
export function voltsLost({ size, metal, length }: NecRun, current: number, powerFactor: number): number | undefined {
  const row = conductorImpedance.row(size);
  const r = conductorImpedance.number(row, `r_${metal}_in_steel`);
  const x = conductorImpedance.number(row, 'x_in_steel');
  if (r === undefined || x === undefined) return undefined;
  const sine = Math.sqrt(1 - powerFactor ** 2);
  return Math.sqrt(3) * current * (r * powerFactor + x * sine) * length * PER_1000_FEET;
}
