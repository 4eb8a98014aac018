/** Whole plates, worked out by hand: every field, every doubt with its reason, every word left over and the school. */
import { describe, expect, it } from 'vitest';
import { emptyCatalogue, emptyJob, solve } from '../../../src/index.ts';
import { schoolOf, schoolWeight } from '../../../src/stages/nameplate/read/school.ts';
import { readPlate } from '../../../src/stages/nameplate/read/read-plate.ts';
import readings from '../../cases/plate-readings.json' with { type: 'json' };

const joined = (...parts: (string | undefined)[]): string => parts.map((part) => part ?? '').join(' → ');

describe('a plate read whole', () => {
  it.each(readings)('$text', ({ text, school, fields, doubtful, ignored, doubts }) => {
    const read = readPlate(text);
    const { asRead, ...found } = read.fields;
    expect(asRead).toBe(text);
    expect(found).toEqual(fields);
    expect(
      read.tokens.flatMap(({ state, text: word, field, note }) =>
        state === 'doubtful' ? joined(word, field, note) : [],
      ),
    ).toEqual(doubtful);
    expect(read.ignored).toEqual(ignored);
    expect(read.doubts.map(({ text: word, field, why }) => joined(word, field, why))).toEqual(doubts);
    expect(read.school).toBe(school);
  });

  it.each([
    '60 HP 460 V 3 PH CLASS I, DIV. 1, GROUPS C & D',
    'CL II DIV 2 60 HP',
    '11 kW 400 V Ex eb IIC T3 Gb',
    '11 kW 400 V EEx d IIB T4',
    '4 kW FLAMEPROOF',
    '4 kW for zone 1',
    '15 HP X-PROOF',
  ])('%s: an explosion-protected motor stops the job, wherever its plate says so', (text) => {
    const told = (kind: 'replace' | 'new') =>
      solve(emptyJob({ situation: { kind }, nameplate: { asRead: text } }), emptyCatalogue).findings.map(
        ({ code }) => code,
      );
    expect(told('replace')).toContain('nameplate.explosion-protected');
    expect(told('new')).not.toContain('nameplate.explosion-protected');
  });
  it.each(['11 kW EXACT SERIES 4 CLASS F ZONE COATED', '15 HP CLASS B DIVIDED PHASE', 'EXTRA INS CL H'])(
    '%s is an ordinary motor',
    (text) => {
      const { findings } = solve(
        emptyJob({ situation: { kind: 'replace' }, nameplate: { asRead: text } }),
        emptyCatalogue,
      );
      expect(findings.map(({ code }) => code)).not.toContain('nameplate.explosion-protected');
    },
  );
});

describe('the school a plate was printed for', () => {
  it.each([
    ['kW', { power: '11 kW' }, 2],
    ['horsepower', { power: '15 H.P.' }, -2],
    ['50 Hz alone', { frequency: '50 Hz' }, 2],
    ['60 Hz alone', { frequency: '60 Hz' }, -1],
    ['both frequencies', { frequency: '50/60 Hz' }, 0],
    ['neither', { frequency: '400 Hz' }, 0],
    ['an IE class', { efficiencyClass: 'IE3' }, 1],
    ['an American class', { efficiencyClass: 'NEMA PREMIUM' }, -1],
    ['energy efficient', { efficiencyClass: 'Energy efficient' }, -1],
    ['another class', { efficiencyClass: 'VIE3' }, 0],
    ['a metric frame', { frame: '160M' }, 1],
    ['a small metric frame', { frame: '71S' }, 1],
    ['an American frame', { frame: '254T' }, -1],
    ['a frame of two lengths', { frame: '143/5T' }, -1],
    ['a frame of two long lengths', { frame: '505/12U' }, -1],
    ['a frame of another kind', { frame: '56C' }, 0],
    ['a letter and a frame', { frame: 'X254T' }, 0],
    ['cooling', { cooling: 'IC411' }, 1],
    ['mounting', { mounting: 'IM B3' }, 1],
    ['cooling and mounting', { cooling: 'IC411', mounting: 'IM B3' }, 1],
    ['IP', { enclosure: 'IP55' }, 0.5],
    ['IP apart', { enclosure: 'IP 55' }, 0.5],
    ['TEFC', { enclosure: 'TEFC' }, -0.5],
    ['both', { enclosure: 'TEFC, IP55' }, 0],
    ['a code letter', { codeLetter: 'G' }, -1],
    ['a design of NEMA', { designLetter: 'B' }, -1],
    ['a design of IEC', { designLetter: 'N' }, 0],
    ['a longer design', { designLetter: 'BX' }, 0],
    ['a longer design that ends so', { designLetter: 'XB' }, 0],
    ['a service factor', { serviceFactor: '1.15' }, -0.5],
    ['nothing', {}, 0],
  ])('%s', (_, fields, weight) => expect(schoolWeight(fields)).toBe(weight));
  it.each([
    ['to IEC 60034', 1],
    ['60034-1', 1],
    ['NEMA MG 1', -1],
    ['IECX NEMAS', 0],
  ])('“%s” in its text', (text, weight) => expect(schoolWeight({}, text)).toBe(weight));
  it('is IEC only where more speaks for it', () => {
    expect(schoolOf({})).toBe('NEMA');
    expect(schoolOf({ enclosure: 'IP55' })).toBe('IEC');
    expect(schoolOf({ enclosure: 'IP55', codeLetter: 'G' })).toBe('NEMA');
  });
});
