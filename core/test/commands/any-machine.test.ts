// Whatever machine is accepted has figures, or none and says so; a run that would take too many steps is refused. No outside
// source: a property of the program.
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readMachine, runMachine } from '../../src/commands/machine.ts';

/** Figures over decades, and the limits themselves. */
const figure = (min: number, max: number) =>
  fc.oneof(
    fc.constantFrom(min, max),
    fc
      .double({ min: Math.log(Math.max(min, 1e-6)), max: Math.log(max), noNaN: true })
      .map((power) => Math.min(max, Math.exp(power))),
  );
const maybe = <T>(of: fc.Arbitrary<T>) => fc.option(of, { nil: undefined });
const anyMachine = fc.record({
  r1: figure(0, 1e4),
  x1: figure(0, 1e4),
  xm: figure(1e-6, 1e4),
  r2: figure(1e-6, 1e4),
  x2: figure(0, 1e4),
  r3: maybe(figure(1e-6, 1e4)),
  x3: maybe(figure(0, 1e4)),
  rc: maybe(figure(1e-6, 1e7)),
  rs: maybe(figure(0, 1e4)),
  saturation: maybe(fc.record({ knee: figure(1e-6, 1e6), floor: figure(0.2, 1) })),
  volts: figure(1, 20_000),
  hz: figure(1, 400),
  poles: fc.integer({ min: 1, max: 24 }).map((pairs) => 2 * pairs),
  rotationalLoss: figure(0, 1e6),
  windage: maybe(figure(0, 1e6)),
  slips: fc.array(figure(1e-6, 2), { maxLength: 4 }),
  powers: fc.array(figure(1e-3, 1e8), { maxLength: 3 }),
  inertia: maybe(figure(1e-6, 1e6)),
  load: fc.array(fc.record({ rpm: figure(0, 50_000), torque: figure(0, 1e8) }), { maxLength: 4 }),
  source: maybe(fc.record({ r: figure(0, 1e4), x: figure(0, 1e4) })),
  start: fc.constantFrom(
    { kind: 'direct' },
    { kind: 'star-delta', gap: 0.1, changeTime: 1 },
    { kind: 'autotransformer' },
    { kind: 'soft starter', mode: 'torque ramp' },
    { kind: 'drive' },
  ),
  duration: figure(0.01, 1),
  step: fc.constantFrom(1e-3, 1e-4),
});

function oddNumbers(value: unknown, path = ''): string[] {
  if (typeof value === 'number') return Number.isFinite(value) ? [] : [`${path} is ${value}`];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, each]) => oddNumbers(each, `${path}.${key}`));
}
const machineOf = (input: object) => {
  const read = readMachine(input);
  if ('issues' in read) throw new Error(read.issues.map(({ path, message }) => `${path}: ${message}`).join());
  return read.machine;
};

describe('any machine that is accepted', () => {
  it('has figures that are numbers, steady and while it runs up', () => {
    fc.assert(
      fc.property(anyMachine, (input) => {
        expect(oddNumbers(runMachine(machineOf(input)))).toEqual([]);
      }),
      { numRuns: 200 },
    );
  });
  const plain = { r1: 0.6, x1: 1.1, r2: 0.3, x2: 0.5, xm: 26, volts: 460, hz: 60, poles: 4, inertia: 0.5 };
  it('runs 600 000 steps at most', () => {
    expect(readMachine({ ...plain, duration: 60, step: 1e-4 })).toHaveProperty('machine');
    const read = readMachine({ ...plain, duration: 60, step: 0.9e-4 });
    expect(read).toMatchObject({ issues: [{ path: 'step', message: expect.stringContaining('600 000') as string }] });
    expect(readMachine({ plate: '25 HP', duration: 60, step: 1e-6 })).toHaveProperty('issues');
  });
  it('a circuit too stiff for its step has no transient rather than one of no numbers', () => {
    const run = (r: number) => {
      const result = runMachine(machineOf({ ...plain, r1: r, r2: r, duration: 0.1 }));
      return 'issues' in result ? undefined : result.runUp?.transient;
    };
    expect(run(1000)).toBeNull();
    expect(run(0.5)?.finalSpeed).toBeTypeOf('number');
  });
});
