/** Whole plates, worked out by hand: every field, every doubt with its reason, every word left over and the school. */
import { describe, expect, it } from 'vitest';
import { emptyCatalogue, emptyJob, solve } from '../src/index.ts';
import { readPlate } from '../src/stages/nameplate/read/read-plate.ts';
import readings from './plate-readings.json' with { type: 'json' };

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
