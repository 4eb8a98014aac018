import { formatNumber, formatQuantity, showQuantity, siUnit } from '../ground/quantity/format.ts';
import type { Dimension, School } from '../ground/quantity/units.ts';
import type { Amount, Figures, Phrase, Series, Text } from '../ground/text.ts';
import type { Origin, ShownWorking, Value, Working } from '../ground/value.ts';

/** Whose units and terms are shown, and in whose words: a template is looked up by the words it has in English. */
export interface Locale {
  readonly units: School;
  /** The words of a template in another language; a second one is such a function and nothing else. */
  readonly words?: (words: readonly string[]) => readonly string[];
}

/** A value as screens, papers and files show it. */
export interface ShownValue<T extends number | string = number | string> {
  readonly value: T;
  readonly unit: string;
  readonly text: string;
  readonly other?: string;
  readonly origin: Origin;
  readonly working: ShownWorking;
}

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
  if ('si' in text) return formatQuantity(text.si, text.of, locale.units);
  if ('number' in text) return formatNumber(text.number, text.digits);
  if ('series' in text) return text.series.map((each) => textIn(each, locale)).join(text.between);
  const words = locale.words?.(text.words) ?? text.words;
  let out = words[0] ?? '';
  for (let at = 0; at < text.put.length; at++) out += textIn(text.put[at] ?? '', locale) + (words[at + 1] ?? '');
  return out;
}

const isText = (thing: object): thing is Amount | Figures | Phrase | Series =>
  ('si' in thing && 'of' in thing) ||
  ('number' in thing && 'digits' in thing) ||
  ('words' in thing && 'put' in thing) ||
  ('series' in thing && 'between' in thing);

const isValue = (thing: object): thing is Value | Value<Text> =>
  'value' in thing && 'origin' in thing && 'working' in thing;

const amountOf = (value: number | Text, of: Dimension | undefined, locale: Locale): string =>
  typeof value === 'number' ? formatQuantity(value, of ?? 'count', locale.units) : textIn(value, locale);

function workingIn({ formula, inputs, source, note }: Working, locale: Locale): ShownWorking {
  const shown = {
    formula,
    inputs: inputs.map(({ symbol, value, of, origin }) => ({ symbol, text: amountOf(value, of, locale), origin })),
    source: textIn(source, locale),
  };
  return note === undefined ? shown : { ...shown, note: textIn(note, locale) };
}

function valueIn({ value, of, origin, working }: Value | Value<Text>, locale: Locale): ShownValue {
  const how = { origin, working: workingIn(working, locale) };
  if (typeof value !== 'number') {
    const text = textIn(value, locale);
    return { value: text, unit: '', text, ...how };
  }
  const dimension = of ?? 'count';
  const { text, other } = showQuantity(value, dimension, locale.units);
  const shown = { value, unit: siUnit(dimension), text };
  return other === undefined ? { ...shown, ...how } : { ...shown, other, ...how };
}

/** What of a result holds no text, so that it need not be looked through again; results are never changed once made. */
const plain = new WeakSet<object>();
/** What was presented before; the same motors, rules and plates come again with every keystroke. */
const known: Readonly<Record<School, WeakMap<object, unknown>>> = { NEMA: new WeakMap(), IEC: new WeakMap() };

/** Everything in a result as it is shown. What holds no text stays the object it was; getters are read when asked for. */
export const present = <T>(thing: T, locale: Locale): Shown<T> => presented(thing, locale) as Shown<T>;

function presented(thing: unknown, locale: Locale): unknown {
  if (typeof thing !== 'object' || thing === null || ArrayBuffer.isView(thing) || plain.has(thing)) return thing;
  if (isText(thing)) return textIn(thing, locale);
  const memory = locale.words ? undefined : known[locale.units];
  const before = memory?.get(thing);
  if (before !== undefined) return before;
  const fresh = isValue(thing)
    ? valueIn(thing, locale)
    : Array.isArray(thing)
      ? listIn(thing, locale)
      : recordIn(thing as Readonly<Record<string, unknown>>, locale);
  if (fresh === thing) plain.add(thing);
  else memory?.set(thing, fresh);
  return fresh;
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
  const late = Object.values(Object.getOwnPropertyDescriptors(record)).some((property) => property.get !== undefined);
  if (late) return lateRecordIn(record, locale);
  let fresh: Record<string, unknown> | undefined;
  for (const name in record) {
    const shown = presented(record[name], locale);
    if (shown !== record[name]) (fresh ??= { ...record })[name] = shown;
  }
  return fresh ?? record;
}

/** A record some of whose parts are worked out when they are asked for. */
function lateRecordIn(record: Readonly<Record<string, unknown>>, locale: Locale): Record<string, unknown> {
  const fresh: Record<string, unknown> = {};
  for (const name of Object.keys(record)) {
    Object.defineProperty(fresh, name, { enumerable: true, get: () => presented(record[name], locale) });
  }
  return fresh;
}
