// The rig as the outside device, and the engine that is told its plate only: both must agree within what its meters may be off.
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { emptyCatalogue, emptyJob, solve } from '../../src/index.ts';
import { benchMotors } from '../../src/test-rig/bench-motor.ts';
import { jobOfReadings, predictedWatts } from '../../src/test-rig/predict.ts';
import { fromRegisters, readBy, settingOf, settingRegisters, toRegisters } from '../../src/test-rig/registers.ts';
import { dampedBlower, drivenBlower, meters, RIG_POWER, rigStart, type RigSetting } from '../../src/test-rig/rig.ts';
import { pointFed, pointOnLine } from '../lib/part-loads.ts';
import { throttled } from '../lib/flow-shares.ts';

const setting = (more: Partial<RigSetting> = {}): RigSetting => ({ ...rigStart, ...more });
const share = fc.double({ min: 0.2, max: 1, noNaN: true });

describe('the plates of the rig', () => {
  it.each(Object.entries(benchMotors))('%s: agrees with itself within the rounding of its figures', (_, { plate }) => {
    const { power, volts, amperes, efficiency, powerFactor } = plate;
    expect((Math.sqrt(3) * volts * amperes * efficiency * powerFactor) / power).toBeCloseTo(1, 2);
    expect(plate.rpm).toBeGreaterThan(1700);
    expect(plate.rpm).toBeLessThan(1800);
  });
});

describe('the blowers', () => {
  it('a damper: 1.3 − 0.3q² against (1 + κ)q², κ = 1.5(1/d² − 1); half open 0.471 of the flow is left', () => {
    const half = dampedBlower(setting({ damper: 0.5 }));
    expect(half.flow).toBeCloseTo(Math.sqrt(1.3 / (1.3 + 4.5)), 12);
    const point = pointOnLine(benchMotors.fitting.circuit, RIG_POWER * throttled(half.flow, 1.3));
    expect(half.watts).toBeCloseTo(point.inputPower, 3);
    expect(half.amperes).toBeCloseTo(point.statorCurrent, 5);
    expect(half.voltAmperes).toBeCloseTo(Math.sqrt(3) * 460 * point.statorCurrent, 2);
    expect(dampedBlower(setting()).flow).toBe(1);
  });
  it('a drive: flow with the speed, power with its cube; volts with the frequency', () => {
    const half = drivenBlower(setting({ speed: 0.5 }));
    const { circuit, plate } = benchMotors.fitting;
    const speed = (0.5 * plate.rpm * Math.PI) / 30;
    const point = pointFed(circuit, (RIG_POWER * 0.125) / speed, speed);
    expect(half.flow).toBe(0.5);
    expect(half.rpm).toBeCloseTo(plate.rpm / 2, 6);
    expect(half.amperes).toBeCloseTo(point.statorCurrent, 4);
    expect(half.volts / 460).toBeCloseTo(0.5, 1);
    expect(half.watts).toBeLessThan(0.4 * dampedBlower(setting({ damper: 0.53 })).watts);
  });
  it('less flux takes less at part load, most of it with a motor twice too large', () => {
    const saved = (oversized: boolean) => {
      const at = (leastFlux: boolean) => drivenBlower(setting({ speed: 0.5, leastFlux, oversized })).watts;
      return at(false) - at(true);
    };
    expect(saved(false)).toBeGreaterThan(0);
    expect(saved(true)).toBeGreaterThan(saved(false));
  });
});

it('the engine, told the plate alone, expects what the meters read within what they may be off', () => {
  fc.assert(
    fc.property(share, share, fc.boolean(), fc.boolean(), (damper, speed, leastFlux, oversized) => {
      const at = setting({ damper, speed, leastFlux, oversized });
      const [damped, driven] = [dampedBlower(at), drivenBlower(at)];
      const [expectedDamped, expectedDriven] = predictedWatts(at, damped.flow);
      const within = meters.watts.error * meters.watts.range;
      expect(Math.abs(expectedDamped - damped.watts)).toBeLessThan(within);
      expect(Math.abs(expectedDriven - driven.watts)).toBeLessThan(within);
    }),
    { numRuns: 100 },
  );
});

describe('its registers', () => {
  it('carry readings to their last digit', () => {
    const readings = { volts: 461.3, amperes: 8.27, watts: 4321, flow: 0.734, rpm: 1752 };
    expect(toRegisters(readings)).toEqual([4613, 827, 4321, 734, 1752]);
    const back = fromRegisters([4613, 827, 4321, 734, 1752]);
    for (const [name, value] of Object.entries(readings)) expect(back[name as 'volts']).toBeCloseTo(value, 9);
    expect(toRegisters({ ...readings, watts: 1e6, rpm: -5 })).toEqual([4613, 827, 65_535, 734, 0]);
  });
  it('settings there and back; what is beyond the rig stays at its ends', () => {
    const at = { damper: 0.45, speed: 0.8, leastFlux: true, oversized: false };
    expect(settingRegisters(at)).toEqual([450, 800, 1, 0]);
    expect(settingOf([450, 800, 1, 0])).toEqual(at);
    expect(settingOf([0, 65_535, 7, 2])).toEqual({ damper: 0.1, speed: 1, leastFlux: true, oversized: true });
    expect(settingOf([])).toMatchObject({ damper: 0.1, speed: 0.2 });
  });
  it('a meter is off by no more than it says', () => {
    expect(readBy('watts', 5000, 1)).toBe(5150);
    expect(readBy('watts', 5000, -0.5)).toBe(4925);
    expect(readBy('amperes', 0.1, -1)).toBe(0);
    expect(readBy('flow', 0.5, 1)).toBeCloseTo(0.518, 12);
  });
});

it('readings taken into a job: the shaft power that the blower has, and at full flow what it takes there', () => {
  const at = setting({ damper: 0.5 });
  const read = dampedBlower(at);
  const solution = solve(emptyJob(jobOfReadings(at, read)), emptyCatalogue);
  const shaft = RIG_POWER * throttled(read.flow, 1.3);
  expect(Number(solution.values['load.motorPower']?.value) / shaft).toBeGreaterThan(0.93);
  expect(Number(solution.values['load.motorPower']?.value) / shaft).toBeLessThan(1.07);
  expect(solution.findings.filter(({ severity }) => severity === 'stop')).toEqual([]);
  const today = Number(solution.details.profile[0]?.throttledPeak);
  expect(Math.abs(today - read.watts)).toBeLessThan(3 * meters.watts.error * meters.watts.range);
});
