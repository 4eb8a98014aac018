// Units by the definitions of foot, pound and standard gravity (NIST SP 811, from memory): 1 hp = 745.6999 W,
// 1 lb·ft = 1.355818 N·m, 1 in = 25.4 mm, 1 lb = 0.45359237 kg. That all words come from templates: a property of the program.
import { describe, expect, it } from 'vitest';
import { demoSites } from '../../../db/demo/jobs.ts';
import { siUnit } from '../../src/kernel/quantity/format.ts';
import { amount, figures, say, series, textOf } from '../../src/kernel/text.ts';
import { late } from '../../src/kernel/memoize.ts';
import { quantity, textValue } from '../../src/kernel/value.ts';
import { emptyCatalogue, emptyJob } from '../../src/index.ts';
import { present, textIn, type Locale } from '../../src/present/present.ts';
import { answer, solve } from '../../src/solve/solve.ts';
import { publishedValues } from '../../src/solve/published.ts';
import { demo } from '../lib/demo.ts';

const iec = { units: 'IEC' } as const;
const nema = { units: 'NEMA' } as const;
const plain = (text: string): string => text.replaceAll('\u00a0', ' ');

describe('a text', () => {
  it('keeps its numbers until it is shown: 11 186 W are 15 hp or 11.2 kW', () => {
    const text = say`The motor gives ${amount(15 * 745.6999, 'power')} at ${amount(100, 'torque')}.`;
    expect(plain(textIn(text, nema))).toBe('The motor gives 15 hp at 73.8 lb·ft.');
    expect(plain(textIn(text, iec))).toBe('The motor gives 11.2 kW at 100 N·m.');
  });
  it('is exact in either system, however it was typed: 25.4 mm are one inch, not what 25 mm would be', () => {
    expect(plain(textIn(amount(0.0254, 'length'), nema))).toBe('1.00 in');
    expect(plain(textIn(amount(0.0254, 'length'), iec))).toBe('25.4 mm');
  });
  it('takes values, phrases, plain figures and names; a bare number stays as it is written', () => {
    const volts = quantity(460, 'voltage', { source: 'typed' });
    const inner = say`${volts}, ${figures(0.123456, 2)}`;
    expect(plain(textIn(say`${3} poles: ${inner}, ${textValue('B', { source: 'plate' })}`, iec))).toBe(
      '3 poles: 460 V, 0.12, B',
    );
    expect(textOf(undefined)).toBeUndefined();
  });
  it('a series leaves out what says nothing', () => {
    expect(textIn(series(['a', undefined, false, '', 'b'], ' · '), iec)).toBe('a · b');
    expect(series([undefined, ''])).toBe('');
  });
});

describe('a result', () => {
  const job = emptyJob({ situation: { kind: 'new' }, load: { way: 'torque', torque: '100 lb·ft', speed: '1750' } });
  it('100 lb·ft are 135.58 N·m: shown in both systems, the number untouched', () => {
    const [own, other] = [solve(job, emptyCatalogue), solve(job, emptyCatalogue, 'IEC')];
    expect(own.values['load.motorTorque']).toMatchObject({
      text: '100\u00a0lb·ft',
      other: '136\u00a0N·m',
      unit: 'N·m',
    });
    expect(other.values['load.motorTorque']).toMatchObject({ text: '136\u00a0N·m', other: '100\u00a0lb·ft' });
    expect(other.values['load.motorTorque']?.value).toBe(own.values['load.motorTorque']?.value);
    expect(other.details.shafts.at(-1)?.torque?.text).toBe('136\u00a0N·m');
    expect(other.details.loadCurve).toEqual(own.details.loadCurve);
  });
  it('a value that is shown again is the same object; what holds no text is never copied', () => {
    const told = answer(job, emptyCatalogue);
    const [first, second] = [present(told, iec), present(told, iec)];
    expect(second.values['load.motorTorque']).toBe(first.values['load.motorTorque']);
    expect(first.details.warming).toBe(told.details.warming);
    expect(first.options.A?.values['profile.hours']).toBe(first.values['profile.hours']);
  });
  it('pictures are worked out when they are read, not when the result is presented', () => {
    let read = 0;
    const pictures = late({
      get picture() {
        read += 1;
        return amount(1, 'length');
      },
    });
    const shown = present(pictures, iec);
    expect(read).toBe(0);
    expect(plain(shown.picture)).toBe('1000 mm');
    expect(read).toBe(1);
  });
  it('names the unit of every figure by its declaration', () => {
    for (const [id, value] of Object.entries(solve(job, demo).values)) {
      const declared = publishedValues.get(id);
      expect(value.unit, id).toBe(declared?.kind === 'figure' ? siUnit(declared.dimension) : '');
    }
  });
});

/** A language of capitals: what stays in small letters did not come from a template. */
const capitals: Locale = { units: 'NEMA', words: (words) => words.map((each) => each.toUpperCase()) };
/** A figure of the engine in a sentence that is no template would be lost to other units: `12.3 A`, `40 °C`. */
const FIGURE = /\d\u00a0(?:A|V|hp|kW|kVA|lb·ft|N·m|in|mm|ft|m|lb|kg|°C|r\/min|Hz|s|min|h|%|Ω|kA)(?![\p{L}])/u;

describe('no figure is put into a sentence before it is shown', () => {
  it.each(demoSites.flatMap(({ school, jobs }) => jobs.map((each) => [each.tag ?? '', { school, ...each }] as const)))(
    '%s',
    (_, input) => {
      const told = answer(emptyJob(input), demo);
      const early: string[] = [];
      const look = (thing: unknown, path: string): void => {
        if (typeof thing === 'string') {
          if (FIGURE.test(thing)) early.push(`${path}: ${thing}`);
        } else if (typeof thing === 'object' && thing !== null && !ArrayBuffer.isView(thing))
          for (const [name, each] of Object.entries(thing)) look(each, `${path}.${name}`);
      };
      const { fields: _typed, details: _pictures, ...said } = told;
      look(said, '');
      expect(early).toEqual([]);
    },
  );
  it('another language is one function: the words of every finding’s figures go through it', () => {
    const [{ jobs, school } = { jobs: [], school: 'NEMA' as const }] = demoSites;
    const told = jobs.map((each) => answer(emptyJob({ school, ...each }), demo));
    const shown = told.flatMap(({ findings }) =>
      findings.flatMap(({ message }) => (typeof message === 'string' ? [] : [textIn(message, capitals)])),
    );
    expect(shown.length).toBeGreaterThan(5);
    for (const text of shown) expect(text).toMatch(/\p{Lu}{3}/u);
  });
});
