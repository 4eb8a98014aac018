// The inquiry into an early failure: readings and remedies are common practice; each limit’s source stands with the cases.
import { describe, expect, it } from 'vitest';
import { emptyCatalogue, emptyJob, solve, type JobInput, type Solution } from '../../../src/index.ts';
import { readPlate } from '../../../src/stages/nameplate/read/read-plate.ts';
import cases from '../../cases/inquiry.json' with { type: 'json' };

const HP = 745.7;
const plate = readPlate('HP 30 RPM 1770 V 230/460 A 71/35.5 HZ 60 SF 1.15 CODE G DES B FR 286T TEFC').fields;

function failed({ situation, nameplate, ...more }: JobInput): Solution {
  const { supply, place, ...rest } = more;
  return solve(
    emptyJob({
      nameplate: { ...plate, ...nameplate },
      supply: { voltage: '480 V', frequency: '60 Hz', ...supply },
      place: { dust: 'clean', ...place },
      ...rest,
      situation: { kind: 'replace', life: '2 years', failureMode: 'unknown', ...situation },
    }),
    emptyCatalogue,
  );
}
const early = (solution: Solution) => solution.findings.find(({ code }) => code === 'situation.early-failure');

describe('a cause and its reading', () => {
  it.each(cases.readings.map((each) => [each.cause, each.says, JSON.stringify(each.job), each] as const))(
    '%s: the reading speaks %s it in %s',
    (cause, says, _, { job, of }) => {
      // Starts alone are asked of the rotor too; all others of what is not known.
      const mode = cause === 'starts' || cause === 'voltage-peaks' ? 'ground' : undefined;
      const { situation, ...rest } = job as JobInput;
      const solution = failed({ ...rest, situation: { ...(mode ? { failureMode: mode } : {}), ...situation } });
      const suspicion =
        solution.details.suspicions.find(({ id }) => id === cause) ?? expect.fail(`${cause} is not asked`);
      expect(suspicion.reading).toBe(says === 'nothing' ? 'nothing' : `speaks ${says} it`);
      if (says === 'nothing') expect(suspicion.evidence).toBe('');
      expect(suspicion.evidence.replaceAll('\u00a0', ' ')).toContain(of);
      expect(suspicion.evidence === '').toBe(says === 'nothing');
      expect(suspicion.verdict).toBe('open');
      expect(suspicion.proof && suspicion.field).toBeTruthy();
      // The finding names what the readings speak for, and nothing else.
      expect((early(solution)?.message ?? '').includes(suspicion.name.toLowerCase())).toBe(says === 'for');
    },
  );

  it.each(cases.failures)('of a $mode failure $suspects are suspects', ({ mode, suspects }) => {
    const { suspicions } = failed({ situation: { failureMode: mode as 'bearing' } }).details;
    expect(suspicions.map(({ id }) => id).toSorted()).toEqual(suspects);
  });

  it('one decided stays in view whatever failed, with its verdict', () => {
    const solution = failed({ situation: { failureMode: 'rotor', causes: { grease: 'cleared', dirt: 'found' } } });
    const verdict = (id: string) => solution.details.suspicions.find((each) => each.id === id)?.verdict;
    expect([verdict('grease'), verdict('dirt'), verdict('starts'), verdict('heat')]).toEqual([
      'cleared',
      'found',
      'open',
      undefined,
    ]);
  });
});

describe('what a found cause changes', () => {
  it.each(cases.remedies)('$cause: $order', ({ cause, closed, inverterDuty, horsepower, order }) => {
    const solution = failed({ situation: { causes: { [cause]: 'found' } } });
    const lines = String(solution.values['situation.remedies']?.value).split('; ');
    expect(lines.length).toBe(order.length);
    for (const [at, line] of order.entries()) expect(lines[at]).toContain(line);
    const { requirement } = solution.details;
    expect(requirement?.enclosures.includes('ODP')).toBe(!closed);
    expect(requirement?.inverterDuty).toBe(inverterDuty);
    expect(Number(requirement?.power) / HP).toBeCloseTo(horsepower, 2);
    expect(early(solution)).toBeUndefined();
  });

  it('a cleared one changes nothing; lines that two causes share stand once', () => {
    const cleared = failed({ situation: { causes: { moisture: 'cleared', overload: 'cleared' } } });
    expect(cleared.values['situation.remedies']).toBeUndefined();
    expect(cleared.details.requirement?.enclosures).toContain('ODP');
    const both = failed({ situation: { causes: { heat: 'found', starts: 'found' } } });
    expect(String(both.values['situation.remedies']?.value).split('; ')).toHaveLength(3);
  });
});

describe('an early failure', () => {
  it('is one under five years that nothing explains', () => {
    const after = (life: string, more: JobInput['situation'] = {}) => early(failed({ situation: { life, ...more } }));
    expect(after('4.9 years')?.message).toContain('4.9 years');
    expect(after('5 years')).toBeUndefined();
    expect(after('4.9 years', { explained: true })).toBeUndefined();
    expect(after('4.9 years', { kind: 'new' })).toBeUndefined();
    expect(failed({ practice: { earlyLifeYears: '8' }, situation: { life: '7 years' } }).stages.situation.summary).toBe(
      'Replace · lived 7.0 years',
    );
    expect(early(failed({ practice: { earlyLifeYears: '8' }, situation: { life: '7 years' } }))).toBeDefined();
  });

  it('is asked about where a motor is replaced, and nowhere else', () => {
    const asks = (kind: 'replace' | 'starter') =>
      solve(emptyJob({ situation: { kind }, nameplate: plate }), emptyCatalogue).missing.map(({ field }) => field);
    expect(asks('replace')).toContain('situation.life');
    expect(asks('starter')).not.toContain('situation.life');
    const kept = failed({ situation: { kind: 'starter', causes: { overload: 'found' } } });
    expect(kept.details.suspicions).toEqual([]);
    expect(kept.values['situation.remedies']).toBeUndefined();
    expect(kept.stages.situation.summary).toBe('Change starter');
  });
});

it('what a cause is read by is told entry by entry: water at the place speaks until the insulation was measured', () => {
  const of = (solution: Solution) => solution.details.suspicions.find(({ id }) => id === 'moisture')?.readings;
  expect(of(failed({ place: { water: 'hose' } }))).toEqual([
    { field: 'situation.insulationResistance', says: 'nothing' },
    { field: 'place.water', says: 'speaks for it' },
  ]);
  expect(of(failed({ place: { water: 'hose' }, situation: { insulationResistance: '150 MΩ' } }))).toEqual([
    { field: 'situation.insulationResistance', says: 'speaks against it' },
    { field: 'place.water', says: 'nothing' },
  ]);
});
