// Both schools answer for every job of the demo: what one sizes the other sizes too, by the same motor, and says why it differs.
import { describe, expect, it } from 'vitest';
import { emptyJob, solve, solveByBoth } from '../../src/index.ts';
import { demoSites } from '../../../db/demo/jobs.ts';
import { demo } from '../lib/demo.ts';

const ALWAYS = ['wireCurrent', 'conductorMinAmpacity', 'conductorSize', 'disconnectCurrent', 'groundingConductor'];

const jobs = demoSites.flatMap(({ school, name, jobs: own }) =>
  own.map((each) => emptyJob({ ...each, school, site: name })),
);

it('the demo has circuits of both schools to answer for', () => {
  const sized = jobs.filter((job) => solve(job, demo).values['protection.conductorSize']);
  expect(new Set(sized.map(({ school }) => school)).size).toBe(2);
  expect(sized.length).toBeGreaterThanOrEqual(5);
});

describe.each(jobs.map((job) => [job.tag, job] as const))('%s', (_, job) => {
  const both = solveByBoth(job, demo);
  const { values } = both;
  const own = (name: string) => values[`protection.${name}`];
  const other = (name: string) => values[`other.${name}`];
  it('is answered by the other school with the same questions', () => {
    if (!own('wireCurrent')) return;
    for (const name of ALWAYS) {
      expect(own(name), name).toBeDefined();
      expect(other(name), `other ${name}`).toBeDefined();
    }
    expect(Number(other('conductorAmpacity')?.value)).toBeGreaterThanOrEqual(
      Number(other('conductorMinAmpacity')?.value) * 0.999,
    );
    // The NEC asks a quarter more than it counts with, IEC as much.
    const [nec, iec] = job.school === 'NEMA' ? [own, other] : [other, own];
    expect(Number(nec('conductorMinAmpacity')?.value)).toBeCloseTo(1.25 * Number(nec('wireCurrent')?.value), 6);
    expect(Number(iec('conductorMinAmpacity')?.value)).toBeLessThanOrEqual(Number(iec('wireCurrent')?.value) * 1.001);
    expect(String(nec('conductorSize')?.value)).toMatch(/AWG|kcmil/);
    expect(String(iec('conductorSize')?.value)).toMatch(/mm²/);
  });
  it('answers for itself as if nobody had asked the other', () => {
    const alone = solve(job, demo);
    for (const [id, value] of Object.entries(alone.values)) expect(values[id]?.text, id).toBe(value.text);
    expect(both.findings.map(({ code }) => code)).toEqual(alone.findings.map(({ code }) => code));
  });
  it('says of every row why the schools differ', () => {
    for (const { why, own: mine, other: theirs } of both.details.bothSchools) {
      expect(why).not.toBe('');
      expect(mine ?? theirs).toBeDefined();
    }
  });
});

it('every figure that one of the schools publishes has its row', () => {
  const plate = {
    power: '30 hp',
    voltages: '460',
    currents: '35.5',
    frequency: '60',
    speed: '1770',
    designLetter: 'B',
    codeLetter: 'G',
  };
  const rowsOf = (starting: object) => {
    const job = emptyJob({
      situation: { kind: 'starter' },
      nameplate: plate,
      load: { torqueKind: 'variable', torque: '20 lb·ft', speed: '1770' },
      supply: {
        voltage: '480 V',
        frequency: '60',
        sourcePower: '1000 kVA',
        sourceImpedance: '5 %',
        feederLength: '90 ft',
      },
      place: { hazardous: 'no' },
      protection: { others: [{ kind: 'motor', current: '20 A', device: '40 A' }] },
      starting,
    });
    const { values, details } = solveByBoth(job, demo);
    const asked = new Set(details.bothSchools.map(({ name }) => name));
    const published = Object.keys(values).flatMap((id) => /^other\.(.+)$/.exec(id)?.[1] ?? []);
    return {
      asked,
      left: published.filter((name) => !asked.has(name as never)),
      architecture: values['starter.architecture']?.value,
    };
  };
  const star = rowsOf({ method: 'star-delta', leads: '6' });
  for (const name of ['leadAmpacity', 'leadConductor', 'faultAtMotor', 'faultCurrent', 'overloadDial'])
    expect([...star.asked], name).toContain(name);
  const direct = rowsOf({ method: 'direct' });
  expect(direct.architecture).toMatch(/^three devices/);
  expect(rowsOf({ method: 'drive' }).asked.has('faultAtDrive')).toBe(true);
  // The older name of the ceiling, and what only a feeder counts with.
  expect(direct.left).toEqual(['overloadCurrent', 'feederCurrent', 'deviceRating']);
});
