// What a motor takes at part load, by its fitted circuit: the solver against halving (part-loads.ts), the least input against the
// closed form of a machine with two losses, the stand-in by common practice (35 % fixed, the rest with the square of the load).
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { emptyJob, solve, type JobInput, type Solution } from '../../src/index.ts';
import { inputFed, leastInputFed, takenOnLine, type LosingMotor } from '../../src/motor/at-part-load.ts';
import { steadyPoint, type Circuit } from '../../src/motor/circuit.ts';
import { plate, catalogue, fan } from '../lib/round-prices.ts';
import { circuitOf, pointFed, pointOnLine } from '../lib/part-loads.ts';

const HP = 745.6999;
const POWER = 25 * HP;
const SPEED = (1770 * Math.PI) / 30;
const circuit = circuitOf(solve(emptyJob(fan), catalogue));
const motor = (more: Partial<LosingMotor> = {}): LosingMotor => ({
  power: POWER,
  speed: SPEED,
  efficiency: 0.936,
  efficiencyMinimum: 0.924,
  powerFactor: 0.83,
  circuit,
  fixedShare: 0.35,
  guaranteed: false,
  ...more,
});

describe('on the line', () => {
  it.each([0.05, 0.25, 0.5, 0.75, 1, 1.25])(
    '%s of rated power: input and apparent power of the circuit there',
    (share) => {
      const point = pointOnLine(circuit, share * POWER);
      const taken = takenOnLine(motor(), share * POWER);
      expect(taken.input).toBeCloseTo(point.inputPower, 3);
      expect(taken.apparent).toBeCloseTo(Math.sqrt(3) * circuit.volts * point.statorCurrent, 2);
    },
  );
  it('at full load the input of the plate; guaranteed, its losses are those of the minimum', () => {
    expect(POWER / takenOnLine(motor(), POWER).input).toBeCloseTo(0.936, 3);
    const nominal = takenOnLine(motor(), POWER).input - POWER;
    const guaranteed = takenOnLine(motor({ guaranteed: true }), POWER).input - POWER;
    expect(guaranteed / nominal).toBeCloseTo((1 / 0.924 - 1) / (1 / 0.936 - 1), 9);
  });
  it('without a circuit, or beyond what it can carry, a fixed share of the loss stands in', () => {
    const loss = POWER / 0.936 - POWER;
    const none = motor({ circuit: undefined });
    const half = POWER / 2 + loss * (0.35 + 0.65 / 4);
    expect(takenOnLine(none, POWER / 2)).toEqual({ input: half, apparent: half / 0.83 });
    expect(takenOnLine(motor(), 5 * POWER).input).toBeCloseTo(5 * POWER + loss * (0.35 + 0.65 * 25), 6);
    const least = POWER / 0.924 - POWER;
    expect(takenOnLine({ ...none, guaranteed: true }, POWER).input).toBeCloseTo(POWER + least, 9);
  });
});

describe('behind a drive', () => {
  it.each([
    [1, 1],
    [0.5, 0.25],
    [0.8, 0.64],
    [0.3, 0.9],
    [1.2, 0.6],
  ])('at %s of the speed and %s of the torque: 15 %% more than the circuit loses there', (speed, torque) => {
    const shaft = POWER * speed * torque;
    const point = pointFed(circuit, (POWER / SPEED) * torque, SPEED * speed);
    expect(inputFed(motor(), shaft, speed)).toBeCloseTo(shaft + 1.15 * (point.inputPower - shaft), 3);
  });
  it('above 90 kW a quarter more; standing nothing', () => {
    const large = (power: number) => {
      const of = motor({ power, circuit: undefined });
      return ((inputFed(of, power, 1) ?? NaN) - power) / (power / 0.936 - power);
    };
    expect(large(90_000)).toBeCloseTo(1.15, 9);
    expect(large(90_001)).toBeCloseTo(1.25, 9);
    expect(inputFed(motor(), 0, 0)).toBe(0);
  });
  it('less flux: less iron, more copper; undefined where it no longer carries the torque', () => {
    const usual = inputFed(motor(), POWER / 8, 0.5) ?? NaN;
    expect(inputFed(motor(), POWER / 8, 0.5, 0.7)).toBeLessThan(usual);
    expect(inputFed(motor(), POWER, 1, 0.5)).toBeUndefined();
    expect(inputFed(motor({ circuit: undefined }), POWER / 8, 0.5, 0.7)).toBeUndefined();
  });
});

describe('the least input over the flux', () => {
  it.each([
    [1, 0.1],
    [0.5, 0.25],
    [0.7, 0.5],
  ])('at %s of the speed and %s of the torque: as a fine scan finds it', (speed, torque) => {
    const shaft = POWER * speed * torque;
    const least = Math.max(0.5, Math.sqrt((1.5 * torque) / 2.4));
    let best = Infinity;
    for (let step = 0; step <= 500; step++) {
      const flux = least + ((1 - least) * step) / 500;
      const point = pointFed(circuit, (POWER / SPEED) * torque, SPEED * speed, flux);
      best = Math.min(best, shaft + 1.15 * (point.inputPower - shaft));
    }
    const found = leastInputFed(motor(), shaft, speed, 2.4) ?? NaN;
    const loss = best - shaft;
    expect((found - best) / loss).toBeGreaterThan(-1e-6);
    expect((found - best) / loss).toBeLessThan(0.002);
  });
  it('none to gain at full torque, where breakdown must stay, and without a circuit', () => {
    expect(leastInputFed(motor(), POWER, 1, 1.5)).toBe(inputFed(motor(), POWER, 1));
    const none = motor({ circuit: undefined });
    expect(leastInputFed(none, POWER / 8, 0.5, 2.4)).toBe(inputFed(none, POWER / 8, 0.5));
    expect(leastInputFed(motor(), 0, 0, 2.4)).toBe(0);
  });
  it('a machine of iron and rotor copper alone: φ = (B/A)^¼ √T, the loss 2 √(AB) T', () => {
    // Without stator resistance and leakage iron goes with φ², copper with (T/φ)². By hand for A 0.35, B 0.65, T 0.25:
    // φ 0.584 and 0.2385 instead of 0.3906 of the loss at full torque.
    const base = { r1: 0, x1: 1e-6, xm: 13, x2: 1e-6, rc: 1e7, volts: 460, hz: 60, poles: 4, rotationalLoss: 0 };
    const speed = 60 * Math.PI * 0.9995;
    const rated = pointFed({ ...base, r2: 0.005 }, 100, speed);
    const copper = rated.rotorCopperLoss;
    const ideal: Circuit = { ...base, r2: 0.005, rc: 460 ** 2 / ((0.35 / 0.65) * copper) };
    const power = 100 * speed;
    const of = motor({ power, speed, circuit: ideal });
    const loss = ((leastInputFed(of, power / 4, 1, 50) ?? NaN) - power / 4) / 1.15;
    const full = copper / 0.65;
    expect(((inputFed(of, power / 4, 1) ?? NaN) - power / 4) / 1.15 / full).toBeCloseTo(0.3906, 3);
    expect(loss / full).toBeCloseTo(0.2385, 3);
  });
});

it('more shaft power never takes less, and everything is more than what comes out', () => {
  const share = fc.double({ min: 0.001, max: 1.4, noNaN: true });
  fc.assert(
    fc.property(share, share, fc.double({ min: 0.1, max: 1.2, noNaN: true }), (a, b, speed) => {
      const [low, high] = [Math.min(a, b) * POWER, Math.max(a, b) * POWER];
      expect(takenOnLine(motor(), low).input).toBeLessThanOrEqual(takenOnLine(motor(), high).input + 1e-6);
      expect(takenOnLine(motor(), low).input).toBeGreaterThan(low);
      expect(inputFed(motor(), low * speed, speed)).toBeGreaterThan(low * speed);
    }),
    { numRuns: 100 },
  );
  expect(steadyPoint(circuit, 0.01).efficiency).toBeLessThan(1);
});

describe('in a job', () => {
  const drive = (more: JobInput = {}, own: NonNullable<JobInput['options']>['A'] = {}): Solution =>
    solve(
      emptyJob({
        ...fan,
        profile: { control: 'damper', points: [{ flow: '60 %', hours: '4000 h' }] },
        options: { A: { starting: { method: 'drive' }, ...own } },
        ...more,
      }),
      catalogue,
    );
  const value = (solution: Solution, name: string) => Number(solution.values[`profile.${name}`]?.value ?? NaN);
  it('what less flux saves is shown, and counted only where the drive is said to do it', () => {
    const [plain, lowered] = [drive(), drive({}, { profile: { fluxOptimised: true } })];
    const saving = value(plain, 'fluxSaving');
    expect(saving).toBeGreaterThan(0);
    expect(value(lowered, 'fluxSaving')).toBeCloseTo(saving, 3);
    expect(value(plain, 'energy') - value(lowered, 'energy')).toBeCloseTo(saving, 3);
    expect(value(lowered, 'peakInput')).toBeLessThan(value(plain, 'peakInput'));
    expect(drive({}, { starting: { method: 'direct' } }).values['profile.fluxSaving']).toBeUndefined();
  });
  it('not for a machine of constant torque with shocks', () => {
    const constant = (shock: 'uniform' | 'moderate') =>
      drive({ load: { ...fan.load, torqueKind: 'constant', shock } }).values['profile.fluxSaving'];
    expect(constant('uniform')).toBeDefined();
    expect(constant('moderate')).toBeUndefined();
  });
  it('a new motor beside an old one counts as guaranteed, others as nominal, or as the job says', () => {
    const energy = (kind: 'new' | 'replace', efficiencyBasis: 'cautious' | 'nominal' | 'guaranteed') =>
      value(
        drive({
          situation: { kind },
          nameplate: plate,
          profile: { control: 'damper', efficiencyBasis, points: [{ flow: '60 %', hours: '4000 h' }] },
        }),
        'energy',
      );
    expect(energy('new', 'cautious')).toBe(energy('new', 'nominal'));
    expect(energy('new', 'guaranteed')).toBeGreaterThan(energy('new', 'nominal'));
    expect(energy('replace', 'cautious')).toBe(energy('replace', 'guaranteed'));
    expect(energy('replace', 'nominal')).toBeLessThan(energy('replace', 'guaranteed'));
  });
});
