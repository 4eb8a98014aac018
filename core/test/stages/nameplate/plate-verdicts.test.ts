/** What a plate says that cannot be, what it leaves open, and that nothing is decided before it is settled. */
import { describe, expect, it } from 'vitest';
import { emptyCatalogue, emptyJob, solve, type JobInput, type Solution } from '../../../src/index.ts';

const run = (job: JobInput): Solution => solve(emptyJob(job), emptyCatalogue);
const finding = (solution: Solution, code: string) => solution.findings.find((each) => each.code === code);
const number = (solution: Solution, id: string): number => Number(solution.values[id]?.value);
const rpm = (solution: Solution, id: string): number => (number(solution, id) * 30) / Math.PI;
const missing = (solution: Solution, kind: 'needed' | 'sharpens') =>
  solution.missing.filter((each) => each.kind === kind).map(({ field }) => field);

const nema: NonNullable<JobInput['nameplate']> = {
  power: '30 hp',
  voltages: '460',
  currents: '35.5',
  frequency: '60',
  speed: '1770',
  efficiency: '93.6 %',
  codeLetter: 'G',
};

describe('a plate that contradicts itself', () => {
  it('of one phase stops: P = √3 V I … does not hold for it', () => {
    expect(finding(run({ nameplate: { ...nema, phases: '1' } }), 'nameplate.single-phase')).toMatchObject({
      severity: 'stop',
      field: 'nameplate.phases',
    });
    expect(finding(run({ nameplate: { ...nema, phases: '3' } }), 'nameplate.single-phase')).toBeUndefined();
  });

  it('a power factor of 0.51 from P, V, I and η is said: 22 371 W / (√3 · 460 V · 58.8 A · 0.936)', () => {
    const odd = run({ nameplate: { ...nema, currents: '58.8' } });
    expect(number(odd, 'nameplate.powerFactor')).toBeCloseTo(0.51, 3);
    expect(finding(odd, 'nameplate.implausible')?.message).toContain('0.510');
    expect(finding(run({ nameplate: nema }), 'nameplate.implausible')).toBeUndefined();
  });

  it('a class that its own figures do not reach: IE3 asks 91.4 % of 11 kW at 50 Hz, 92.4 % at 60 Hz (IEC 60034-30-1)', () => {
    const plate = (efficiency: string, frequency: string, more: JobInput['nameplate'] = {}) =>
      finding(
        run({
          school: 'IEC',
          nameplate: {
            power: '11 kW',
            voltages: '400',
            frequency,
            speed: frequency === '50' ? '1470' : '1775',
            efficiency,
            efficiencyClass: 'IE3',
            ...more,
          },
        }),
        'nameplate.class-disagrees',
      );
    expect(plate('91.4 %', '50')).toBeUndefined();
    expect(plate('89.0 %', '50')?.message).toContain('91.4');
    expect(plate('91.4 %', '60')?.message).toContain('92.4');
    expect(plate('92.4 %', '60')).toBeUndefined();
    // 11 000 / (√3 · 400 · 23 · 0.85) = 81.2 %, worked out, not printed.
    expect(plate('', '50', { currents: '23', powerFactor: '0.85' })?.message).toContain('81.2');
  });

  it('poles that its speed does not have; poles alone give a speed, as an estimate', () => {
    expect(finding(run({ nameplate: { ...nema, poles: '6' } }), 'nameplate.poles-disagree')?.severity).toBe('caution');
    expect(finding(run({ nameplate: { ...nema, poles: '4' } }), 'nameplate.poles-disagree')).toBeUndefined();
    expect(finding(run({ nameplate: { ...nema, poles: '5' } }), 'nameplate.poles-disagree')?.message).toContain(
      'pairs',
    );
    const by = run({ nameplate: { ...nema, speed: undefined, poles: '4' } });
    // 0.22 (1 − 0.936)/0.936 = 1.5 % slip of 1800 r/min.
    expect(rpm(by, 'nameplate.speed')).toBeCloseTo(1772.9, 0);
    expect(by.values['nameplate.speed']?.origin).toBe('estimated');
  });
});

describe('a two-speed plate', () => {
  const two = (kind: 'replace' | 'drive' | 'starter', speedInForce?: 'first' | 'second') =>
    run({
      school: 'IEC',
      situation: { kind },
      nameplate: {
        power: '2.2/1.1 kW',
        voltages: '400',
        currents: '4.7/2.9',
        frequency: '50',
        speed: '2880/1430',
        powerFactor: '0.85/0.78',
        ...(speedInForce ? { speedInForce } : {}),
      },
    });
  it('stops where it is replaced or driven until a speed is chosen', () => {
    expect(finding(two('replace'), 'nameplate.two-speed')).toMatchObject({
      severity: 'stop',
      field: 'nameplate.speedInForce',
    });
    expect(finding(two('drive'), 'nameplate.two-speed')?.severity).toBe('stop');
    expect(finding(two('starter'), 'nameplate.two-speed')?.severity).toBe('caution');
    expect(finding(two('replace', 'second'), 'nameplate.two-speed')).toBeUndefined();
  });
  it('takes power, current, power factor and poles of the speed that was chosen', () => {
    const second = two('replace', 'second');
    expect(
      ['power', 'ratedCurrent', 'powerFactor', 'poles'].map((name) => number(second, `nameplate.${name}`)),
    ).toEqual([1100, 2.9, 0.78, 4]);
    expect(rpm(second, 'nameplate.speed')).toBeCloseTo(1430, 6);
    expect(number(two('replace', 'first'), 'nameplate.poles')).toBe(2);
  });
});

describe('a plate of several voltages', () => {
  const job = (supply: JobInput['supply'], more: JobInput['load'] = {}): JobInput => ({
    school: 'IEC',
    situation: { kind: 'energy' },
    nameplate: {
      power: '11 kW',
      voltages: '400/690',
      currents: '21.5/12.4',
      frequency: '50',
      speed: '1465',
      efficiency: '91.4 %',
    },
    load: { way: 'current', runningCurrent: '20 A', ...more },
    ...(supply ? { supply } : {}),
  });
  it('gives no verdict on 20 A before the connected voltage is known: 93 % of 21.5 A, or 161 % of 12.4 A', () => {
    const open = run(job(undefined));
    expect(open.findings.filter(({ severity }) => severity === 'stop')).toEqual([]);
    expect(missing(open, 'needed')).toContain('supply.voltage');
    expect(open.values['nameplate.ratedCurrent']?.origin).toBe('estimated');
    const known = run(job({ voltage: '400 V' }));
    expect(number(known, 'load.motorPower') / 11_000).toBeCloseTo(20 / 21.5, 2);
    expect(finding(run(job({ voltage: '690 V' })), 'load.exceeds-plate')?.severity).toBe('stop');
  });
  it('knows it too from the voltage measured at the running motor', () => {
    expect(number(run(job(undefined, { runningVoltage: '404 V' })), 'load.motorPower')).toBeGreaterThan(10_000);
  });
});

describe('school and frequency', () => {
  const metric: NonNullable<JobInput['nameplate']> = {
    power: '11 kW',
    voltages: '400',
    currents: '21.5',
    frequency: '50',
    speed: '1465',
    efficiencyClass: 'IE3',
  };
  it('50 Hz and IEC marks propose the IEC school, 60 Hz and hp the NEMA one', () => {
    expect(finding(run({ school: 'NEMA', nameplate: metric }), 'nameplate.other-school')?.clear).toContain('IEC');
    expect(finding(run({ school: 'IEC', nameplate: metric }), 'nameplate.other-school')).toBeUndefined();
    expect(finding(run({ school: 'IEC', nameplate: nema }), 'nameplate.other-school')?.clear).toContain('NEMA');
    expect(finding(run({ school: 'NEMA', nameplate: nema }), 'nameplate.other-school')).toBeUndefined();
  });
  it('a frequency that the plate gives is not asked again; that of a new machine is', () => {
    expect(run({ nameplate: nema, supply: { voltage: '480' } }).values['supply.frequency']?.value).toBe(60);
    expect(missing(run({ nameplate: nema, supply: { voltage: '480' } }), 'needed')).not.toContain('supply.frequency');
    expect(missing(run({ situation: { kind: 'new' }, supply: { voltage: '480' } }), 'needed')).toContain(
      'supply.frequency',
    );
    expect(missing(run({ nameplate: { ...nema, frequency: '50/60' } }), 'needed')).toContain('supply.frequency');
  });
  it('a reading that another stage has is not asked again', () => {
    const once = run({
      nameplate: nema,
      situation: { runningCurrent: '30 A', startsPerHour: '4' },
      load: { way: 'current' },
      supply: { voltage: '480' },
    });
    expect(once.missing.map(({ field }) => field)).not.toContain('load.runningCurrent');
    expect(number(once, 'load.motorPower') / (30 * 745.7)).toBeCloseTo(30 / 35.5, 2);
    expect(number(once, 'load.startsPerHour')).toBe(4);
  });

  it('a 400 V 50 Hz motor on 480 V 60 Hz keeps its volts per hertz and gets one answer: 13.2 kW at 1765 r/min', () => {
    const moved = run({
      school: 'IEC',
      nameplate: metric,
      situation: { kind: 'starter' },
      supply: { voltage: '480', frequency: '60' },
    });
    expect(number(moved, 'nameplate.power')).toBeCloseTo(13_200, 6);
    expect(rpm(moved, 'nameplate.speed')).toBeCloseTo(1765, 6);
    expect([number(moved, 'nameplate.voltage'), number(moved, 'nameplate.ratedCurrent')]).toEqual([480, 21.5]);
    expect(finding(moved, 'supply.frequency')).toBeUndefined();
    // A fan takes 1.2³ = 173 % there.
    expect(finding(moved, 'supply.other-frequency')).toMatchObject({
      severity: 'caution',
      message: expect.stringContaining('173') as string,
    });
    expect(
      finding(
        run({ school: 'IEC', nameplate: metric, supply: { voltage: '400', frequency: '60' } }),
        'supply.frequency',
      )?.severity,
    ).toBe('stop');
  });

  it('a 208-230 V winding on 208 V has (208/230)² of its torque and 208/230 of its locked-rotor current', () => {
    const low = run({
      situation: { kind: 'starter' },
      nameplate: {
        power: '15 hp',
        voltages: '208-230/460',
        currents: '42-38/19',
        frequency: '60',
        speed: '1770',
        codeLetter: 'G',
        designLetter: 'B',
        serviceFactor: '1.15',
      },
      supply: { voltage: '208', frequency: '60' },
      load: { torque: '20 lb·ft', torqueKind: 'variable', speed: '1780' },
      starting: { method: 'direct' },
    });
    expect(number(low, 'nameplate.ratedCurrent')).toBe(42);
    expect(number(low, 'nameplate.torqueOnSupply')).toBeCloseTo((208 / 230) ** 2, 9);
    // Code G up to 6.3 kVA/hp at 230 V: 6.3 · 15 000 / (√3 · 230) = 237.2 A, 214.5 A on 208 V.
    expect(number(low, 'nameplate.lockedRotorCurrentMax')).toBeCloseTo(214.5, 1);
    expect(number(low, 'starting.startingCurrent')).toBeCloseTo(214.5, 1);
    // MG 1 12.38: 160 % for 15 hp, four poles.
    expect(number(low, 'starting.startingTorque')).toBeCloseTo(1.6 * (208 / 230) ** 2, 3);
    expect(finding(low, 'supply.low-winding')?.severity).toBe('caution');
  });
});

describe('missing', () => {
  it('is told apart: needed for a decision, or only sharpening it', () => {
    const solution = run({ nameplate: { power: '15 hp' } });
    expect(missing(solution, 'needed')).toEqual(
      expect.arrayContaining(['nameplate.voltages', 'nameplate.speed', 'supply.voltage']),
    );
    expect(missing(solution, 'sharpens')).toEqual(
      expect.arrayContaining([
        'situation.life',
        'place.ambient',
        'supply.sourcePower',
        'load.torque',
        'money.energyPrice',
      ]),
    );
    expect(missing(run({ situation: { kind: 'new' } }), 'needed')).toContain('load.torque');
    expect(solution.values['handover.decision']?.text).toMatch(/figures are needed$/);
  });
});
