import { KELVIN } from '../../kernel/constants.ts';
import { thermalClasses } from '../../kernel/tables/index.ts';
import { PRACTICE, quantity, type Value } from '../../kernel/value.ts';

export interface Insulation {
  readonly limit: Value;
  readonly hotSpot: Value;
  readonly life: Value;
}

/** Temperature rise in kelvin from an entry such as `80 K`, `80 C`, `B` (the rise of class B). */
function riseOf(text: string | undefined): number | undefined {
  if (!text) return undefined;
  const number = /\d+/.exec(text)?.[0];
  if (number !== undefined) return Number(number);
  const row = thermalClasses.rows.find((each) => each['letter'] === text.trim().toUpperCase());
  return thermalClasses.number(row, 'rise_resistance');
}

/**
 * Hot spot of the winding at full load and what it leaves of its life: class limit, ambient + rise + allowance, and
 * 20 000 h × 2^((limit − hot spot)/10 K). A missing rise is taken as the class’s full rise. Undefined for no class.
 */
export function insulation(
  letter: string | undefined,
  rise: string | undefined,
  ambient: Value | undefined,
): Insulation | undefined {
  const row = thermalClasses.rows.find(
    (each) => each['letter'] === letter?.trim().toUpperCase() || String(each['class']) === letter?.trim(),
  );
  const full = thermalClasses.number(row, 'rise_resistance');
  const allowance = thermalClasses.number(row, 'hot_spot_allowance');
  const top = thermalClasses.number(row, 'class');
  if (!row || full === undefined || allowance === undefined || top === undefined) return undefined;
  const typed = riseOf(rise);
  const warm =
    ambient ??
    quantity(40 + KELVIN, 'temperature', { origin: 'estimated', source: PRACTICE, assumes: 'nameplate.ambient' });
  const spot = warm.value + (typed ?? full) + allowance;
  const limit = quantity(top + KELVIN, 'temperature', {
    origin: 'recalled',
    source: thermalClasses.source,
    note: `Thermal class ${String(row['letter'])}`,
  });
  const hotSpot = quantity(spot, 'temperature', {
    origin: typed === undefined ? 'estimated' : 'derived',
    ...(typed === undefined ? { assumes: 'nameplate.rise' } : {}),
    formula: `\\vartheta = \\vartheta_{amb} + ${typed ?? full}\\,\\mathrm{K} + ${allowance}\\,\\mathrm{K}`,
    from: { '\\vartheta_{amb}': warm },
    source: thermalClasses.source,
    note: typed === undefined ? 'The rise is not on the plate; the full rise of its class stands in.' : undefined,
  });
  const life = quantity(20_000 * 3600 * 2 ** ((limit.value - spot) / 10), 'time', {
    origin: 'estimated',
    formula: 'L = 20\\,000\\,\\mathrm{h}\\cdot 2^{(\\vartheta_{limit} - \\vartheta)/10\\,\\mathrm{K}}',
    from: { '\\vartheta_{limit}': limit, '\\vartheta': hotSpot },
    source: PRACTICE,
    note: 'About 20 000 h at the class limit, half for every 10 K above it.',
  });
  return { limit, hotSpot, life };
}
