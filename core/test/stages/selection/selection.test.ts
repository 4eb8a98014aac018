/** What is bought and what the sheet says of it: hard rules, preferences, and refusals that name what would have to change. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoSites } from '../../../../db/demo/jobs.ts';
import { selectionSheet } from '../../../src/solve/sheet.ts';
import { emptyJob, solve, type Catalogue, type JobInput, type Solution } from '../../../src/index.ts';
import { standardPowers } from '../../../src/motor/standard-power.ts';
import type { MotorNeed } from '../../../src/stages/selection/motor-rules.ts';
import { rankDrives, type DriveNeed } from '../../../src/stages/selection/rank-drives.ts';
import { rankMotors } from '../../../src/stages/selection/rank-motors.ts';
import { siUnit } from '../../../src/kernel/quantity/format.ts';
import { withSymbol } from '../../../src/kernel/term.ts';
import { publishedValues } from '../../../src/solve/published.ts';
import { demo as catalogue } from '../../lib/demo.ts';

const run = (job: JobInput, from: Catalogue = catalogue): Solution => solve(emptyJob(job), from);
const finding = (solution: Solution, code: string) => solution.findings.find((each) => each.code === code);
const within = (min: number, max: number) => fc.double({ min, max, noNaN: true });

const bought: JobInput = {
  situation: { kind: 'new' },
  load: { machine: 'pump', torqueKind: 'variable', torque: '72 lb·ft', speed: '1765', breakaway: '20 %' },
  supply: { voltage: '480 V', frequency: '60 Hz', sourcePower: '1500 kVA', sourceImpedance: '5.75 %' },
  starting: { speedControl: 'no' },
};
const kept: JobInput = {
  situation: { kind: 'starter' },
  nameplate: { power: '30 hp', voltages: '460', currents: '36', frequency: '60', speed: '1770', codeLetter: 'G' },
  load: { torque: '84 lb·ft', speed: '1771' },
  supply: { voltage: '480 V', frequency: '60 Hz' },
};

describe('the size to buy or to keep', () => {
  it('28.3 hp on a kept 30 hp motor is stopped by heat, or by unbalance alone (MG 1 14.36: 3 % leaves 88 %)', () => {
    expect(finding(run(kept), 'pick.kept-derated')).toBeUndefined();
    expect(finding(run({ ...kept, place: { ambient: '55 °C' } }), 'pick.kept-derated')?.severity).toBe('stop');
    const unbalanced = run({ ...kept, supply: { ...kept.supply, phaseVoltages: '474/466/460' } });
    expect(finding(unbalanced, 'pick.kept-derated')).toBeUndefined();
    const worse = run({ ...kept, supply: { ...kept.supply, phaseVoltages: '480.4/460/460' } });
    expect(Number(worse.values['supply.unbalance']?.value)).toBeCloseTo(0.0291, 3);
    expect(finding(worse, 'pick.kept-derated')?.field).toBe('supply.phaseVoltages');
  });

  it('a kept motor asked for full torque at a third of its speed is told of its fan; a pump’s is not', () => {
    const slow = (torqueKind: 'constant' | 'variable', inverter = '') =>
      run({
        ...kept,
        nameplate: { ...kept.nameplate, inverter },
        situation: { kind: 'drive' },
        load: { ...kept.load, torqueKind },
        profile: { points: [{ flow: '33 %', hours: '3000' }] },
      });
    expect(finding(slow('constant'), 'pick.slow-full-torque')?.severity).toBe('caution');
    expect(finding(slow('variable'), 'pick.slow-full-torque')).toBeUndefined();
    expect(finding(slow('constant', 'INV DUTY CT 2:1'), 'pick.slow-full-torque')).toBeDefined();
    expect(finding(slow('constant', 'INV DUTY CT 10:1'), 'pick.slow-full-torque')).toBeUndefined();
  });

  it('is never quietly below what heat leaves: beyond the largest standard size it stops', () => {
    const largest = standardPowers('NEMA').at(-1) ?? NaN;
    const torque = (0.99 * largest) / ((1785 * Math.PI) / 30);
    const huge: JobInput = { ...bought, load: { ...bought.load, torque: `${torque} N·m`, speed: '1785' } };
    expect(finding(run(huge), 'pick.too-large')).toBeUndefined();
    const hot = run({ ...huge, place: { ambient: '55 °C' } });
    expect(finding(hot, 'pick.too-large')?.severity).toBe('stop');
    expect(hot.values['pick.requiredPower']).toBeUndefined();
  });
});

describe('the motor', () => {
  const enclosures = ['ODP', 'TEFC', 'washdown'] as const;
  const requirement: fc.Arbitrary<MotorNeed> = fc.record({
    school: fc.constantFrom('NEMA', 'IEC'),
    power: fc.constantFrom(...standardPowers('NEMA'), ...standardPowers('IEC')),
    poles: fc.constantFrom(2, 4, 6, 8),
    frequency: fc.constantFrom(50, 60),
    motorVoltage: fc.constantFrom(230, 400, 460, 575),
    systemVoltage: fc.constantFrom(240, 400, 480, 600),
    enclosures: fc.subarray([...enclosures], { minLength: 1 }),
    frame: fc.constant(undefined),
    inverterDuty: fc.boolean(),
    belted: fc.boolean(),
    serviceFactor: fc.constantFrom(1, 1.15),
  });

  it('every motor of the catalogue either keeps each hard rule or is refused with a reason', () => {
    let fitted = 0;
    fc.assert(
      fc.property(requirement, (wanted) => {
        const { fits, refused, others } = rankMotors(catalogue.motors, wanted, undefined, 'life cost');
        const named = [...fits.map(({ item }) => item.id), ...refused.map(({ id }) => id)];
        expect(new Set(named).size).toBe(named.length);
        expect(others.reduce((sum, { count }) => sum + count, named.length)).toBe(catalogue.motors.length);
        // What is only counted is of another frequency or size, and nothing else is.
        const ofSize = catalogue.motors.filter(
          ({ school, frequency, power }) =>
            school === wanted.school &&
            Math.abs(frequency / wanted.frequency - 1) < 0.05 &&
            Math.abs(power / wanted.power - 1) < 0.02,
        );
        expect(named.toSorted()).toEqual(ofSize.map(({ id }) => id).toSorted());
        for (const { reason } of refused) expect(reason).not.toBe('');
        const least = Math.min(...fits.map(({ item }) => item.price));
        for (const { item, reasons } of fits) expect(reasons.includes('least first cost')).toBe(item.price === least);
        for (const { item, voltage } of fits) {
          expect(Math.abs(item.power / wanted.power - 1)).toBeLessThan(0.02);
          expect([item.school, item.poles]).toEqual([wanted.school, wanted.poles]);
          expect(wanted.enclosures).toContain(item.enclosure);
          expect(
            Math.min(Math.abs(voltage / wanted.motorVoltage - 1), Math.abs(voltage / wanted.systemVoltage - 1)),
          ).toBeLessThan(0.05);
          if (wanted.belted) expect(item.frame).not.toMatch(/\dTS/);
          if (wanted.inverterDuty) expect(item.inverterDuty).toBe(true);
          fitted++;
        }
      }),
      { numRuns: 400 },
    );
    expect(fitted).toBeGreaterThan(50);
  });

  it('with a belt on it has a long shaft, and a short one that stands there is told', () => {
    const belt: JobInput = {
      ...bought,
      load: { torque: '800 lb·ft', speed: '880', stages: [{ kind: 'V-belt', ratio: '2' }] },
    };
    expect(run(belt).details.chosenMotor?.item.frame).toBe('445T');
    expect(run(belt).details.motors?.refused.map(({ rule }) => rule)).toContain('shaft');
    const standing = (frame: string) =>
      finding(
        run({ ...kept, nameplate: { ...kept.nameplate, frame }, load: belt.load ?? {} }),
        'load.short-shaft-belt',
      );
    expect(standing('286TS')?.severity).toBe('stop');
    expect(standing('286T')).toBeUndefined();
  });

  it('is the cheapest, the soonest, or the least over its life, as is preferred', () => {
    const fits = (prefer: 'first cost' | 'availability' | 'life cost') =>
      run({
        ...bought,
        pick: { prefer },
        profile: { points: [{ flow: '100 %', hours: '7000' }] },
        money: { energyPrice: '0.1 per kWh', years: '10' },
      }).details.motors?.fits ?? [];
    const least = (of: (each: ReturnType<typeof fits>[number]) => number, prefer: Parameters<typeof fits>[0]) => {
      const all = fits(prefer);
      expect(all.length).toBeGreaterThan(1);
      expect(of(all[0] as (typeof all)[number])).toBe(Math.min(...all.map(of)));
    };
    least(({ item }) => item.price, 'first cost');
    least(({ item }) => item.leadDays, 'availability');
    least(({ lifeCost }) => lifeCost, 'life cost');
  });

  it('is ranked by the mean price of the tariff’s bands as by the same price typed', () => {
    const profile = { points: [{ flow: '100 %', hours: '7000' }] };
    const bands = [
      { name: 'Day', price: '0.15 per kWh', share: '50 %' },
      { name: 'Night', price: '0.05 per kWh', share: '50 %' },
    ];
    const costs = (job: JobInput) => run(job).details.motors?.fits.map(({ lifeCost }) => Math.round(lifeCost));
    const typed = costs({ ...bought, profile, money: { energyPrice: '0.10 per kWh' } });
    expect(costs({ ...bought, profile, supply: { ...bought.supply, bands } })).toEqual(typed);
    expect(costs({ ...bought, profile })).not.toEqual(typed);
  });

  it('named by hand it must fit all the same, and what is not in the catalogue is refused', () => {
    const other = catalogue.motors.find(({ poles, school }) => poles === 2 && school === 'NEMA');
    const refused = run({ ...bought, pick: { motor: other?.id } });
    expect(finding(refused, 'pick.motor-refused')?.message).toContain('does not fit');
    expect(refused.values['pick.motor']).toBeUndefined();
    expect(finding(run({ ...bought, pick: { motor: 'nothing' } }), 'pick.motor-refused')?.message).toContain('not in');
  });
});

describe('the circuit', () => {
  const circuit = (kind: 'replace' | 'starter', designLetter: string) =>
    run({ ...kept, situation: { kind }, nameplate: { ...kept.nameplate, designLetter } }).details.machine?.circuit;
  it('is that of the motor in force: the old plate’s letter shapes a kept motor, never the one that is bought', () => {
    expect(circuit('replace', 'C')).toBeDefined();
    expect(circuit('replace', 'C')).toEqual(circuit('replace', 'B'));
    expect(circuit('starter', 'C')).not.toEqual(circuit('starter', 'B'));
  });
});

describe('drive and starter', () => {
  it('a picked motor of 230/400 V runs in star on 400 V, so it is not started star-delta; one of 400/690 V may be', () => {
    const started = (torque: string) =>
      run({
        school: 'IEC',
        ...bought,
        load: { ...bought.load, torque, speed: '1440' },
        supply: { voltage: '400 V', frequency: '50 Hz', sourcePower: '1000 kVA', sourceImpedance: '6 %' },
      });
    const failures = (solution: Solution) =>
      solution.details.starting.find(({ method }) => method === 'star-delta')?.failures.join();
    expect(started('13 N·m').details.chosenMotor?.item.voltages).toEqual([230, 400]);
    expect(failures(started('13 N·m'))).toContain('runs in star');
    expect(started('95 N·m').details.chosenMotor?.item.voltages).toEqual([400, 690]);
    expect(failures(started('95 N·m'))).not.toContain('star at this voltage');
  });

  const requirement: fc.Arbitrary<DriveNeed> = fc.record({
    school: fc.constantFrom('NEMA', 'IEC'),
    current: within(1, 300),
    inputShare: fc.constantFrom(0.5, 1),
    systemVoltage: fc.constantFrom(240, 400, 480),
    duty: fc.constantFrom('normal', 'heavy'),
    ambient: within(290, 325),
    altitude: within(0, 3000),
    housing: fc.constantFrom('IP20', 'IP55', 'IP66'),
    motorPower: within(1000, 150_000),
    events: fc.constant([]),
  });

  it('a drive carries the motor’s current after every derate; heat and height never let a further one fit', () => {
    let fitted = 0;
    fc.assert(
      fc.property(requirement, within(0, 15), within(0, 1500), (wanted, hotter, higher) => {
        const { fits, refused } = rankDrives(catalogue.drives, wanted);
        expect(fits.length + refused.length).toBe(catalogue.drives.length);
        for (const [at, { item, current, used }] of fits.entries()) {
          expect(current).toBeGreaterThanOrEqual(wanted.current * 0.9999);
          expect(current).toBeLessThanOrEqual(
            (wanted.duty === 'heavy' ? item.heavyCurrent : item.normalCurrent) * wanted.inputShare,
          );
          expect(used).toBeCloseTo(wanted.current / current, 9);
          expect(item.price).toBeGreaterThanOrEqual(fits[at - 1]?.item.price ?? 0);
          fitted++;
        }
        const harsher = { ...wanted, ambient: wanted.ambient + hotter, altitude: wanted.altitude + higher };
        const before = new Set([
          ...fits.map(({ item }) => item.id),
          ...refused.filter(({ rule }) => rule === 'oversized').map(({ id }) => id),
        ]);
        for (const { item } of rankDrives(catalogue.drives, harsher).fits) expect(before).toContain(item.id);
      }),
      { numRuns: 400 },
    );
    expect(fitted).toBeGreaterThan(50);
  });

  it('a drive or a starter that the catalogue lacks is a stop in words', () => {
    const driven: JobInput = { ...bought, starting: { speedControl: 'yes' } };
    const small = catalogue.drives.toSorted((a, b) => a.heavyCurrent - b.heavyCurrent)[0];
    expect(finding(run({ ...driven, pick: { drive: small?.id } }), 'pick.drive-refused')?.severity).toBe('stop');
    expect(finding(run(driven, { ...catalogue, drives: small ? [small] : [] }), 'pick.no-drive')?.severity).toBe(
      'stop',
    );
    const bare = { ...catalogue, parts: catalogue.parts.filter(({ kind }) => kind !== 'contactor') };
    expect(finding(run(bought, bare), 'pick.no-starter')?.message).toContain('Contactor');
    expect(finding(run(bought), 'pick.no-starter')).toBeUndefined();
  });
});

describe('the selection sheet', () => {
  const sheets = demoSites.flatMap(({ name, school, jobs }) =>
    jobs.map((each) => {
      const job = emptyJob({ school, site: name, ...each });
      const solution = solve(job, catalogue);
      return { job, solution, sheet: selectionSheet(job, solution) };
    }),
  );

  it('shows each figure as the solution has it, under its name, and every finding and gap', () => {
    for (const { job, solution, sheet } of sheets) {
      for (const [id, { unit }] of Object.entries(solution.values)) {
        const declared = publishedValues.get(id);
        expect(unit, id).toBe(declared?.kind === 'figure' ? siUnit(declared.dimension) : '');
      }
      const known = new Map(
        Object.entries(solution.values).map(([id, value]) => [
          withSymbol(publishedValues.get(id) ?? { label: id }, job.school),
          value,
        ]),
      );
      for (const { title, rows } of sheet.sections) {
        expect(rows.length, title).toBeGreaterThan(0);
        // The bill names parts; sheet.test.ts holds it.
        if (title === 'Bill of materials') continue;
        for (const { label, text, assumed } of rows) {
          const value = known.get(label);
          expect(value, label).toBeDefined();
          expect(text.startsWith(value?.text ?? '?')).toBe(true);
          if (value?.unit === 'currency') expect(text).toContain(job.currency);
          expect(assumed).toBe(value?.evidence === 'assumed');
        }
      }
      expect(sheet.findings).toBe(solution.findings);
      expect(sheet.needed.length + sheet.sharpens.length).toBe(solution.missing.length);
    }
  });

  it('is ready only where nothing stops it and something is chosen', () => {
    const states = new Set<string>();
    for (const { solution, sheet } of sheets) {
      const stopped = solution.findings.some(({ severity }) => severity === 'stop');
      states.add(stopped ? 'stopped' : sheet.ready ? 'ready' : 'open');
      if (stopped) expect([sheet.ready, sheet.decision.startsWith('Stopped')]).toEqual([false, true]);
      else if (sheet.ready) expect(sheet.decision).toMatch(/ with /);
      else expect(sheet.decision).toMatch(/^Not decided/);
    }
    expect(states).toEqual(new Set(['stopped', 'ready', 'open']));
  });

  it('names rules of thumb that were set for the plant, so that who reads it knows', () => {
    const job = emptyJob({ ...bought, practice: { sizeMargin: '20 %' } });
    expect(selectionSheet(job, solve(job, catalogue)).reasons.join()).toContain('Power margin over the load 20');
  });
});
