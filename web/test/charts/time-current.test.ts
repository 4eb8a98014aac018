// The picture of time against current against sums on paper and the classes of IEC 60947-4-1 Table 2 (class 10: 4 to 10 s and
// class 20: 6 to 20 s at 7.2 times the setting, from cold); crossings found in what is drawn and from the figures themselves.
import { describe, expect, it } from 'vitest';
import { emptyJob, solve } from '@pilgrim/core';
import { heatAtDial, tripTime } from '@pilgrim/core/stages/starting/trip-curve';
import { horizonOf, sampleStart, spreadOf, type SpreadSetting } from '@pilgrim/core/stages/starting/tolerance-sampling';
import { demoCatalogue } from '../../../db/demo/catalogue';
import { demoSites } from '../../../db/demo/jobs';
import { timeCurrentChart, type AlsoDrawn } from '../../src/lib/charts/time-current-chart';

type Points = readonly (readonly [number, number])[];

const site = demoSites.find(({ jobs }) => jobs.some(({ tag }) => tag === 'BP-3'));
const job = site?.jobs.find(({ tag }) => tag === 'BP-3');
const { details } = solve(
  emptyJob({ school: 'IEC', ...job, starting: { method: 'direct', stallTimeHot: '8 s', stallTimeCold: '15 s' } }),
  demoCatalogue(),
);
const start = details.starting.find(({ method }) => method === 'direct');
const { startSetting, machine } = details;
if (!start || !startSetting || !machine) throw new Error('BP-3 starts directly');
const setting: SpreadSetting = {
  start: { ...startSetting, tripClass: start.relayClass },
  targets: machine.targets,
  method: 'direct',
  seed: 1,
};
const horizon = horizonOf(setting);
const spread = spreadOf(
  Array.from({ length: 60 }, (_, at) => sampleStart(setting, at, horizon)).filter((each) => each !== undefined),
  horizon,
);
const nothing: AlsoDrawn = {
  conductor: undefined,
  deviceMost: undefined,
  faultAtBus: undefined,
  faultAtMotor: undefined,
  device: undefined,
  spread: undefined,
};
const drawn = (also: Partial<AlsoDrawn> = {}, more: Partial<typeof startSetting> = {}): Map<string, Points> => {
  const { series } = timeCurrentChart(start, { ...startSetting, ...more }, { ...nothing, ...also });
  return new Map((series as { name: string; data: Points }[]).map(({ name, data }) => [name, data]));
};
const points = (name: string, of = drawn()): Points => of.get(name) ?? [];
/** s of an edge at a current, straight between its points as it is drawn on logarithmic axes. */
function at(edge: Points, amperes: number): number {
  const next = edge.findIndex(([current]) => current >= amperes);
  const [[a, s] = [0, 0], [b, t] = [0, 0]] = [edge[Math.max(0, next - 1)], edge[Math.max(1, next)]];
  return Math.exp(Math.log(s) + (Math.log(amperes / a) / Math.log(b / a)) * Math.log(t / s));
}
/** A band is its left edge up, its right edge back, and the first point again. */
const edges = (band: Points): [Points, Points] => {
  const half = (band.length - 1) / 2;
  return [band.slice(0, half), band.slice(half, -1).toReversed()];
};

describe('time against current', () => {
  const { overload, lockedRotorMost, loadedHeat } = startSetting;

  it('the relay’s band is that of its class from cold, and lies lower from the warmth of the running motor', () => {
    const [fast, slow] = edges(points(`Relay class ${start.relayClass}, cold`));
    expect(start.relayClass).toBe('10');
    expect(at(fast, 7.2 * overload)).toBeCloseTo(4, 6);
    expect(at(slow, 7.2 * overload)).toBeCloseTo(10, 6);
    const [warmFast, warmSlow] = edges(points('Overload relay, warm'));
    // 97 % of the heat it is set for: ln((51.84 − θ)/(51.84 − 1.3225)) over ln(51.84/(51.84 − 1.3225)).
    const share = Math.log((51.84 - loadedHeat) / 50.5175) / Math.log(51.84 / 50.5175);
    expect(at(warmFast, 7.2 * overload)).toBeCloseTo(4 * share, 6);
    expect(at(warmSlow, 7.2 * overload)).toBeCloseTo(10 * share, 6);
    // Set a tenth higher, less of what it is set for is there.
    expect(heatAtDial(0.97, 27.8, 30.58)).toBeCloseTo(0.97 / 1.21, 9);
    expect(heatAtDial(0.97, 27.8, 20)).toBe(1);
    expect(points('Overload relay, warm')[0]).toEqual(points('Overload relay, warm').at(-1));
    expect([...drawn().keys()].some((name) => name.includes('drive'))).toBe(false);
  });

  it('the standing motor bears hot and cold what is typed, and by the same heat more at less current', () => {
    for (const [name, seconds] of [
      ['Locked-rotor withstand, hot', 8],
      ['Locked-rotor withstand, cold', 15],
    ] as const) {
      expect(points(name).at(-1)).toEqual([lockedRotorMost, seconds]);
      expect(points(name)[0]).toEqual([lockedRotorMost / 2, 4 * seconds]);
    }
  });

  it('where the slow edge meets what the motor bears is the same in the picture and from the figures', () => {
    const [, slow] = edges(points(`Relay class ${start.relayClass}, cold`));
    const bears = points('Locked-rotor withstand, cold');
    const drawnGap = (amperes: number): number => at(slow, amperes) - at(bears, amperes);
    const figuredGap = (amperes: number): number =>
      tripTime(10, amperes / overload) - 15 * (lockedRotorMost / amperes) ** 2;
    const sampled = Array.from({ length: 20 }, (_, each) => lockedRotorMost * (0.5 + each / 40));
    // Class 10 lies under a cold motor that bears 15 s over the whole of it, by both routes.
    for (const amperes of sampled) expect(Math.sign(drawnGap(amperes))).toBe(Math.sign(figuredGap(amperes)));
    // Set a fifth too high it meets it between half and full locked-rotor current.
    const setTo = drawn({}, { overload: overload * 1.2 });
    const [, slower] = edges(points(`Relay class ${start.relayClass}, cold`, setTo));
    const crossing = (gap: (amperes: number) => number): number => {
      let [low, high] = [lockedRotorMost * 0.5, lockedRotorMost];
      for (let step = 0; step < 50; step++) {
        const middle = (low + high) / 2;
        if (Math.sign(gap(middle)) === Math.sign(gap(low))) low = middle;
        else high = middle;
      }
      return low;
    };
    const inPicture = crossing((amperes) => at(slower, amperes) - at(bears, amperes));
    const inFigures = crossing((x) => tripTime(10, x / overload / 1.2) - 15 * (lockedRotorMost / x) ** 2);
    expect(inFigures).toBeGreaterThan(0.55 * lockedRotorMost);
    expect(inFigures).toBeLessThan(0.95 * lockedRotorMost);
    expect(inPicture / inFigures).toBeCloseTo(1, 1);
  });

  it('nine of ten starts lie round the motor as it is fitted, and are drawn a little beyond the last', () => {
    const band = points('90 % of starts', drawn({ spread }));
    const [low, high] = edges(band);
    expect(low.length).toBe(high.length);
    low.forEach(([least], step) => expect(least).toBeLessThanOrEqual(high[step]?.[0] ?? 0));
    // Plates allow 20 % more standing current and it may be 5 % less.
    const { lockedRotorCurrent } = machine.targets;
    expect(low[0]?.[0] ?? 0).toBeGreaterThan(0.9 * 0.95 * lockedRotorCurrent);
    expect(high[0]?.[0] ?? 0).toBeLessThan(1.1 * 1.2 * lockedRotorCurrent);
    expect(Math.max(...band.map(([, seconds]) => seconds))).toBeLessThanOrEqual(1.2 * spread.time.high);
    expect(spread.held).toBe(1);
  });

  it('shows short circuits at bus and motor, and nothing that is not known', () => {
    const all = drawn({ faultAtBus: 20_000, faultAtMotor: 5000 });
    expect(points('Fault current at bus', all).map(([amperes]) => amperes)).toEqual([20_000, 20_000]);
    expect(points('Fault current at motor', all).map(([amperes]) => amperes)).toEqual([5000, 5000]);
    expect([...drawn().keys()]).toEqual([
      expect.stringMatching(/^Start, direct/),
      'Relay class 10, cold',
      'Overload relay, warm',
      'Locked-rotor withstand, cold',
      'Locked-rotor withstand, hot',
      'Rated current',
      'Locked-rotor current, max.',
    ]);
  });

  it('marks rated and locked-rotor current at its foot with their symbols', () => {
    expect(points('Rated current')).toEqual([[startSetting.motor.current, 0.01]]);
    expect(points('Locked-rotor current, max.')).toEqual([[startSetting.lockedRotorMost, 0.01]]);
  });
});
