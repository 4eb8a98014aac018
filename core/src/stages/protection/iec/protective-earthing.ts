import { disconnection, heatFactors, protectiveConductors } from '../../../kernel/tables/index.ts';
import { REACTANCE, resistanceOf, type Run } from './voltage-drop.ts';

/** A circuit up to this must be off in the short time of Table 41.1, A; above, and for feeders, in five seconds. */
const FINAL = 32;
const FEEDER_TIME = 5;

/** s within which a fault to earth must be cleared in a TN system: IEC 60364-4-41 Table 41.1 and 411.3.2.3. */
export function disconnectionTime(rating: number, toEarth: number): number {
  if (rating > FINAL) return FEEDER_TIME;
  const row = disconnection.rows.find(
    (each) => toEarth > Number(each['u0_over']) && toEarth <= Number(each['u0_to'] ?? Number.POSITIVE_INFINITY),
  );
  return disconnection.number(row, 'tn_ac') ?? FEEDER_TIME;
}

/** mm² of the protective conductor beside a line conductor: IEC 60364-5-54 Table 54.2. */
export const protectiveSize = (size: number): number | undefined =>
  protectiveConductors.number(protectiveConductors.row(size), 's_standard');

/** Of the nominal voltage to earth that a fault may count on: at the terminals of the source known, and where it is not. */
export const FAULT_VOLTAGE = { known: 0.95, unknown: 0.8 } as const;

/** Ω of the loop from source through line and protective conductor; without a source that of the cable alone. */
export function earthFaultLoopImpedance(
  run: Run,
  protective: number,
  source: { readonly re: number; readonly im: number } | undefined,
): number {
  const re = resistanceOf(run) + resistanceOf({ ...run, size: protective }) + (source?.re ?? 0);
  // Without a source the reactance is within the fifth that is kept back.
  return source ? Math.hypot(re, 2 * REACTANCE * run.length + source.im) : re;
}

/** A·√s/mm² of a line conductor: IEC 60364-4-43 Table 43A. */
export const kFactor = (insulation: 'PVC' | 'XLPE', metal: Run['metal']): number =>
  heatFactors.number(
    heatFactors.row('line conductor', insulation === 'PVC' ? 'PVC 70 C, up to 300 mm2' : 'XLPE or EPR 90 C'),
    metal,
  ) ?? 0;

/** mm² that bear what a device lets through, A²s. */
export const adiabaticMinimumSize = (letThrough: number, factor: number): number => Math.sqrt(letThrough) / factor;
