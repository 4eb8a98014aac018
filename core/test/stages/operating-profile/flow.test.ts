// Flow by curves. Affinity laws (any pump or fan handbook); every other figure is worked by hand from
// H = H₀ − (H₀ − 1)q², η = 2x − x² of the best (common practice), system h + (1 − h)q².
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { setting } from '../../lib/flow-shares.ts';
import { controlled, type Control, type ControlSetting } from '../../../src/stages/operating-profile/flow-control.ts';
import {
  efficiencyAbout,
  flowAgainst,
  powerAt,
  reach,
  speedAgainst,
  speedFor,
  twoTermMachine,
  type FlowMachine,
} from '../../../src/stages/operating-profile/flow-machine.ts';

const pump = (h: number) => setting(twoTermMachine(1.25, 1, h));
/** Of all machines at full flow. */
const power = (control: Control, flow: number, on: ControlSetting) =>
  (controlled(control, flow, on)?.machines ?? []).reduce((sum, { count, power: each }) => sum + count * each, 0) /
  on.machines;
const speed = (control: Control, flow: number, on: ControlSetting) =>
  Number(controlled(control, flow, on)?.machines.at(-1)?.speed);
const running = (control: Control, flow: number, on: ControlSetting) =>
  (controlled(control, flow, on)?.machines ?? []).reduce((sum, { count }) => sum + count, 0);

describe('by speed and by throttle', () => {
  it.each([
    // Friction only: the cube (published, affinity laws).
    [0, 0.9, 0.9, 0.729],
    [0, 0.8, 0.8, 0.512],
    // By hand: s = √((h + (1−h)q² + 0.25q²)/1.25), P = q·H/η(q/s).
    [0.5, 0.5, 0.7416, 0.3496],
    [0.7, 0.4, 0.794, 0.3969],
  ])('static share %s at a flow of %s: speed %s, power %s', (h, q, turns, share) => {
    expect(speed('speed', q, pump(h))).toBeCloseTo(turns, 4);
    expect(power('speed', q, pump(h))).toBeCloseTo(share, 4);
  });
  it('throttled, half the flow: 0.5 · (1.25 − 0.25 · 0.25) / 0.75', () => {
    expect(power('throttle', 0.5, pump(0.5))).toBeCloseTo(0.791_67, 5);
  });
  it('a fan that keeps 0.4 of its pressure, shut-off 1.25, at 0.6: 0.7515 and 0.385', () => {
    expect(speed('speed', 0.6, pump(0.4))).toBeCloseTo(0.7515, 4);
    expect(power('speed', 0.6, pump(0.4))).toBeCloseTo(0.385, 3);
  });
  it('a closed valve takes half of shut-off head over the best flow: 0.625, and never nothing', () => {
    expect(power('throttle', 1e-9, pump(0))).toBeCloseTo(0.625, 5);
  });
});

it('a pump of 50 − 0.001 Q² m in a system of 15 + 0.0025 Q² m, best at 100 m³/h with 78 %: kilowatts by ρgQH/η', () => {
  const machine: FlowMachine = {
    head: (q) => (50 - 0.001 * (100 * q) ** 2) / 40,
    efficiency: efficiencyAbout(1),
    staticShare: 15 / 40,
  };
  // 1000 · 9.80665 · 100/3600 · 40 / 0.78 = 13.97 kW at full flow.
  const full = (1000 * 9.80665 * (100 / 3600) * 40) / 0.78 / 1000;
  expect(full).toBeCloseTo(13.97, 2);
  const on = setting(machine);
  expect(speedFor(machine, 0.7)).toBeCloseTo(0.8019, 4);
  expect(0.78 * machine.efficiency(0.7 / speedFor(machine, 0.7))).toBeCloseTo(0.7674, 4);
  expect(full * power('speed', 0.7, on)).toBeCloseTo(6.77, 2);
  expect(full * power('throttle', 0.7, on)).toBeCloseTo(12.12, 2);
  expect(full * power('speed', 0.5, on)).toBeCloseTo(4.01, 2);
  expect(full * power('throttle', 0.5, on)).toBeCloseTo(11.06, 2);
  // The closed form for two terms says the same.
  expect(speedFor(twoTermMachine(1.25, 1, 15 / 40), 0.7)).toBeCloseTo(speedFor(machine, 0.7), 9);
});

describe('the other ways', () => {
  it.each([
    ['slip coupling', 0.8, 0.64],
    ['bypass', 0.3, 1],
    ['on/off', 0.3, 1],
    ['none', 0.99, 1],
    // 0.35071223 + 0.30850535 q − 0.54137364 q² + 0.87198823 q³ over its value at 1 (DOE-2 lineage, from memory).
    ['inlet vane', 0.6, 0.529_270_387 / 0.989_832_17],
    // At two thirds of the speed friction lets two thirds of the flow through: the rest of it throttled there.
    ['two speeds', 2 / 3, (2 / 3) ** 3],
    ['two speeds', 0.7, (0.7 * (1.25 - 0.25 * 0.49)) / (1.4 - 0.49)],
  ] as const)('%s at %s takes %s', (control, flow, share) => {
    expect(power(control, flow, pump(0))).toBeCloseTo(share, 6);
  });
  it('no control says nothing of a part flow; on/off runs for its share of the time', () => {
    expect(controlled('none', 0.9, pump(0))).toBeUndefined();
    expect(controlled('on/off', 0.3, pump(0))?.share).toBe(0.3);
    expect(controlled('speed', 0, pump(0))?.machines).toEqual([]);
    // Beyond its full flow the cube, whatever the control.
    expect(power('damper', 1.1, pump(0))).toBeCloseTo(1.331, 9);
  });
  it('a trimmed machine turns as the largest flow needs, and is throttled below it', () => {
    const on = { ...pump(0), largest: 0.8 };
    expect(power('trim', 0.8, on)).toBeCloseTo(0.512, 9);
    expect(speed('trim', 0.4, on)).toBeCloseTo(0.8, 9);
    expect(power('trim', 0.4, on)).toBeCloseTo(powerAt(on.machine, 0.4, 0.8), 9);
  });
  it('a drive that may not turn slower runs there and throttles', () => {
    const on = { ...pump(0), leastSpeed: 0.5 };
    expect(speed('speed', 0.2, on)).toBe(0.5);
    expect(power('speed', 0.2, on)).toBeCloseTo(powerAt(on.machine, 0.2, 0.5), 9);
  });
});

describe('several machines', () => {
  it.each([
    // Both running, against one alone: 1.25 − 0.25q²/4 = h + (1−h)q².
    [0, 1.0847],
    [0.7, 1.2318],
  ])('two equal ones against a static share of %s bring %s of what one brings', (h, flow) => {
    const machine = twoTermMachine(1.25, 1, h);
    const pair: FlowMachine = { ...machine, head: (q) => machine.head(q / 2) };
    expect(reach(pair, 1)).toBeCloseTo(flow, 4);
  });
  it('one at full speed, the other takes the rest of the head; the fixed one gives √((H₀ − H)/a)', () => {
    const on = { ...pump(0.7), machines: 2, oneOnSpeed: true };
    const head = 0.7 + 0.3 * 0.8 ** 2;
    const fixed = Math.sqrt((1.25 - head) / 0.25);
    expect(flowAgainst(on.machine, head)).toBeCloseTo(fixed, 9);
    const rest = 1.6 - fixed;
    const turns = speedAgainst(on.machine, rest, head);
    expect(controlled('speed', 0.8, on)?.machines).toMatchObject([
      { count: 1, speed: 1, onDrive: false },
      { count: 1, onDrive: true },
    ]);
    expect(speed('speed', 0.8, on)).toBeCloseTo(turns, 9);
    expect(power('speed', 0.8, on)).toBeCloseTo(
      (powerAt(on.machine, fixed, 1) + powerAt(on.machine, rest, turns)) / 2,
      9,
    );
  });
  it('as few run as bring the flow at full speed; on speed as many as take least', () => {
    const on = { ...pump(0.7), machines: 3 };
    expect(running('throttle', 0.3, on)).toBe(1);
    expect(running('throttle', 1, on)).toBe(3);
    expect(running('speed', 0.3, on)).toBeLessThan(3);
    expect(power('speed', 0.3, on)).toBeLessThan(power('throttle', 0.3, on));
  });
  it('one fewer runs only where that saves a twentieth, so that they do not come and go', () => {
    const on = { ...pump(0.7), machines: 2 };
    const alone = (flow: number) => {
      const turns = speedAgainst(on.machine, 2 * flow, 0.7 + 0.3 * flow ** 2);
      return turns <= 1 ? powerAt(on.machine, 2 * flow, turns) / 2 : Number.POSITIVE_INFINITY;
    };
    const both = (flow: number) => powerAt(on.machine, flow, speedAgainst(on.machine, flow, 0.7 + 0.3 * flow ** 2));
    for (let flow = 0.05; flow < 1; flow += 0.01) {
      const fewer = alone(flow) < 0.95 * both(flow);
      expect(running('speed', flow, on), `at ${flow}`).toBe(fewer ? 1 : 2);
    }
    // Somewhere one alone takes less, and still both run.
    expect([0.3, 0.35, 0.4, 0.45, 0.5].some((flow) => alone(flow) < both(flow))).toBe(true);
  });
});

describe('two machines in series: each brings half of the head at a common flow', () => {
  const pair = (h: number, oneOnSpeed = false) => ({ ...pump(h), machines: 2, inSeries: true, oneOnSpeed });
  it('full flow takes both, each at full power; a throttle runs as few as overcome the system', () => {
    expect(controlled('throttle', 1, pair(0.7))?.machines).toMatchObject([{ count: 2, power: 1 }]);
    // 0.4 of the head at half the flow is less than the 0.594 that one gives; 0.775 is more.
    expect(running('throttle', 0.5, pair(0.2))).toBe(1);
    expect(running('throttle', 0.5, pair(0.7))).toBe(2);
    expect(power('throttle', 0.5, pair(0.2))).toBeCloseTo((0.5 * 1.1875) / 0.75 / 2, 9);
  });
  it('on speed as many as take least: one against twice the head, or two that share it', () => {
    const of = (turns: number, count: number, head: number) => {
      const x = 0.5 / turns;
      return (count * 0.5 * head) / (2 * x - x * x);
    };
    // H = 0.7 + 0.3 · 0.25 = 0.775; one alone would have to turn faster than full.
    const both = Math.sqrt((0.775 + 0.0625) / 1.25);
    expect(speed('speed', 0.5, pair(0.7))).toBeCloseTo(both, 9);
    expect(power('speed', 0.5, pair(0.7))).toBeCloseTo(of(both, 2, 0.775) / 2, 9);
    // H = 0.2 + 0.8 · 0.25 = 0.4: one against 0.8, two against 0.4 each.
    const [one, two] = [Math.sqrt((0.8 + 0.0625) / 1.25), Math.sqrt((0.4 + 0.0625) / 1.25)];
    const least = Math.min(of(one, 1, 0.8), of(two, 2, 0.4));
    expect(power('speed', 0.5, pair(0.2))).toBeCloseTo(least / 2, 9);
  });
  it('one alone on speed takes what the fixed one leaves of the head', () => {
    expect(controlled('speed', 0.5, pair(0.7, true))?.machines).toMatchObject([
      { count: 1, speed: 1, onDrive: false },
      { count: 1, onDrive: true },
    ]);
    // 2 · 0.775 − 1.1875 = 0.3625 is left.
    expect(speed('speed', 0.5, pair(0.7, true))).toBeCloseTo(Math.sqrt((0.3625 + 0.0625) / 1.25), 9);
    expect(controlled('speed', 0.5, pair(0.2, true))?.machines).toMatchObject([{ count: 1, onDrive: true }]);
    expect(running('speed', 1, pair(0.2, true))).toBe(2);
    expect(speed('speed', 1, pair(0.2, true))).toBeCloseTo(1, 9);
  });
});

describe('whatever the machine', () => {
  const machine = fc.record({
    shutOff: fc.double({ min: 1.02, max: 1.8, noNaN: true }),
    best: fc.double({ min: 0.7, max: 1.3, noNaN: true }),
    staticShare: fc.double({ min: 0, max: 0.95, noNaN: true }),
  });
  const flow = fc.double({ min: 0.02, max: 1, noNaN: true });

  it('speed rises with flow, and speed control never takes more than a throttle or a coupling', () => {
    fc.assert(
      fc.property(machine, flow, flow, ({ shutOff, best, staticShare }, a, b) => {
        const on = setting(twoTermMachine(shutOff, best, staticShare));
        const [low, high] = [Math.min(a, b), Math.max(a, b)];
        expect(speed('speed', low, on)).toBeLessThanOrEqual(speed('speed', high, on) + 1e-12);
        expect(power('speed', low, on)).toBeLessThanOrEqual(power('speed', high, on) + 1e-9);
        expect(power('speed', a, on)).toBeLessThanOrEqual(power('slip coupling', a, on) + 1e-12);
        if (best === 1) expect(power('speed', a, on)).toBeLessThanOrEqual(power('throttle', a, on) + 1e-12);
      }),
    );
  });
  it('friction with its best point at full flow: a throttle never takes less than speed control', () => {
    fc.assert(
      fc.property(fc.double({ min: 1.05, max: 1.8, noNaN: true }), flow, (shutOff, q) => {
        const on = setting(twoTermMachine(shutOff, 1, 0));
        expect(power('throttle', q, on)).toBeGreaterThanOrEqual(power('speed', q, on) - 1e-12);
      }),
    );
  });
});
