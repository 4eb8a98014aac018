/** What stands large at the head of a stage: figures that are published anyway, each against the limit it is judged by. */
import { describe, expect, it } from 'vitest';
import { demoSites } from '../../../db/demo/jobs.ts';
import { emptyJob, solve, stageNames, type JobInput } from '../../src/index.ts';
import { readoutsOf, type Readout } from '../../src/solve/readouts.ts';
import { readPractice } from '../../src/job/design-rules.ts';
import { readInputs } from '../../src/job/inputs.ts';
import { quantity } from '../../src/kernel/value.ts';
import type { Dimension } from '../../src/kernel/quantity/units.ts';
import { demo } from '../lib/demo.ts';
import { inWords } from '../lib/words.ts';

const figure = (si: number, dimension: Dimension) => quantity(si, dimension, { source: 'test' });

function limits(values: Readonly<Record<string, ReturnType<typeof figure>>>, job: JobInput = {}) {
  const document = emptyJob(job);
  const { given, rows } = readInputs(document);
  const { practice } = readPractice(given.practice, given.sitePractice);
  const shown = readoutsOf({ job: document, given, rows, practice }, values);
  return Object.fromEntries(shown.map(({ id, limit }) => [id, limit]));
}
const plain = (limit: Readout['limit']): string | undefined => limit && inWords(limit.text);

describe('readouts', () => {
  it('a bar goes a quarter beyond the larger of figure and limit', () => {
    const own = limits({ 'pick.motorLoad': figure(0.8, 'fraction'), 'pick.driveUsed': figure(1.25, 'fraction') });
    expect(own['pick.motorLoad']).toEqual({
      text: expect.anything() as string,
      filled: 0.64,
      mark: 0.8,
      missed: false,
    });
    expect(own['pick.driveUsed']).toMatchObject({ filled: 0.8, mark: 0.64, missed: true });
  });
  it('what must not be above, and what must not be below', () => {
    const start = (dip: number, margin: number) =>
      limits({ 'starting.startingDip': figure(dip, 'fraction'), 'starting.torqueMargin': figure(margin, 'fraction') });
    const bad = start(0.2, 0.01);
    expect([bad['starting.startingDip']?.missed, bad['starting.torqueMargin']?.missed]).toEqual([true, true]);
    const good = start(0.01, 0.5);
    expect([good['starting.startingDip']?.missed, good['starting.torqueMargin']?.missed]).toEqual([false, false]);
    expect(plain(good['starting.torqueMargin'])).toMatch(/^min\. 10(\.0)? %$/);
  });
  it('the limit is the one typed, else that of a generator or of a transformer', () => {
    const dip = (job: JobInput) =>
      plain(limits({ 'supply.directBusDip': figure(0.1, 'fraction') }, job)['supply.directBusDip']);
    expect(dip({ supply: { busDipLimit: '3 %' } })).toBe('max. 3.00 %');
    expect(dip({ supply: { source: 'generator' } })).not.toBe(dip({}));
  });
  it('40 °C and 1000 m are what motors are rated for, and degrees count from 0 °C', () => {
    const place = limits({
      'place.ambient': figure(273.15 + 50, 'temperature'),
      'place.altitude': figure(500, 'altitude'),
    });
    expect(place['place.ambient']).toMatchObject({ filled: 0.8, mark: 0.64, missed: false });
    expect(plain(place['place.ambient'])).toBe('rated 40 °C');
    expect(place['place.altitude']).toMatchObject({ filled: 0.4, mark: 0.8, missed: false });
    expect(limits({ 'place.ambient': figure(273.15 - 20, 'temperature') })['place.ambient']).toMatchObject({
      filled: 0,
    });
  });
  it('a payback is judged by the years counted, and unbalance by MG 1 14.36', () => {
    const year = 8760 * 3600;
    const { 'money.payback': payback, 'supply.unbalance': unbalance } = limits(
      { 'money.payback': figure(4 * year, 'span'), 'supply.unbalance': figure(0.051, 'fraction') },
      { money: { years: '5' } },
    );
    expect(payback).toMatchObject({ filled: 0.64, mark: 0.8, missed: false });
    expect(unbalance?.missed).toBe(true);
  });
  it('a hot spot that follows from the class alone misses no limit; one from the rise on the plate does', () => {
    const hot = (rise: string) =>
      solve(
        emptyJob({
          nameplate: { power: '15 hp', thermalClass: 'B', rise, ambient: '50 °C' },
          situation: { kind: 'replace' },
        }),
        demo,
      ).details.readouts.find(({ id }) => id === 'nameplate.hotSpot')?.limit;
    expect(hot('90 K')).toMatchObject({ missed: true });
    expect(plain(hot(''))).toBe('rated 130 °C');
    expect(hot('')?.missed).toBe(false);
  });
  it('max. six a stage, of figures that are published, and never a limit where the figure is words', () => {
    for (const { school, currency, jobs } of demoSites)
      for (const job of jobs) {
        const { values, details } = solve(emptyJob({ school, currency, ...job }), demo);
        for (const { id, limit } of details.readouts) {
          expect(values[id], id).toBeDefined();
          if (limit) expect(typeof values[id]?.value).toBe('number');
        }
        for (const stage of stageNames)
          expect(details.readouts.filter(({ id }) => id.startsWith(`${stage}.`)).length).toBeLessThanOrEqual(6);
      }
  });
});
