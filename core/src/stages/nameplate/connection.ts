/** How the leads of a motor are joined at a voltage of its plate. */
export interface Connection {
  readonly text: string;
  /** Star-delta starting needs six or twelve leads and a delta rated for the line voltage. */
  readonly starDelta: 'possible' | 'not possible' | 'not known';
  readonly why: string;
}

const ROOT3 = Math.sqrt(3);
const near = (a: number, b: number): boolean => Math.abs(a / b - 1) < 0.04;

/**
 * Which connection serves the connected voltage, from the voltage ratio (2 : 1 parallel/series, √3 : 1 delta/star), the
 * printed connection and the leads brought out. Common practice; MG 1 Part 2 lead markings.
 */
export function connectionAt(
  voltages: readonly number[],
  connected: number,
  printed: string | undefined,
  leads: number | undefined,
): Connection | undefined {
  const low = Math.min(...voltages);
  const high = Math.max(...voltages);
  if (!Number.isFinite(low)) return undefined;
  const onHigh = near(connected, high) && !near(low, high);
  const ratio = high / low;
  const fromPlate = printed?.split(/\s*\/\s*/).map((each) => each.trim());
  const named =
    fromPlate && fromPlate.length > 1 ? (onHigh ? fromPlate.at(-1) : fromPlate[0]) : (printed?.trim() ?? undefined);
  const isDelta = (text: string | undefined): boolean => /^(Δ|△|D$|DELTA)/i.test(text ?? '');
  const byRatio = near(ratio, ROOT3)
    ? onHigh
      ? 'star'
      : 'delta'
    : near(ratio, 2)
      ? onHigh
        ? 'in series'
        : 'in parallel'
      : undefined;
  const words =
    byRatio ?? (isDelta(named) ? 'delta' : named ? (/^(Y|⅄|λ|WYE|STAR)/i.test(named) ? 'star' : named) : undefined);
  if (words === undefined && leads === undefined) return undefined;
  const delta = byRatio === 'delta' || (byRatio === undefined && isDelta(named)) || (near(ratio, 2) && isDelta(named));
  const enough = leads === undefined ? undefined : leads === 6 || leads === 12;
  const starDelta =
    enough === false || byRatio === 'star' || (words === 'star' && leads !== 12)
      ? 'not possible'
      : leads === 12 || (enough && delta) || (delta && near(ratio, ROOT3))
        ? 'possible'
        : 'not known';
  const why = {
    possible: 'the winding runs in delta at this voltage and all six ends are brought out',
    'not possible':
      enough === false ? `only ${leads} leads are brought out` : 'the winding runs in star at this voltage',
    'not known': 'the leads brought out are not known, or the plate does not say delta',
  }[starDelta];
  return { text: [words, leads === undefined ? '' : `${leads} leads`].filter(Boolean).join(', '), starDelta, why };
}
