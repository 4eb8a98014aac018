/**
 * What a figure rests on travels to what is computed from it. The rule (given or declared figures may decide, assumed ones only
 * warn) is common practice, no published source; which fields are assumed until they are typed is that of the trade: load inertia,
 * stall time, minimum voltage, ambient.
 */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { emptyJob, solve, type Solution } from '../../src/index.ts';
import { quantityFields } from '../../src/job/fields.ts';
import type { FieldSpec } from '../../src/kernel/field.ts';
import { documentPath } from '../../src/job/options.ts';
import { quantity, weaker, type Evidence } from '../../src/kernel/value.ts';
import { demoSites } from '../../../db/demo/jobs.ts';
import { demo } from '../lib/demo.ts';

const grades = ['given', 'declared', 'assumed'] as const;
const of = (evidence: Evidence) => quantity(1, 'count', { source: 'test', evidence });

describe('the evidence of one figure', () => {
  it.each([
    ['given', 'given'],
    ['looked up', 'declared'],
    ['recalled', 'declared'],
    ['estimated', 'assumed'],
  ] as const)('of a figure that was %s is %s', (origin, evidence) => {
    expect(quantity(1, 'count', { origin, source: 'test' }).evidence).toBe(evidence);
  });

  it('is the weakest of what was put in, in any order', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...grades), { minLength: 1, maxLength: 6 }), (put) => {
        const from = Object.fromEntries(put.map((each, at) => [`x_${at}`, of(each)]));
        const weakest = grades[Math.max(...put.map((each) => grades.indexOf(each)))];
        expect(quantity(1, 'count', { source: 'test', from }).evidence).toBe(weakest);
        expect(put.reduce<Evidence | undefined>(weaker, 'given')).toBe(weakest);
      }),
    );
  });

  it.each(['derived', 'chosen'] as const)('claims nothing where it was %s from what is not named', (origin) => {
    const untraced = quantity(1, 'count', { origin, source: 'test' });
    expect(untraced).not.toHaveProperty('evidence');
    const with_ = (other: Evidence) => quantity(1, 'count', { source: 'test', from: { untraced, other: of(other) } });
    expect([with_('given').evidence, with_('declared').evidence, with_('assumed').evidence]).toEqual([
      undefined,
      undefined,
      'assumed',
    ]);
  });

  it('an estimate is as good as its inputs; a table is declared however good they are', () => {
    const from = { x: of('given') };
    expect(quantity(1, 'count', { origin: 'estimated', source: 'test', from }).evidence).toBe('given');
    expect(quantity(1, 'count', { origin: 'recalled', source: 'test', from }).evidence).toBe('declared');
  });

  it('names each field that would replace an assumption once', () => {
    const one = quantity(1, 'count', { source: 'test', assumes: 'load.inertia' });
    const two = quantity(1, 'count', { source: 'test', assumes: 'place.ambient', from: { one } });
    const all = quantity(1, 'count', { source: 'test', from: { one, two } });
    expect(one).toMatchObject({ evidence: 'assumed', assumes: ['load.inertia'] });
    expect(all).toMatchObject({ evidence: 'assumed', assumes: ['load.inertia', 'place.ambient'] });
  });
});

const replacement = (more: Parameters<typeof emptyJob>[0] = {}) =>
  solve(
    emptyJob({
      school: 'NEMA',
      situation: { kind: 'replace' },
      nameplate: { power: '40 hp', voltages: '460', currents: '48', frequency: '60', speed: '1775', codeLetter: 'G' },
      supply: { voltage: '480', frequency: '60', sourcePower: '500 kVA', sourceImpedance: '5 %' },
      load: { machine: 'fan', torqueKind: 'variable' },
      ...more,
    }),
    demo,
  );

interface Node {
  [key: string]: Node | string | undefined;
}
/** An entry for each field that some demo job leaves to an assumption. */
const ENTRIES: Readonly<Record<string, string>> = {
  'load.breakaway': '120 %',
  'load.inertia': '3 kg·m²',
  'load.ratio': '2',
  'load.torque': '90 N·m',
  'load.transmissionEfficiency': '94 %',
  'money.years': '12',
  'place.altitude': '200 m',
  'place.ambient': '35 °C',
  'starting.rotorInertia': '0.3 kg·m²',
  'starting.softStop': '8 s',
  'starting.stallTimeCold': '20 s',
  'starting.stallTimeHot': '14 s',
  'supply.lowestVoltage': '390 V',
  'supply.voltage': '400 V',
};

describe('in a job', () => {
  it('what is typed from plate or data sheet is declared, what is measured or wanted is given', () => {
    const declaredOf = (fields: object): string[] =>
      Object.entries(fields as Readonly<Record<string, FieldSpec>>).flatMap(([name, { declared }]) =>
        declared ? [name] : [],
      );
    const plate = Object.keys(quantityFields.nameplate).filter((name) => !name.startsWith('measured'));
    expect(declaredOf(quantityFields.nameplate)).toEqual(plate);
    expect(declaredOf(quantityFields.starting)).toEqual([
      'rotorInertia',
      'lockedRotorTorque',
      'pullUpTorque',
      'breakdownTorque',
      'efficiency75',
      'efficiency50',
      'leakageKnee',
      'leakageFloor',
      'stallTimeHot',
      'stallTimeCold',
    ]);
    for (const stage of ['load', 'supply', 'place'] as const) expect(declaredOf(quantityFields[stage])).toEqual([]);
  });

  it('a plate declares; what is typed of the load is given', () => {
    const { values } = replacement({ load: { inertia: '3 kg·m²' } });
    expect(values['nameplate.ratedCurrent']?.evidence).toBe('declared');
    expect(values['load.inertia']?.evidence).toBe('given');
  });

  it('thermal capacity used rests on inertia and stall time until both are typed', () => {
    const heat = (solution: Solution) => solution.values['starting.rotorHeat'];
    const assumed = ['load.inertia', 'starting.rotorInertia', 'starting.stallTimeCold'];
    expect(heat(replacement())?.evidence).toBe('assumed');
    expect(heat(replacement())?.assumes?.toSorted()).toEqual(assumed);
    const known = replacement({
      load: { inertia: '3 kg·m²' },
      starting: { rotorInertia: '0.3 kg·m²', stallTimeCold: '20 s' },
    });
    expect(heat(known)?.assumes).toBeUndefined();
    expect(heat(known)?.evidence).toBe('declared');
  });

  it('a field named as assumed is one that can be typed, and typing it takes the assumption away', () => {
    const fields: Readonly<Record<string, Readonly<Record<string, { readonly example: string }>>>> = quantityFields;
    let tried = 0;
    for (const document of demoSites.flatMap(({ jobs }) => jobs.map(emptyJob))) {
      const { values } = solve(document, demo);
      const assumed = new Set(Object.values(values).flatMap(({ assumes = [] }) => assumes));
      for (const path of assumed) {
        const [stage = '', name = ''] = path.split('.');
        // Typed on another motor’s plate it would be another job.
        if (stage === 'nameplate') continue;
        expect(fields[stage]).toHaveProperty(name);
        tried++;
        const typed = ENTRIES[path];
        expect(typed, path).toBeDefined();

        const place = documentPath(path, document.chosen);
        const next = JSON.parse(JSON.stringify(document)) as Node;
        const keys = place.split('.');
        const last = keys.pop() ?? '';
        const part = keys.reduce<Node>((at, key) => at[key] as Node, next);
        part[last] = typed;
        const still = Object.entries(solve(emptyJob(next), demo).values).filter(([, { assumes }]) =>
          assumes?.includes(path),
        );
        expect(still.map(([id]) => `${path}: ${id}`)).toEqual([]);
      }
    }
    expect(tried).toBeGreaterThan(20);
  });
});
