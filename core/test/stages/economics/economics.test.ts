import { describe, expect, it } from 'vitest';
import { emptyJob, solve, type Catalogue, type JobInput, type Solution } from '../../../src/index.ts';
import { circuitOf, pointOnLine } from '../../lib/part-loads.ts';
import { catalogue, fan, plate } from '../../lib/round-prices.ts';

const KWH = 3.6e6;
const YEAR = 8760 * 3600;
/** The demo practice for installing a drive: 60 % of its price. */
const FITTED = 1.6;

const run = (input: JobInput, from: Catalogue = catalogue): Solution => solve(emptyJob(input), from);
const money = (solution: Solution, name: string): number => Number(solution.values[`money.${name}`]?.value ?? NaN);
const energy = (solution: Solution, name: string): number => Number(solution.values[`profile.${name}`]?.value ?? NaN);
const codes = (solution: Solution): string[] => solution.findings.map(({ code }) => code);

describe('what a year costs', () => {
  it('is its energy at the price of a kilowatt-hour; the saving is today less speed control', () => {
    const solution = run(fan);
    expect(money(solution, 'yearlyCostThrottled')).toBeCloseTo((energy(solution, 'energyThrottled') / KWH) * 0.1, 9);
    expect(money(solution, 'yearlyCostSpeedControlled')).toBeCloseTo(
      (energy(solution, 'energySpeedControlled') / KWH) * 0.1,
      9,
    );
    expect(money(solution, 'yearlySaving')).toBeCloseTo(
      money(solution, 'yearlyCostThrottled') - money(solution, 'yearlyCostSpeedControlled'),
      9,
    );
    expect(money(solution, 'yearlySaving')).toBeGreaterThan(0);
    // The option is the drive, so its own cost is that of speed control.
    expect(money(solution, 'yearlyCost')).toBeCloseTo(money(solution, 'yearlyCostSpeedControlled'), 9);
    expect(solution.values).not.toHaveProperty('money.demandThrottled');
  });

  it('a demand charge counts the highest input of rows that have hours, twelve times a year: 14 a kilowatt, or a kVA at the power factor', () => {
    const rows = {
      ...fan.profile,
      points: [
        { flow: '100 %', hours: '0 h' },
        { flow: '60 %', hours: '4000 h' },
        { flow: '50 %', hours: '1000 h' },
      ],
    };
    const charged = { ...fan, profile: rows, supply: { ...fan.supply, demandPrice: '14 per kW' } };
    const plain = run({ ...fan, profile: rows });
    const byKilowatt = run(charged);
    const byVoltAmpere = run({ ...charged, supply: { ...charged.supply, demandBy: 'kVA' } });
    const at60 = byKilowatt.details.profile.find(({ flow }) => Math.abs(flow - 0.6) < 1e-9);
    const today = (12 * 14 * (at60?.throttledPeak ?? NaN)) / 1000;
    const driven = (12 * 14 * (at60?.speedControlled ?? NaN)) / 1000;
    expect(money(byKilowatt, 'demandThrottled')).toBeCloseTo(today, 6);
    expect(money(byKilowatt, 'demandSpeedControlled')).toBeCloseTo(driven, 6);
    // cos φ of the motor where it then stands, of a drive’s input with a choke 0.95.
    const powerFactor = (solution: Solution) =>
      pointOnLine(circuitOf(solution), at60?.shaftThrottled ?? NaN).powerFactor;
    expect(money(byVoltAmpere, 'demandThrottled')).toBeCloseTo(today / powerFactor(byKilowatt), 6);
    expect(money(byVoltAmpere, 'demandSpeedControlled')).toBeCloseTo(driven / 0.95, 6);
    expect(money(byKilowatt, 'yearlyCostThrottled')).toBeCloseTo(money(plain, 'yearlyCostThrottled') + today, 6);
    expect(money(byKilowatt, 'yearlyCost')).toBeCloseTo(money(plain, 'yearlyCost') + driven, 6);
    const direct = run({
      ...charged,
      options: { A: { starting: { method: 'direct' } } },
      supply: { ...charged.supply, demandBy: 'kVA' },
    });
    const peak = Number(direct.values['profile.peakInput']?.value);
    expect(money(direct, 'yearlyCost')).toBeCloseTo(
      (energy(direct, 'energy') / KWH) * 0.1 + (12 * 14 * peak) / 1000 / powerFactor(direct),
      6,
    );
  });

  it('without a price nothing is counted; an energy study cannot do without, elsewhere it sharpens', () => {
    const priceless = { ...fan, money: {} };
    const missing = (kind: 'energy' | 'new') =>
      run({ ...priceless, situation: { kind }, ...(kind === 'energy' ? { nameplate: plate } : {}) }).missing.find(
        ({ field }) => field === 'money.energyPrice',
      );
    expect(missing('energy')?.kind).toBe('needed');
    expect(missing('new')?.kind).toBe('sharpens');
    const solution = run(priceless);
    for (const name of ['yearlyCost', 'yearlyCostThrottled', 'yearlySaving', 'payback', 'lifeCost', 'extraCapital'])
      expect(solution.values, name).not.toHaveProperty(`money.${name}`);
    expect(money(solution, 'firstCost')).toBeCloseTo(1000 + 2000 * FITTED, 9);
    expect(solution.stages.money).toMatchObject({ state: 'open', summary: '' });
  });
});

describe('what it costs to buy', () => {
  it('a new machine saves the starter it does without: 2000·1.6 − (120 + 80) = 3000, back after 3000 by the saving', () => {
    const solution = run(fan);
    expect(money(solution, 'extraCapital')).toBeCloseTo(3000, 9);
    expect(money(solution, 'payback')).toBeCloseTo((3000 / money(solution, 'yearlySaving')) * YEAR, 0);
    expect(solution.stages.money.summary).toBe(`Pays back in ${solution.values['money.payback']?.text}`);
    expect(solution.values['money.extraCapital']?.working.note).toContain('direct starter');
  });

  it('several machines are bought for, all on drives or one beside starters; where they are there, one motor only', () => {
    const several = (profile: JobInput['profile'], more: JobInput = {}) =>
      run({ ...fan, ...more, profile: { ...fan.profile, machines: '2', ...profile } });
    const drives = several({});
    expect(money(drives, 'firstCost')).toBeCloseTo(2 * 1000 + 2 * 2000 * FITTED, 9);
    expect(money(drives, 'extraCapital')).toBeCloseTo(2 * (2000 * FITTED - 200), 9);
    // The other is started direct: contactor 120, relay 80.
    const one = several({ oneOnSpeed: true });
    expect(money(one, 'firstCost')).toBeCloseTo(2 * 1000 + 2000 * FITTED + 200, 9);
    expect(money(one, 'extraCapital')).toBeCloseTo(2000 * FITTED - 200, 9);
    const started = several({}, { options: { A: { starting: { method: 'direct' } } } });
    expect(money(started, 'firstCost')).toBeCloseTo(2 * (1000 + 200), 9);
    const replaced = several({}, { situation: { kind: 'replace' }, nameplate: plate });
    expect(money(replaced, 'firstCost')).toBeCloseTo(1000 + 2 * 2000 * FITTED, 9);
  });

  it('where a starter is there it is paid for: no credit, 3200', () => {
    const solution = run({ ...fan, situation: { kind: 'drive' }, nameplate: plate });
    expect(money(solution, 'extraCapital')).toBeCloseTo(3200, 9);
    expect(money(solution, 'firstCost')).toBeCloseTo(3200, 9);
    expect(solution.values['money.extraCapital']?.working.note).toContain('no credit');
  });

  it('where nothing but a drive starts it none is saved either', () => {
    const solution = run({ ...fan, supply: { ...fan.supply, startCurrentLimit: '40 A' } });
    expect(solution.values['starting.method']?.value).toBe('drive');
    expect(money(solution, 'extraCapital')).toBeCloseTo(3200, 9);
    expect(solution.values['money.extraCapital']?.working.note).toContain('nothing starts it');
  });

  it('a part without a price is not free: the extra capital is not given, and it is said', () => {
    const bare = { ...catalogue, parts: catalogue.parts.filter(({ kind }) => kind !== 'contactor') };
    const solution = run(fan, bare);
    expect(codes(solution)).toContain('money.part-missing');
    expect(solution.values).not.toHaveProperty('money.extraCapital');
    expect(solution.values).not.toHaveProperty('money.payback');
    expect(codes(run(fan))).not.toContain('money.part-missing');
    const direct = run({ ...fan, options: { A: { starting: { method: 'direct' } } } }, bare);
    expect(direct.values).not.toHaveProperty('money.firstCost');
    expect(direct.values).not.toHaveProperty('money.lifeCost');
  });

  it('prices of another currency by the typed rate, and by none not at all', () => {
    const abroad = { ...fan, currency: 'EUR' };
    const solution = run({ ...abroad, money: { ...fan.money, exchangeRate: '0.92' } });
    expect(money(solution, 'firstCost')).toBeCloseTo(4200 * 0.92, 9);
    expect(money(solution, 'extraCapital')).toBeCloseTo(3000 * 0.92, 9);
    expect(codes(solution)).not.toContain('money.currency');
    const unknown = run(abroad);
    expect(unknown.findings.find(({ code }) => code === 'money.currency')).toMatchObject({
      severity: 'stop',
      message: expect.stringContaining('are in USD, the job counts in EUR') as string,
      clear: 'Type how much EUR one USD costs, or set the job’s currency to USD.',
    });
    const nowhere = run({ ...abroad, currency: '' }).findings.find(({ code }) => code === 'money.currency');
    expect(nowhere?.message).toContain('counts in no currency');
    expect(nowhere?.clear).toContain('of the job’s currency');
    for (const name of ['firstCost', 'extraCapital', 'payback', 'lifeCost'])
      expect(unknown.values).not.toHaveProperty(`money.${name}`);
    expect(money(unknown, 'yearlySaving')).toBeGreaterThan(0);
    expect(codes(run({ ...abroad, currency: 'usd' }))).not.toContain('money.currency');
    // Nothing is picked, so no price is compared.
    expect(codes(run({ ...abroad, place: { hazardous: 'yes' } }))).not.toContain('money.currency');
  });
});

describe('whether it pays', () => {
  const full: JobInput = { ...fan, profile: { control: 'damper', points: [{ flow: '100 %', hours: '8000 h' }] } };
  const onDrive: JobInput = { options: { A: { starting: { method: 'drive' } } } };

  it('a drive that never varies the speed costs more every year: no payback, and it is said', () => {
    const solution = run({ ...full, ...onDrive });
    expect(money(solution, 'yearlySaving')).toBeLessThan(0);
    expect(solution.values).not.toHaveProperty('money.payback');
    const never = solution.findings.find(({ code }) => code === 'money.never-pays');
    expect(never?.message).toContain(`rises by ${Math.round(-money(solution, 'yearlySaving'))} USD`);
    expect(solution.stages.money.summary).toBe(`${solution.values['money.yearlyCost']?.text} USD a year`);
  });

  it('not said where the speed must be controlled, where it saves, or where no drive is chosen', () => {
    expect(codes(run({ ...full, ...onDrive, starting: { speedControl: 'yes' } }))).not.toContain('money.never-pays');
    expect(codes(run({ ...fan, ...onDrive }))).not.toContain('money.never-pays');
    expect(codes(run({ ...full, options: { A: { starting: { method: 'direct' } } } }))).not.toContain(
      'money.never-pays',
    );
  });

  it('a starter’s summary is what it costs a year, however soon a drive would pay', () => {
    const direct = run({ ...fan, options: { A: { starting: { method: 'direct' } } } });
    expect(direct.stages.money.summary).toBe(`${direct.values['money.yearlyCost']?.text} USD a year`);
  });

  it('an accessory without a price adds nothing, and a motor that is not found makes the sum unknown', () => {
    const own = (accessories: { part: string; price?: string }[]) =>
      run({ ...fan, options: { A: { pick: { accessories } } } });
    expect(money(own([{ part: 'Choke' }, { part: 'Panel', price: '50' }]), 'firstCost')).toBeCloseTo(4250, 9);
    const unfound = run({ ...fan, options: { A: { pick: { motor: 'none' } } } });
    expect(unfound.values).not.toHaveProperty('money.firstCost');
    expect(unfound.values).not.toHaveProperty('money.extraCapital');
    const { inputs } = own([{ part: 'Panel', price: '50' }]).values['money.firstCost']?.working ?? { inputs: [] };
    expect(inputs.map(({ symbol }) => symbol)).toEqual(['C_{motor}', 'C_{drive}', 'k', 'C_{more}']);
    expect(run(fan).values['money.firstCost']?.working.inputs.map(({ symbol }) => symbol)).toEqual([
      'C_{motor}',
      'C_{drive}',
      'k',
    ]);
  });

  it('counts the years that are typed, ten where none are', () => {
    const of = (years: string | undefined): number => {
      const { energyPrice = '' } = fan.money ?? {};
      const solution = run({ ...fan, money: { energyPrice, ...(years === undefined ? {} : { years }) } });
      return (money(solution, 'lifeCost') - money(solution, 'firstCost')) / money(solution, 'yearlyCost');
    };
    expect(of('4 years')).toBeCloseTo(4, 3);
    expect(of(undefined)).toBeCloseTo(10, 9);
  });
});

describe('the bill of an option', () => {
  const bill = (input: JobInput) =>
    run(input).details.bill.map(({ kind, part, count, price }) => [kind, part, count, price]);
  const direct: JobInput = { options: { A: { starting: { method: 'direct' } } } };
  it('a drive with its installation, further parts and what somebody else pays; they add up to what it costs', () => {
    const input: JobInput = {
      ...fan,
      options: {
        A: {
          starting: { method: 'drive' },
          money: { incentive: '300' },
          pick: { accessories: [{ part: 'Choke', price: '150' }, { price: '50' }] },
        },
      },
    };
    expect(bill(input)).toEqual([
      ['motor', 'M 25', 1, 1000],
      ['drive', 'D 25', 1, 2000],
      ['installation', 'Installation of the drive', 1, 1200],
      ['further', 'Choke', 1, 150],
      ['further', 'Further part', 1, 50],
      ['incentive', 'Incentive', 1, -300],
    ]);
    expect(money(run(input), 'firstCost')).toBeCloseTo(1000 + 3200 + 200 - 300, 9);
  });
  it('a starter by its parts; several machines of each; what is there is listed and costs nothing', () => {
    expect(bill({ ...fan, ...direct, profile: { ...fan.profile, machines: '2' } })).toEqual([
      ['motor', 'M 25', 2, 1000],
      ['starter', 'K', 2, 120],
      ['starter', 'F', 2, 80],
    ]);
    const here: JobInput = {
      ...fan,
      situation: { kind: 'drive', presentStarter: 'direct' },
      nameplate: plate,
      options: { A: { starting: { method: 'direct' }, pick: { feedFrom: 'kept' } } },
    };
    expect(bill(here)).toEqual([
      ['motor', 'Motor', 1, 0],
      ['starter', 'Starter', 1, 0],
    ]);
    expect(money(run(here), 'firstCost')).toBe(0);
  });
  it('at the rate of the job; empty where a part has no price', () => {
    const swapped: JobInput = { ...fan, ...direct, currency: 'EUR', money: { ...fan.money, exchangeRate: '0.5' } };
    expect(bill(swapped)).toEqual([
      ['motor', 'M 25', 1, 500],
      ['starter', 'K', 1, 60],
      ['starter', 'F', 1, 40],
    ]);
    expect(run({ ...fan, ...direct }, { ...catalogue, parts: [] }).details.bill).toEqual([]);
  });
});

describe('what would turn the verdict', () => {
  // Capital and saving of the drive at 0.10 a kilowatt-hour; 8 % over ten years are 6.7101 times the saving (annuity tables).
  const of = (price: number) =>
    run({ ...fan, money: { ...fan.money, energyPrice: `${price} per kWh` }, starting: { method: 'drive' } });
  const usual = of(0.1);
  const even = (0.1 * money(usual, 'extraCapital')) / (money(usual, 'yearlySaving') * 6.710_081);
  const told = (ratio: number) =>
    of(even * ratio).findings.find(({ code }) => code === 'money.may-turn')?.message ?? '';

  it.each([
    // 1.05 · 0.9 and 1.05 · 0.8 are below 1, 1.05 is below 1.25.
    [1.05, /^The drive pays over 10\.?0? years; 10 % fewer hours or energy 20 % cheaper or a price 25 % higher alone/],
    [1.15, /pays .*; energy 20 % cheaper or a price 25 % higher alone/],
    [1.26, /^$/],
    // 0.95 · 1.1, 0.95 · 1.3 are above 1, 0.95 is above 0.9.
    [0.95, /does not pay .*; 10 % more hours or energy 30 % dearer or a price 10 % lower alone/],
    [0.85, /does not pay .*; energy 30 % dearer alone/],
    [0.75, /^$/],
  ])('at %s of the price at which it is even', (ratio, words) => {
    expect(told(ratio).replaceAll('\u00a0', ' ')).toMatch(words);
  });
  it('nothing is said of a starter', () => {
    const { findings } = run({
      ...fan,
      money: { ...fan.money, energyPrice: `${even} per kWh` },
      starting: { method: 'direct' },
    });
    expect(findings.map(({ code }) => code)).not.toContain('money.may-turn');
  });
});
