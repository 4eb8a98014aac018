/** Published values against sums that can be done on paper; each says where the figures put in come from. */
import { describe, expect, it } from 'vitest';
import { emptyCatalogue, emptyJob, solve, type JobInput, type Solution } from '../../src/index.ts';
import { solveOption } from '../../src/solve/option.ts';
import { solveShared } from '../../src/solve/shared.ts';
import type { Circuit } from '../../src/stages/protection/protection-input.ts';
import { checkRelay, dialOf } from '../../src/stages/protection/overload.ts';
import { catalogue, fan, plate } from '../lib/round-prices.ts';
import { inWords } from '../lib/words.ts';

const HP = 745.6999;
const LBFT = 1.355818;
const RPM = Math.PI / 30;
const run = (input: JobInput, from = emptyCatalogue): Solution => solve(emptyJob(input), from);
const figure = (solution: Solution, id: string): number => Number(solution.values[id]?.value ?? NaN);
const words = (solution: Solution, id: string): string => String(solution.values[id]?.value ?? '');
/** What protection is asked with, of option A. */
function circuitOf(input: JobInput, from: typeof catalogue): Circuit {
  const job = emptyJob(input);
  const shared = solveShared(job);
  const { brief, results } = solveOption({ letter: 'A', own: job.options.A ?? expect.fail() }, shared, from);
  const { pick, starting } = results;
  const { motor, values } = pick;
  if (!motor || !values.motorCurrent) expect.fail();
  const { nameplate, load, supply } = shared.results;
  return {
    brief,
    catalogue: from,
    nameplate,
    load,
    supply,
    starting,
    pick,
    motor,
    nameplateCurrent: values.motorCurrent,
    onDrive: false,
    holds: '',
  };
}

/** Within a share of what is expected. */
const near = (actual: number, expected: number, share = 1e-4): void =>
  expect(Math.abs(actual / expected - 1), `${actual} for ${expected}`).toBeLessThan(share);

const kept: JobInput = {
  situation: { kind: 'starter' },
  nameplate: plate,
  load: { way: 'torque', torque: '60 lb·ft', speed: '1770 rpm' },
  supply: { voltage: '480 V' },
  place: { hazardous: 'no', ambient: '40 °C' },
};

describe('nameplate', () => {
  it('least class by the law of its year: none in 1985, EPAct from 1997, NEMA Premium from 2010 (EISA), IE3 by Regulation 640/2009', () => {
    const made = (year: string) => words(run({ ...kept, nameplate: { ...plate, year } }), 'nameplate.classInItsYear');
    expect(made('1985')).toContain('no least class in 1985');
    expect(made('2003')).toContain('energy efficient in 2003');
    expect(made('2015')).toContain('premium in 2015');
    expect(words(run(kept), 'nameplate.classToday')).toContain('premium');
    const european = run({
      school: 'IEC',
      nameplate: { power: '15 kW', speed: '1470', voltages: '400', currents: '28', frequency: '50', year: '2013' },
    });
    expect(words(european, 'nameplate.classInItsYear')).toContain('IE2 in 2013');
    expect(words(european, 'nameplate.classToday')).toContain('IE3');
  });

  it('without a plate: 10 A at no load and 460 V are 28 to 45 % of the current of a four-pole motor, √3·460·10·0.76 over either', () => {
    const solution = run({
      ...kept,
      nameplate: { unreadable: true, measuredNoLoadCurrent: '10 A', measuredNoLoadSpeed: '1795' },
      supply: { voltage: '480 V', frequency: '60' },
    });
    near(figure(solution, 'nameplate.recoveredPowerLeast'), (Math.sqrt(3) * 460 * 10 * 0.76) / 0.45);
    near(figure(solution, 'nameplate.recoveredPowerMost'), (Math.sqrt(3) * 460 * 10 * 0.76) / 0.28);
  });
});

describe('load', () => {
  it('1770 r/min through 3 : 1 are 590 at the driven shaft; a transmission for moderate shock is rated 1.25 times the torque', () => {
    const solution = run({ ...kept, load: { way: 'torque', torque: '180 lb·ft', ratio: '3', shock: 'moderate' } });
    near(figure(solution, 'load.drivenSpeed'), 590 * RPM);
    near(figure(solution, 'load.transmissionRating'), 1.25 * 180 * LBFT);
    near(
      figure(
        run({ ...kept, load: { way: 'torque', torque: '180 lb·ft', ratio: '3', shock: 'heavy' } }),
        'load.transmissionRating',
      ),
      1.75 * 180 * LBFT,
    );
  });

  it('what is typed of transmission and breakaway stands; a fan breaks away with less than it runs with', () => {
    const typed = run({
      ...kept,
      load: { ...kept.load, ratio: '3', transmissionEfficiency: '88 %', breakaway: '150 %' },
    });
    near(figure(typed, 'load.transmissionEfficiency'), 0.88);
    near(figure(typed, 'load.breakaway'), 1.5);
    expect(figure(run({ ...kept, load: { ...kept.load, torqueKind: 'variable' } }), 'load.breakaway')).toBeLessThan(1);
  });

  it('60 lb·ft at 1770 r/min are 20.22 hp, 0.809 of 25', () => {
    near(figure(run(kept), 'load.loadFraction'), (60 * LBFT * 1770 * RPM) / (25 * HP));
  });

  it('a dip of 10 % leaves 0.81 of breakdown torque, 200 % of rated for 25 hp and four poles (MG 1 Table 12-3: at least 200 %)', () => {
    const solution = run({ ...kept, load: { ...kept.load, overloadTorque: '150 %' } });
    near(figure(solution, 'load.peakAllowed'), 0.81 * 2 * ((25 * HP) / (1770 * RPM)));
  });

  it('belts on 100 hp want a roller bearing at the drive end, on 25 hp a ball bearing does; a coupling asks neither', () => {
    const belted = (torque: string, kind: 'V-belt' | 'coupling' = 'V-belt') =>
      words(
        run({
          situation: { kind: 'new' },
          load: { way: 'torque', torque, speed: '1770', stages: [{ kind, ratio: '1' }] },
          supply: { voltage: '480 V', frequency: '60' },
        }),
        'load.driveEndBearing',
      );
    expect(belted('250 lb·ft')).toBe('roller bearing');
    expect(belted('60 lb·ft')).toBe('ball bearing');
    expect(belted('250 lb·ft', 'coupling')).toBe('');
  });
});

describe('supply', () => {
  it('flicker of one direct start by IEC 61000-3-3: (2.3·z/3600·d^3.2)^(1/3.2), d in per cent and z an hour', () => {
    const solution = run({
      ...kept,
      supply: { voltage: '480 V', sourcePower: '500 kVA', sourceImpedance: '5 %', startsPerHour: '6' },
    });
    const dip = 100 * figure(solution, 'supply.directBusDip');
    near(figure(solution, 'supply.directFlicker'), ((2.3 * 6 * dip ** 3.2) / 3600) ** (1 / 3.2), 1e-3);
  });

  it('a source of 1000 kVA and 5 % at 480 V has 480²/10⁶·0.05 = 11.5 mΩ', () => {
    const solution = run({ ...kept, supply: { voltage: '480 V', sourcePower: '1000 kVA', sourceImpedance: '5 %' } });
    near(figure(solution, 'supply.sourceImpedance'), 0.01152);
  });

  it('a feeder has the impedance of its length: twice as long, twice as much; two runs half', () => {
    const ohms = (feederLength: string, feederRuns = '1') =>
      figure(
        run({
          ...kept,
          supply: {
            voltage: '480 V',
            sourcePower: '500 kVA',
            sourceImpedance: '5 %',
            feederLength,
            feederSize: '2',
            feederRuns,
          },
        }),
        'supply.feederImpedance',
      );
    near(ohms('800 ft'), 2 * ohms('400 ft'));
    near(ohms('400 ft', '2'), ohms('400 ft') / 2);
    // NEC chapter 9 Table 9: 2 AWG copper has about 0.19 to 0.20 Ω a thousand feet.
    near(ohms('1000 ft'), 0.2, 0.12);
  });
});

describe('place', () => {
  it('a usual drive at 50 °C and 1500 m keeps (1 − 10·2 %)·(1 − 5·1 %) = 0.76', () => {
    near(
      figure(run({ ...kept, place: { hazardous: 'no', ambient: '50 °C', altitude: '1500 m' } }), 'place.driveDerate'),
      0.76,
    );
    near(
      figure(run({ ...kept, place: { hazardous: 'no', ambient: '35 °C', altitude: '900 m' } }), 'place.driveDerate'),
      1,
    );
  });

  it('a cabinet of 2 m · 0.8 m · 0.6 m sheds heat by 4.48 m²: without a fan it warms by P/(k·A)', () => {
    const cabinet = {
      hazardous: 'no',
      ambient: '30 °C',
      cabinet: true,
      cabinetHeight: '2 m',
      cabinetWidth: '0.8 m',
      cabinetDepth: '0.6 m',
      otherHeat: '300 W',
    } as const;
    const solution = run({ ...kept, place: cabinet });
    const area = 2 * 0.8 + 2 * 2 * 0.6 + 0.8 * 0.6;
    const perKelvin = figure(solution, 'place.cabinetWalls') / 10;
    near(perKelvin / area, 5.5);
    near(figure(solution, 'place.cabinetInside') - 303.15, figure(solution, 'place.cabinetLosses') / perKelvin);
    const months = (dust: 'clean' | 'dirty') =>
      figure(run({ ...kept, place: { ...cabinet, dust } }), 'place.filterInterval');
    expect(months('clean')).toBeGreaterThan(months('dirty'));
    expect(solution.findings.map(({ code }) => code)).toContain('place.cabinet-air');
    expect(run({ ...kept, place: { ...cabinet, ambient: '40 °C' } }).findings.map(({ code }) => code)).not.toContain(
      'place.cabinet-air',
    );
  });
});

describe('profile', () => {
  it('the share saved is what is saved of what is used today', () => {
    const solution = run(fan, catalogue);
    near(
      figure(solution, 'profile.savingShare'),
      figure(solution, 'profile.energySaved') / figure(solution, 'profile.energyThrottled'),
    );
    near(
      figure(solution, 'profile.energySaved'),
      figure(solution, 'profile.energyThrottled') - figure(solution, 'profile.energySpeedControlled'),
    );
  });
});

describe('starting', () => {
  const turning: JobInput = {
    ...kept,
    load: { ...kept.load, inertia: '1 kg·m²' },
    starting: { method: 'direct', rotorInertia: '0.25 kg·m²' },
  };

  it('rotor and machine turn together: 0.25 + 1 = 1.25 kg·m²; MG 1 12.49 asks a motor to bear 12 s standing', () => {
    near(figure(run(turning), 'starting.totalInertia'), 1.25);
    near(figure(run(turning), 'starting.stallTime'), 12);
    const typed = { ...turning, starting: { ...turning.starting, stallTimeHot: '15 s', stallTimeCold: '25 s' } };
    near(figure(run(typed), 'starting.stallTime'), 25);
    near(figure(run({ ...typed, starting: { ...typed.starting, hot: true } }), 'starting.stallTime'), 15);
  });

  it('cut off, a constant torque stops it from speed to a twentieth in J·0.95·ω/T; lowered over a ramp it takes longer', () => {
    const hammered: JobInput = {
      ...turning,
      starting: { ...turning.starting, method: 'soft starter', waterHammer: true, softStop: '12 s' },
    };
    const solution = run(hammered);
    near(figure(solution, 'starting.coastTime'), (1.25 * 0.95 * 1775 * RPM) / (60 * LBFT), 0.03);
    expect(figure(solution, 'starting.softStopTime')).toBeGreaterThan(figure(solution, 'starting.coastTime'));
    expect(run(turning).values).not.toHaveProperty('starting.coastTime');
  });

  it('star-delta: the change-over in mid run is nearly a direct start, at speed nearly the running current', () => {
    const changed = (changeSpeed: string) =>
      figure(
        run({
          ...turning,
          load: { ...kept.load, torque: '12 lb·ft', inertia: '1 kg·m²' },
          starting: { method: 'star-delta', leads: '6', changeSpeed },
        }),
        'starting.changeoverCurrent',
      );
    expect(changed('50 %')).toBeGreaterThan(3 * changed('98 %'));
    expect(run(turning).values).not.toHaveProperty('starting.changeoverCurrent');
  });

  it('less load leaves more torque over it, by as much', () => {
    const margin = (torque: string) =>
      figure(run({ ...turning, load: { ...turning.load, torque } }), 'starting.torqueMargin');
    near(margin('30 lb·ft') - margin('60 lb·ft'), (30 * LBFT) / ((25 * HP) / (1770 * RPM)), 1e-2);
  });

  it('figures that no motor has together are named', () => {
    const fighting = run({ ...kept, nameplate: { ...plate, codeLetter: 'A' } });
    expect(fighting.findings.find(({ code }) => code === 'starting.figures-fight')).toMatchObject({
      severity: 'caution',
    });
    expect(run(kept).findings.map(({ code }) => code)).not.toContain('starting.figures-fight');
  });
});

describe('pick and protection', () => {
  it('30 A of a drive of 40 A are three quarters; the motor is loaded 70·1760 of 25 hp; the drive is set to the plate’s 30 A', () => {
    const solution = run(fan, catalogue);
    near(figure(solution, 'pick.driveUsed'), 0.75);
    near(figure(solution, 'pick.motorLoad'), (70 * LBFT * 1760 * RPM) / (25 * HP));
    near(figure(solution, 'protection.driveOverloadCurrent'), 30);
    expect(solution.values).not.toHaveProperty('protection.overloadDial');
  });

  it('matching by power: a drive of 25 hp with 28 A falls short of 30 A, one of 90 A is wasted', () => {
    const [drive] = catalogue.drives;
    if (!drive) expect.fail();
    const codes = (amperes: number) => {
      const other = { ...drive, id: 'p', name: 'By power', normalCurrent: amperes, heavyCurrent: amperes, price: 100 };
      const sized = { ...drive, normalPower: 40 * HP, heavyPower: 35 * HP };
      return run(fan, { ...catalogue, drives: [other, sized] }).findings.map(({ code }) => code);
    };
    expect(codes(28)).toContain('pick.power-match-short');
    expect(codes(90)).toContain('pick.power-match-wasteful');
    expect(codes(33).filter((code) => code.startsWith('pick.power-match'))).toEqual([]);
  });

  it('a dial outside its relay stops: 30 A on a relay of 24 to 29 A', () => {
    const [first, ...more] = catalogue.parts;
    const relay = catalogue.parts.find(({ kind }) => kind === 'overload relay');
    if (!first || !relay) expect.fail();
    const { brief, pick, ...rest } = circuitOf(
      { ...fan, options: { A: { starting: { method: 'direct' } } } },
      { ...catalogue, parts: [first, ...more] },
    );
    const narrow = {
      parts: [{ role: 'Overload relay', part: { ...relay, currentMin: 24, currentMax: 29 }, carries: 30 }],
      price: 0,
      lacking: [],
    };
    const said: string[] = [];
    const check = (starter: typeof narrow) =>
      checkRelay(
        dialOf({ ...rest, brief, pick }, () => undefined),
        { ...rest, brief, pick: { ...pick, starter } },
        (code, message) => void said.push(`${code} ${inWords(message)}`),
      );
    check(narrow);
    expect(said).toHaveLength(1);
    expect(said[0]).toMatch(/^protection.dial-outside .*30\.0.A.* covers 24\.0.A to 29\.0.A/);
    check({ ...narrow, parts: [{ role: 'Overload relay', part: relay, carries: 30 }] });
    expect(said).toHaveLength(1);
  });
});
