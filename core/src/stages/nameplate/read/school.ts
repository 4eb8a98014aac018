import type { StandardsSystem } from '../../../kernel/quantity/units.ts';
import type { PlateField } from './vocabulary.ts';

type Texts = Readonly<Partial<Record<PlateField, string | number | undefined>>>;

/**
 * The school whose rules and units a plate was printed for, by the marks on it: kW, 50 Hz, IE classes, IP and IC codes
 * speak for IEC; hp, 60 Hz, code and design letter, service factor and NEMA frames for NEMA. `weight` is above zero for
 * IEC, below for NEMA and zero where nothing speaks.
 */
export function schoolWeight(fields: Texts, text = ''): number {
  const said = (field: PlateField): string => String(fields[field] ?? '');
  const power = said('power');
  const frequency = said('frequency');
  const marks: readonly (readonly [number, boolean])[] = [
    [2, /kw/i.test(power)],
    [-2, /h\.?p/i.test(power)],
    [2, /\b50\b/.test(frequency) && !/\b60\b/.test(frequency)],
    [-1, /\b60\b/.test(frequency) && !/\b50\b/.test(frequency)],
    [1, /^IE/i.test(said('efficiencyClass'))],
    [-1, /premium|energy/i.test(said('efficiencyClass'))],
    [1, /^\d{2,3}[SML]/i.test(said('frame'))],
    [-1, /^\d{2,3}(?:\/\d+)?[TU]/i.test(said('frame'))],
    [1, said('cooling') !== '' || said('mounting') !== ''],
    [0.5, /IP\s?\d/i.test(said('enclosure'))],
    [-0.5, /TEFC|ODP/i.test(said('enclosure'))],
    [-1, said('codeLetter') !== ''],
    [-1, /^[A-D]$/i.test(said('designLetter'))],
    [-0.5, said('serviceFactor') !== ''],
    [1, /\bIEC\b|60034/.test(text)],
    [-1, /\bNEMA\b/.test(text)],
  ];
  return marks.reduce((sum, [weight, speaks]) => sum + (speaks ? weight : 0), 0);
}

export const schoolOf = (fields: Texts, text = ''): StandardsSystem =>
  schoolWeight(fields, text) > 0 ? 'IEC' : 'NEMA';
