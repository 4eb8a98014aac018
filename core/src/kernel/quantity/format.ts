import { HOUR, MINUTE, YEAR } from '../constants.ts';
import { memoize } from '../memoize.ts';
import { dimensions, findUnit, shownUnit, type Dimension, type StandardsSystem, type Unit } from './units.ts';

const NO_BREAK_SPACE = '\u00a0';

/** Rounds to `digits` significant figures, never dropping digits left of the point, with spaced thousands from 10 000. */
export function formatNumber(value: number, digits = 3): string {
  if (!Number.isFinite(value)) return '–';
  if (value === 0) return '0';
  const magnitude = Math.floor(Math.log10(Math.abs(value)));
  const decimals = Math.max(0, Math.min(6, digits - 1 - magnitude));
  const fixed = value.toFixed(decimals);
  const text =
    magnitude < 4 ? fixed : fixed.replace(/^-?\d+/, (whole) => whole.replaceAll(/\B(?=(\d{3})+$)/g, NO_BREAK_SPACE));
  return value < 0 ? text.replace('-', '−') : text;
}

const digitsOf: Partial<Record<Dimension, number>> = { speed: 4, temperature: 2, energy: 4, count: 4, span: 2 };
const digitsBelowOne: Partial<Record<Dimension, number>> = { fraction: 2, span: 2, temperature: 2 };

/** Quantities whose round figures are names rather than measurements: 60 Hz, not 60.0 Hz. */
const nominal: ReadonlySet<Dimension> = new Set([
  'frequency',
  'carrier',
  'riseTime',
  'voltage',
  'count',
  'time',
  'duration',
  'altitude',
  'span',
  'power',
  'sound',
]);

const withUnit = (si: number, dimension: Dimension, unit: Unit): string => {
  const number = (si - (unit.offset ?? 0)) / unit.factor;
  const shown = formatNumber(
    number,
    Math.abs(number) < 1 ? (digitsBelowOne[dimension] ?? 3) : (digitsOf[dimension] ?? 3),
  );
  const text = nominal.has(dimension) && shown.includes('.') ? shown.replace(/\.?0+$/, '') : shown;
  const name = unit.names[0] ?? '';
  return name === '' ? text : `${text}${NO_BREAK_SPACE}${name}`;
};

/** Units that take over where the usual one would show too many digits or none that count, each from a value in SI; the largest first. */
const largerUnits: Partial<Record<Dimension, readonly (readonly [from: number, unit: Unit])[]>> = {
  energy: [[3.6e10, { names: ['MWh'], factor: 3.6e9 }]],
  // As fault levels are spoken of.
  current: [[10_000, { names: ['kA'], factor: 1000 }]],
  apparentPower: [[1e7, { names: ['MVA'], factor: 1e6 }]],
  span: [
    [0.1 * YEAR, { names: ['years'], factor: YEAR }],
    [0, { names: ['days'], factor: 24 * HOUR }],
  ],
  duration: [
    [10_800, { names: ['h'], factor: 3600 }],
    [600, { names: ['min'], factor: 60 }],
  ],
};

/** `06:30` */
function timeOfDay(seconds: number): string {
  const minutes = Math.round(seconds / MINUTE);
  const two = (value: number): string => String(value).padStart(2, '0');
  return `${two(Math.floor(minutes / 60))}:${two(minutes % 60)}`;
}

/** Shows an SI value in the school's unit: 11186 W is `15.0 hp` under NEMA and `11.2 kW` under IEC. */
export function formatQuantity(si: number, dimension: Dimension, school: StandardsSystem): string {
  if (dimension === 'timeOfDay') return timeOfDay(si);
  const larger = largerUnits[dimension]?.find(([from]) => Math.abs(si) >= from);
  return withUnit(si, dimension, larger?.[1] ?? shownUnit(dimension, school));
}

/** The same value in the other unit system, or undefined where both schools use one unit. */
export function formatOther(si: number, dimension: Dimension, from: Unit): string | undefined {
  const other = otherUnit(dimension, from);
  return other && withUnit(si, dimension, other);
}

const counterparts: Readonly<Record<string, string>> = {
  kW: 'hp',
  hp: 'kW',
  W: 'hp',
  MW: 'hp',
  PS: 'kW',
  'N·m': 'lb·ft',
  'kN·m': 'lb·ft',
  'lb·ft': 'N·m',
  'lb·in': 'N·m',
  'kgf·m': 'N·m',
  mm: 'in',
  cm: 'in',
  m: 'ft',
  km: 'ft',
  in: 'mm',
  ft: 'm',
  N: 'lbf',
  kN: 'lbf',
  'kg·m²': 'lb·ft²',
  'lb·ft²': 'kg·m²',
  't/h': 'ton/h',
  'ton/h': 't/h',
  gal: 'm³',
  'm³': 'gal',
  'kWh/t': 'kWh/ton',
  'kWh/ton': 'kWh/t',
  kg: 'lb',
  lb: 'kg',
  lbf: 'N',
  kgf: 'N',
  '°C': '°F',
  '°F': '°C',
  K: '°C',
  'rad/s': 'r/min',
};

const others = new Map<Unit, Unit | undefined>();

function otherUnit(dimension: Dimension, from: Unit): Unit | undefined {
  if (others.has(from)) return others.get(from);
  const name = counterparts[from.names[0] ?? ''];
  const unit = name === undefined ? undefined : findUnit(dimension, name);
  others.set(from, unit);
  return unit;
}

interface Shown {
  readonly text: string;
  readonly other: string | undefined;
}
const REMEMBERED = 2000;
const shown: Readonly<Record<StandardsSystem, Partial<Record<Dimension, Map<number, Shown>>>>> = { NEMA: {}, IEC: {} };

/** A value as a school shows it and in the other system; remembered, since most keystrokes leave most values as they were. */
export function showQuantity(si: number, dimension: Dimension, school: StandardsSystem): Shown {
  const known = (shown[school][dimension] ??= new Map<number, Shown>());
  return memoize(known, REMEMBERED, si, () => ({
    text: formatQuantity(si, dimension, school),
    other: formatOther(si, dimension, shownUnit(dimension, school)),
  }));
}

export const siUnit = (dimension: Dimension): string => dimensions[dimension].si;
