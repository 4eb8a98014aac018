/** Transmission, duty, supply and place against handbook formulas worked beside them. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { emptyCatalogue, emptyJob, solve, type JobInput, type Solution } from '../../../src/index.ts';
import { complex, lagging } from '../../../src/kernel/complex.ts';
import { cycleOf, logBinner } from '../../../src/stages/load/bin-log.ts';
import { hottestOf, rmsOf } from '../../../src/stages/load/duty.ts';
import { minimumSheaveDiameter } from '../../../src/stages/load/sheave.ts';
import { torqueCurve } from '../../../src/stages/load/torque-curve.ts';
import { standardPowers } from '../../../src/motor/standard-power.ts';
import { minimumBreakdownTorque } from '../../../src/motor/typical.ts';
import { dipOf, type Source } from '../../../src/stages/supply/source.ts';
import { flickerOf } from '../../../src/stages/supply/flicker.ts';
import { demo as catalogue } from '../../lib/demo.ts';
import acceleration from '../../cases/acceleration-time.json' with { type: 'json' };

const run = (job: JobInput): Solution => solve(emptyJob({ situation: { kind: 'new' }, ...job }), emptyCatalogue);
const number = (solution: Solution, id: string): number => Number(solution.values[id]?.value);
const severity = (solution: Solution, code: string) => solution.findings.find((each) => each.code === code)?.severity;
const LBFT = 1.355_817_948;
const within = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('a train of stages', () => {
  const belted: JobInput = {
    school: 'IEC',
    load: {
      torque: '600 N·m',
      speed: '96 r/min',
      inertia: '40 kg·m²',
      stages: [
        { kind: 'V-belt', ratio: '2.5', efficiency: '95 %' },
        { kind: 'helical gear', ratio: '6', efficiency: '97 %', inertia: '0.3 kg·m²' },
      ],
    },
  };

  it('carries torque, speed and inertia to every shaft', () => {
    const solution = run(belted);
    // 600 / (2.5·6·0.95·0.97) = 43.41 N·m at 96·15 = 1440 r/min; J = 0.3/2.5² + 40/15² = 0.2258 kg·m²
    expect(number(solution, 'load.motorTorque')).toBeCloseTo(43.41, 2);
    expect((number(solution, 'load.motorSpeed') * 30) / Math.PI).toBeCloseTo(1440, 6);
    expect(number(solution, 'load.inertia')).toBeCloseTo(0.2258, 4);
    const middle = solution.details.shafts[1];
    expect(middle?.torque?.value).toBeCloseTo(600 / (6 * 0.97), 6);
    expect(((middle?.speed?.value ?? 0) * 30) / Math.PI).toBeCloseTo(576, 6);
  });

  it('takes a torque typed inside the train, and a ratio from two speeds', () => {
    const load = { ...belted.load, torque: undefined };
    const stages = [
      { kind: 'V-belt', ratio: '2.5', efficiency: '95 %' },
      { kind: 'helical gear', speed: '576 r/min', efficiency: '97 %', torque: '100 N·m' },
    ] as const;
    const solution = run({ ...belted, load: { ...load, stages: [...stages] } });
    expect(number(solution, 'load.torque')).toBeCloseTo(100 * 6 * 0.97, 6);
    expect(number(solution, 'load.motorTorque')).toBeCloseTo(100 / (2.5 * 0.95), 6);
    expect(number(solution, 'load.ratio')).toBeCloseTo(15, 9);
  });

  it('says so where two readings would create power, and asks for a missing ratio', () => {
    const stages = [{ kind: 'helical gear', ratio: '10', torque: '20 N·m' }] as const;
    const impossible = run({ school: 'IEC', load: { torque: '250 N·m', speed: '145', stages: [...stages] } });
    expect(severity(impossible, 'load.train-creates-power')).toBe('stop');
    const lacking = run({ load: { torque: '20', speed: '100', stages: [{ kind: 'worm gear' }] } });
    expect(lacking.missing.map((each) => each.field)).toContain('load.stages.0.ratio');
  });

  it('conserves torque through any train: what goes in less the losses comes out', () => {
    const stage = fc.record({ ratio: within(0.2, 20), efficiency: within(0.3, 1) });
    fc.assert(
      fc.property(fc.array(stage, { minLength: 1, maxLength: 6 }), within(1, 5000), (stages, torque) => {
        const total = stages.reduce((all, each) => all * each.ratio, 1);
        const speed = 1450 / total;
        if (speed < 1 || speed > 9000) return;
        const solution = run({
          school: 'IEC',
          load: {
            torque: `${torque} N·m`,
            speed: `${speed} r/min`,
            stages: stages.map(({ ratio, efficiency }) => ({
              kind: 'helical gear',
              ratio: String(ratio),
              efficiency: `${efficiency * 100} %`,
            })),
          },
        });
        const { shafts } = solution.details;
        for (const [at, { ratio, efficiency }] of stages.entries()) {
          const input = (shafts[at]?.torque?.value ?? 0) * (shafts[at]?.speed?.value ?? 0);
          const output = (shafts[at + 1]?.torque?.value ?? 0) * (shafts[at + 1]?.speed?.value ?? 0);
          expect(output / input).toBeCloseTo(efficiency, 9);
          expect(output).toBeLessThanOrEqual(input * (1 + 1e-9));
          expect((shafts[at]?.speed?.value ?? 0) / (shafts[at + 1]?.speed?.value ?? 1)).toBeCloseTo(ratio, 9);
        }
      }),
      { numRuns: 60 },
    );
  });

  it(acceleration.published, () => {
    const { inputs, answers, recomputed } = acceleration;
    const load = {
      way: 'centrifuge' as const,
      inertia: `${inputs.load_and_rotor_wk2} lb·ft²`,
      speed: `${inputs.speed_change} rpm`,
      runUpTime: `${recomputed.acceleration_time} s`,
    };
    const torque = number(run({ load }), 'load.torque');
    expect(torque / LBFT / inputs.mean_accelerating_torque).toBeCloseTo(1, 4);
    expect(answers.acceleration_time / recomputed.acceleration_time).toBeCloseTo(1, 2);
  });

  it('overhung load of a 15 hp motor on a 6 in V-belt sheave: 2·43.8·12/6·1.5 = 263 lbf', () => {
    // 126 000·hp·1.5/(n·D) of gear handbooks is the same relation: 126 000·15·1.5/(1800·6) = 262.5
    const solution = run({
      load: {
        torque: '43.77',
        speed: '1800',
        stages: [{ kind: 'V-belt', ratio: '1', efficiency: '100 %' }],
        sheave: '6 in',
      },
    });
    expect(number(solution, 'load.sideLoad') / 4.448_222).toBeCloseTo(262.6, 0);
  });
});

describe('sheaves under V-belts', () => {
  const belted = (load: JobInput['load']) =>
    run({
      load: { torque: '60 lb·ft', speed: '1760 rpm', stages: [{ kind: 'V-belt', ratio: '1' }], ...load },
      nameplate: { frequency: '60' },
      supply: { voltage: '480', frequency: '60' },
    });
  const codes = (load: JobInput['load']) => belted(load).findings.map(({ code }) => code);

  it('MG 1 Table 14-1 (from memory): 5.0 in for 25 hp at four poles; a smaller one is cautioned', () => {
    const least = belted({}).values['load.leastSheave'];
    expect(least?.text).toBe('5.00\u00a0in');
    expect(least?.working.note).toMatch(/roughly/);
    expect(codes({ sheave: '4.6 in' })).toContain('load.sheave-small');
    expect(codes({ sheave: '5 in' })).not.toContain('load.sheave-small');
    expect(codes({ stages: [{ kind: 'synchronous belt', ratio: '1' }], sheave: '4 in' })).not.toContain(
      'load.sheave-small',
    );
  });

  it('no size and speed needs a smaller sheave than a lesser size or fewer poles', () => {
    for (const school of ['NEMA', 'IEC'] as const) {
      const of = (power: number, poles: number) => minimumSheaveDiameter(power, poles, school)?.value;
      for (const [at, power] of standardPowers(school).entries())
        for (const poles of [2, 4, 6, 8]) {
          const own = of(power, poles) ?? Infinity;
          expect(own, `${power} W ${poles} poles`).toBeGreaterThanOrEqual(
            of(standardPowers(school)[at - 1] ?? 0, poles) ?? 0,
          );
          expect(own).toBeGreaterThanOrEqual(of(power, poles - 2) ?? 0);
        }
    }
  });

  it('a rim of 12 in at 3 540 r/min runs at 11 121 ft/min, beyond the 6 500 of ordinary sheaves', () => {
    const fast = belted({ torque: '20 lb·ft', speed: '3540 rpm', sheave: '12 in' });
    const finding = fast.findings.find(({ code }) => code === 'load.rim-speed');
    expect(finding?.message).toContain('11\u00a0121');
    expect(codes({ sheave: '10 in' })).not.toContain('load.rim-speed');
  });
});

describe('machines added', () => {
  it.each<[string, JobInput['load'], number]>([
    // Adiabatic: 3.5·101.325 kPa·0.5 m³/s·((801.325/101.325)^0.2857 − 1)/0.75 = 190.5 kW
    [
      'screw compressor',
      { way: 'screw compressor', flow: '0.5 m³/s', pressure: '7 bar', machineEfficiency: '75 %' },
      190_490,
    ],
    // Bond: 10·13·(1/√10 000 − 1/√100 000) = 0.889 kWh/t at 100 t/h = 88.9 kW
    [
      'crusher',
      { way: 'crusher', massFlow: '100 t/h', workIndex: '13 kWh/t', feedSize: '100 mm', productSize: '10 mm' },
      88_890,
    ],
    // 12 kJ · 40/60 / 0.8 = 10 kW
    ['press', { way: 'press', strokeEnergy: '12 kJ', strokesPerMinute: '40', machineEfficiency: '80 %' }, 10_000],
  ])('%s', (_, load, watts) => {
    const solution = run({ school: 'IEC', load: { speed: '1450 r/min', ...load } });
    expect(number(solution, 'load.motorPower') / watts).toBeCloseTo(1, 3);
  });

  it('a table of points is read between them, in the units typed', () => {
    const solution = run({
      load: {
        way: 'curve',
        speed: '900 rpm',
        curve: [
          { speed: '0', torque: '30 lb·ft' },
          { speed: '600 rpm', torque: '10 lb·ft' },
          { speed: '1200 rpm', torque: '40 lb·ft' },
        ],
      },
    });
    expect(number(solution, 'load.torque') / LBFT).toBeCloseTo(25, 6);
    expect(solution.details.loadCurve?.torques.length).toBe(3);
  });

  it('a fan set to constant torque is told', () => {
    const load = {
      way: 'fan',
      flow: '10000 cfm',
      pressure: '4 inH2O',
      machineEfficiency: '65 %',
      speed: '1780',
    } as const;
    expect(severity(run({ load }), 'load.torque-kind')).toBe('caution');
    expect(severity(run({ load: { ...load, torqueKind: 'variable' } }), 'load.torque-kind')).toBeUndefined();
  });

  it('curves start at breakaway and pass the running point, whatever the machine', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('constant', 'variable'),
        within(0, 0.9),
        within(0, 2),
        (torqueKind, staticShare, breakaway) => {
          const { load } = emptyJob({ load: { torqueKind: torqueKind } });
          const { speeds, torques } = torqueCurve({ load, torque: 80, speed: 150, breakaway, staticShare, table: [] });
          expect(torques[0]).toBeCloseTo(80 * breakaway, 6);
          expect(torques[speeds.findIndex((speed) => Math.abs(speed - 150) < 1e-9)]).toBeCloseTo(80, 6);
          for (const torque of torques) expect(torque).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });
});

describe('duty cycle', () => {
  const codes = (solution: Solution): string[] => solution.findings.map(({ code }) => code);
  const cycle = (...rows: readonly (readonly [string, string, boolean?])[]): JobInput => ({
    school: 'IEC',
    load: {
      way: 'duty',
      speed: '1450 r/min',
      duty: rows.map(([torque, time, standing]) => ({ torque, time, standing: standing ?? false })),
    },
  });

  it('RMS by hand: 100 N·m 6 s, 50 N·m 10 s, standing 9 s with a third of the cooling', () => {
    // √((100²·6 + 50²·10)/(16 + 9/3)) = √(85 000/19) = 66.89 N·m
    const solution = run(cycle(['100 N·m', '6 s'], ['50 N·m', '10 s'], ['', '9 s', true]));
    expect(number(solution, 'load.rmsTorque')).toBeCloseTo(66.886, 3);
    // So short a cycle leaves the motor as warm as its RMS torque does.
    expect(number(solution, 'load.torque') / 66.886).toBeCloseTo(1, 2);
    expect(number(solution, 'load.peakTorque')).toBe(100);
    expect(number(solution, 'load.dutyCycle')).toBe(25);
  });

  it('the peak decides the size where heat alone would stall, and a kept motor is stopped by it', () => {
    // RMS 40 N·m would be 6.07 kW, so 7.5; but 300 N·m against 2.0·T_n·0.81 needs 185 N·m, 28 kW, so 30 kW
    const rows = [
      ['300 N·m', '1 s'],
      ['5 N·m', '55 s'],
    ] as const;
    const solution = run(cycle(...rows));
    expect(number(solution, 'load.standardPower')).toBe(30_000);
    const kept = run({
      ...cycle(...rows),
      situation: { kind: 'starter' },
      nameplate: {
        power: '7.5 kW',
        voltages: '400',
        frequency: '50',
        speed: '1450',
        currents: '15',
        powerFactor: '0.83',
      },
    });
    expect(severity(kept, 'load.peak-stalls')).toBe('stop');
  });

  it('the peak sizes for the motor it is checked against: whatever is picked bears it, and is never stopped by it', () => {
    const school = fc.constantFrom('IEC' as const, 'NEMA' as const);
    const turning = fc.constantFrom<readonly [number, string]>(
      [690, '50'],
      [870, '60'],
      [1450, '50'],
      [1750, '60'],
      [3500, '60'],
    );
    fc.assert(
      fc.property(school, within(2, 300), within(1, 40), turning, (family, mean, ratio, [rpm, frequency]) => {
        const short = cycle([`${mean * ratio} N·m`, '2 s'], [`${mean} N·m`, '600 s']);
        const solution = run({
          ...short,
          school: family,
          load: { ...short.load, speed: `${rpm} r/min` },
          nameplate: { frequency },
        });
        expect(codes(solution)).not.toContain('load.peak-stalls');
        const size = solution.values['load.standardPower']?.value;
        if (typeof size !== 'number') return;
        const rated = size / ((rpm * Math.PI) / 30);
        const bears = rated * minimumBreakdownTorque(size, number(solution, 'load.poles')) * 0.81;
        // The typical motor of a size turns at its own speed, a little off the one typed.
        expect(bears).toBeGreaterThan(0.88 * mean * ratio);
      }),
      { numRuns: 200 },
    );
  });

  it('a long cycle sizes by its hottest moment: textbook factor of intermittent duty for an hour on and half off', () => {
    // Drives textbooks, fixed losses left out (from memory): T_steady = T·√((1 − e^−t_r/τ)/(1 − e^−(t_r + k·t_s)/τ)).
    const [run60, rest30] = [Math.exp(-60 / 30), Math.exp(-(60 + 30 / 3) / 30)];
    const factor = Math.sqrt((1 - run60) / (1 - rest30));
    const solution = run(cycle(['100 N·m', '60 min'], ['', '30 min', true]));
    expect(number(solution, 'load.torque')).toBeCloseTo(100 * factor, 6);
    expect(number(solution, 'load.rmsTorque')).toBeCloseTo(100 * Math.sqrt(60 / 70), 6);
    // 89.4 N·m of RMS at 1450 r/min would be 13.6 kW, so 15; at its hottest it is as warm as under 113.5 N·m, 17.2 kW.
    const swinging = run(cycle(['120 N·m', '60 min'], ['40 N·m', '60 min']));
    expect(number(swinging, 'load.rmsTorque')).toBeCloseTo(Math.sqrt((120 ** 2 + 40 ** 2) / 2), 6);
    expect(severity(swinging, 'load.cycle-long')).toBe('note');
    expect(number(swinging, 'load.standardPower')).toBe(18_500);
    const small = run({ ...cycle(['120 N·m', '60 min'], ['40 N·m', '60 min']), practice: { thermalTime: '12 h' } });
    expect(number(small, 'load.standardPower')).toBe(15_000);
    expect(severity(small, 'load.cycle-long')).toBeUndefined();
  });

  it.each<[string, (readonly [string, string, boolean?])[]]>([
    ['S1', [['80 N·m', '40 s']]],
    [
      'S1',
      [
        ['80 N·m', '4 h'],
        ['', '20 h', true],
      ],
    ],
    [
      'S2 10 min',
      [
        ['80 N·m', '10 min'],
        ['', '6 h', true],
      ],
    ],
    [
      'S3 40 %',
      [
        ['80 N·m', '4 min'],
        ['', '6 min', true],
      ],
    ],
    [
      'S6 25 %',
      [
        ['80 N·m', '1 min'],
        ['5 N·m', '3 min'],
      ],
    ],
    [
      'S10',
      [
        ['80 N·m', '3 h'],
        ['40 N·m', '2 h'],
      ],
    ],
    [
      'S1 at the equal-heating torque',
      [
        ['80 N·m', '30 s'],
        ['40 N·m', '20 s'],
        ['', '10 s', true],
      ],
    ],
  ])('is %s by IEC 60034-1 4.2 (from memory)', (type, rows) => {
    expect(run(cycle(...rows)).values['load.dutyType']?.text.replaceAll('\u00a0', ' ')).toBe(type);
  });

  it('starts an hour follow from it: across the end of the cycle one standstill is one, and the shortest counts', () => {
    const solution = run(
      cycle(['', '20 s', true], ['80 N·m', '60 s'], ['', '30 s', true], ['80 N·m', '60 s'], ['', '10 s', true]),
    );
    expect(number(solution, 'load.startsPerHour')).toBeCloseTo((2 * 3600) / 180, 9);
    expect(solution.details.duty?.rest).toBe(30);
    expect(run(cycle(['80 N·m', '60 s'])).values['load.startsPerHour']).toBeUndefined();
  });

  describe('made from a log', () => {
    const warming = { timeConstant: 1800, standstillCooling: 1 / 3 };
    /** A log sampled every 2 s, and what its own stretches come to. */
    const recorded = (stretches: readonly (readonly [minutes: number, torque: number])[]) => {
      const { push, result } = logBinner();
      let at = 0;
      for (const [minutes, torque] of stretches)
        for (const end = at + 30 * minutes; at < end; at++) push(2 * at, torque);
      push(2 * at, 0);
      const segments = stretches.map(([minutes, torque]) => ({ torque, time: 60 * minutes, standing: torque === 0 }));
      const made = cycleOf(result(), warming);
      return {
        made,
        length: made.reduce((sum, { time }) => sum + time, 0),
        warmth: hottestOf(
          made.map(({ value, time, standing }) => ({ torque: value, time, standing })),
          warming,
        ),
        own: hottestOf(segments, warming),
      };
    };
    const repeated = <T>(times: number, ...each: readonly T[]): T[] => Array.from({ length: times }, () => each).flat();

    it('a machine that starts, runs and stands forty times becomes that cycle', () => {
      const { made, length, warmth, own } = recorded(repeated(40, [1, 100], [2, 50], [2, 0]));
      expect(made.map(({ value, standing }) => [Math.round(value), standing])).toEqual([
        [0, true],
        [50, false],
        [100, false],
      ]);
      // The log begins running, so it holds thirty-nine starts.
      expect(length).toBeCloseTo((40 * 300) / 39, -1);
      expect(warmth / own).toBeCloseTo(1, 2);
    });

    it('one heavy hour of a night stays an hour that warms through, however it chatters', () => {
      for (const hour of [[[60, 100] as const], repeated(60, [0.5, 90] as const, [0.5, 109] as const)]) {
        const { length, warmth, own } = recorded([[240, 40], ...hour, [180, 40]]);
        expect(length).toBeGreaterThan(4 * 3600);
        expect(warmth / own).toBeCloseTo(1, 2);
      }
    });
  });

  it('mean ≤ RMS ≤ torque of equal heat ≤ peak, whatever the cycle and the motor', () => {
    const segment = fc.tuple(within(1, 500), within(1, 5000), fc.boolean());
    fc.assert(
      fc.property(
        fc.array(segment, { minLength: 1, maxLength: 20 }),
        within(60, 40_000),
        within(0.05, 1),
        (rows, timeConstant, standstillCooling) => {
          const segments = rows.map(([torque, time, standing]) => ({ torque: standing ? 0 : torque, time, standing }));
          const { rms, peak, cycle: length } = rmsOf(segments, standstillCooling);
          const hottest = hottestOf(segments, { timeConstant, standstillCooling });
          const mean = segments.reduce((sum, each) => sum + each.torque * each.time, 0) / length;
          expect(rms).toBeGreaterThanOrEqual(mean * (1 - 1e-9));
          expect(hottest).toBeGreaterThanOrEqual(rms * (1 - 1e-9));
          expect(hottest).toBeLessThanOrEqual(peak * (1 + 1e-9));
        },
      ),
    );
  });
});

describe('poles and sizes side by side', () => {
  const solution = solve(
    emptyJob({
      situation: { kind: 'new' },
      load: { torque: '300 lb·ft', speed: '290 rpm', ratio: '6.1' },
      supply: { frequency: '60', voltage: '480' },
    }),
    catalogue,
  );
  it('more poles give more torque, a lower ratio and a larger frame', () => {
    const { poles } = solution.details;
    expect(poles.map((each) => each.poles)).toEqual([2, 4, 6, 8]);
    for (const [at, each] of poles.entries()) {
      const faster = poles[at - 1];
      if (!faster) continue;
      expect(each.torque).toBeGreaterThan(faster.torque);
      expect(each.ratioNeeded).toBeLessThan(faster.ratioNeeded);
    }
    expect(poles.find((each) => each.chosen)?.poles).toBe(4);
    expect(poles.find((each) => each.poles === 4)?.cost).toBe(1);
  });
  it('a larger size runs at a lower power factor', () => {
    const { sizes } = solution.details;
    expect(sizes.find((each) => each.chosen)?.loadShare).toBeGreaterThan(0.7);
    for (const [at, each] of sizes.entries())
      if (at > 0) expect(each.powerFactor).toBeLessThan(sizes[at - 1]?.powerFactor ?? 0);
  });
});

describe('dip by phasors', () => {
  const source = (size: number, feeder = complex(0)): Source => ({
    voltage: 480,
    internal: lagging(size, 1 / Math.sqrt(26)),
    feeder,
    other: undefined,
    internalValue: undefined,
    feederValue: undefined,
  });
  const start = { voltage: 460, current: 700, powerFactor: 0.3, limited: false };

  it('by hand: 1500 kVA of 5.75 % at X/R 5 and 700 A at cos φ 0.3', () => {
    // Z = 0.008832 (0.001732 + j0.008661); motor 460/√3/700 = 0.37941 (0.11382 + j0.36193); sum |0.11555 + j0.37059| = 0.38819
    const dip = dipOf(source((0.0575 * 480 ** 2) / 1.5e6), start);
    expect(dip.bus).toBeCloseTo(1 - 0.37941 / 0.38819, 4);
    expect(dip.terminals).toBeCloseTo(dip.bus, 12);
  });

  it('a generator feeding pure reactance is the classic X′d/(X′d + X)', () => {
    const generator = { ...source(0), internal: complex(0, 0.092) };
    expect(dipOf(generator, { ...start, powerFactor: 0 }).bus).toBeCloseTo(
      0.092 / (0.092 + 460 / Math.sqrt(3) / 700),
      9,
    );
  });

  it('in the first instant a generator holds by X″d: the dip of one whose X′d were that', () => {
    const generator = (supply: JobInput['supply']) =>
      run({
        situation: { kind: 'starter' },
        nameplate: { power: '22 kW', voltages: '400', currents: '41', frequency: '50', speed: '1470' },
        supply: { voltage: '400', frequency: '50', source: 'generator', sourcePower: '200 kVA', ...supply },
      });
    const both = generator({ sourceImpedance: '20 %', subtransientReactance: '12 %' });
    expect(number(both, 'supply.directFirstDip')).toBeCloseTo(
      number(generator({ sourceImpedance: '12 %' }), 'supply.directBusDip'),
      9,
    );
    expect(number(both, 'supply.directFirstDip')).toBeLessThan(number(both, 'supply.directBusDip'));
    const codes = generator({ sourceImpedance: '12 %', subtransientReactance: '20 %' }).findings.map(
      ({ code }) => code,
    );
    expect(codes).toContain('supply.reactances-swapped');
    const usual = generator({ sourceImpedance: '20 %' }).values['supply.directFirstDip'];
    expect(usual?.working.note).toContain('0.65');
  });

  it('never falls with a weaker source or a longer feeder, and a limited start keeps its current', () => {
    fc.assert(
      fc.property(
        within(1e-4, 0.2),
        within(1.01, 5),
        within(0.001, 0.3),
        within(0.05, 0.9),
        (size, factor, feeder, powerFactor) => {
          const at = (z: number, f: number) => dipOf(source(z, lagging(f, 0.7)), { ...start, powerFactor });
          expect(at(size * factor, feeder).bus).toBeGreaterThan(at(size, feeder).bus);
          expect(at(size, feeder * factor).terminals).toBeGreaterThan(at(size, feeder).terminals);
          expect(at(size, feeder).terminals).toBeGreaterThanOrEqual(at(size, feeder).bus - 1e-12);
          const held = dipOf(source(0.01), { ...start, current: 200, limited: true });
          expect(held.current).toBeCloseTo(200, 6);
        },
      ),
    );
  });

  it('in a job: feeder and other load count, limits refuse, single phase leaves a drive', () => {
    const job: JobInput = {
      situation: { kind: 'starter' },
      nameplate: { power: '60 hp', voltages: '460', currents: '68.5', frequency: '60', speed: '1780', codeLetter: 'G' },
      load: { torque: '100 lb·ft', torqueKind: 'variable' },
      supply: { voltage: '480', frequency: '60', sourcePower: '500 kVA', sourceImpedance: '5 %' },
    };
    const far = {
      ...job,
      supply: { ...job.supply, feederLength: '400 ft', feederSize: '2' as const, otherLoad: '200 kVA' },
    };
    expect(number(run(far), 'supply.directTerminalDip')).toBeGreaterThan(
      number(run(job), 'supply.directTerminalDip') + 0.02,
    );
    const utility = run({ ...job, supply: { ...job.supply, directPowerLimit: '10 hp' } });
    expect(utility.details.starting[0]?.failures.join()).toContain('permits starts at full voltage');
    const fault = run({
      ...job,
      supply: { voltage: '480', frequency: '60', source: 'fault level', faultCurrent: '12 kA' },
    });
    expect(number(fault, 'supply.shortCircuitPower')).toBeCloseTo(Math.sqrt(3) * 480 * 12_000, 3);
    const single = (method: 'auto' | 'direct') =>
      run({ ...job, supply: { ...job.supply, phases: '1' }, starting: { method } });
    expect(severity(single('auto'), 'supply.single-phase')).toBe('caution');
    expect(single('auto').values['starting.method']?.value).toBe('drive');
    expect(severity(single('direct'), 'starting.method-fails')).toBe('stop');
    expect(single('direct').details.starting[0]?.failures[0]).toBe(
      'a three-phase motor does not start on a single-phase supply',
    );
  });

  it('flicker: one 4 % step in ten minutes is P_st = (2.3·4^3.2/600)^(1/3.2) = 0.703', () => {
    expect(flickerOf(0.04, 6).shortTerm).toBeCloseTo(((2.3 * 4 ** 3.2) / 600) ** (1 / 3.2), 9);
    expect(flickerOf(0.04, 6).shortTerm).toBeCloseTo(0.703, 2);
  });

  it('a tariff in bands gives the mean price and its demand', () => {
    const bands = [
      { name: 'day', price: '0.20 per kWh', share: '40 %' },
      { name: 'night', price: '0.10 per kWh', share: '60 %' },
    ];
    expect(number(run({ supply: { bands } }), 'supply.energyPrice') * 3.6e6).toBeCloseTo(0.14, 9);
    expect(severity(run({ supply: { bands: bands.slice(0, 1) } }), 'supply.band-shares')).toBe('caution');
  });
});

describe('place', () => {
  const derate = (place: JobInput['place']): number => number(run({ place }), 'place.motorDerate');
  it('MG 1 14.4: full power at 40 °C to 3300 ft, and at 30 °C to 6600 ft', () => {
    expect(derate({ ambient: '40 °C', altitude: '3280 ft' })).toBe(1);
    expect(derate({ ambient: '30 °C', altitude: '6560 ft' })).toBeGreaterThan(0.985);
    expect(derate({ ambient: '40 °C', altitude: '6560 ft' })).toBeLessThan(0.95);
  });

  it('heat and height never give power back', () => {
    const celsius = within(-20, 75);
    const metres = within(0, 5000);
    fc.assert(
      fc.property(celsius, celsius, metres, metres, (a, b, low, high) => {
        const at = (ambient: number, altitude: number) =>
          derate({ ambient: `${ambient.toFixed(3)} °C`, altitude: `${altitude.toFixed(3)} m` });
        expect(at(Math.max(a, b), low)).toBeLessThanOrEqual(at(Math.min(a, b), low) + 1e-12);
        expect(at(a, Math.max(low, high))).toBeLessThanOrEqual(at(a, Math.min(low, high)) + 1e-12);
      }),
      { numRuns: 60 },
    );
  });

  it('cabinet by hand: 1.8 × 0.8 × 0.4 m passes 5.5·3.2·(40 − 25) = 264 W, the rest needs air', () => {
    const solution = run({
      school: 'IEC',
      load: { torque: '250 N·m', speed: '1470' },
      place: {
        ambient: '25 °C',
        cabinet: true,
        dust: 'dirty',
        cabinetHeight: '1800',
        cabinetWidth: '800',
        cabinetDepth: '400',
        otherHeat: '100 W',
      },
    });
    expect(number(solution, 'place.cabinetWalls')).toBeCloseTo(5.5 * (1.44 + 1.44 + 0.32) * 15, 6);
    const left = number(solution, 'place.cabinetLosses') - number(solution, 'place.cabinetWalls');
    expect(number(solution, 'place.cabinetAir')).toBeCloseTo(left / (1.2 * 1005 * 15), 6);
    const hot = run({
      load: { torque: '250', speed: '1770' },
      place: { ambient: '45 °C', cabinet: true, cabinetHeight: '72', cabinetWidth: '32', cabinetDepth: '16' },
    });
    expect(severity(hot, 'place.cabinet-cannot-cool')).toBe('stop');
  });

  it('every enclosure has a verdict and a reason; explosion protection is never chosen', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('dry', 'drip', 'hose', 'washdown', 'submerged'),
        fc.constantFrom('clean', 'dirty', 'fibrous', 'conductive', 'combustible'),
        fc.constantFrom('none', 'humid', 'salt', 'chemical'),
        fc.boolean(),
        (water, dust, corrosion, airStream) => {
          const { details } = run({ place: { water, dust, corrosion, airStream } });
          for (const each of details.enclosures) expect(each.why).not.toBe('');
          expect(details.enclosures.find((each) => each.code === 'TEXP')?.verdict).toBe('ruled out');
        },
      ),
    );
  });

  // What cannot be, or is only half typed, is told at the field that would mend it.
  it.each<[string, JobInput, string]>([
    ['feeder without its size', { supply: { feederLength: '200 ft' } }, 'supply.feederSize'],
    ['feeder without its length', { supply: { feederSize: '10' } }, 'supply.feederLength'],
    [
      'cabinet without its depth',
      { place: { cabinet: true, cabinetHeight: '72', cabinetWidth: '32' } },
      'place.cabinetDepth',
    ],
    ['two voltages of three', { supply: { phaseVoltages: '478/470' } }, 'supply.phaseVoltages'],
    ['voltages to earth', { supply: { phaseVoltages: '277/276/278' } }, 'supply.phaseVoltages'],
    ['more load than source', { supply: { otherLoad: '900 kVA' } }, 'supply.otherLoad'],
    ['more with this motor', { supply: { otherLoad: '745 kVA' } }, 'supply.otherLoad'],
    ['stall times swapped', { starting: { stallTimeHot: '30 s', stallTimeCold: '10 s' } }, 'starting.stallTimeHot'],
  ])('%s', (_, more, field) => {
    const supply = { voltage: '480', frequency: '60', sourcePower: '750 kVA', sourceImpedance: '5 %' };
    const fields = (job: JobInput): string[] => {
      const { findings, missing } = run({
        situation: { kind: 'new' },
        load: { torque: '72 lb·ft', speed: '1770' },
        ...job,
        supply: { ...supply, ...job.supply },
      });
      return [...findings, ...missing].map((each) => each.field ?? '');
    };
    expect(fields(more)).toContain(field);
    expect(fields({})).not.toContain(field);
  });

  // Where each enclosure belongs; common practice, no published source.
  it.each<[string, string, string, JobInput]>([
    ['ODP', 'chosen', 'clean, dry and level', { place: { dust: 'clean' } }],
    ['ODP', 'ruled out', 'outdoors', { place: { dust: 'clean', setting: 'outdoor' } }],
    ['ODP', 'ruled out', 'on end', { place: { dust: 'clean', attitude: 'shaft up' } }],
    ['TEFC', 'chosen', 'in dirt', { place: { dust: 'dirty' } }],
    ['TEFC', 'ruled out', 'among fibres', { place: { dust: 'fibrous' } }],
    ['TENV', 'ruled out', 'in jets', { place: { water: 'washdown' } }],
    ['washdown', 'chosen', 'in jets', { place: { water: 'washdown' } }],
    ['TEAO', 'possible', 'in its fan’s stream', { load: { machine: 'fan' }, place: { airStream: true } }],
    ['TEAO', 'ruled out', 'in another’s stream', { load: { machine: 'pump' }, place: { airStream: true } }],
    ['TEBC', 'ruled out', 'at one speed', { load: { torqueKind: 'constant' } }],
    [
      'TEBC',
      'possible',
      'long at low speed with full torque',
      { load: { torqueKind: 'constant' }, profile: { points: [{ flow: '30 %', hours: '2000' }] } },
    ],
    [
      'TEBC',
      'ruled out',
      'long at low speed with little torque',
      { load: { torqueKind: 'variable' }, profile: { points: [{ flow: '30 %', hours: '2000' }] } },
    ],
  ])('%s is %s %s', (code, verdict, _, job) => {
    expect(run(job).details.enclosures.find((each) => each.code === code)?.verdict).toBe(verdict);
  });

  // What the trade does in each place; common practice, no published source, where no standard is named beside it.
  it.each<[string, JobInput['place'], string, RegExp]>([
    ['a freezer', { ambient: '-25 °C' }, 'place.heater', /space heater.*heated cabinet/],
    ['days of damp standstill', { dampStandby: true }, 'place.heater', /^space heater in the motor$/],
    ['food, washed down', { water: 'washdown', food: true }, 'place.frameMaterial', /stainless/],
    ['a clean warm dry room', { dust: 'clean', ambient: '25 °C' }, 'place.driveHousing', /open.*IP20/],
    ['hosed, a small drive', { water: 'hose' }, 'place.driveHousing', /Type 4.*IP66/],
    ['dirt', { dust: 'dirty' }, 'place.motorEnclosure', /fan-cooled.*IP5/],
  ])('%s', (_, place, id, expected) => {
    const solution = run({ load: { torque: '20 lb·ft', speed: '1770' }, nameplate: { frequency: '60' }, place });
    expect(String(solution.values[id]?.value)).toMatch(expected);
  });

  it('a shaft that points down, and a limit on noise, are told', () => {
    const solution = run({
      load: { torque: '10 lb·ft', speed: '3540' },
      nameplate: { frequency: '60' },
      place: { attitude: 'shaft down', noiseLimit: '70 dB(A)' },
    });
    // IM V1 is the shaft down, flange-mounted (IEC 60034-7, from memory).
    expect(solution.findings.find(({ code }) => code === 'place.attitude')?.clear).toContain('IM V1');
    expect(severity(solution, 'place.noise')).toBe('caution');
  });
});

describe('overloads and the drive', () => {
  it('an overload longer than the curve allows, t = 60 (1.5² − 1)/(m² − 1), or so often that its heat is above one, needs a larger drive', () => {
    const current = (overloadTime: string, overloadsPerHour: string): number =>
      number(
        solve(
          emptyJob({
            school: 'IEC',
            situation: { kind: 'new' },
            load: {
              torqueKind: 'constant',
              torque: '180 N·m',
              speed: '1470 r/min',
              overloadTorque: '160 %',
              overloadTime,
              overloadsPerHour,
            },
            supply: { voltage: '400', frequency: '50' },
            starting: { speedControl: 'yes' },
          }),
          catalogue,
        ),
        'pick.driveCurrent',
      );
    const brief = current('10 s', '2');
    // 160 % of 180 N·m is 1.33 times the 58 A of the drive: 97 s at most, and (1.33² · 60 + 0.93² · 240)/300 is above 1.
    expect(current('60 s', '2')).toBe(brief);
    expect(current('240 s', '2')).toBeGreaterThan(1.1 * brief);
    expect(current('60 s', '12')).toBeGreaterThan(brief);
  });
});

describe('rules of thumb', () => {
  it('the job’s own setting wins over the site’s, and both are told apart', () => {
    const job: JobInput = {
      load: { torque: '72', speed: '1768', overloadTorque: '130 %' },
      sitePractice: { sizeMargin: '10 %', busDip: '3 %' },
      practice: { sizeMargin: '25 %' },
    };
    const rules = Object.fromEntries(run(job).details.rules.map((rule) => [rule.name, rule]));
    expect(rules['sizeMargin']).toMatchObject({ from: 'job', text: '25.0\u00a0%' });
    expect(rules['runningDip']?.from).toBe('default');
    // Rules that nothing asked for are not listed.
    expect(rules['wallTransfer']).toBeUndefined();
    const wrong = run({ practice: { sizeMargin: '-5 %' } });
    expect(wrong.fields['practice.sizeMargin']?.error).toContain('outside');
  });
});
