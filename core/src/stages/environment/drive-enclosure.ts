import { quantity, type Value } from '../../kernel/value.ts';
import { driveEfficiency } from '../../kernel/tables/index.ts';
import { horsepowerOf } from '../../motor/standard-power.ts';
import type { HousingCode, PlaceKnown } from './environment-known.ts';

/** NEMA 250 types that meet a degree of protection; the conversion runs from type to IP, never back. */
const housingTypes: Readonly<Record<HousingCode, string>> = { IP20: '1', IP55: '12', IP66: '4X' };
const housingText = (code: HousingCode): string =>
  code === 'IP20' ? 'open or Type 1 (IP20)' : `Type ${housingTypes[code]} (${code})`;

/** Loss of a drive for the size, from its efficiency at full load. */
export function driveLosses({ power, size }: Pick<PlaceKnown, 'power' | 'school' | 'size'>): Value {
  const rows = driveEfficiency.rows;
  const row = rows.findLast((each) => Number(each['hp']) <= horsepowerOf(power)) ?? rows[0];
  const efficiency = (driveEfficiency.number(row, 'l100') ?? 96) / 100;
  return quantity(power * (1 / efficiency - 1), 'power', {
    origin: 'estimated',
    formula: 'P_v = P\\left(\\dfrac{1}{\\eta_d} - 1\\right)',
    from: { P: size },
    source: driveEfficiency.source,
  });
}

/** Least housing of a drive that stands here on its own. */
export function minimumEnclosureRating(known: Pick<PlaceKnown, 'at' | 'wet' | 'power' | 'practice'>): HousingCode {
  const { at, wet } = known;
  if (at.cabinet) return 'IP20';
  if (wet) return tooLargeForItsOwnCase(known) ? 'IP20' : 'IP66';
  return at.dust === 'clean' && at.water === 'dry' ? 'IP20' : 'IP55';
}

function tooLargeForItsOwnCase({ power, practice }: Pick<PlaceKnown, 'power' | 'practice'>): boolean {
  return power > practice.driveCaseLimit.value;
}

/** Water or corrosion reaches the drive. */
export const isWet = ({ at }: Pick<PlaceKnown, 'at'>): boolean =>
  at.water === 'hose' ||
  at.water === 'washdown' ||
  at.setting === 'outdoor' ||
  at.corrosion === 'salt' ||
  at.corrosion === 'chemical';

export function housingWords({ at, wet, housing }: Pick<PlaceKnown, 'at' | 'wet' | 'housing'>): string {
  if (at.cabinet) return `${housingText('IP20')} in its cabinet`;
  return wet && housing === 'IP20' ? 'cabinet of Type 4X (IP66) around an open drive' : housingText(housing);
}
