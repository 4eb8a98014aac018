/**
 * Feeder of several motors: NEC Annex D, Example D8 (2011 to 2023, from memory), sums on paper after 430.24, 430.62 and
 * 240.6(A), six leads by 430.22(C) as printed; gG one behind the other 1.6 : 1 (IEC 60269-1, from memory).
 */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { emptyJob, solve, solveByBoth, type JobInput, type Solution } from '../../../src/index.ts';
import { demo } from '../../lib/demo.ts';
import { catalogue, plate } from '../../lib/round-prices.ts';

const others = (...circuits: NonNullable<JobInput['protection']>['others'] & object) => ({ others: circuits });
const nec = (protection: JobInput['protection'], more: JobInput = {}, by = solve): Solution =>
  by(
    emptyJob({
      situation: { kind: 'starter' },
      load: { way: 'torque', torque: '60 lb·ft', speed: '1770 rpm' },
      starting: { method: 'direct', speedControl: 'no' },
      ...more,
      nameplate: { ...plate, designLetter: 'B' },
      supply: { voltage: '480 V', frequency: '60', ...more.supply },
      place: { hazardous: 'no', ...more.place },
      protection,
    }),
    catalogue,
  );
const value = ({ values }: Solution, name: string): unknown => values[name]?.value;

describe('a feeder by the NEC', () => {
  it('of one motor of 34 A and two of 40 A: 124 A, behind 175 A where the largest device is the 110 A fuse', () => {
    const d8 = nec({
      device: 'nontime delay fuse',
      ...others({ current: '40 A', device: '60 A' }, { current: '40 A', device: '60 A' }),
    });
    expect(value(d8, 'protection.branchDeviceMax')).toBe(110);
    expect(value(d8, 'protection.feederAmpacity')).toBeCloseTo(124, 9);
    // 110 + 40 + 40 = 190, the next standard size below.
    expect(value(d8, 'protection.feederDeviceMax')).toBe(175);
    expect(d8.values['protection.feederDeviceMax']?.working.note).toMatch(
      /190\sA; the largest device is that of this motor/,
    );
  });
  it('alone there is no feeder to size, nor of rows without a current', () => {
    expect(value(nec({}), 'protection.feederAmpacity')).toBeUndefined();
    expect(value(nec(others({ circuit: 'Pump' })), 'protection.feederAmpacity')).toBeUndefined();
  });
  it('a device that was not typed is the largest 430.52 allows, and that is said', () => {
    // 65 A: 2.5 × 65 = 162.5, the next 175 A; with 34 A: 209, 200 A.
    const guessed = nec(others({ current: '65 A' }));
    expect(value(guessed, 'protection.feederDeviceMax')).toBe(200);
    expect(guessed.values['protection.feederDeviceMax']?.working.note).toMatch(
      /that of Circuit 2\. One device not typed/,
    );
    expect(
      nec(others({ current: '65 A' }, { current: '20 A' })).values['protection.feederDeviceMax']?.working.note,
    ).toMatch(/2 devices not typed/);
  });
  it('what runs three hours or longer counts a quarter more, what does not once; neither is a motor', () => {
    // 34 + 100 + 50 + (34 + 100)/4
    const mixed = nec(
      others({ current: '100 A', kind: 'continuous' }, { current: '50 A', kind: 'other', circuit: 'Lift' }),
    );
    expect(value(mixed, 'protection.feederAmpacity')).toBeCloseTo(217.5, 9);
    // 90 A of this motor and 150 A.
    expect(value(mixed, 'protection.feederDeviceMax')).toBe(225);
  });
  it('601 A is a rating of fuses only', () => {
    const at = (device: 'inverse time breaker' | 'nontime delay fuse') =>
      value(nec({ device, ...others({ current: '100 A', device: '568 A' }) }), 'protection.feederDeviceMax');
    expect([at('inverse time breaker'), at('nontime delay fuse')]).toEqual([600, 601]);
  });
  it('never less for one circuit more, nor for a larger one', () => {
    const amperes = fc.integer({ min: 1, max: 400 });
    fc.assert(
      fc.property(fc.array(amperes, { minLength: 1, maxLength: 5 }), amperes, (currents, more) => {
        const of = (all: number[]) =>
          value(nec(others(...all.map((each) => ({ current: `${each} A` })))), 'protection.feederAmpacity') as number;
        const before = of(currents);
        expect(of([...currents, more])).toBeGreaterThan(before);
        expect(of(currents.map((each, at) => (at === 0 ? each + more : each)))).toBeGreaterThan(before);
      }),
      { numRuns: 12 },
    );
  });
  it('on a drive this motor counts by what the drive takes: 38 A, and 40 A beside it', () => {
    const driven = nec(others({ current: '40 A', device: '60 A' }), {
      situation: { kind: 'drive' },
      load: { way: 'torque', torqueKind: 'variable', torque: '60 lb·ft', speed: '1770 rpm' },
      starting: { method: 'drive' },
      place: { cabinet: true },
    });
    // 38 + 1.25 · 40
    expect(value(driven, 'protection.feederAmpacity')).toBeCloseTo(88, 9);
  });
});

describe('a feeder by IEC', () => {
  const iec = (protection: JobInput['protection'], by = solve): Solution =>
    by(
      emptyJob({
        school: 'IEC',
        situation: { kind: 'starter' },
        nameplate: {
          power: '22 kW',
          voltages: '400',
          currents: '41',
          frequency: '50',
          speed: '1470',
          efficiency: '93',
          powerFactor: '0.84',
        },
        starting: { method: 'direct' },
        protection: { shortCircuit: 'gG', ...protection },
      }),
      demo,
    );
  it('carries what runs at once, behind a fuse 1.6 times the largest', () => {
    const feeder = iec({ simultaneity: '80 %', ...others({ current: '60 A', device: '125 A' }, { current: '9 A' }) });
    // 0.8 · (41 + 60 + 9) = 88 A; 1.6 · 125 = 200 A.
    expect(value(feeder, 'protection.feederAmpacity')).toBeCloseTo(88, 9);
    expect(value(feeder, 'protection.feederDevice')).toBe('Fuses gG 200 A or larger');
    expect(value(feeder, 'protection.feederDeviceMax')).toBeUndefined();
    // 1.5 · 210 would be 315 A itself.
    const fuse = String(value(iec(others({ current: '60 A', device: '210 A' })), 'protection.feederDevice'));
    expect(Number(/gG (\d+) A/.exec(fuse)?.[1])).toBeGreaterThanOrEqual(1.6 * 210);
  });
  it('this motor’s own fuse counts; without any the current decides', () => {
    const own = iec(others({ current: '5 A' }));
    const fuse = Number(/gG (\d+)/.exec(String(value(own, 'protection.branchDevice')))?.[1]);
    expect(fuse).toBeGreaterThan(41);
    const least = Number(/gG (\d+)/.exec(String(value(own, 'protection.feederDevice')))?.[1]);
    expect(least).toBeGreaterThanOrEqual(1.6 * fuse);
    const breaker = iec({ shortCircuit: 'motor breaker', ...others({ current: '200 A' }) });
    expect(value(breaker, 'protection.feederDevice')).toBe('Fuses gG 250 A or larger');
    expect(breaker.values['protection.feederDevice']?.working.note).toMatch(/not said/);
  });
  it('both schools answer it', () => {
    const both = iec(others({ current: '60 A', device: '125 A' }), solveByBoth);
    expect(value(both, 'protection.feederAmpacity')).toBeCloseTo(101, 9);
    // 60 + 41 + 15
    expect(value(both, 'other.feederAmpacity')).toBeCloseTo(116, 9);
    // 125 + 41
    expect(value(both, 'other.feederDeviceMax')).toBe(150);
    expect(value(nec(others({ current: '60 A', device: '125 A' }), {}, solveByBoth), 'other.feederDevice')).toBe(
      'Fuses gG 200 A or larger',
    );
  });
});

describe('six leads in star-delta', () => {
  it('carry 72 % of the current each (430.22(C)): 24.5 A, of which 12 AWG carries 25 at 75 °C', () => {
    const started = nec({}, { starting: { method: 'star-delta', leads: '6', speedControl: 'no' } });
    expect(value(started, 'protection.leadAmpacity')).toBeCloseTo(0.72 * 34, 9);
    expect(value(started, 'protection.leadConductor')).toBe('12 AWG copper');
    expect(value(nec({}), 'protection.leadAmpacity')).toBeUndefined();
    expect(value(nec({}), 'protection.leadConductor')).toBeUndefined();
  });
  it('are told by the other school too', () => {
    const iec = solveByBoth(
      emptyJob({
        school: 'IEC',
        situation: { kind: 'starter' },
        nameplate: {
          power: '18.5 kW',
          voltages: '460',
          currents: '34',
          frequency: '60',
          speed: '1770',
          efficiency: '93',
          powerFactor: '0.84',
        },
        supply: { voltage: '460 V', frequency: '60' },
        starting: { method: 'star-delta', leads: '6' },
      }),
      demo,
    );
    expect(value(iec, 'other.leadAmpacity')).toBeCloseTo(0.72 * Number(value(iec, 'other.wireCurrent')), 9);
    // Without a design letter its terminals are good for 60 °C, where 12 AWG carries 20 A.
    expect(value(iec, 'other.leadConductor')).toBe('10 AWG copper');
  });
});

describe('a short circuit at the bus against what is there', () => {
  // 1000 kVA of 5 % at 480 V: 24.06 kA.
  const supply = { sourcePower: '1000 kVA', sourceImpedance: '5 %' };
  const stops = (protection: JobInput['protection'], from = catalogue) =>
    solve(
      emptyJob({
        situation: { kind: 'starter' },
        load: { way: 'torque', torque: '60 lb·ft', speed: '1770 rpm' },
        starting: { method: 'direct', speedControl: 'no' },
        nameplate: { ...plate, designLetter: 'B' },
        supply: { voltage: '480 V', frequency: '60', ...supply },
        place: { hazardous: 'no' },
        protection,
      }),
      from,
    );
  const said = (solution: Solution) =>
    solution.findings.filter(({ code }) => code === 'protection.fault-above').map(({ message }) => message);
  it('stops where the panel holds less', () => {
    expect(value(stops({}), 'protection.faultCurrent')).toBeCloseTo(24056, -1);
    expect(said(stops({ assemblyRating: '22 kA' }))[0]).toMatch(
      /is rated for a short-circuit current of 22\.0\skA, prospective 24\.1\skA/,
    );
    expect(said(stops({ assemblyRating: '25 kA' }))).toEqual([]);
    expect(said(stops({}))).toEqual([]);
  });
  it('takes a breaker that breaks it before one that does not, and stops where none does', () => {
    const [first] = catalogue.parts;
    if (!first) throw new Error('the catalogue of round prices has no parts');
    const breaker = (id: string, amps: number, breakingCapacity?: number) => ({
      ...first,
      kind: 'breaker' as const,
      id,
      name: id,
      currentMin: amps,
      currentMax: amps,
      ...(breakingCapacity === undefined ? {} : { breakingCapacity }),
    });
    const from = (...breakers: ReturnType<typeof breaker>[]) => ({
      ...catalogue,
      parts: [...catalogue.parts, ...breakers],
    });
    const strong = stops({}, from(breaker('weak 90', 90, 18_000), breaker('strong 80', 80, 30_000)));
    expect(value(strong, 'protection.branchDevice')).toBe('strong 80');
    expect(said(strong)).toEqual([]);
    expect(strong.values['protection.branchDevice']?.working.note).toMatch(/It breaks 30\.0\skA\.$/);
    const weak = stops({}, from(breaker('weak 90', 90, 18_000)));
    expect(value(weak, 'protection.branchDevice')).toBe('weak 90');
    expect(said(weak)[0]).toMatch(
      /^The breaking capacity of weak 90 is 18\.0\skA, short-circuit current at the bus 24\.1\skA\.$/,
    );
    const silent = stops({}, from(breaker('silent 90', 90)));
    expect(said(silent)).toEqual([]);
    expect(silent.values['protection.branchDevice']?.working.note).toMatch(/must cover the fault level/);
  });

  it('stops where the drive holds less, behind the device its data name', () => {
    const [drive] = catalogue.drives;
    if (!drive) throw new Error('the catalogue of round prices has no drive');
    const on = (item: Partial<typeof drive>, method: 'drive' | 'direct' = 'drive', feederLength = '') =>
      said(
        solve(
          emptyJob({
            situation: { kind: 'drive' },
            load: { way: 'torque', torqueKind: 'variable', torque: '60 lb·ft', speed: '1770 rpm' },
            starting: { method },
            nameplate: { ...plate, designLetter: 'B' },
            supply: { voltage: '480 V', frequency: '60', ...supply, feederLength },
            place: { hazardous: 'no', cabinet: true },
          }),
          { ...catalogue, drives: [{ ...drive, ...item }] },
        ),
      );
    expect(on({ shortCircuitRating: 22_000, protectedBy: 'fuses of class J' })[0]).toMatch(
      /^D 25 behind fuses of class J is rated for a short-circuit current of 22\.0\skA, prospective 24\.1\skA at the bus/,
    );
    expect(on({ shortCircuitRating: 22_000 })[0]).toMatch(/22\.0\skA, prospective 24\.1/);
    // Behind 60 ft of wire less arrives, which it holds; what still is too much is told as it arrives.
    expect(on({ shortCircuitRating: 22_000 }, 'drive', '60 ft')).toEqual([]);
    expect(on({ shortCircuitRating: 2000 }, 'drive', '60 ft')[0]).toMatch(
      /2\.00\skA, prospective [3-9]\.\d\d\skA at its terminals/,
    );
    expect(on({ shortCircuitRating: 100_000 })).toEqual([]);
    expect(on({})).toEqual([]);
    expect(on({ shortCircuitRating: 22_000 }, 'direct')).toEqual([]);
  });
});

describe('a dial that was turned', () => {
  // 25 hp, 30 A, service factor 1.15: the dial is 30 A. 40 lb·ft of 74 are a little over half its load.
  const set = (dial: string | undefined, starting: JobInput['starting'] = { method: 'direct', speedControl: 'no' }) =>
    solve(
      emptyJob({
        situation: { kind: 'starter' },
        load: { way: 'torque', torque: '40 lb·ft', speed: '1770 rpm' },
        starting,
        nameplate: { ...plate, designLetter: 'B', serviceFactor: '1.15' },
        supply: { voltage: '480 V', frequency: '60' },
        place: { hazardous: 'no' },
        protection: { ...(dial === undefined ? {} : { dial }) },
      }),
      catalogue,
    );
  const codes = (solution: Solution) =>
    solution.findings.map(({ code }) => code).filter((code) => code.startsWith('protection.dial-'));

  it('stands as it was typed, and is held against what the motor asks and what it takes', () => {
    expect(value(set(undefined), 'protection.overloadDial')).toBeCloseTo(30, 6);
    const high = set('33 A');
    expect(value(high, 'protection.overloadDial')).toBe(33);
    expect(high.values['protection.overloadDial']?.origin).toBe('given');
    expect(codes(high)).toEqual(['protection.dial-high']);
    expect(codes(set('30 A'))).toEqual([]);
    expect(codes(set('22 A'))).toEqual([]);
    // 40/74.2 of 30 A are 16.2 A.
    const runs = (dial: string) =>
      set(dial).findings.some(({ message }) => message.includes('while the machine runs: about 16.2'));
    expect([runs('16 A'), runs('17 A')]).toEqual([true, false]);
  });
  it('trips what starts where it is low, however it was typed, and never changes the way to start', () => {
    const low = (dial: string) => {
      const solution = set(dial, { method: 'direct', speedControl: 'no', tripClass: '10' });
      const [found] = solution.findings.filter(({ code }) => code === 'protection.dial-low');
      return found?.message.includes('before the start is through') ?? false;
    };
    const told = ['30 A', '25 A', '20 A', '15 A', '10 A', '5 A', '2 A'].map(low);
    expect(told[0]).toBe(false);
    expect(told.at(-1)).toBe(true);
    // Once it trips a lower one trips as well.
    expect(told.toSorted((a, b) => Number(a) - Number(b))).toEqual(told);
    const auto = { method: 'auto', speedControl: 'no' } as const;
    expect(value(set('2 A', auto), 'starting.method')).toBe(value(set(undefined, auto), 'starting.method'));
  });
  it('is dragged back by its mend', () => {
    const [found] = set('40 A').findings.filter(({ code }) => code === 'protection.dial-high');
    expect(found?.mends?.[0]).toMatchObject({ label: expect.stringMatching(/^Take 30\.0\sA$/) as string });
    expect(found?.severity).toBe('stop');
  });
  it('in star-delta stands in the winding: 0.577 of the line', () => {
    const winding = { method: 'star-delta', leads: '6', speedControl: 'no' } as const;
    const asked = value(set(undefined, winding), 'protection.overloadDial');
    expect(asked).toBeCloseTo(30 / Math.sqrt(3), 6);
    expect(codes(set('18 A', winding))).toContain('protection.dial-high');
    expect(codes(set('17.3 A', winding))).toEqual([]);
  });
});
