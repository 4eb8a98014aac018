import type { JobInput } from '../job.ts';

type PlateFields = NonNullable<JobInput['nameplate']>;

/** What was read off a plate’s text, and the words that meant nothing to the reader. */
export interface PlateReading {
  readonly fields: PlateFields;
  readonly ignored: readonly string[];
  readonly school: 'NEMA' | 'IEC';
}

type Unit = 'hp' | 'kW' | 'V' | 'A' | 'r/min' | 'Hz' | 'phases' | '%' | '°C';
/** Labels always stand before their value; units before or after it, by the layout of the plate. */
type Label =
  | 'serviceFactor'
  | 'codeLetter'
  | 'designLetter'
  | 'frame'
  | 'efficiency'
  | 'powerFactor'
  | 'thermalClass'
  | 'ambient'
  | 'enclosure'
  | 'duty'
  | 'startingCurrentRatio'
  | 'skip';

type Token =
  | { readonly kind: 'number'; readonly text: string }
  | { readonly kind: 'unit'; readonly unit: Unit; readonly text: string }
  | { readonly kind: 'label'; readonly label: Label; readonly text: string }
  | { readonly kind: 'word'; readonly text: string };

const END = String.raw`(?![a-zα-ω])`;
const rule = (pattern: string): RegExp => new RegExp(`(?:${pattern})${END}`, 'iyu');

const labels: readonly (readonly [Label, RegExp])[] = [
  [
    'skip',
    rule(String.raw`s\.?f\.?a\.?|s/n|ser(?:ial)?\.?(?: ?no\.?)?|cat(?:alog)?\.?(?: ?no\.?)?|model(?: ?no\.?)?|type`),
  ],
  ['serviceFactor', rule(String.raw`s\.?\s?f\.?|service\s+factor|serv\.?\s*fact(?:or)?\.?`)],
  ['codeLetter', rule(String.raw`(?:kva\s*[/-]?\s*)?code(?:\s+letter)?|kva\s+code`)],
  ['designLetter', rule(String.raw`(?:nema\s+)?des(?:ign)?\.?(?:\s+letter)?`)],
  ['frame', rule(String.raw`fr(?:ame)?\.?(?:\s+size)?`)],
  ['efficiency', rule(String.raw`(?:nema\s+)?(?:nom(?:inal)?\.?\s*)?eff(?:iciency)?\.?|η`)],
  ['powerFactor', rule(String.raw`p\.?\s?f\.?|power\s+factor|cos\s*\.?\s*(?:φ|ϕ|phi)?`)],
  ['startingCurrentRatio', rule(String.raw`i(?:st|a|s)\s*/\s*i[n]`)],
  [
    'thermalClass',
    rule(
      String.raw`ins(?:ul(?:ation)?)?\.?\s*(?:cl(?:ass)?\.?)?|th(?:erm(?:al)?)?\.?\s*cl(?:ass)?\.?|iso\.?\s*(?:kl|cl)\.?`,
    ),
  ],
  ['ambient', rule(String.raw`(?:max\.?\s*)?amb(?:ient)?\.?(?:\s*temp\.?)?|t\s?amb`)],
  ['enclosure', rule(String.raw`encl?(?:osure)?\.?`)],
  ['duty', rule(String.raw`duty|time\s+rating`)],
];

const units: readonly (readonly [Unit, RegExp])[] = [
  ['hp', rule(String.raw`h\.?p\.?|horsepower`)],
  ['kW', rule(String.raw`kw`)],
  ['r/min', rule(String.raw`(?:f\.?l\.?\s*)?r\.?p\.?m\.?|r/min|rev/min|tr/min|u/min|min\s*(?:-1|⁻¹|\^-1)|1/min|speed`)],
  ['Hz', rule(String.raw`hz|hertz|cycles?|cyc\.?`)],
  ['phases', rule(String.raw`ph(?:ases?)?\.?|~`)],
  ['V', rule(String.raw`v(?:olts?|ac)?\.?`)],
  ['A', rule(String.raw`f\.?l\.?a\.?|a(?:mp(?:s|eres?)?)?\.?`)],
  ['°C', rule(String.raw`°\s?c|deg\.?\s?c|c`)],
  ['%', /%/y],
];

const NUMBER = /\d+(?:[.,]\d+)*(?:\s?[-/]\s?\d+(?:[.,]\d+)*)*(?![\dA-Za-z]*[A-Z]{1,2}\d)/y;
const FRAME =
  /\d{2,3}(?:\/\d{1,3})?(?:T|U)(?:S|C|SC|CZ|Z|D|Y)?(?![a-z\d])|(?:42|48|56)(?:CZ?|HC?|J|Y|Z)(?![a-z\d])|(?:63|71|80|90|100|112|132|160|180|200|225|250|280|315|355)[SML](?![a-z\d])/iy;
const WORD = /[^\s,;:|]+/y;
const GAP = /[\s,;:|=()[\]]+/y;

const take = (pattern: RegExp, text: string, at: number): string | undefined => {
  pattern.lastIndex = at;
  return pattern.exec(text)?.[0];
};

function tokens(line: string): Token[] {
  const out: Token[] = [];
  let at = 0;
  while (at < line.length) {
    const gap = take(GAP, line, at);
    if (gap) {
      at += gap.length;
      continue;
    }
    const token = nextToken(line, at);
    out.push(token);
    at += token.text.length;
  }
  return out;
}

function nextToken(line: string, at: number): Token {
  const code = take(
    /ip\s?\d\d\w?(?!\w)|ie\s?[1-5](?!\w)|s[1-9](?!\w)|cont(?:inuous|\.)?(?!\w)|te(?:fc|nv|ao|bc|xp)(?!\w)|odp(?!\w)/iy,
    line,
    at,
  );
  if (code) return { kind: 'word', text: code };
  const frame = take(FRAME, line, at);
  if (frame) return { kind: 'word', text: frame };
  for (const [label, pattern] of labels) {
    const text = take(pattern, line, at);
    if (text) return { kind: 'label', label, text };
  }
  for (const [unit, pattern] of units) {
    const text = take(pattern, line, at);
    if (text) return { kind: 'unit', unit, text };
  }
  const number = take(NUMBER, line, at);
  if (number) return { kind: 'number', text: number };
  return { kind: 'word', text: take(WORD, line, at) ?? line.slice(at, at + 1) };
}

/**
 * Reads a nameplate written as text, in any order, with labels before the figures (`HP 15 RPM 1770`) or units after
 * them (`11 kW 1465 min⁻¹`), decimal points or commas. What it does not know is handed back, never dropped.
 */
export function readPlate(text: string): PlateReading {
  const fields: Record<string, string> = {};
  const ignored: string[] = [];
  const put = (name: string, value: string): void => {
    if (fields[name] === undefined) fields[name] = value;
    else ignored.push(value);
  };
  for (const line of text.slice(0, 5000).split(/\r?\n/)) readLine(tokens(line), put, (word) => ignored.push(word));
  const school =
    fields['power']?.endsWith('hp') || (!fields['power'] && !/\b50\b/.test(fields['frequency'] ?? '')) ? 'NEMA' : 'IEC';
  return { fields: { asRead: text.slice(0, 5000), ...fields }, ignored, school };
}

type Put = (name: string, value: string) => void;

function readLine(list: readonly Token[], put: Put, ignore: (word: string) => void): void {
  const used = new Set<number>();
  const valueAt = (at: number): string | undefined => {
    const token = list[at];
    return token?.kind === 'number' && !used.has(at) ? token.text : undefined;
  };
  const firstUnit = list.findIndex((token) => token.kind === 'unit' && token.unit !== '%' && token.unit !== '°C');
  const valueFirst = valueAt(firstUnit - 1) !== undefined && !isLabelled(list, firstUnit - 1);

  list.forEach((token, at) => {
    if (token.kind === 'label') readLabel(token.label, at);
  });
  list.forEach((token, at) => {
    if (token.kind === 'unit' && !used.has(at)) readUnit(token.unit, at);
  });
  list.forEach((token, at) => {
    if (used.has(at)) return;
    if (token.kind === 'word' && readWord(token.text)) return;
    if (token.kind === 'word' || token.kind === 'number') ignore(token.text);
  });

  function claim(at: number): string {
    used.add(at);
    return list[at]?.text ?? '';
  }

  function readLabel(label: Label, at: number): void {
    used.add(at);
    const next = list[at + 1];
    if (!next || used.has(at + 1)) return;
    const wantsNumber = ['serviceFactor', 'efficiency', 'powerFactor', 'ambient', 'startingCurrentRatio'].includes(
      label,
    );
    if (wantsNumber !== (next.kind === 'number') && !(label === 'frame' || label === 'skip')) return;
    const value = claim(at + 1);
    if (label === 'skip') return void ignore(`${list[at]?.text ?? ''} ${value}`);
    const after = list[at + 2];
    if (wantsNumber && after?.kind === 'unit' && (after.unit === '%' || after.unit === '°C')) used.add(at + 2);
    put(
      label,
      label === 'ambient' ? `${value} °C` : label === 'frame' && /^\d+$/.test(value) ? value + tail(at + 2) : value,
    );
  }

  /** A frame may be broken into number and letters: `254 T`. */
  function tail(at: number): string {
    const next = list[at];
    return next?.kind === 'word' && /^[TU][A-Z]{0,3}$/.test(next.text) ? claim(at) : '';
  }

  function readUnit(unit: Unit, at: number): void {
    used.add(at);
    const sides = valueFirst ? [at - 1, at + 1] : [at + 1, at - 1];
    const side = sides.find((each) => valueAt(each) !== undefined);
    if (side === undefined) return;
    const value = claim(side);
    switch (unit) {
      case 'hp':
      case 'kW':
        return void put('power', `${value} ${unit}`);
      case 'V':
        return void put('voltages', `${value} V`);
      case 'A':
        return void put('currents', `${value} A`);
      case 'r/min':
        return void put('speed', `${value.replaceAll(/(\d),(\d{3})(?!\d)/g, '$1$2')} r/min`);
      case 'Hz':
        return void put('frequency', `${value} Hz`);
      case '°C':
        return void put('ambient', `${value} °C`);
      case '%':
        return void put('efficiency', `${value} %`);
      case 'phases':
        return value === '3' ? undefined : void ignore(`${value} phase`);
    }
  }

  function readWord(word: string): boolean {
    if (/^(IP\s?\d\d\w?|TE(FC|NV|AO|BC|XP)|ODP)$/i.test(word)) put('enclosure', word.toUpperCase());
    else if (/^(S\d|CONT)/i.test(word)) put('duty', word.toUpperCase().replace(/\.$/, ''));
    else if (/^\d{2,3}(\/\d{1,3})?[TUSMLCHJYZ]/i.test(word)) put('frame', word.toUpperCase());
    else return /^(IE\s?\d|[ΔYDλ△⅄*]+(\/[ΔYDλ△⅄*]+)?)$/i.test(word);
    return true;
  }
}

/** Whether a number already belongs to a label before it: in `SF 1.15 V 230` the 1.15 is not the volts. */
const isLabelled = (list: readonly Token[], at: number): boolean => list[at - 1]?.kind === 'label';
