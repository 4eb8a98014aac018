// Repair or replace. Rules by common practice; numbers by P·h·(1/η_r − 1/η_new) at full load, where every circuit meets its plate.
import { describe, expect, it } from 'vitest';
import { emptyJob, solve, type JobInput, type Solution } from '../../../src/index.ts';
import { simplePayback } from '../../../src/stages/economics/cash-flow.ts';
import { catalogue, fan, plate } from '../../lib/round-prices.ts';

const KWH = 3.6e6;
const POWER = 25 * 745.6999;
/** The load is the motor’s rated power, for 3000 h; the new motor costs 1000. */
const job = (money: JobInput['money'] = {}, more: JobInput = {}): JobInput => ({
  ...fan,
  situation: { kind: 'replace' },
  nameplate: { ...plate, efficiency: '91.0', powerFactor: '85.4', ...more.nameplate },
  load: { ...fan.load, torque: `${POWER / ((1770 * Math.PI) / 30)} N·m`, speed: '1770' },
  profile: { control: 'none', points: [{ flow: '100 %', hours: '3000 h' }] },
  options: { A: { starting: { method: 'direct' }, pick: { motorFrom: 'new' } } },
  ...more,
  money: { ...fan.money, repairPrice: '500', ...money },
});
const run = (money: JobInput['money'] = {}, more: JobInput = {}, from = catalogue): Solution =>
  solve(emptyJob(job(money, more)), from);
const value = (solution: Solution, name: string) => Number(solution.values[`money.${name}`]?.value ?? NaN);
const verdict = (...of: Parameters<typeof run>) => run(...of).values['money.repairVerdict']?.text ?? '';
const codes = (...of: Parameters<typeof run>) => run(...of).findings.map(({ code }) => code);
/** kWh a year at full load between two efficiencies. */
const saved = (repaired: number, fresh: number) => (POWER / 1000) * 3000 * (1 / repaired - 1 / fresh);

describe('the numbers', () => {
  it('a new motor at its guaranteed 92.4 % against 91 % less half a point', () => {
    const solution = run();
    expect(value(solution, 'repairSaving') / KWH).toBeCloseTo(saved(0.905, 0.924), 0);
    expect(solution.values['money.repairSaving']?.working.note).toContain('half a point');
  });
  it('a shop that tests leaves the efficiency; nominal figures where the job says so', () => {
    expect(value(run({ goodShop: true }), 'repairSaving') / KWH).toBeCloseTo(saved(0.91, 0.924), 0);
    const nominal = {
      profile: { control: 'none', efficiencyBasis: 'nominal', points: [{ flow: '100 %', hours: '3000 h' }] },
    } satisfies JobInput;
    expect(value(run({}, nominal), 'repairSaving') / KWH).toBeCloseTo(saved(0.905, 0.936), 0);
  });
  it('the energy says which efficiency it holds for: a new motor beside an old one its guaranteed least', () => {
    const noteBy = (efficiencyBasis: 'cautious' | 'nominal' | 'guaranteed', from: JobInput['pick'] = {}) =>
      run(
        {},
        {
          profile: { control: 'none', efficiencyBasis, points: [{ flow: '100 %', hours: '3000 h' }] },
          options: { A: { starting: { method: 'direct' }, pick: { motorFrom: 'new', ...from } } },
        },
      ).values['profile.energy']?.working.note;
    expect(noteBy('cautious')).toMatch(/at its guaranteed least efficiency\.$/);
    expect(noteBy('nominal')).toMatch(/at its nominal efficiency\.$/);
    expect(noteBy('cautious', { motorFrom: 'kept' })).toMatch(/at its nominal efficiency\.$/);
    expect(noteBy('guaranteed', { motorFrom: 'kept' })).toMatch(/guaranteed least/);
  });
  it('30 hp at three quarters for 6000 h, 93.0 against 93.6 %: about 694 kWh a year; 384 a year pay 4200 − 1900 in 6.0 years (by hand)', () => {
    const [motor] = catalogue.motors;
    if (!motor) throw new Error('the catalogue of round prices has no motor');
    const fresh = {
      ...motor,
      power: 30 * 745.6999,
      currents: [35.3],
      lockedRotorCurrents: [212],
      efficiencyMinimum: 0.936,
    };
    const saving = run(
      { goodShop: true },
      {
        nameplate: { ...plate, power: '30 hp', currents: '35.5', efficiency: '93.0', powerFactor: '85.1' },
        load: { ...fan.load, torque: `${(0.75 * 30 * 745.6999) / ((1775 * Math.PI) / 30)} N·m`, speed: '1775' },
        profile: { control: 'none', points: [{ flow: '100 %', hours: '6000 h' }] },
      },
      { ...catalogue, motors: [fresh] },
    );
    // The efficiency at three quarters is not quite that at full load.
    expect(Math.abs(value(saving, 'repairSaving') / KWH / 694 - 1)).toBeLessThan(0.1);
    expect(simplePayback({ capital: 4200 - 1900, saving: 384 })).toBeCloseTo(6, 1);
  });
  it('its worth over ten years at 8 %: 6.7101 times the yearly saving less 1000 − 500; even where both cost the same', () => {
    const solution = run();
    const yearly = (value(solution, 'repairSaving') / KWH) * 0.1;
    expect(value(solution, 'repairWorth')).toBeCloseTo(6.710_081 * yearly - 500, 2);
    expect(value(solution, 'repairEven') / 3600).toBeCloseTo((3000 * 500) / (6.710_081 * yearly), 2);
    // Dearer repairs than a new motor leave nothing to earn back.
    expect(run({ repairPrice: '1100' }).values['money.repairEven']).toBeUndefined();
    // Nor does energy so cheap that a year has too few hours.
    expect(run({ energyPrice: '0.01 per kWh' }).values['money.repairEven']).toBeUndefined();
  });
  it('decide where no rule does', () => {
    expect(verdict()).toBe('Replace: the new motor is worth more than it costs over the repair');
    const short = { profile: { control: 'none', points: [{ flow: '100 %', hours: '200 h' }] } } satisfies JobInput;
    expect(verdict({}, short)).toBe('Repair: the new motor does not earn what it costs more');
    const none = run({}, { profile: { control: 'none' } });
    expect(none.values['money.repairSaving']).toBeUndefined();
    expect(none.values['money.repairVerdict']?.text).toBe('Open: neither rule nor number decides');
  });
});

describe('the rules', () => {
  it('a repair above six tenths of a new motor, or of what the site says', () => {
    expect(verdict({ repairPrice: '600' })).not.toContain('of a new one');
    expect(verdict({ repairPrice: '610' })).toBe('Replace: the repair costs 61 % of a new one');
    expect(codes({ repairPrice: '610' })).toContain('money.repair-dear');
    expect(codes({ repairPrice: '600' })).not.toContain('money.repair-dear');
    expect(codes({ repairPrice: '610' }, { practice: { repairShare: '65 %' } })).not.toContain('money.repair-dear');
  });
  it('a damaged core, a second rewind nobody knows of', () => {
    expect(verdict({ coreDamaged: true })).toContain('its core is damaged');
    expect(verdict({ rewinds: 'unknown' })).toContain('a second time');
    expect(verdict({ rewinds: 'good' })).not.toContain('second time');
  });
  it('below today’s class and more than 4000 h a year', () => {
    const hours = (text: string, efficiency = '91.0') =>
      verdict(
        {},
        {
          nameplate: { ...plate, efficiency, powerFactor: '83' },
          profile: { control: 'none', points: [{ flow: '100 %', hours: text }] },
        },
      );
    expect(hours('4001 h')).toContain('below today’s class');
    expect(hours('4000 h')).not.toContain('today’s class');
    // Premium of 25 hp, four poles: 93.6 % (MG 1 Table 12-12).
    expect(hours('4001 h', '93.6')).not.toContain('today’s class');
  });
  it('small and standard is replaced, a special frame is mended, both are open', () => {
    const [large] = catalogue.motors;
    const [power, frame] = [15 * 745.6999, '254T'];
    const motors = large ? [{ ...large, id: 'm15', power, frame, currents: [18.9], lockedRotorCurrents: [116] }] : [];
    const light: JobInput = {
      nameplate: { ...plate, power: '15 hp', currents: '18.9', efficiency: '90.2', powerFactor: '82' },
      load: { ...fan.load, torque: '40 lb·ft' },
    };
    expect(verdict({}, light, { ...catalogue, motors })).toBe('Replace: it is small and of a standard frame');
    expect(verdict({ specialMotor: true }, light, { ...catalogue, motors })).toBe(
      'Repair: its frame or shaft is special',
    );
    expect(verdict({ specialMotor: true })).toBe('Repair: its frame or shaft is special');
    expect(verdict({ specialMotor: true, coreDamaged: true })).toBe(
      'Open: for a new one, its core is damaged; for a repair, its frame or shaft is special',
    );
  });
  it('sooner back than a new one is here: five days', () => {
    expect(verdict({ repairDays: '4 days' })).toContain('back in 4');
    expect(verdict({ repairDays: '5 days' })).not.toContain('back in');
  });
  it('in a hazardous area only a certified shop', () => {
    expect(codes({}, { place: { hazardous: 'yes' } })).not.toContain('money.repair-dear');
    expect(codes()).not.toContain('money.repair-hazardous');
  });
  it('nothing is said where no repair is priced, or nothing failed', () => {
    expect(run({ repairPrice: '' }).values['money.repairVerdict']).toBeUndefined();
    expect(run({}, { situation: { kind: 'drive' } }).values['money.repairVerdict']).toBeUndefined();
    expect(run({ energyPrice: '' }).values['money.repairVerdict']).toBeUndefined();
  });
});
