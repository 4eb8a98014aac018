// A recorded log as hours of a year. Sums on paper; the cube law for what a mean hides (half at 50 %, half at 100 %: mean cube
// 0.5625, cube of the mean 0.4219).
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { emptyJob, solve, type JobInput } from '../../../src/index.ts';
import {
  flowLogger,
  profileOfLog,
  type FlowRecord,
  type InputCurve,
} from '../../../src/stages/operating-profile/flow-log.ts';
import { catalogue, fan } from '../../lib/round-prices.ts';

const HOUR = 3600;
type Sample = readonly [time: number, value: number, power?: number];
const record = (samples: Iterable<Sample>): FlowRecord => {
  const logger = flowLogger();
  for (const sample of samples) logger.push(...sample);
  return logger.result();
};
/** A day of samples every minute. */
const day = (of: (minute: number) => readonly [value: number, power?: number]): Sample[] =>
  Array.from({ length: 1441 }, (_, minute): Sample => [minute * 60, ...of(minute)]);
const cube: InputCurve = {
  flows: Array.from({ length: 10 }, (_, at) => (at + 1) / 10),
  inputs: Array.from({ length: 10 }, (_, at) => 1000 * ((at + 1) / 10) ** 3),
};
const byFlow = (log: FlowRecord, today: InputCurve | undefined = cube, full = 1) =>
  profileOfLog(log, { counts: 'flow', full, powerUnit: 1, today });

describe('a log of flow', () => {
  const halves = record(day((minute) => [minute < 720 ? 0.5 : 1]));
  it('half a day at 50 %, half at 100 %: half a year at each; mean cube 0.5625', () => {
    const made = byFlow(halves);
    expect(made?.rows.map(({ flow }) => flow)).toEqual([1, 0.5]);
    for (const { seconds } of made?.rows ?? []) expect(seconds / HOUR).toBeCloseTo(4380, 6);
    const energy = (made?.rows ?? []).reduce((sum, { flow, seconds }) => sum + flow ** 3 * seconds, 0);
    expect(energy / (8760 * HOUR)).toBeCloseTo(0.5625, 9);
    expect(made?.energyOff).toBeCloseTo(0, 9);
    expect(made?.calibration).toBeUndefined();
  });
  it('in the unit of the log, by that of full flow', () => {
    const litres = record(day((minute) => [minute < 720 ? 250 : 500]));
    expect(byFlow(litres, cube, 500)?.rows.map(({ flow }) => flow)).toEqual([1, 0.5]);
  });
  it('next to nothing is standing still, and comes last', () => {
    const rows = byFlow(record(day((minute) => [minute < 360 ? 0.019 : 0.8])))?.rows ?? [];
    expect(rows.map(({ flow }) => flow)).toEqual([expect.closeTo(0.8, 9), 0]);
    expect((rows[1]?.seconds ?? 0) / HOUR).toBeCloseTo(2190, 6);
  });
  it('a bin stands at its mean: 0.61 and 0.63 an equal time', () => {
    expect(byFlow(record(day((minute) => [minute < 720 ? 0.61 : 0.63])))?.rows).toEqual([
      { flow: expect.closeTo(0.62, 9) as number, seconds: expect.closeTo(8760 * HOUR, 3) as number },
    ]);
  });
  it('bins grow finer until their energy is that of the samples', () => {
    // A curve with a step: bins of a twentieth put both sides of it together.
    const step: InputCurve = { flows: [0.1, 0.61, 0.62, 1], inputs: [100, 100, 1000, 1000] };
    const both = record(day((minute) => [minute % 10 < 8 ? 0.605 : 0.635]));
    const made = byFlow(both, step);
    expect(made?.rows).toHaveLength(2);
    expect(Math.abs(made?.energyOff ?? 1)).toBeLessThan(0.01);
    expect(byFlow(both)?.rows).toHaveLength(1);
  });
  it('what was not recorded is no time: a break of more than three usual steps; rows that cannot be read are counted', () => {
    const log = record([
      [0, 0.5],
      [60, 0.5],
      [120, 0.5],
      // Three steps are held, more are not.
      [300, 1],
      [360, 1],
      [3600, 1],
      [3660, 1],
      [3600, 1],
      [3720, Number.NaN],
      [3720, -1],
    ]);
    expect(log).toMatchObject({ samples: 7, skipped: 3, gaps: 1, span: 3660 });
    expect(log.recorded).toBeCloseTo(420, 9);
    expect(byFlow(log)?.rows.map(({ flow, seconds }) => [flow, Math.round((seconds / 8760 / HOUR) * 420)])).toEqual([
      [1, 120],
      [0.5, 300],
    ]);
  });
  it('nothing recorded makes no profile', () => {
    expect(byFlow(record([]))).toBeUndefined();
    expect(byFlow(record([[0, 1]]))).toBeUndefined();
    expect(record([]).span).toBe(0);
  });
  it('whatever was recorded: a year of hours, at most two hundred rows, energy within a hundredth', () => {
    const flows = fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 3, maxLength: 300 });
    fc.assert(
      fc.property(flows, (values) => {
        const made = byFlow(record(values.map((value, at): Sample => [at * 60, value])));
        const total = (made?.rows ?? []).reduce((sum, { seconds }) => sum + seconds, 0);
        expect(total / HOUR).toBeCloseTo(8760, 6);
        expect(made?.rows.length).toBeLessThanOrEqual(200);
        expect(Math.abs(made?.energyOff ?? 1)).toBeLessThan(0.02);
      }),
      { numRuns: 60 },
    );
  });
});

describe('a log of power', () => {
  const byPower = (log: FlowRecord, today: InputCurve | undefined, full = 1000) =>
    profileOfLog(log, { counts: 'power', full, powerUnit: 1, today });
  const kilowatts = record(day((minute) => [minute < 360 ? 0 : minute < 720 ? 0.125 : minute < 1080 ? 1 : 0.0005]));
  it('becomes flow by the input curve of today’s control; below its first point in proportion', () => {
    const rows = byPower(kilowatts, cube)?.rows ?? [];
    expect(rows.map(({ flow }) => Number(flow.toFixed(6)))).toEqual([1, 0.5, 0]);
    expect(rows.map(({ seconds }) => Math.round(seconds / HOUR))).toEqual([2190, 2190, 4380]);
    const low: InputCurve = { flows: [0.2, 1], inputs: [200, 1000] };
    expect(byPower(record(day(() => [0.1])), low)?.rows[0]?.flow).toBeCloseTo(0.1, 9);
  });
  it('a way of control that takes the same at every flow says nothing of the flow', () => {
    expect(byPower(kilowatts, { flows: [0.5, 1], inputs: [1000, 1000] })).toBeUndefined();
    expect(byPower(kilowatts, undefined)).toBeUndefined();
  });
});

describe('flow and power together', () => {
  const at = (flow: number, factor: number): readonly [number, number] => [flow, factor * flow ** 3];
  const flows = [0.5, 0.6, 0.8, 1] as const;
  const calibrated = (of: (minute: number) => readonly [number, number?]) =>
    profileOfLog(record(day(of)), { counts: 'flow', full: 1, powerUnit: 1000, today: cube })?.calibration;
  it('a machine that takes a tenth more than calculated: factor 1.1, all of the spread explained', () => {
    const found = calibrated((minute) => at(flows[minute % 4] ?? 1, 1.1));
    expect(found?.factor).toBeCloseTo(1.1, 9);
    expect(found?.fit).toBeCloseTo(1, 9);
  });
  it('by hand: 0.5 and 1 at 125 and 1000 W calculated, 225 and 1000 measured', () => {
    const found = calibrated((minute) => (minute < 720 ? [0.5, 0.225] : [1, 1]));
    // k = (225·125 + 1000·1000)/(125² + 1000²); r² = 1 − Σ(P − kP')²/Σ(P − P̄)².
    const k = (225 * 125 + 1e6) / (125 ** 2 + 1e6);
    const left = (225 - 125 * k) ** 2 + (1000 - 1000 * k) ** 2;
    expect(found?.factor).toBeCloseTo(k, 9);
    expect(found?.fit).toBeCloseTo(1 - left / (2 * 387.5 ** 2), 9);
  });
  it('needs an hour of both; samples without power count for the hours alone', () => {
    expect(calibrated((minute) => (minute < 59 ? at(1, 1) : [1]))).toBeUndefined();
    expect(calibrated((minute) => (minute < 600 ? at(flows[minute % 4] ?? 1, 1) : [0.7]))?.factor).toBeCloseTo(1, 9);
    expect(calibrated(() => at(1, 1.2))).toEqual({ factor: expect.closeTo(1.2, 9) as number, fit: 0 });
  });
});

describe('the highest interval of the meter in each month of a log', () => {
  const peaks = (log: FlowRecord, interval?: '15 min' | '30 min') =>
    profileOfLog(log, { counts: 'flow', full: 1, powerUnit: 1, today: cube, ...(interval ? { interval } : {}) })?.peaks;
  it('ten minutes at full flow in every hour of 40 %: 80 % over a quarter of an hour, 60 % over half of one', () => {
    const log = record(day((minute) => [minute % 60 < 10 ? 1 : 0.4]));
    expect(peaks(log)).toEqual([expect.closeTo((10 + 5 * 0.4) / 15, 9)]);
    expect(peaks(log, '30 min')).toEqual([expect.closeTo((10 + 20 * 0.4) / 30, 9)]);
  });
  it('by twelfths of a year, from samples an hour apart', () => {
    const hours = Array.from({ length: 61 * 24 }, (_, hour): Sample => [hour * HOUR, hour < 700 ? 0.5 : 0.9]);
    // 730 h are a twelfth: 700 h at half, then nine tenths; then nine tenths throughout, and the first hours of a third.
    expect(peaks(record(hours))).toEqual([0.9, 0.9, 0.9]);
    const half = hours.map(([time]): Sample => [time, time < 730 * HOUR ? 0.5 : 0.9]);
    expect(peaks(record(half))).toEqual([0.5, 0.9, 0.9]);
  });
  it('an interval of which less than half was recorded tells none', () => {
    const broken = [0, 60, 120, 180, 7200, 7260, 7320].map((time): Sample => [time, 1]);
    expect(peaks(record(broken))).toEqual([]);
    // Seven of fifteen minutes are too few, eight are enough.
    expect(peaks(record(Array.from({ length: 8 }, (_, at): Sample => [at * 60, 1])))).toEqual([]);
    expect(peaks(record(Array.from({ length: 9 }, (_, at): Sample => [at * 60, 1])))).toEqual([1]);
  });
  it('of power become flows by the curve of today', () => {
    const log = record(day((minute) => [minute < 720 ? 512 : 1000]));
    expect(profileOfLog(log, { counts: 'power', full: 1, powerUnit: 1, today: cube })?.peaks).toEqual([1]);
  });
});

describe('in a job', () => {
  const run = (profile: JobInput['profile']) =>
    solve(emptyJob({ ...fan, profile: { ...fan.profile, ...profile } }), catalogue);
  const full = (profile: JobInput['profile']) => Number(run(profile).details.profile[0]?.shaftControlled);
  const found = (profile: JobInput['profile'], code: string) =>
    run(profile).findings.find((each) => each.code === code);
  it('the factor multiplies the power at full flow, and is no load measured at part flow', () => {
    expect(full({ calibration: '1.1' }) / full({})).toBeCloseTo(1.1, 9);
    expect(found({ calibration: '1.1' }, 'profile.measured-below-full')).toBeUndefined();
    expect(full({ calibration: '1.1', measuredFlow: '50 %' }) / full({ measuredFlow: '50 %' })).toBeCloseTo(1.1, 9);
    expect(found({ calibration: '0.5', measuredFlow: '50 %' }, 'profile.measured-below-full')).toBeDefined();
  });
  it('less than four weeks saw no season; a factor that explains little is doubted', () => {
    expect(found({ recordedOver: '27 days' }, 'profile.season')?.message).toContain('no season was seen');
    expect(found({ recordedOver: '28 days' }, 'profile.season')).toBeUndefined();
    expect(found({ calibration: '1.2', calibrationFit: '69 %' }, 'profile.calibration-poor')?.message).toMatch(
      /69\.0\s?%/,
    );
    expect(found({ calibration: '1.2', calibrationFit: '70 %' }, 'profile.calibration-poor')).toBeUndefined();
    expect(found({ calibrationFit: '10 %' }, 'profile.calibration-poor')).toBeUndefined();
  });
});
