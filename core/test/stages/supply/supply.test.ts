// Source, feeder, readings and tariff: NEC Chapter 9 Table 9 and IEC 60228 conductivities (from memory), definitions, and sums
// on paper.
import { describe, expect, it } from 'vitest';
import { emptyCatalogue, emptyJob, solve, type JobInput, type Solution } from '../../../src/index.ts';
import { plate } from '../../lib/round-prices.ts';

const run = (supply: JobInput['supply'], more: JobInput = {}): Solution =>
  solve(
    emptyJob({
      situation: { kind: 'starter' },
      nameplate: plate,
      load: { way: 'torque', torque: '60 lb·ft', speed: '1770' },
      ...more,
      supply: { voltage: '480 V', frequency: '60', ...supply },
    }),
    emptyCatalogue,
  );
const number = (solution: Solution, name: string): number => Number(solution.values[`supply.${name}`]?.value);
const found = (solution: Solution, code: string) => solution.findings.find((each) => each.code === `supply.${code}`);
const missing = (solution: Solution): string[] => solution.missing.map(({ field }) => field);

describe('the feeder', () => {
  const bus = { sourcePower: '1000 kVA', sourceImpedance: '5 %' };
  const ohms = (supply: JobInput['supply'], more?: JobInput) =>
    number(run({ ...bus, ...supply }, more), 'feederImpedance');

  it.each([
    [
      '1/0 copper, 100 ft: 0.12 + j0.055 Ω/1000 ft',
      { feederSize: '1/0', feederLength: '100 ft' },
      Math.hypot(0.012, 0.0055),
    ],
    [
      '1/0 aluminium: 0.20 + j0.055',
      { feederSize: '1/0', feederLength: '100 ft', feederMaterial: 'aluminium' },
      Math.hypot(0.02, 0.0055),
    ],
    [
      'two in parallel: half',
      { feederSize: '1/0', feederLength: '100 ft', feederRuns: '2' },
      Math.hypot(0.012, 0.0055) / 2,
    ],
    [
      'at 50 Hz five sixths of the reactance',
      { feederSize: '1/0', feederLength: '100 ft', frequency: '50' },
      Math.hypot(0.012, 0.0055 * (50 / 60)),
    ],
    // ρ at 75 °C: 1/58·(1 + 0.00393·55) and 1/35.4·(1 + 0.00403·55) Ω·mm²/m; 0.08 mΩ/m.
    [
      '16 mm² copper, 100 m',
      { feederSize: '16 mm²', feederLength: '100 m' },
      Math.hypot((100 / 16 / 58) * 1.216_15, 0.008),
    ],
    [
      '50 mm² aluminium, 100 m',
      { feederSize: '50 mm²', feederLength: '100 m', feederMaterial: 'aluminium' },
      Math.hypot((100 / 50 / 35.4) * 1.221_65, 0.008),
    ],
  ] as const)('%s', (_, supply, expected) => {
    expect(ohms(supply)).toBeCloseTo(expected, 6);
  });

  it('is asked for whole: its length where its size is there, and the other way round', () => {
    expect(missing(run({ feederSize: '1/0' }))).toContain('supply.feederLength');
    expect(missing(run({ feederLength: '100 ft' }))).toContain('supply.feederSize');
    expect(
      missing(run({ feederSize: '1/0', feederLength: '100 ft' })).filter((field) => field.includes('feeder')),
    ).toEqual([]);
    expect(ohms({ feederSize: '1/0' })).toBeNaN();
  });

  it('loses √3 I (R cos φ + X sin φ) of the voltage while the motor runs', () => {
    const solution = run({ ...bus, feederSize: '8', feederLength: '200 ft' });
    // 8 AWG in steel: 0.78 + j0.065 Ω/1000 ft; 30 A at power factor 0.83, sin φ 0.558.
    const drop = (Math.sqrt(3) * 30 * 0.2 * (0.78 * 0.83 + 0.065 * 0.5578)) / 480;
    expect(number(solution, 'runningDrop')).toBeCloseTo(drop, 3);
  });

  it('carries 125 % of the motor under the NEC and the motor itself under IEC; less is a caution, below the motor a stop', () => {
    const severity = (amps: string, school: 'NEMA' | 'IEC' = 'NEMA') =>
      found(
        run({ ...bus, feederSize: '8', feederLength: '50 ft' }, { school, nameplate: { ...plate, currents: amps } }),
        'feeder-ampacity',
      );
    const carries = number(run({ ...bus, feederSize: '8', feederLength: '50 ft' }), 'feederAmpacity');
    expect(severity(String(carries / 1.26))).toBeUndefined();
    expect(severity(String(carries / 1.24))).toMatchObject({
      severity: 'caution',
      basis: expect.stringContaining('NEC 430.22') as string,
    });
    expect(severity(String(carries * 1.01))).toMatchObject({ severity: 'stop' });
    expect(severity(String(carries / 1.24), 'IEC')).toBeUndefined();
  });
});

describe('the source', () => {
  it.each([
    ['a transformer of 1000 kVA and 5 % is 20 MVA', { sourcePower: '1000 kVA', sourceImpedance: '5 %' }, 20e6],
    ['20 kA at 480 V are 16.6 MVA', { source: 'fault level', faultCurrent: '20 kA' }, Math.sqrt(3) * 480 * 20_000],
    [
      'a generator of 500 kVA and 25 % is 2 MVA',
      { source: 'generator', sourcePower: '500 kVA', sourceImpedance: '25 %' },
      2e6,
    ],
  ] as const)('%s', (_, supply, power) => {
    expect(number(run(supply), 'shortCircuitPower') / power).toBeCloseTo(1, 6);
  });

  it('a network behind a transformer adds its own reactance, and counts behind a transformer only', () => {
    // Z = 0.01152 Ω at X/R 5; network 100 MVA: j0.002304 Ω.
    const own = (0.05 * 480 ** 2) / 1e6;
    const [r, x] = [own / Math.hypot(1, 5), (own * 5) / Math.hypot(1, 5)];
    const behind = { sourcePower: '1000 kVA', sourceImpedance: '5 %', networkPower: '100 MVA' };
    expect(number(run(behind), 'sourceImpedance')).toBeCloseTo(Math.hypot(r, x + 480 ** 2 / 100e6), 8);
    const generator = { ...behind, source: 'generator' } as const;
    expect(number(run(generator), 'sourceImpedance')).toBeCloseTo(own, 8);
  });

  it('is asked for by the kind of source it is, until its strength is known', () => {
    expect(missing(run({}))).toContain('supply.sourcePower');
    expect(missing(run({ sourcePower: '500 kVA' }))).toContain('supply.sourcePower');
    expect(missing(run({ sourceImpedance: '5 %' }))).toContain('supply.sourcePower');
    expect(missing(run({ source: 'fault level' }))).toContain('supply.faultCurrent');
    expect(missing(run({ source: 'fault level', faultCurrent: '20 kA' }))).not.toContain('supply.faultCurrent');
    expect(
      number(run({ source: 'fault level', sourcePower: '500 kVA', sourceImpedance: '5 %' }), 'shortCircuitPower'),
    ).toBeNaN();
  });

  it('is named in the summary by its size or its fault level', () => {
    const summary = (supply: JobInput['supply']) => run(supply).stages.supply.summary.replaceAll('\u00a0', ' ');
    expect(summary({ sourcePower: '1000 kVA' })).toBe('480 V 60 Hz, 1000 kVA');
    expect(summary({ source: 'fault level', faultCurrent: '20 kA' })).toContain('20');
    expect(summary({})).toBe('480 V 60 Hz');
  });

  it('is overloaded by what runs on it and the motor: √3·460·30 = 23.9 kVA', () => {
    const other = (otherLoad: string) =>
      found(run({ sourcePower: '100 kVA', sourceImpedance: '4 %', otherLoad }), 'overloaded');
    expect(other('76 kVA')).toBeUndefined();
    expect(other('77 kVA')?.message).toContain('and this motor’s');
    expect(other('77 kVA')?.field).toBe('supply.otherLoad');
    expect(found(run({ sourcePower: '20 kVA', sourceImpedance: '4 %' }), 'overloaded')).toMatchObject({
      field: 'supply.sourcePower',
    });
  });

  it('knows that X″d lies below X′d', () => {
    const swapped = (subtransientReactance: string) =>
      found(
        run({ source: 'generator', sourcePower: '500 kVA', sourceImpedance: '25 %', subtransientReactance }),
        'reactances-swapped',
      );
    expect(swapped('26 %')).toBeDefined();
    expect(swapped('25 %')).toBeUndefined();
  });
});

describe('voltage on the plate and on the system', () => {
  const on = (volts: string, voltages = '460') => run({ voltage: volts }, { nameplate: { ...plate, voltages } });

  it('460 V on 480 V is its own; on 415 V 9.8 % low, on 400 V 13 % short, on 525 V 14 % over', () => {
    expect(found(on('480 V'), 'voltage')).toBeUndefined();
    expect(found(on('480 V'), 'voltage-marginal')).toBeUndefined();
    expect(found(on('415 V'), 'voltage-marginal')?.message).toContain('low');
    expect(found(on('400 V'), 'voltage')?.message).toContain('short');
    expect(found(on('525 V'), 'voltage')?.message).toContain('over');
    expect(found(on('400 V'), 'voltage')?.clear).toMatch(/^Choose a winding whose plate names 400/);
    expect(found(on('415 V'), 'voltage-marginal')?.clear).toMatch(/^Prefer a winding for 415/);
  });

  it('is judged where a motor is there, not where one is to be bought', () => {
    const kind = (situation: JobInput['situation']) =>
      found(run({ voltage: '400 V' }, { situation, nameplate: plate }), 'voltage');
    expect(kind({ kind: 'starter' })).toBeDefined();
    expect(kind({ kind: 'new' })).toBeUndefined();
  });

  it('a plate that names another voltage it may be used at is taken at its word: 75.6 % of the torque on 400 V', () => {
    const usable = (usableAt: string) => run({ voltage: '400 V' }, { nameplate: { ...plate, usableAt } });
    const word = found(usable('400 V 34 A'), 'usable-at');
    expect(word?.message).toContain('torque is about 76 %');
    expect(word?.clear).toMatch(/^Set the overload by the current named for 400/);
    expect(found(usable('400 V 34 A'), 'voltage')).toBeUndefined();
    expect(found(usable('208 V 68 A'), 'usable-at')).toBeUndefined();
    expect(
      found(run({ voltage: '480 V' }, { nameplate: { ...plate, usableAt: '480 V' } }), 'usable-at'),
    ).toBeUndefined();
  });

  it('on another frequency: 460 V 60 Hz on 50 Hz, with its volts per hertz or without', () => {
    const on50 = (voltage: string) => run({ voltage, frequency: '50' });
    // 380 V/50 Hz is 7.6 V/Hz against 7.67: the rating moves, a sixth slower.
    const slower = found(on50('383 V'), 'other-frequency');
    expect(slower?.message.replaceAll('\u00a0', ' ')).toMatch(
      /runs 17 % slower at the same torque, so 25 hp becomes 20\.8 hp\. A fan or pump would take 57\.9 %/,
    );
    expect(slower?.clear).toContain('fan on the shaft');
    const over = found(on50('460 V'), 'frequency');
    expect(over?.message.replaceAll('\u00a0', ' ')).toMatch(
      /^A 60 Hz rating on 50 Hz: flux would be 120 % of rated and speed 83\.3 %/,
    );
    const faster = found(
      run(
        { voltage: '480 V', frequency: '60' },
        { nameplate: { ...plate, voltages: '400', frequency: '50', speed: '1475' } },
      ),
      'other-frequency',
    );
    expect(faster?.message).toContain('20 % faster');
    expect(faster?.clear).toContain('balance and the bearings');
  });

  it('a winding of a range on its low end has (208/230)² = 82 % of its torque', () => {
    const low = (voltage: string) =>
      found(run({ voltage }, { nameplate: { ...plate, voltages: '208-230', currents: '66-60' } }), 'low-winding');
    expect(low('208 V')?.message).toContain('82 %');
    expect(low('240 V')).toBeUndefined();
  });
});

describe('the lowest voltage', () => {
  const lowest = (lowestVoltage: string, more: JobInput['supply'] = {}) => run({ lowestVoltage, ...more });
  it('is believed from seven tenths of the system’s to its own', () => {
    const told = (volts: string) => found(lowest(volts), 'lowest-voltage')?.message ?? '';
    expect([told('336 V'), told('480 V'), told('482 V')]).toEqual(['', '', '']);
    expect(told('335 V')).toContain('less than seven tenths');
    expect(told('483 V')).toContain('above the system’s own');
  });
  it('is what was typed, else the least of motor and system', () => {
    expect(number(lowest('440 V'), 'lowestVoltage')).toBe(440);
    expect(number(run({}), 'lowestVoltage')).toBe(460);
    expect(number(run({ voltage: '440 V' }), 'lowestVoltage')).toBe(440);
    expect(number(run({ voltage: '', lowestVoltage: '440 V' }), 'lowestVoltage')).toBe(440);
  });
});

describe('what a source is worked out from', () => {
  const working = (supply: JobInput['supply']) => run(supply).values['supply.sourceImpedance']?.working;
  it('says its formula, its figures and what it takes for granted', () => {
    expect(working({ source: 'fault level', faultCurrent: '20 kA' })).toMatchObject({
      formula: 'Z = \\dfrac{V}{\\sqrt3\\,I_k}',
      inputs: [{ symbol: 'I_k' }],
    });
    const stiff = working({ sourcePower: '1000 kVA', sourceImpedance: '5 %' });
    expect(stiff?.note).toBe('X/R of 5, common practice, no published source. The network behind is taken as stiff.');
    expect(
      working({ sourcePower: '1000 kVA', sourceImpedance: '5 %', reactanceRatio: '8', networkPower: '100 MVA' })?.note,
    ).toBe('X/R of 8.');
    expect(working({ source: 'generator', sourcePower: '500 kVA', sourceImpedance: '25 %' })?.note).not.toContain(
      'stiff',
    );
  });
  it('other load beside it takes its part of the voltage, none where none is typed', () => {
    const dip = (otherLoad: string) =>
      number(run({ sourcePower: '1000 kVA', sourceImpedance: '5 %', otherLoad }), 'directBusDip');
    expect(dip('')).toBeGreaterThan(0);
    expect(dip('0 kVA')).toBe(dip(''));
    expect(dip('600 kVA')).not.toBe(dip(''));
  });
});

describe('three readings', () => {
  const read = (phaseVoltages: string) => run({ phaseVoltages });

  it('are wanted, no fewer and no more, and near the system', () => {
    expect(found(read('480'), 'readings-not-three')?.message).toContain('one is typed');
    expect(found(read('480/481'), 'readings-not-three')?.message).toContain('2 are typed');
    expect(found(read('480/481/479'), 'readings-not-three')).toBeUndefined();
    expect(found(read('480/480/480'), 'unbalance')).toBeUndefined();
    expect(found(read('480/480/470'), 'unbalance')).toMatchObject({ severity: 'caution' });
  });
});

describe('a tariff of bands', () => {
  const priced = (...bands: readonly (readonly [string, string])[]) =>
    run({ bands: bands.map(([price, share]) => ({ name: '', price, share })) });
  const perKwh = (solution: Solution) => number(solution, 'energyPrice') * 3.6e6;

  it('has the mean of its prices by the share of hours', () => {
    expect(perKwh(priced(['0.20 per kWh', '25 %'], ['0.10 per kWh', '75 %']))).toBeCloseTo(0.125, 9);
    expect(found(priced(['0.20 per kWh', '25 %'], ['0.10 per kWh', '75 %']), 'band-shares')).toBeUndefined();
    const { working } = priced(['0.20 per kWh', '25 %'], ['0.10 per kWh', '75 %']).values['supply.energyPrice'] ?? {};
    expect(working?.inputs.map(({ symbol }) => symbol)).toEqual(['c_1', 's_1', 'c_2', 's_2']);
    expect(perKwh(priced(['0.20 per kWh', '0 %']))).toBeNaN();
  });

  it('over what is there where the shares are no whole, which is said; a band half typed counts for nothing', () => {
    const half = priced(['0.20 per kWh', '25 %'], ['0.10 per kWh', '25 %']);
    expect(perKwh(half)).toBeCloseTo(0.15, 9);
    expect(found(half, 'band-shares')?.message).toContain('50.0 %');
    expect(perKwh(priced(['0.20 per kWh', '100 %'], ['0.10 per kWh', '']))).toBeCloseTo(0.2, 9);
    expect(perKwh(priced(['', '100 %']))).toBeNaN();
  });
});

describe('phasors of one phase', () => {
  // 480 V behind 20 % of 1 MVA, 46.1 mΩ, with X/R of 3: R is 14.6, X 43.7 mΩ; 277.1 V of a phase.
  const weak = { sourcePower: '1000 kVA', sourceImpedance: '20 %', reactanceRatio: '3' };

  it('close: the source is what bus, drops and terminals add up to, and the dip is that of the value', () => {
    const solution = run({ ...weak, feederSize: '1/0', feederLength: '300 ft' });
    const [running, starting] = solution.details.phasors;
    expect(running?.when).toBe('running');
    expect(starting?.source.re).toBeCloseTo(480 / Math.sqrt(3), 9);
    const r = (0.2 * 480 ** 2) / 1e6 / Math.sqrt(10);
    const x = 3 * r;
    for (const { source, bus, terminals, current } of solution.details.phasors) {
      // Ohm’s law over the source: V = (R + jX)·I.
      expect(source.re - bus.re).toBeCloseTo(r * current.re - x * current.im, 6);
      expect(source.im - bus.im).toBeCloseTo(r * current.im + x * current.re, 6);
      expect(Math.hypot(terminals.re, terminals.im)).toBeLessThan(Math.hypot(bus.re, bus.im));
      expect(Math.atan2(current.im, current.re)).toBeLessThan(0);
    }
    const dip = 1 - Math.hypot(starting?.bus.re ?? 0, starting?.bus.im ?? 0) / (480 / Math.sqrt(3));
    expect(dip).toBeCloseTo(number(solution, 'directBusDip'), 9);
    expect(Math.hypot(starting?.current.re ?? 0, starting?.current.im ?? 0)).toBeGreaterThan(
      3 * Math.hypot(running?.current.re ?? 0, running?.current.im ?? 0),
    );
  });

  it('are not drawn until the source is known', () => {
    expect(run({}).details.phasors).toEqual([]);
  });
});
