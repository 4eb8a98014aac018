// Terms of IEC 60050, IEC 60034-1, 60947-4-1, 61800-2, NEMA MG 1 and the NEC, from memory; how labels are written: a rule of this project.
import { describe, expect, it } from 'vitest';
import type { Field, Fields } from '../../src/kernel/field.ts';
import { termIn, withSymbol, type Term } from '../../src/kernel/term.ts';
import { stageFields } from '../../src/job/fields.ts';
import { practiceNames, ruleOf } from '../../src/job/design-rule-list.ts';
import { publishedValues } from '../../src/solve/published.ts';
import { findTerms } from '../../src/commands/term-list.ts';
import { glossary } from '../../src/stages/glossary.ts';

interface Declared {
  readonly stage: string;
  readonly id: string;
  readonly label: Term;
}
const LONGEST = 36;

/** The label of a field, the other words it is asked in, and the cells of its rows. */
const labelsOf = (stage: string, fields: Fields): Declared[] =>
  Object.entries<Field>(fields).flatMap(([name, field]) => [
    { stage, id: `${stage}.${name}`, label: field.label },
    ...(field.also ?? []).map(({ label }) => ({ stage, id: `${stage}.${name} also`, label })),
  ]);
const fields = Object.entries(stageFields as Readonly<Record<string, Fields>>).flatMap(([stage, each]) =>
  labelsOf(stage, each),
);
const values = [...publishedValues]
  .filter(([id]) => !id.startsWith('other.'))
  .map(([id, { label }]): Declared => ({ stage: id.split('.')[0] ?? '', id, label }));
const rules = practiceNames.map((name): Declared => ({ stage: 'rules', id: name, label: ruleOf(name).title }));
const choices = Object.entries(stageFields as Readonly<Record<string, Fields>>).flatMap(([stage, each]) =>
  Object.entries<Field>(each).flatMap(([name, field]) =>
    field.kind === 'choice' || field.kind === 'open'
      ? field.options.map(([option, label]): Declared => ({ stage, id: `${stage}.${name}=${option}`, label }))
      : [],
  ),
);

/** Words that were given up: they say it in a way no standard does, or point at something beside the paper. */
// IT is a system of earthing, two-wire a control.
const GIVEN_UP =
  /(?<![-\p{L}])(?:[Ii]ts?|[Tt]here|[Hh]ere|[Tt]hat|[Bb]ears?|[Ll]ies|[Ll]aid|[Ww]ay to|[Aa]t most|[Aa]t least|[Oo]ne behind the other|[Uu]pkeep|[Ww]orth|[Dd]raws|[Ee]dges|[Nn]etwork|[Ww]ires?|[Ss]tands|[Ss]tanding|[Tt]o buy and fit|[Ff]irst cost)(?!\p{L})/u;

describe.each(['NEMA', 'IEC'] as const)('terms in %s', (school) => {
  it.each([
    ['values', values],
    ['fields', fields],
    ['rules', rules],
    ['choices', choices],
  ] as const)('%s: at most 36 characters, and no word that was given up', (_, all) => {
    const wrong = all
      .map(({ id, label }) => `${id}: ${termIn(label, school)}`)
      .filter(
        (each) =>
          each.slice(each.indexOf(': ') + 2).length > LONGEST || GIVEN_UP.test(each.slice(each.indexOf(': ') + 2)),
      );
    expect(wrong).toEqual([]);
  });
  it.each([
    ['values', values],
    ['fields', fields],
  ] as const)('%s: no two of a stage are called alike', (_, all) => {
    const seen = new Map<string, string>();
    const twice: string[] = [];
    for (const { stage, id, label } of all) {
      const key = `${stage}|${termIn(label, school)}`;
      const before = seen.get(key);
      if (before) twice.push(`${before} and ${id}: ${termIn(label, school)}`);
      seen.set(key, id);
    }
    expect(twice).toEqual([]);
  });
});

it.each([
  ['nameplate.ratedCurrent', 'Full-load current (FLA)', 'Rated current (Iₙ)'],
  ['starting.method', 'Starting method', 'Starting method'],
  ['starting.accelerationTime', 'Acceleration time', 'Run-up time'],
  ['protection.groundingConductor', 'Equipment grounding conductor (EGC)', 'Protective conductor (PE)'],
  ['protection.disconnectCurrent', 'Disconnecting means, minimum', 'Switch-disconnector, minimum'],
  ['load.inertia', 'Load inertia referred to motor shaft (WK²)', 'Load inertia referred to motor shaft (J)'],
  ['drive.demandDistortion', 'Total demand distortion (TDD)', 'Total demand distortion (TDD)'],
  ['money.discountedCost', 'Life-cycle cost, present value (LCC)', 'Life-cycle cost, present value (LCC)'],
])('%s is %s by the NEC and NEMA, %s by IEC', (id, nema, iec) => {
  const declared = publishedValues.get(id);
  if (!declared) expect.fail();
  expect([withSymbol(declared, 'NEMA'), withSymbol(declared, 'IEC')]).toEqual([nema, iec]);
});

describe('the glossary', () => {
  const known = new Set([...fields, ...values].map(({ id }) => id));

  it('defines what is declared, each once, in one sentence of at most 30 words', () => {
    const ids = glossary.flatMap(({ ids }) => ids);
    expect(ids.filter((id) => !known.has(id))).toEqual([]);
    expect(ids.filter((id, at) => ids.indexOf(id) !== at)).toEqual([]);
    for (const { definition, clause, ids } of glossary) {
      expect(definition, ids[0]).toMatch(/^[A-Z][^.]*(?:\d\.\d[^.]*)*\.$/);
      expect(definition.split(' ').length, definition).toBeLessThanOrEqual(30);
      expect(clause, ids[0]).not.toBe('');
    }
  });

  // Names as NEMA MG 1, the NEC, IEC 60034-1 and the trade have them, from memory.
  it.each([
    ['FLA', 'nameplate.ratedCurrent'],
    ['RLA', 'nameplate.currents'],
    ['nameplate amps', 'nameplate.currents'],
    ['WK²', 'load.inertia'],
    ['wk2', 'starting.rotorInertia'],
    ['GD²', 'load.inertia'],
    ['J', 'load.inertia'],
    ['DOL', 'starting.method'],
    ['ODP', 'nameplate.enclosure'],
    ['IP23', 'nameplate.enclosure'],
    ['cos φ', 'nameplate.powerFactor'],
    ['Zs', 'protection.loopImpedance'],
    ['TDD', 'drive.demandDistortion'],
    ['ground wire', 'protection.groundingConductor'],
    ['load.torqueKind', 'load.torqueKind'],
  ])('%s finds %s among the first six', (typed, id) => {
    expect(
      findTerms(typed)
        .slice(0, 6)
        .map((term) => term.id),
    ).toContain(id);
  });

  it.each(['J', 'A', 'PF', 'ground wire'])('%s stands before names that only begin so', (typed) => {
    const [first] = findTerms(typed);
    expect([first?.nema, first?.iec, first?.nemaSymbol, first?.iecSymbol, ...(first?.also ?? [])]).toContain(typed);
  });

  it('says nothing of what nobody calls anything', () => {
    expect(findTerms('zzqx')).toEqual([]);
    expect(findTerms('<script>')).toEqual([]);
    expect(findTerms('  ').length).toBeGreaterThan(300);
  });
});
