import { dropConstants } from '../../../kernel/tables/index.ts';

/** Of a cable: length, m, and size, mm², with the metal of its cores. */
export interface Run {
  readonly length: number;
  readonly size: number;
  readonly metal: 'cu' | 'al';
}

const constant = (item: string): number => dropConstants.number(dropConstants.row(item), 'value') ?? 0;
/** Ω·mm²/m in normal service. */
export const resistivity = (metal: Run['metal']): number => constant(`rho1_${metal}`);
/** Ω/m */
export const REACTANCE = constant('reactance') / 1000;

/** Ω of one core. */
export const resistanceOf = ({ length, size, metal }: Run): number => (resistivity(metal) * length) / size;

/** Share of the voltage to earth lost at a current, A, with a power factor: IEC 60364-5-52 Annex G. */
export function dropOf(run: Run, current: number, powerFactor: number, toEarth: number): number {
  const sine = Math.sqrt(1 - powerFactor ** 2);
  return ((resistanceOf(run) * powerFactor + REACTANCE * run.length * sine) * current) / toEarth;
}
