import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  emptyCatalogue,
  emptyJob,
  jobSchema,
  solutionSchema,
  solve,
  type Job,
  type JobInput,
  type Solution,
} from '../../src/index.ts';
import { quantityFields } from '../../src/job/fields.ts';
import { lossShape } from '../../src/stages/operating-profile/drive-loss.ts';
import { stageNames } from '../../src/kernel/stage-list.ts';

const run = (job: JobInput): Solution => solve(emptyJob(job), emptyCatalogue);
const number = (solution: Solution, id: string): number => {
  const value = solution.values[id]?.value;
  if (typeof value !== 'number') throw new Error(`no number ${id}`);
  return value;
};
const codes = (solution: Solution): string[] => solution.findings.map((finding) => finding.code);

const fan: JobInput = {
  situation: { kind: 'energy' },
  nameplate: {
    power: '60 hp',
    voltages: '460',
    currents: '68.5',
    frequency: '60',
    speed: '1780',
    efficiency: '95',
    powerFactor: '86',
    codeLetter: 'G',
  },
  load: { machine: 'fan', torqueKind: 'variable', torque: '148 lb·ft', speed: '1782 rpm' },
  supply: { voltage: '480 V', frequency: '60 Hz', sourcePower: '1500 kVA', sourceImpedance: '5.75 %' },
  profile: {
    control: 'damper',
    points: [
      { flow: '80 %', hours: '4000' },
      { flow: '60 %', hours: '3000' },
    ],
  },
};

describe('force and radius through a gear', () => {
  it('1450 lbf on 9 in, 30 : 1 at 88 %: 1450·9/12 / (30·0.88) = 41.19 lb·ft at the motor, 58·30 = 1740 r/min', () => {
    const solution = run({
      situation: { kind: 'new' },
      load: {
        way: 'force',
        force: '1450 lbf',
        radius: '9 in',
        speed: '58 rpm',
        ratio: '30',
        transmissionEfficiency: '88 %',
      },
    });
    expect(number(solution, 'load.motorTorque') / 1.355818).toBeCloseTo(41.19, 2);
    expect((number(solution, 'load.motorSpeed') * 30) / Math.PI).toBeCloseTo(1740, 6);
    // 41.19·1740/5252 = 13.65 hp, so 15 hp
    expect(solution.values['load.standardPower']?.text).toBe('15\u00a0hp');
  });
});

describe('the ways to start', () => {
  it('speed control that saves leads to a drive; a profile at full flow says a drive is waste', () => {
    expect(run(fan).values['starting.method']?.value).toBe('drive');
    const full = run({ ...fan, profile: { points: [{ flow: '100 %', hours: '8300' }] } });
    expect(codes(full)).toContain('profile.drive-wastes');
    expect(full.values['starting.method']?.value).toBe('direct');
    expect(number(full, 'profile.energySpeedControlled')).toBeGreaterThan(number(full, 'profile.energyThrottled'));
  });

  it('a weak supply rules out direct, and an impossible limit is a stop', () => {
    const limited = (startCurrentLimit: string, torque = '148 lb·ft', leads: '12' | 'unknown' = '12') =>
      run({
        ...fan,
        situation: { kind: 'starter' },
        load: { ...fan.load, torque },
        starting: { speedControl: 'no', leads },
        supply: { ...fan.supply, startCurrentLimit },
      });
    expect(limited('600 A').values['starting.method']?.value).toBe('direct');
    // A third of the least pull-up torque of Design B does not bring a fan at its full power past 60 % of its speed.
    expect(limited('200 A').values['starting.method']?.value).toBe('drive');
    expect(limited('200 A', '40 lb·ft').values['starting.method']?.value).toBe('star-delta');
    expect(limited('200 A', '40 lb·ft', 'unknown').values['starting.method']?.value).not.toBe('star-delta');
    expect(codes(limited('20 A'))).toContain('starting.none');
  });

  it('star draws and gives one third of direct', () => {
    const [direct, star] = run({ ...fan, supply: { voltage: '460', frequency: '60' } }).details.starting;
    expect((star?.current ?? 0) * 3).toBeCloseTo(direct?.current ?? NaN, 9);
    expect((star?.torque ?? 0) * 3).toBeCloseTo(direct?.torque ?? NaN, 9);
  });
});

describe('what stops', () => {
  it.each([
    ['place.hazardous', { place: { hazardous: 'yes' } }],
    ['place.hazardous', { place: { hazardous: 'unknown' } }],
    ['place.combustible-dust', { place: { dust: 'combustible' } }],
    [
      'starting.method-fails',
      { situation: { kind: 'starter' }, supply: { ...fan.supply, phases: '1' }, starting: { method: 'direct' } },
    ],
    [
      'profile.hours',
      {
        profile: {
          points: [
            { flow: '100 %', hours: '8000' },
            { flow: '50 %', hours: '1000' },
          ],
        },
      },
    ],
    ['load.exceeds-plate', { load: { ...fan.load, torque: '220 lb·ft' } }],
  ] as [string, JobInput][])('%s', (code, change) => {
    const solution = run({ ...fan, ...change });
    expect(solution.findings.find((finding) => finding.code === code)?.severity).toBe('stop');
    expect(solution.stages.handover.state).toBe('stop');
  });

  it('stops come first', () => {
    expect(run({ ...fan, place: { hazardous: 'yes' } }).findings[0]?.severity).toBe('stop');
  });
});

describe('the document', () => {
  it('is complete with nothing given, and says what is missing', () => {
    const solution = run({});
    expect(solution.missing.map((each) => each.field)).toContain('nameplate.power');
    expect(Object.keys(solution.stages)).toEqual([...stageNames]);
  });

  it('keeps to its published schema', () => {
    const solution = JSON.parse(JSON.stringify(run(fan))) as unknown;
    expect(solutionSchema.safeParse(solution).error).toBeUndefined();
  });

  it('refuses what it does not know', () => {
    expect(jobSchema.safeParse({ nameplate: { colour: 'red' } }).success).toBe(false);
    expect(jobSchema.safeParse({ profile: { points: Array.from({ length: 201 }, () => ({})) } }).success).toBe(false);
  });

  it('a rule of thumb can be set, and the result follows', () => {
    expect(run({ ...fan, practice: { sizeMargin: 0.5 } }).values['load.standardPower']?.text).toContain('100');
  });
});

describe('properties', () => {
  const paths = Object.entries(quantityFields).flatMap(([stage, fields]) =>
    Object.keys(fields).map((name) => [stage, name] as const),
  );

  it('whatever is typed anywhere, solving never throws and the message is at the field', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.constantFrom(...paths),
            fc.oneof(fc.string({ maxLength: 30 }), fc.double({ noNaN: true, noDefaultInfinity: true })),
          ),
          { maxLength: 6 },
        ),
        (typed) => {
          const job: Record<string, Record<string, unknown>> = {};
          for (const [[stage, name], text] of typed) (job[stage] ??= {})[name] = text;
          const solution = run(job);
          for (const finding of solution.findings.filter((each) => each.code === 'input.unreadable')) {
            expect(solution.fields[finding.field ?? '']?.error).toBe(finding.message);
          }
          for (const value of Object.values(solution.values)) {
            if (typeof value.value === 'number') expect(Number.isFinite(value.value)).toBe(true);
          }
        },
      ),
      { numRuns: 400 },
    );
  });

  it('no transmission creates power', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 1, noNaN: true }),
        fc.double({ min: 0.2, max: 60, noNaN: true }),
        (efficiency, ratio) => {
          const solution = run({
            load: { torque: '100 N·m', speed: '60 rpm', ratio, transmissionEfficiency: `${efficiency * 100} %` },
            situation: { kind: 'new' },
          });
          expect(number(solution, 'load.motorPower')).toBeGreaterThanOrEqual(100 * 2 * Math.PI * 0.999999);
        },
      ),
    );
  });

  it('a stiffer source never dips more', () => {
    const dip = (kva: number): number =>
      run({ ...fan, supply: { ...fan.supply, sourcePower: `${kva} kVA` } }).details.starting[0]?.dip ?? NaN;
    fc.assert(
      fc.property(
        fc.double({ min: 100, max: 5000, noNaN: true }),
        fc.double({ min: 1.01, max: 4, noNaN: true }),
        (kva, factor) => {
          expect(dip(kva * factor)).toBeLessThan(dip(kva));
        },
      ),
      { numRuns: 40 },
    );
  });

  it('the loss of a drive rises with its current and never falls to nothing', () => {
    const loads = fc.double({ min: 0, max: 1.3, noNaN: true });
    fc.assert(
      fc.property(loads, loads, loads, (a, b, frequency) => {
        expect(lossShape(frequency, Math.min(a, b))).toBeLessThanOrEqual(lossShape(frequency, Math.max(a, b)));
        expect(lossShape(frequency, a)).toBeGreaterThan(0.4);
      }),
    );
  });

  it('solving is pure: the same job gives the same solution and is left as it was', () => {
    const job: Job = emptyJob(fan);
    const before = JSON.stringify(job);
    expect(solve(job, emptyCatalogue)).toEqual(solve(job, emptyCatalogue));
    expect(JSON.stringify(job)).toBe(before);
  });
});
