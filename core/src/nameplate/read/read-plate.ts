import { checkField } from '../../inputs.ts';
import { quantityFields, type FieldSpec } from '../../fields.ts';
import type { School } from '../../quantity/units.ts';
import { scan, type Scanned } from './scan.ts';
import type { Label, PlateField, PlateFields, Unit } from './vocabulary.ts';

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

/** What was read off a plate’s text. Every word of the text is in `tokens`; the words nobody understood in `ignored`. */
export interface PlateReading {
  readonly fields: PlateFields;
  readonly tokens: readonly PlateToken[];
  readonly ignored: readonly string[];
  readonly school: School;
}

const MOST = 5000;

/** Rating fields have a second set: a plate may print a 50 Hz block beside the 60 Hz one. */
const alternates: Partial<Record<PlateField, PlateField>> = {
  power: 'altPower',
  voltages: 'altVoltages',
  currents: 'altCurrents',
  frequency: 'altFrequency',
  speed: 'altSpeed',
  efficiency: 'altEfficiency',
  powerFactor: 'altPowerFactor',
  serviceFactor: 'altServiceFactor',
  frame: 'altFrame',
};

const unitFields: Readonly<Record<Exclude<Unit, 'phases'>, PlateField>> = {
  hp: 'power',
  kW: 'power',
  V: 'voltages',
  A: 'currents',
  'r/min': 'speed',
  Hz: 'frequency',
  '%': 'efficiency',
  '°C': 'ambient',
  kg: 'mass',
  lb: 'mass',
};

/** Voltages that stand on plates; a bare figure that is one of them probably is the voltage. */
const PLATE_VOLTAGES = /^(?:200|208|220|230|240|380|400|415|440|460|480|500|525|575|600|660|690)(?:[-/](?:\d{3}))*$/;

/**
 * Reads a nameplate written as text, in any order, with labels before the figures (`HP 15 RPM 1770`), units after them
 * (`11 kW 1465 min⁻¹`) or headings over them, decimal points or commas, and a second rating set. Understands what it
 * can, marks what it doubts, hands back what it does not know; never drops a word and never throws.
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
  headings(lines).forEach((line) => reader.readLine(line));
  return reader.finish(text);
}

const isHeading = (token: Scanned): boolean => token.kind === 'unit' || token.kind === 'label';

/** `HP RPM V` over `15 1770 460`: each heading is set before its figure. */
function headings(lines: readonly Scanned[][]): Scanned[][] {
  const out: Scanned[][] = [];
  for (let at = 0; at < lines.length; at++) {
    const line = lines[at] ?? [];
    const below = lines[at + 1] ?? [];
    const table =
      line.length >= 2 &&
      line.length === below.length &&
      line.every(isHeading) &&
      below.every((token) => token.kind === 'number' || token.kind === 'code' || token.kind === 'word');
    if (table) {
      out.push(line.flatMap((heading, i) => [heading, below[i]].filter((each) => each !== undefined)));
      at++;
    } else out.push(line);
  }
  return out;
}

interface Mark {
  readonly state: TokenState;
  readonly field?: PlateField;
  readonly note?: string;
}

class Reader {
  readonly fields: Partial<Record<PlateField, string>> = {};
  readonly #marks = new Map<Scanned, Mark>();
  readonly #tokens: Scanned[] = [];
  #line: readonly Scanned[] = [];

  readLine(line: readonly Scanned[]): void {
    this.#line = line;
    this.#tokens.push(...line);
    const firstUnit = line.findIndex((token) => token.kind === 'unit' && token.unit !== '%' && token.unit !== '°C');
    const valueFirst = this.#isFree(firstUnit - 1) && line[firstUnit - 2]?.kind !== 'label';
    line.forEach((token, at) => {
      if (token.kind === 'label' && !this.#marks.has(token)) this.#readLabel(token.label, at, valueFirst);
    });
    line.forEach((token, at) => {
      if (token.kind === 'unit' && !this.#marks.has(token)) this.#readUnit(token.unit, at, valueFirst);
    });
    line.forEach((token) => {
      if (token.kind === 'code' && !this.#marks.has(token)) this.#readCode(token);
    });
  }

  finish(asRead: string): PlateReading {
    for (const token of this.#tokens) if (!this.#marks.has(token)) this.#guess(token);
    const school = this.#school();
    const tokens = this.#tokens
      .map((token): PlateToken => {
        const mark = this.#marks.get(token) ?? { state: 'ignored' };
        const note = mark.note ?? (mark.field && this.#wrong(mark.field, school));
        return {
          text: token.text,
          from: token.from,
          to: token.to,
          state: note !== undefined && mark.state === 'understood' ? 'doubtful' : mark.state,
          ...(mark.field ? { field: mark.field } : {}),
          ...(note === undefined ? {} : { note }),
        };
      })
      .toSorted((a, b) => a.from - b.from);
    return {
      fields: { asRead, ...this.fields },
      tokens,
      ignored: tokens.filter((token) => token.state === 'ignored').map((token) => token.text),
      school,
    };
  }

  #isFree(at: number): boolean {
    const token = this.#line[at];
    return token?.kind === 'number' && !this.#marks.has(token);
  }

  #understood(at: number, field?: PlateField, note?: string): void {
    const token = this.#line[at];
    if (!token) return;
    const smudge = token.kind === 'number' && token.smudged ? `read as ${token.value}` : undefined;
    const doubt = note ?? smudge;
    this.#marks.set(token, {
      state: doubt ? 'doubtful' : 'understood',
      ...(field ? { field } : {}),
      ...(doubt ? { note: doubt } : {}),
    });
  }

  #text(at: number): string {
    const token = this.#line[at];
    return token?.kind === 'number' ? token.value : (token?.text ?? '');
  }

  /** Stores a value; a second, different one goes to the second rating set. Returns the field taken, if any. */
  #put(field: PlateField, value: string): { field?: PlateField; note?: string } {
    const known = this.fields[field];
    if (known === undefined) {
      this.fields[field] = value;
      return { field };
    }
    if (same(known, value)) return { field };
    const second = alternates[field];
    if (second === undefined) return { note: `a second value beside ${known}` };
    return this.#put(second, value);
  }

  #readLabel(label: Label, at: number, valueFirst: boolean): void {
    const field = label.field === 'nothing' ? undefined : label.field;
    const next = this.#line[at + 1];
    const ownedByUnit =
      valueFirst &&
      next?.kind === 'number' &&
      this.#line[at + 2]?.kind === 'unit' &&
      unitOf(this.#line[at + 2]) !== '%' &&
      unitOf(this.#line[at + 2]) !== '°C';
    if (label.accepts === 'number' && this.#isFree(at - 1) && (!this.#isFree(at + 1) || ownedByUnit) && valueFirst) {
      this.#understood(at, field);
      return void this.#claimNumber(field, at - 1);
    }
    this.#understood(at, field);
    switch (label.accepts) {
      case 'number':
        if (this.#isFree(at + 1)) this.#claimNumber(field, at + 1);
        return;
      case 'letter':
        if (next?.kind === 'word' || next?.kind === 'label') {
          // The letter of a class may look like a label: `INS CL F`, `CODE K`.
          if (next.text.length <= 2 || next.kind === 'word') this.#claimWord(field, at + 1);
        } else if (next?.kind === 'unit' && /^[a-z]$/i.test(next.text)) this.#claimWord(field, at + 1);
        else if (next?.kind === 'number' && field === 'thermalClass') this.#claimWord(field, at + 1);
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
    const amps = after === 'A' && (field === 'lockedRotorCurrent' || field === 'serviceFactorAmps');
    if (unit !== undefined || amps) this.#understood(at + 1, field);
    if (field === undefined) {
      const skip = this.#line[at + 1];
      this.#understood(at);
      if (skip?.kind === 'word' && /^(m|ft)$/i.test(skip.text)) this.#understood(at + 1);
      return;
    }
    const value = this.#text(at);
    const suffix =
      { ambient: ' °C', lockedRotorCurrent: ' A', mass: ` ${unit === 'kg' ? 'kg' : 'lb'}` }[field as string] ?? '';
    const { field: taken, note } = this.#put(
      field,
      field === 'efficiency' && Number(value.replace(',', '.')) > 1.5 ? `${value} %` : value + suffix,
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
        (field === 'usableAt' &&
          (token.kind === 'number' || (token.kind === 'unit' && (token.unit === 'V' || token.unit === 'A'))));
      if (!stays) break;
      words.push(token.text);
      this.#understood(each, field);
    }
    const value = words.join(' ').trim();
    if (value !== '') this.#append(field, value);
  }

  /** Statements may come in several pieces: `INVERTER DUTY`, `10:1 CT`, `PART 31`. */
  #append(field: PlateField, value: string): void {
    const known = this.fields[field];
    if (known === undefined || field === 'duty') this.fields[field] ??= field === 'duty' ? value.toUpperCase() : value;
    else if (!known.toLowerCase().includes(value.toLowerCase())) this.fields[field] = `${known}, ${value}`;
  }

  #readUnit(unit: Unit, at: number, valueFirst: boolean): void {
    const sides = valueFirst ? [at - 1, at + 1] : [at + 1, at - 1];
    const side = sides.find((each) => this.#isFree(each));
    if (side === undefined) return;
    const value = this.#text(side);
    if (unit === 'phases') {
      this.#understood(at);
      this.#understood(
        side,
        undefined,
        value === '3' ? undefined : `${value} phase: Pilgrim selects three-phase motors`,
      );
      return;
    }
    const written =
      unit === 'r/min' ? `${value.replaceAll(/(\d)[.,](\d{3})(?!\d)/g, '$1$2')} r/min` : `${value} ${unit}`;
    const { field, note } = this.#put(unitFields[unit], written);
    this.#understood(at, field, note);
    this.#understood(side, field, note ?? (side === sides[0] ? undefined : 'stands on the other side of its unit'));
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
      return void this.#understood(at, free, free ? 'which end it stands at is not printed' : 'a third bearing');
    }
    const shown =
      field === 'leads'
        ? (/\d+/.exec(value)?.[0] ?? '')
        : field === 'connection'
          ? value
          : value.toUpperCase().replace(/\.$/, '');
    const taken = this.#put(field, shown);
    // A plate may say both TEFC and IP55; both are kept.
    if (taken.note && field === 'enclosure') {
      this.#append('enclosure', shown);
      return void this.#understood(at, field);
    }
    this.#understood(at, taken.field, taken.note);
  }

  /** A bare figure may give itself away by its size; it is taken, and marked as in doubt. */
  #guess(token: Scanned): void {
    if (token.kind === 'unit' || token.kind === 'label') return void this.#marks.set(token, { state: 'understood' });
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
            : undefined;
    if (!found) return;
    this.fields[found[0]] = found[1];
    this.#marks.set(token, { state: 'doubtful', field: found[0], note: 'has no label; taken by its size' });
  }

  #school(): School {
    const { power, frequency, codeLetter, designLetter, frame, efficiencyClass } = this.fields;
    if (power) return power.endsWith('hp') ? 'NEMA' : 'IEC';
    if (codeLetter ?? designLetter) return 'NEMA';
    if (/^IE/.test(efficiencyClass ?? '') || /^\d+[SML]/.test(frame ?? '')) return 'IEC';
    return /\b50\b/.test(frequency ?? '') && !/\b60\b/.test(frequency ?? '') ? 'IEC' : 'NEMA';
  }

  #wrong(field: PlateField, school: School): string | undefined {
    const spec = specs[field];
    const value = this.fields[field];
    return spec && value !== undefined ? checkField(value, spec, school) : undefined;
  }
}

const specs: Readonly<Record<string, FieldSpec | undefined>> = quantityFields.nameplate;

const unitOf = (token: Scanned | undefined): Unit | undefined => (token?.kind === 'unit' ? token.unit : undefined);

/** Just below a synchronous speed at 50 or 60 Hz. */
const looksLikeSpeed = (rpm: number): boolean =>
  [3600, 3000, 1800, 1500, 1200, 1000, 900, 750].some((synchronous) => rpm < synchronous && rpm > synchronous * 0.92);

const WATTS: Readonly<Record<string, number>> = { hp: 745.7, kW: 1000 };

/** Whether two entries say the same: `15 hp` and `11.2 kW` do, `460 V` and `460 V` do. */
function same(a: string, b: string): boolean {
  if (a.trim().toUpperCase() === b.trim().toUpperCase()) return true;
  const watts = [a, b].map((each) => {
    const match = /^([\d.,]+) (hp|kW)$/.exec(each);
    return match ? Number((match[1] ?? '').replace(',', '.')) * (WATTS[match[2] ?? ''] ?? NaN) : NaN;
  });
  return Math.abs((watts[0] ?? NaN) / (watts[1] ?? NaN) - 1) < 0.03;
}
