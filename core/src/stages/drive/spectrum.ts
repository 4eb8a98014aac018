import { interpolate } from '../../kernel/numeric.ts';
import { sixPulse } from '../../kernel/tables/index.ts';

/** Orders of a six-pulse bridge that count; the last stands for all from it on. */
export const ORDERS = [5, 7, 11, 13, 17, 19, 23] as const;

/** Harmonic currents as shares of the fundamental, by the orders, and all of them together. */
export interface Spectrum {
  readonly shares: readonly number[];
  readonly total: number;
}

export const lineSides = [
  'none',
  'choke 3 %',
  'choke 5 %',
  'passive filter',
  '12-pulse',
  '18-pulse',
  'active front end',
] as const;
/** What stands at a drive’s input, in the order of its cost. */
export type LineSide = (typeof lineSides)[number];

/** Share of the drive’s reactance base that a choke has. */
export const chokeOf: Readonly<Record<LineSide, number>> = {
  none: 0,
  'choke 3 %': 0.03,
  'choke 5 %': 0.05,
  'passive filter': 0,
  '12-pulse': 0,
  '18-pulse': 0,
  'active front end': 0,
};

const LOGS = sixPulse.rows.map((row) => Math.log(Number(row['x']) / 100));
const column = (name: string): number[] => sixPulse.rows.map((row) => Number(row[name]) / 100);
const COLUMNS = ORDERS.slice(0, -1).map((order) => column(`h${order}`));
const TOTALS = column('thd');

/** A six-pulse bridge with a stiff dc link behind a reactance of `share` of its own base; between rows by its logarithm. */
export function sixPulseSpectrum(share: number): Spectrum {
  const at = Math.log(Math.max(share, 1e-6));
  return whole(
    COLUMNS.map((each) => interpolate(LOGS, each, at)),
    interpolate(LOGS, TOTALS, at),
  );
}

/** What the orders leave of the total stands at the last. */
const whole = (shares: readonly number[], total: number): Spectrum => ({
  shares: [...shares, Math.sqrt(Math.max(0, total ** 2 - Math.hypot(...shares) ** 2))],
  total,
});

/** Harmonics left by remedies beyond a choke, whatever stands before them. Common practice, no published source. */
const REMEDIED: Readonly<Record<Exclude<LineSide, 'none' | 'choke 3 %' | 'choke 5 %'>, Spectrum>> = {
  'passive filter': whole([0.055, 0.035, 0.03, 0.02, 0.012, 0.01], 0.08),
  '12-pulse': whole([0.025, 0.02, 0.08, 0.06, 0.01, 0.01], 0.11),
  '18-pulse': whole([0.015, 0.012, 0.01, 0.01, 0.03, 0.025], 0.05),
  'active front end': whole([0.025, 0.02, 0.012, 0.01, 0.008, 0.008], 0.04),
};

/** What a line side sends into the network, with `reactance` of source and choke on what the drive takes. */
export function spectrumOf(side: LineSide, reactance: number): Spectrum {
  return side === 'none' || side === 'choke 3 %' || side === 'choke 5 %' ? sixPulseSpectrum(reactance) : REMEDIED[side];
}

/** Displacement power factor of a diode bridge. Common practice, no published source. */
export const DISPLACEMENT = 0.97;

/** λ = cos φ₁/√(1 + THD²). */
export const truePowerFactor = (displacement: number, distortion: number): number =>
  displacement / Math.hypot(1, distortion);
