import type { Field, Fields, FieldSpec } from '../../../kernel/field.ts';
import { checkField } from '../../../kernel/read-field.ts';
import { fields as declared } from '../fields.ts';
import { parseGroups } from '../../../kernel/quantity/parse.ts';
import type { StandardsSystem } from '../../../kernel/quantity/units.ts';
import { linesOf, ratingSets, type Line, type RatingRow } from './rating-rows.ts';
import { schoolOf } from './school.ts';
import { scan, type Scanned } from './scan.ts';
import { alternates, type Label, type PlateField, type PlateFields, type Unit } from './vocabulary.ts';

export type TokenState = 'understood' | 'doubtful' | 'ignored';

/** One word of the plate as read: what it was taken for, and how surely. */
export interface PlateToken {
  readonly text: string;
  readonly from: number;
  readonly to: number;
  readonly state: TokenState;
  readonly field?: PlateField;
  /** Why it is in doubt. */
  readonly note?: string;
}

/** A figure or a word of power, volts, amps, speed, hertz or phases that was not believed or not understood. */
export interface PlateDoubt {
  readonly text: string;
  /** The field it would have gone to, where that is known. */
  readonly field?: PlateField;
  readonly why: string;
}

/** What was read off a plate’s text. Every word of the text is in `tokens`; the words nobody understood in `ignored`. */
export interface PlateReading {
  readonly fields: PlateFields;
  readonly tokens: readonly PlateToken[];
  readonly ignored: readonly string[];
  /** What was read but is not in `fields`, and why. */
  readonly doubts: readonly PlateDoubt[];
  readonly school: StandardsSystem;
}

const MOST = 5000;

const unitFields: Readonly<Record<Unit, PlateField>> = {
  hp: 'power',
  kW: 'power',
  V: 'voltages',
  A: 'currents',
  'r/min': 'speed',
  Hz: 'frequency',
  phases: 'phases',
  poles: 'poles',
  '%': 'efficiency',
  '°C': 'ambient',
  kg: 'mass',
  lb: 'mass',
};

/** Units whose words must never be left unread in silence. */
const MATTERS: readonly Unit[] = ['hp', 'kW', 'V', 'A', 'r/min', 'Hz', 'phases'];

const VOLTS_AMPS: readonly (Unit | undefined)[] = ['V', 'A'];

/** Voltages that stand on plates; a bare figure that is one of them probably is the voltage. */
const PLATE_VOLTAGES = /^(?:200|208|220|230|240|380|400|415|440|460|480|500|525|575|600|660|690)(?:[-/](?:\d{3}))*$/;

/**
 * Reads a nameplate written as text, in any order, with labels before the figures (`HP 15 RPM 1770`), units after them
 * (`11 kW 1465 min⁻¹`) or both, headings over rows of figures, decimal points or commas, and a second rating set.
 * Understands what it can, marks what it doubts, hands back what it does not know; never drops a word and never throws. A
 * figure that is not believable is shown among the doubts and not written into a field.
 */
export function readPlate(source: string): PlateReading {
  const text = source.slice(0, MOST);
  const reader = new Reader();
  const lines: Scanned[][] = [];
  let offset = 0;
  for (const line of text.split('\n')) {
    lines.push(scan(line.replace(/\r$/, ' '), offset));
    offset += line.length + 1;
  }
  for (const line of linesOf(lines)) reader.readLine(line);
  return reader.finish(text);
}

/** A year somebody may have built the motor in. */
const YEAR = /^(?:19[5-9]\d|20[0-4]\d)$/;

interface Mark {
  readonly state: TokenState;
  readonly field?: PlateField;
  readonly note?: string;
  /** The row the word stands in, where its line is one of several ratings. */
  readonly row?: RatingRow;
}

type Numbered = Extract<Scanned, { kind: 'number' }>;

class Reader {
  readonly fields: Partial<Record<PlateField, string>> = {};
  readonly #marks = new Map<Scanned, Mark>();
  readonly #tokens: Scanned[] = [];
  readonly #rows: RatingRow[] = [];
  readonly #doubts: PlateDoubt[] = [];
  #line: readonly Scanned[] = [];
  #row: RatingRow | undefined;

  readLine({ tokens, ghosts, row }: Line): void {
    this.#tokens.push(...tokens.filter((token) => !ghosts.has(token)));
    this.#row = row;
    if (row) this.#rows.push(row);
    // What says nothing of a figure must not stand between it and its word: `VOLTS AC 460`, `U 3~ 400 V`.
    this.#line = tokens.filter(
      (token) => token.kind !== 'code' || (token.field !== 'nothing' && token.field !== 'phases'),
    );
    for (const token of tokens)
      if (token.kind === 'code' && token.field === 'phases') this.#readPhases(token);
      else if (!this.#line.includes(token)) this.#marks.set(token, { state: 'understood' });
    this.#readBracketed();
    const line = this.#line;
    line.forEach((token, at) => {
      if (token.kind === 'label' && !this.#marks.has(token)) this.#readLabel(token.label, at, this.#valueFirst(at));
    });
    line.forEach((token, at) => {
      if (token.kind === 'unit' && !this.#marks.has(token)) this.#readUnit(token.unit, at, this.#valueFirst(at));
    });
    line.forEach((token) => {
      if (token.kind === 'code' && !this.#marks.has(token)) this.#readCode(token);
      else if (row && token.kind === 'word' && !this.#marks.has(token) && /^[YDλ⅄]{1,2}$/i.test(token.text))
        this.#mark(token, 'connection', this.#put('connection', token.text.toUpperCase()).note);
    });
  }

  finish(asRead: string): PlateReading {
    this.#row = undefined;
    this.#settleRows();
    for (const token of this.#tokens) if (!this.#marks.has(token)) this.#guess(token);
    this.#refuseContradictions();
    const school = schoolOf(this.fields, asRead);
    this.#weigh(school);
    this.#refuseUnbelievable(school);
    this.#noteUnread();
    const tokens = this.#tokens
      .map((token): PlateToken => {
        const { state, field, note } = this.#marks.get(token) ?? { state: 'ignored' };
        return {
          text: token.text,
          from: token.from,
          to: token.to,
          state,
          ...(field ? { field } : {}),
          ...(note === undefined ? {} : { note }),
        };
      })
      .toSorted((a, b) => a.from - b.from);
    return {
      fields: { asRead, ...this.fields },
      tokens,
      ignored: tokens.filter((token) => token.state === 'ignored').map((token) => token.text),
      doubts: this.#doubts,
      school,
    };
  }

  /**
   * Whether figures stand before their units where `at` is: told by the stretch not yet read, up to the next label, where
   * figures and units take turns in it; else by the first unit of the line.
   */
  #valueFirst(at: number): boolean {
    let start = at;
    const isRead = (each: number): boolean => {
      const token = this.#line[each];
      return token?.kind !== 'label' && token !== undefined && this.#marks.has(token);
    };
    while (start > 0 && !isRead(start - 1)) start--;
    let turns = '';
    for (const [ahead, token] of this.#line.slice(start).entries()) {
      if (isRead(start + ahead) || token.kind === 'label') break;
      if (token.kind === 'number') turns += 'n';
      else if (isMeasure(token)) turns += 'u';
    }
    if (/^(?:nu)+$/.test(turns)) return true;
    if (/^(?:un)+$/.test(turns)) return false;
    const first = this.#line.findIndex((token, each) => isMeasure(token) && !this.#isBracketed(each));
    return this.#line[first - 1]?.kind === 'number' && this.#line[first - 2]?.kind !== 'label';
  }

  readonly #bracketed = new Set<Scanned>();
  #isBracketed(at: number): boolean {
    const token = this.#line[at];
    return token !== undefined && this.#bracketed.has(token);
  }

  /** `AMPS 24.8 A`: a figure between two words for the same thing belongs to both. */
  #readBracketed(): void {
    const lineValueFirst = this.#valueFirst(0);
    for (let at = 0; at + 2 < this.#line.length; at++) {
      const [left, number, right] = this.#line.slice(at, at + 3);
      if (left?.kind !== 'unit' || number?.kind !== 'number' || right?.kind !== 'unit') continue;
      if (left.unit !== right.unit || left.unit === '%' || left.unit === '°C') continue;
      // `10 HP 20 HP` are two figures with their units behind.
      const ofTheOneBefore = lineValueFirst && this.#line[at - 1]?.kind === 'number' && !announces(left);
      if (ofTheOneBefore || this.#isBracketed(at)) continue;
      this.#take(right.unit, number, [left, right]);
      for (const token of [left, number, right]) this.#bracketed.add(token);
    }
  }

  #isFree(at: number): boolean {
    const token = this.#line[at];
    return token?.kind === 'number' && !this.#marks.has(token);
  }

  #mark(token: Scanned, field?: PlateField, note?: string): void {
    const smudge = token.kind === 'number' && token.smudged ? `read as ${token.value}` : undefined;
    const doubt = note ?? smudge;
    this.#marks.set(token, {
      state: doubt ? 'doubtful' : 'understood',
      ...(field ? { field } : {}),
      ...(doubt ? { note: doubt } : {}),
      ...(this.#row ? { row: this.#row } : {}),
    });
  }

  #understood(at: number, field?: PlateField, note?: string): void {
    const token = this.#line[at];
    if (token) this.#mark(token, field, note);
  }

  #text(at: number): string {
    const token = this.#line[at];
    return token?.kind === 'number' ? token.value : (token?.text ?? '');
  }

  /** Stores a value; a second, different one goes to the second rating set. Returns the field taken, if any. */
  #put(field: PlateField, value: string): { field?: PlateField; note?: string } {
    const into =
      this.#row && (alternates[field] !== undefined || field === 'connection') ? this.#row.fields : this.fields;
    const known = into[field];
    if (known === undefined) {
      into[field] = value;
      return { field };
    }
    if (same(known, value)) return { field };
    const second = into === this.fields ? alternates[field] : undefined;
    if (second === undefined) {
      this.#doubts.push({ text: value, field, why: `a second value beside ${known}` });
      return { note: `a second value beside ${known}` };
    }
    return this.#put(second, value);
  }

  /** The rows of a table are the plate’s first and second rating set. */
  #settleRows(): void {
    const { first, second, isSecond, isThird } = ratingSets(this.#rows);
    for (const [field, value] of Object.entries({ ...first, ...second })) this.#put(field as PlateField, value);
    for (const [token, mark] of this.#marks) {
      const { row, field } = mark;
      if (!row || !field || alternates[field] === undefined) continue;
      if (isThird(row)) {
        const why = 'of a third frequency, for which there is no place';
        this.#marks.set(token, { state: 'doubtful', note: why });
        if (token.kind === 'number') this.#doubts.push({ text: token.text, why });
      } else if (isSecond(row)) {
        const place = alternates[field];
        this.#marks.set(token, {
          ...mark,
          field: this.fields[place] !== undefined ? place : field,
        });
      }
    }
  }

  /** A second power, voltage or speed without a frequency of its own contradicts the first; the first is kept. */
  #refuseContradictions(): void {
    if (this.fields.altFrequency !== undefined) return;
    for (const [field, second] of Object.entries(alternates) as [PlateField, PlateField][]) {
      const value = this.fields[second];
      if (value === undefined || field === 'frame') continue;
      this.#refuse(second, `${value} contradicts the ${this.fields[field]} that stands there too`, field);
    }
  }

  /** A mass without a unit is in that of the plate’s school. */
  #weigh(school: StandardsSystem): void {
    if (!/^[\d.,]+$/.test(this.fields.mass ?? '')) return;
    const unit = school === 'IEC' ? 'kg' : 'lb';
    this.fields.mass = `${this.fields.mass} ${unit}`;
    for (const [token, mark] of this.#marks)
      if (mark.field === 'mass') this.#marks.set(token, { ...mark, state: 'doubtful', note: `taken as ${unit}` });
  }

  #refuseUnbelievable(school: StandardsSystem): void {
    for (const field of Object.keys(this.fields) as PlateField[]) {
      const spec = specOf(field);
      const value = this.fields[field];
      const wrong = spec && value !== undefined ? checkField(value, spec, school) : undefined;
      if (wrong !== undefined) this.#refuse(field, wrong);
    }
  }

  /** Takes a value out of its field again and shows it as doubted, at the field where a right one would go. */
  #refuse(from: PlateField, why: string, field = from): void {
    const text = this.fields[from] ?? '';
    Reflect.deleteProperty(this.fields, from);
    this.#doubts.push({ text, field, why });
    for (const [token, mark] of this.#marks)
      if (mark.field === from) this.#marks.set(token, { state: 'doubtful', field, note: why });
  }

  /** A figure next to a word that matters, and such a word without a figure, are never dropped in silence. */
  #noteUnread(): void {
    const matters = (token: Scanned | undefined): token is Scanned & { kind: 'unit' } =>
      token?.kind === 'unit' && MATTERS.includes(token.unit);
    for (const [at, token] of this.#tokens.entries()) {
      const mark = this.#marks.get(token);
      const beside = [this.#tokens[at - 1], this.#tokens[at + 1]].find(matters);
      if (token.kind === 'number' && mark === undefined && beside) {
        const why = `stands beside ${beside.text} and was not understood`;
        this.#marks.set(token, { state: 'doubtful', note: why });
        this.#doubts.push({ text: token.text, field: unitFields[beside.unit], why });
      } else if (token.kind === 'word' && mark === undefined && /^(?:power|output|pwr)\b/i.test(token.text)) {
        const why = 'no figure with hp or kW was found for it';
        this.#marks.set(token, { state: 'doubtful', field: 'power', note: why });
        if (this.fields.power === undefined) this.#doubts.push({ text: token.text, field: 'power', why });
      } else if (matters(token) && mark === undefined) {
        const field = unitFields[token.unit];
        const why = 'no figure was found for it';
        this.#marks.set(token, { state: 'doubtful', field, note: why });
        this.#doubts.push({ text: token.text, field, why });
      }
    }
  }

  #readLabel(label: Label, at: number, valueFirst: boolean): void {
    const field = label.field === 'nothing' ? undefined : label.field;
    const next = this.#line[at + 1];
    // `0.80 PF 1.15 SF`: the figure behind belongs to the label behind it, which has no other.
    const behind = this.#line[at + 2];
    const ownedByLabel = behind?.kind === 'label' && behind.label.accepts === 'number' && !this.#isFree(at + 3);
    const before = ownedByLabel || (valueFirst && (behind?.kind === 'unit' || !this.#isFree(at + 1)));
    if (label.accepts === 'number' && this.#isFree(at - 1) && before) {
      this.#understood(at, field);
      return void this.#claimNumber(field, at - 1);
    }
    this.#understood(at, field);
    switch (label.accepts) {
      case 'number':
        if (this.#isFree(at + 1)) this.#claimNumber(field, at + 1);
        return;
      case 'letter':
        // The letter of a class may look like a unit: `CODE A`.
        if (
          next?.kind === 'word' ||
          (next?.kind === 'unit' && /^[a-z]$/i.test(next.text)) ||
          (next?.kind === 'number' && field === 'thermalClass')
        )
          this.#claimWord(field, at + 1);
        return;
      case 'word':
        if (next?.kind === 'word' || next?.kind === 'number' || next?.kind === 'code')
          this.#claimFrameOrWord(field, at + 1);
        return;
      case 'rest':
        this.#claimRest(field, at);
    }
  }

  #claimNumber(field: PlateField | undefined, at: number): void {
    const after = unitOf(this.#line[at + 1]);
    const unit = after === '%' || after === '°C' || after === 'kg' || after === 'lb' ? after : undefined;
    const amps =
      /^a(?:mps?)?\.?$/i.test(this.#line[at + 1]?.text ?? '') &&
      (field === 'lockedRotorCurrent' || field === 'serviceFactorAmps');
    if (unit !== undefined || amps) this.#understood(at + 1, field);
    if (field === undefined) {
      const skip = this.#line[at + 1];
      this.#understood(at);
      if (skip?.kind === 'word' && /^(m|ft)$/i.test(skip.text)) this.#understood(at + 1);
      return;
    }
    const value = this.#text(at);
    const suffix = { ambient: ' °C', lockedRotorCurrent: ' A', mass: unit ? ` ${unit}` : '' }[field as string] ?? '';
    const first = Number(value.split('/')[0]?.replace(',', '.'));
    const { field: taken, note } = this.#put(
      field,
      field === 'efficiency' && first > 1.5 ? `${value} %` : value + suffix,
    );
    this.#understood(at, taken, note);
  }

  #claimWord(field: PlateField | undefined, at: number): void {
    const taken = field && this.#put(field, this.#text(at).toUpperCase());
    this.#understood(at, taken?.field, taken?.note);
  }

  /** A frame may be broken into number and letters, `254 T`; a pair of bearings stands as `6309/6207`. */
  #claimFrameOrWord(field: PlateField | undefined, at: number): void {
    if (field === 'frame' && this.#line[at]?.kind === 'number') {
      const tail = this.#line[at + 1];
      const letters = tail && /^[TUSMLC][A-Z]{0,3}$/i.test(tail.text) ? tail.text : '';
      const { field: taken, note } = this.#put('frame', (this.#text(at) + letters).toUpperCase());
      this.#understood(at, taken, note);
      if (letters) this.#understood(at + 1, taken, note);
      return;
    }
    if (field === 'bearingDriveEnd' && this.#line[at]?.kind === 'number') {
      const [drive = '', opposite] = this.#text(at).split('/');
      this.#put('bearingDriveEnd', drive);
      if (opposite) this.#put('bearingOppositeEnd', opposite);
      return void this.#understood(at, field);
    }
    const value = this.#text(at);
    const taken = field && this.#put(field, field === 'model' || field === 'serial' ? value : value.toUpperCase());
    this.#understood(at, taken?.field, taken?.note);
  }

  /** Words up to the next label, or to a figure that carries its own unit. */
  #claimRest(field: PlateField | undefined, at: number): void {
    if (!field) return;
    const words: string[] = [];
    const label = this.#line[at]?.text ?? '';
    if (field === 'inverter' || field === 'thermalProtection') words.push(label);
    for (let each = at + 1; each < this.#line.length; each++) {
      const token = this.#line[each];
      if (!token || this.#marks.has(token)) break;
      const stays =
        token.kind === 'word' ||
        (token.kind === 'code' &&
          (token.field === field || (field === 'connection' && token.field === 'connection'))) ||
        (field === 'thermalProtection' && (token.kind === 'number' || unitOf(token) === '°C')) ||
        (field === 'usableAt' && VOLTS_AMPS.includes(unitOf(token.kind === 'number' ? this.#line[each + 1] : token)));
      if (!stays) break;
      words.push(token.text);
      this.#understood(each, field);
    }
    const value = words.join(' ').trim();
    if (value === '') return;
    if (field !== 'duty') return void this.#append(field, value);
    const { note } = this.#put(field, value.toUpperCase());
    if (note !== undefined) words.forEach((_, index) => this.#understood(at + 1 + index, field, note));
  }

  /** Statements may come in several pieces: `INVERTER DUTY`, `10:1 CT`, `PART 31`. */
  #append(field: PlateField, value: string): void {
    const known = this.fields[field];
    if (known === undefined) this.fields[field] = value;
    else if (!known.toLowerCase().includes(value.toLowerCase())) this.fields[field] = `${known}, ${value}`;
  }

  #readUnit(unit: Unit, at: number, valueFirst: boolean): void {
    const token = this.#line[at];
    const sides = valueFirst && !announces(token) ? [at - 1, at + 1] : [at + 1, at - 1];
    const free = sides.filter((each) => this.#isFree(each));
    // Where one side makes no sense and the other does, the other is meant: `POWER 15 V 460`.
    const side = free.find((each) => this.#believed(unit, this.#text(each))) ?? free[0];
    const number = side === undefined ? undefined : this.#line[side];
    if (number?.kind !== 'number' || !token) return;
    this.#take(unit, number, [token], side === sides[0] ? undefined : 'stands on the other side of its unit');
  }

  #readPhases(token: Scanned): void {
    const { field, note } = this.#put('phases', /^(?:1|single)/i.test(token.text) ? '1' : '3');
    this.#mark(token, field, note);
  }

  #believed(unit: Unit, value: string): boolean {
    const spec = specOf(unitFields[unit]);
    return !spec || checkField(written(unit, value), spec, 'NEMA') === undefined;
  }

  /** A figure with its unit, or between two words for it. */
  #take(unit: Unit, number: Numbered, words: readonly Scanned[], doubt?: string): void {
    const { value } = number;
    const { field, note } = this.#put(unitFields[unit], written(unit, value));
    for (const word of words) this.#mark(word, field, note);
    const single =
      unit === 'phases' && value !== '3' ? `${value} phase: Pilgrim selects three-phase motors` : undefined;
    this.#mark(number, field, note ?? single ?? doubt);
  }

  #readCode(token: Scanned & { readonly kind: 'code' }): void {
    const at = this.#line.indexOf(token);
    const { field } = token;
    if (field === 'nothing') return void this.#understood(at);
    const value = token.text.replaceAll(/\s+/g, ' ').trim();
    if (field === 'inverter') {
      this.#append('inverter', value);
      return void this.#understood(at, field);
    }
    if (field === 'bearingDriveEnd') {
      const free = (['bearingDriveEnd', 'bearingOppositeEnd'] as const).find((each) => this.fields[each] === undefined);
      if (free) this.fields[free] = value.toUpperCase();
      else this.#doubts.push({ text: token.text, why: 'a third bearing' });
      return void this.#understood(at, free, free ? 'which end it stands at is not printed' : 'a third bearing');
    }
    const shown =
      field === 'leads'
        ? value.replaceAll(/\D/g, '')
        : field === 'connection'
          ? value
          : value.toUpperCase().replace(/\.$/, '');
    if (field === 'enclosure' && this.fields.enclosure !== undefined && !same(this.fields.enclosure, shown)) {
      // A plate may say both TEFC and IP55; both are kept.
      this.#append('enclosure', shown);
      return void this.#understood(at, field);
    }
    const taken = this.#put(field, shown);
    this.#understood(at, taken.field, taken.note);
  }

  /** A bare figure may give itself away by its size; it is taken, and marked as in doubt. */
  #guess(token: Scanned): void {
    if (token.kind === 'unit' && !MATTERS.includes(token.unit))
      return void this.#marks.set(token, { state: 'understood' });
    if (token.kind === 'word' && /^[ABEFH]$/.test(token.text) && this.fields.thermalClass === undefined) {
      this.fields.thermalClass = token.text;
      return void this.#marks.set(token, { state: 'doubtful', field: 'thermalClass', note: 'a bare letter' });
    }
    if (token.kind !== 'number') return;
    const number = Number(token.value.replace(',', '.'));
    const found: [PlateField, string] | undefined =
      this.fields.voltages === undefined && PLATE_VOLTAGES.test(token.value)
        ? ['voltages', `${token.value} V`]
        : this.fields.speed === undefined && looksLikeSpeed(number)
          ? ['speed', `${token.value} r/min`]
          : this.fields.frequency === undefined && (token.value === '50' || token.value === '60')
            ? ['frequency', `${token.value} Hz`]
            : this.fields.year === undefined && YEAR.test(token.value)
              ? ['year', token.value]
              : undefined;
    if (!found) return;
    this.fields[found[0]] = found[1];
    this.#marks.set(token, { state: 'doubtful', field: found[0], note: 'has no label; taken by its size' });
  }
}

/** How a field’s figure is read; undefined for one that holds words. */
function specOf(name: string | undefined): FieldSpec | undefined {
  const field: Field | undefined = (declared as Fields)[name ?? ''];
  return field?.kind === 'quantity' ? field : undefined;
}

/** A figure with its unit as a field keeps it. */
function written(unit: Unit, value: string): string {
  if (unit === 'phases' || unit === 'poles') return value;
  return unit === 'r/min' ? `${value.replaceAll(/(\d)[.,](\d{3})(?!\d)/g, '$1$2')} r/min` : `${value} ${unit}`;
}

/** A unit that figures go with one for one; degrees and per cent stand behind theirs anyway. */
const isMeasure = (token: Scanned | undefined): boolean =>
  token?.kind === 'unit' && token.unit !== '%' && token.unit !== '°C';

/** A formula letter stands before its figure, wherever the other units stand: `11 kW n = 1465`. */
const announces = (token: Scanned | undefined): boolean => token?.kind === 'unit' && /^[unif]$/i.test(token.text);

const unitOf = (token: Scanned | undefined): Unit | undefined => (token?.kind === 'unit' ? token.unit : undefined);

/** Just below a synchronous speed at 50 or 60 Hz. */
const looksLikeSpeed = (rpm: number): boolean =>
  [3600, 3000, 1800, 1500, 1200, 1000, 900, 750].some((synchronous) => rpm < synchronous && rpm > synchronous * 0.92);

/** A size printed in both units is rounded in each: 7.5 hp is 5.5 or 5.6 kW, 33 lb is 15 kg. */
const SAME_SIZE = 0.03;
const TWO_UNITS = [
  [/ (?:hp|kW)$/, 'power'],
  [/ (?:kg|lb)$/, 'mass'],
] as const;

/** Whether two entries say the same: `15 hp` and `11.2 kW` do, `460 V` and `460 V` do. */
function same(a: string, b: string): boolean {
  if (a.toUpperCase() === b.toUpperCase()) return true;
  const dimension = TWO_UNITS.find(([units]) => units.test(a) && units.test(b))?.[1];
  if (dimension === undefined) return false;
  const [left = [], right = []] = [a, b].map((each) => {
    const parsed = parseGroups(each, dimension, 'IEC');
    return parsed.ok ? parsed.value.flat().map(({ si }) => si) : [];
  });
  return (
    left.length > 0 &&
    left.length === right.length &&
    left.every((each, at) => Math.abs(each / (right[at] ?? NaN) - 1) < SAME_SIZE)
  );
}
