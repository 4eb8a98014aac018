import { HOUR, MINUTE } from '../constants.ts';
import { dimensions, findUnit, shownUnit, type Dimension, type StandardsSystem, type Unit } from './units.ts';

/** A typed quantity, read. `si` is in the SI unit of its dimension. */
export interface Reading {
  readonly si: number;
  readonly unit: Unit;
}

export type Parsed<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly message: string };

const ok = <T>(value: T): Parsed<T> => ({ ok: true, value });
const no = (message: string): { ok: false; message: string } => ({ ok: false, message });

const SPACES = /[\u00a0\u2009\u202f]/g;

const vulgar: Readonly<Record<string, string>> = { '½': '1/2', '¼': '1/4', '¾': '3/4', '⅓': '1/3', '⅔': '2/3' };

/** `7½` and `7 1/2` as `7-1/2`: one figure, whichever way it is written. */
export const plainFractions = (text: string): string =>
  text
    .replaceAll(
      /(\d)?\s?([½¼¾⅓⅔])/g,
      (_, whole: string | undefined, part: string) => `${whole === undefined ? '' : `${whole}-`}${vulgar[part] ?? ''}`,
    )
    .replaceAll(/(\d)\s(\d\/\d)(?!\d)/g, '$1-$2');

/**
 * Reads a number as people write it: `1465`, `0,85`, `1 465`, `1'465.5`, `1,234.5`, `1.234,5`, `7 1/2`, `7-1/2`, `-10`.
 * A lone comma before exactly three digits could mean either thing and is refused rather than guessed; after a lone zero
 * it can only be a decimal comma.
 */
export function parseNumber(text: string): Parsed<number> {
  const clean = plainFractions(text.replace(SPACES, ' ').replaceAll('−', '-').trim());
  if (clean === '') return no('Nothing was typed. Type a number.');

  const fraction = /^(?:(\d+)[\s-]+)?(\d+)\s*\/\s*(\d+)$/.exec(clean);
  if (fraction) {
    const [, whole = '0', over = '0', under = '0'] = fraction;
    if (Number(under) === 0) return no(`“${text}” divides by zero.`);
    return ok(Number(whole) + Number(over) / Number(under));
  }

  if (/^[+-]?[1-9]\d{0,2},\d{3}$/.test(clean))
    return no(`“${text}” could be read two ways. Write ${clean.replace(',', '')} or ${clean.replace(',', '.')}.`);

  const plain = withoutGrouping(clean);
  if (plain === undefined || !/^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d{1,2})?$/i.test(plain))
    return no(`“${text}” is not a number. Write it like 1465 or 0.85.`);
  const value = Number(plain);
  return Number.isFinite(value) ? ok(value) : no(`“${text}” is too large.`);
}

function withoutGrouping(text: string): string | undefined {
  if (/^[+-]?\d{1,3}([ '’]\d{3})+([.,]\d+)?$/.test(text)) return text.replaceAll(/[ '’]/g, '').replace(',', '.');
  if (/^[+-]?\d{1,3}(,\d{3})+\.\d+$/.test(text) || /^[+-]?\d{1,3}(,\d{3}){2,}$/.test(text))
    return text.replaceAll(',', '');
  if (/^[+-]?\d{1,3}(\.\d{3})+,\d+$/.test(text)) return text.replaceAll('.', '').replace(',', '.');
  if (/^[+-]?\d*,\d+$/.test(text)) return text.replace(',', '.');
  return text.includes(' ') ? undefined : text;
}

const FRACTION = /^(?:\d+[\s-]+)?\d+\s*\/\s*\d+(?![\d.,])/;
const PLAIN = /^[+\-−]?[\d.,'’\s]*(?:(?<=\d)e[+-]?\d{1,2}(?![a-z\d]))?/i;
/** Units that themselves begin with a figure. */
const RECIPROCAL = /\s*1\s*\/\s*(?:min|s)$/i;

/** Splits `15 hp` into number and unit text. An inch or foot mark right after the figure belongs to the unit. */
function split(text: string): { number: string; unit: string } {
  const clean = plainFractions(text.replace(SPACES, ' ').trim());
  const reciprocal = RECIPROCAL.exec(clean)?.[0];
  if (reciprocal !== undefined) return { number: clean.slice(0, -reciprocal.length), unit: reciprocal.trim() };
  const number = (FRACTION.exec(clean) ?? PLAIN.exec(clean))?.[0] ?? '';
  const mark = /['’]\s*$/.exec(number)?.[0] ?? '';
  return { number: number.slice(0, number.length - mark.length), unit: (mark + clean.slice(number.length)).trim() };
}

function readUnit(dimension: Dimension, name: string, school: StandardsSystem): Parsed<Unit> {
  if (name === '') return ok(shownUnit(dimension, school));
  const unit = findUnit(dimension, name);
  if (unit) return ok(unit);
  const shown = name.length > 20 ? `${name.slice(0, 20)}…` : name;
  const accepted = acceptedUnits(dimension);
  return no(
    accepted === ''
      ? `“${shown}” does not belong here: this is a plain number without a unit.`
      : `Unit “${shown}” is not known here. Accepted: ${accepted}.`,
  );
}

/** The units a field accepts, for messages and hints, for example `kW, hp, W, MW, PS`. */
export function acceptedUnits(dimension: Dimension): string {
  return dimensions[dimension].units
    .map((unit) => unit.names[0])
    .filter((name) => name !== '')
    .join(', ');
}

/** A bare share above 1.5 is taken as percent: 93 and 93 % and 0.93 are the same efficiency. */
function toSi(number: number, unit: Unit, dimension: Dimension, bare: boolean): number {
  if (bare && (dimension === 'fraction' || dimension === 'powerFactor'))
    return Math.abs(number) <= 1.5 ? number : number / 100;
  return number * unit.factor + (unit.offset ?? 0);
}

const CLOCK = /^(\d{1,2})(?:[:.](\d{2}))?\s*([ap]m)?$/i;

/** `06:30`, `6`, `6:30 pm`, `24:00`: a time of day. */
function parseTimeOfDay(text: string): Parsed<Reading> {
  const [, hours = '', minutes = '0', half = ''] = CLOCK.exec(text.replace(SPACES, ' ').trim()) ?? [];
  const hour = half === '' ? Number(hours) : (Number(hours) % 12) + (/p/i.test(half) ? 12 : 0);
  const wrong = hours === '' || Number(minutes) >= 60 || (half !== '' && (Number(hours) < 1 || Number(hours) > 12));
  if (wrong) return no(`“${text.trim().slice(0, 40)}” is no time of day. Write it like 06:30.`);
  return ok({ si: hour * HOUR + Number(minutes) * MINUTE, unit: shownUnit('timeOfDay', 'IEC') });
}

/** Reads one quantity such as `15 hp`, `0,85`, `104 °F`. A bare number takes the school's unit. */
export function parseQuantity(text: string, dimension: Dimension, school: StandardsSystem): Parsed<Reading> {
  if (dimension === 'timeOfDay') return parseTimeOfDay(text);
  const parts = split(text);
  if (parts.number.trim() === '' && parts.unit !== '') {
    return no(`“${text.trim().slice(0, 40)}” has no number. Write it like ${example(dimension, school)}.`);
  }
  const number = parseNumber(parts.number);
  if (!number.ok) return number;
  const unit = readUnit(dimension, parts.unit, school);
  if (!unit.ok) return unit;
  return ok({ si: toSi(number.value, unit.value, dimension, parts.unit === ''), unit: unit.value });
}

/** A plate writes small powers as 1/2 or 7-1/2; that is one figure, not two ratings. */
const MIXED_FRACTION = /^(\d+[\s-])?[1-3]\/[2348]$/;

/**
 * Reads what a plate prints side by side: `208-230/460 V` gives groups [[208, 230], [460]].
 * A slash separates connections or ratings, a hyphen spans a range within one.
 */
export function parseGroups(
  text: string,
  dimension: Dimension,
  school: StandardsSystem,
): Parsed<readonly (readonly Reading[])[]> {
  const { list, unit: name } = splitList(text);
  const unit = readUnit(dimension, name, school);
  if (!unit.ok) return unit;
  if (dimension === 'power' && MIXED_FRACTION.test(list.trim())) {
    const number = parseNumber(list);
    return number.ok
      ? ok([[{ si: toSi(number.value, unit.value, dimension, name === ''), unit: unit.value }]])
      : number;
  }
  const groups: Reading[][] = [];
  for (const groupText of list.split('/')) {
    const group: Reading[] = [];
    for (const part of groupText.split(/[-–]/)) {
      const number = parseNumber(part);
      if (!number.ok) {
        return part.trim() === '' && list.trim() !== ''
          ? no(`“${text.trim().slice(0, 40)}” has an empty place. Write it like 208-230/460.`)
          : number;
      }
      group.push({ si: toSi(number.value, unit.value, dimension, name === ''), unit: unit.value });
    }
    groups.push(group);
  }
  return ok(groups);
}

function splitList(text: string): { list: string; unit: string } {
  const match = /^([\d.,\s'’/–-]*)(.*)$/s.exec(plainFractions(text.replace(SPACES, ' ').trim()));
  return { list: match?.[1] ?? '', unit: (match?.[2] ?? '').trim() };
}

function example(dimension: Dimension, school: StandardsSystem): string {
  const unit = dimensions[dimension].shown[school];
  return unit === '' ? '12' : `12 ${unit}`;
}
