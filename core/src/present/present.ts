import { formatNumber, showQuantity, siUnit } from '../kernel/quantity/format.ts';
import type { Dimension, StandardsSystem } from '../kernel/quantity/units.ts';
import { isLate, late } from '../kernel/memoize.ts';
import { Amount, Figures, Series, Unspoken, type Text } from '../kernel/text.ts';
import type { Evidence, Origin, ShownDerivation, Value, Derivation } from '../kernel/value.ts';

/** Whose units and terms are shown, and in whose words: a template is looked up by the words it has in English. */
export interface Locale {
  readonly units: StandardsSystem;
  /** The words of a template in another language; a second one is such a function and nothing else. */
  readonly words?: (words: readonly string[]) => readonly string[];
  /** Leaves workings out: a screen asks for them one by one. */
  readonly bare?: true;
}

/** A value as screens, papers and files show it. */
export interface ShownValue<T extends number | string = number> {
  readonly value: T;
  readonly unit: string;
  readonly text: string;
  readonly other?: string;
  readonly origin: Origin;
  readonly evidence?: Evidence;
  readonly assumes?: readonly string[];
  readonly working: ShownDerivation;
}

export type AnyShownValue = ShownValue | ShownValue<string>;

/** What the engine says, with every text in words. */
export type Shown<T> = T extends Text
  ? T extends string
    ? T
    : string
  : T extends Value<infer Of>
    ? ShownValue<Of extends number ? number : string>
    : T extends number | boolean | null | undefined | ArrayBufferView | ((...of: never[]) => unknown)
      ? T
      : T extends object
        ? { [Name in keyof T]: Shown<T[Name]> }
        : T;

/** The words of a text, in the units of a system of standards. */
export function textIn(text: Text, locale: Locale): string {
  if (typeof text === 'string') return text;
  if (text instanceof Amount) return showQuantity(text.si, text.of, locale.units).text;
  if (text instanceof Figures) return formatNumber(text.number, text.digits);
  if (text instanceof Series) return text.series.map((each) => textIn(each, locale)).join(text.between);
  const words = locale.words?.(text.words) ?? text.words;
  let out = words[0] ?? '';
  for (let at = 0; at < text.put.length; at++) out += textIn(text.put[at] ?? '', locale) + (words[at + 1] ?? '');
  return out;
}

const isValue = (thing: object): thing is Value | Value<Text> => 'working' in thing && 'origin' in thing;

const amountOf = (value: number | Text, of: Dimension | undefined, locale: Locale): string =>
  typeof value === 'number' ? showQuantity(value, of ?? 'count', locale.units).text : textIn(value, locale);

const NO_WORKING: ShownDerivation = { formula: '', inputs: [], source: '' };

function workingIn({ formula, inputs, source, note }: Derivation, locale: Locale): ShownDerivation {
  if (locale.bare) return NO_WORKING;
  const shown = {
    formula,
    inputs: inputs.map(({ symbol, value, of, origin }) => ({ symbol, text: amountOf(value, of, locale), origin })),
    source: textIn(source, locale),
  };
  return note === undefined ? shown : { ...shown, note: textIn(note, locale) };
}

function valueIn(
  { value, of, origin, evidence, assumes, working }: Value | Value<Text>,
  locale: Locale,
): AnyShownValue {
  const how = {
    origin,
    ...(evidence && { evidence }),
    ...(assumes && { assumes }),
    working: workingIn(working, locale),
  };
  if (typeof value !== 'number') {
    const text = textIn(value, locale);
    return { value: text, unit: '', text, ...how };
  }
  const dimension = of ?? 'count';
  const { text, other } = showQuantity(value, dimension, locale.units);
  const shown = { value, unit: siUnit(dimension), text };
  return other === undefined ? { ...shown, ...how } : { ...shown, other, ...how };
}

/** Values that were shown before: an option’s are the solution’s, and rules and typed figures come again with every keystroke. */
const known: Readonly<Record<StandardsSystem, WeakMap<object, AnyShownValue>>> = {
  NEMA: new WeakMap(),
  IEC: new WeakMap(),
};

function knownValueIn(value: Value | Value<Text>, locale: Locale): AnyShownValue {
  if (locale.words || locale.bare) return valueIn(value, locale);
  const memory = known[locale.units];
  const before = memory.get(value);
  if (before) return before;
  const shown = valueIn(value, locale);
  memory.set(value, shown);
  return shown;
}

/** Everything in a result as it is shown. What holds no text stays the object it was; getters are read when asked for. */
export const present = <T>(thing: T, locale: Locale): Shown<T> => presented(thing, locale) as Shown<T>;

function presented(thing: unknown, locale: Locale): unknown {
  if (typeof thing !== 'object' || thing === null || ArrayBuffer.isView(thing)) return thing;
  if (Array.isArray(thing)) return listIn(thing, locale);
  if (thing instanceof Unspoken) return textIn(thing as Exclude<Text, string>, locale);
  if (isValue(thing)) return knownValueIn(thing, locale);
  return recordIn(thing as Readonly<Record<string, unknown>>, locale);
}

function listIn(list: readonly unknown[], locale: Locale): readonly unknown[] {
  if (typeof list[0] === 'number') return list;
  let fresh: unknown[] | undefined;
  for (let at = 0; at < list.length; at++) {
    const shown = presented(list[at], locale);
    if (shown !== list[at]) (fresh ??= [...list])[at] = shown;
  }
  return fresh ?? list;
}

function recordIn(record: Readonly<Record<string, unknown>>, locale: Locale): Readonly<Record<string, unknown>> {
  if (isLate(record)) return lateRecordIn(record, locale);
  let fresh: Record<string, unknown> | undefined;
  for (const name in record) {
    const shown = presented(record[name], locale);
    if (shown !== record[name]) (fresh ??= { ...record })[name] = shown;
  }
  return fresh ?? record;
}

/** A record some of whose parts are worked out when they are asked for. */
function lateRecordIn(record: Readonly<Record<string, unknown>>, locale: Locale): Record<string, unknown> {
  const fresh = late<Record<string, unknown>>({});
  for (const name of Object.keys(record)) {
    Object.defineProperty(fresh, name, { enumerable: true, get: () => presented(record[name], locale) });
  }
  return fresh;
}
