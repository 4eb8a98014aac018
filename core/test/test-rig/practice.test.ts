/** The drive to practise on: what wrong settings do, the registers it is set by, and the exercise that is graded. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { explain, HELD, nothingSeen, seenAfter, settable, tasksOf, type Seen } from '../../src/test-rig/exercise.ts';
import {
  frequencyOf,
  fromTheBox,
  outputVoltage,
  practicePlate as plate,
  practiceRange,
  practiceRun,
  practiceStart,
  type PracticeSetting,
  type PracticeState,
} from '../../src/test-rig/practice.ts';
import { practiceOf, practiceRegisters, stateOf, stateRegisters } from '../../src/test-rig/registers.ts';

const right: PracticeSetting = {
  baseFrequency: 60,
  baseVoltage: 460,
  motorCurrent: plate.amperes,
  mostFrequency: 60,
  rampUp: 8,
  rampDown: 16,
  boost: 0.02,
  signalLow: 0,
  signalHigh: 60,
};

/** Runs for so many seconds by a signal, then stops; every half second is looked at. */
function play(setting: PracticeSetting, { signal = 16.8, seconds = 30, stops = 40 } = {}) {
  let [state, seen]: [PracticeState, Seen] = [practiceStart, nothingSeen];
  const told = new Set<string>();
  const look = (run: boolean): void => {
    const next = practiceRun(state, setting, { run, signal, reset: false }, 0.5);
    seen = seenAfter(seen, state, next, 0.5);
    state = next;
    for (const line of explain(state, setting)) told.add(line);
  };
  for (let at = 0; at < 2 * seconds; at++) look(true);
  const running = state;
  for (let at = 0; at < 2 * stops; at++) look(false);
  return { running, stopped: state, seen, told: [...told].join(' ') };
}

describe('a drive set by its plate', () => {
  it('8 mA of 4 to 20 on 0 to 60 Hz are 15 Hz (by hand); what is beyond the highest frequency is not', () => {
    expect(frequencyOf(8, right)).toBeCloseTo(15, 12);
    expect(frequencyOf(22, right)).toBe(60);
    expect(frequencyOf(4, right)).toBe(0);
    expect(frequencyOf(20, { ...right, signalHigh: 40 })).toBe(40);
  });

  it('runs its fan at 80 % of the flow within the plate, and stops by its ramp: eight of eight', () => {
    const { running, stopped, seen } = play(right);
    expect(running.frequency).toBeCloseTo(48, 6);
    expect(running.flux).toBeCloseTo(1, 2);
    expect(running.current).toBeLessThan(plate.amperes);
    expect((running.speed * 30) / Math.PI / plate.rpm).toBeCloseTo(0.8, 1);
    expect(stopped.trip).toBe('none');
    expect(tasksOf(right, seen).filter(({ done }) => done)).toHaveLength(8);
  });

  it('takes rated current for rated torque, and rated slip', () => {
    const { running } = play({ ...right, signalHigh: 60 }, { signal: 20 });
    // Seven tenths of rated power at full speed.
    expect(running.current / plate.amperes).toBeGreaterThan(0.7);
    expect(running.current / plate.amperes).toBeLessThan(0.9);
    const slip = 60 - (running.speed * plate.poles) / (4 * Math.PI);
    expect(slip / (60 - (plate.rpm * plate.poles) / 120)).toBeGreaterThan(0.6);
    expect(slip / (60 - (plate.rpm * plate.poles) / 120)).toBeLessThan(0.8);
  });
});

describe('a wrong setting shows what it does', () => {
  it('base frequency too low: too much flux; too high: too little, and more current', () => {
    const low = play({ ...right, baseFrequency: 50 });
    expect(low.running.flux).toBeCloseTo(1.2, 1);
    expect(low.told).toContain('saturate');
    const high = play({ ...right, baseFrequency: 100 }, { signal: 20 });
    expect(high.running.flux).toBeLessThan(0.65);
    expect(high.running.current).toBeGreaterThan(play(right, { signal: 20 }).running.current * 1.15);
    expect(high.told).toContain('more slip');
  });

  it('a ramp too short: over-current on the way up, over-voltage on the way down', () => {
    expect(play({ ...right, rampUp: 0.5 }).running.trip).toBe('over-current');
    const down = play({ ...right, rampDown: 2 });
    expect(down.running.trip).toBe('none');
    expect(down.stopped.trip).toBe('over-voltage');
    expect(down.told).toContain('dc link');
  });

  it('boost too high: the iron saturates before it turns', () => {
    const { running, told } = play({ ...right, boost: 0.15 });
    expect(running.trip).toBe('over-current');
    expect(told).toContain('current');
  });

  it('amperes too low trip for nothing; too high leave the winding unguarded', () => {
    expect(play({ ...right, motorCurrent: 5 }, { signal: 20, seconds: 90 }).running.trip).toBe('motor overload');
    const unguarded = play({ ...right, motorCurrent: 28, baseFrequency: 110 }, { signal: 20, seconds: 200 });
    expect(unguarded.told).toContain('does not guard');
    expect(unguarded.running.winding).toBeGreaterThan(play(right, { signal: 20, seconds: 200 }).running.winding);
  });

  it('a broken wire is a lost signal; a reset clears every trip but a burnt winding', () => {
    const lost = practiceRun(practiceStart, right, { run: true, signal: 2, reset: false }, 0.1);
    expect(lost.trip).toBe('signal lost');
    expect(practiceRun(lost, right, { run: false, signal: 4, reset: true }, 0.1).trip).toBe('none');
    // While it is told to run a trip stays.
    expect(practiceRun(lost, right, { run: true, signal: 12, reset: true }, 0.1).trip).toBe('signal lost');
    const burnt = { ...practiceStart, trip: 'winding burnt' as const };
    expect(practiceRun(burnt, right, { run: false, signal: 4, reset: true }, 0.1).trip).toBe('winding burnt');
  });

  it('as it leaves its box nothing of the exercise is right', () => {
    expect(tasksOf(fromTheBox, nothingSeen).filter(({ done }) => done)).toEqual([]);
    for (const { why, asks } of tasksOf(fromTheBox, nothingSeen))
      expect([why, asks].every((each) => each !== '')).toBe(true);
  });

  it('a run counts when it was held, and starts over when it was lost', () => {
    const running = play(right).running;
    const half = seenAfter(nothingSeen, running, running, HELD / 2);
    expect(half.held).toBe(HELD / 2);
    expect(seenAfter(half, running, { ...running, flux: 1.2 }, 1).held).toBe(0);
    expect(seenAfter({ ...half, held: HELD }, running, { ...running, flux: 1.2 }, 1).held).toBe(HELD);
  });

  it('voltage never leaves what the line gives, and rises with frequency', () => {
    expect(outputVoltage(0, right)).toBe(0);
    expect(outputVoltage(30, { ...right, boost: 0 })).toBeCloseTo(230, 9);
    expect(outputVoltage(60, { ...right, baseVoltage: 690 })).toBe(480);
  });
});

const settings = fc.record(
  Object.fromEntries(
    Object.entries(practiceRange).map(([name, [min, max]]) => [name, fc.double({ min, max, noNaN: true })]),
  ),
) as unknown as fc.Arbitrary<PracticeSetting>;

describe('its registers', () => {
  it('bring back what was written, within what one of them counts', () => {
    fc.assert(
      fc.property(
        settings,
        fc.double({ min: 0, max: 22, noNaN: true }),
        fc.boolean(),
        fc.boolean(),
        (set, signal, run, reset) => {
          const back = practiceOf(practiceRegisters(set, { run, signal, reset }));
          for (const [name, value] of Object.entries(set)) {
            const [low, high] = practiceRange[name as keyof PracticeSetting];
            const read = back.setting[name as keyof PracticeSetting];
            expect(Math.abs(read - value), name).toBeLessThanOrEqual(0.0501);
            expect(read).toBeGreaterThanOrEqual(low);
            expect(read).toBeLessThanOrEqual(high);
          }
          expect(back.hand.run).toBe(run);
          expect(back.hand.reset).toBe(reset);
          expect(Math.abs(back.hand.signal - signal)).toBeLessThanOrEqual(0.0051);
        },
      ),
    );
  });

  it('whatever is written, it goes on in finite figures and shows them', () => {
    fc.assert(
      fc.property(settings, fc.double({ min: 0, max: 22, noNaN: true }), (set, signal) => {
        const state = practiceRun(practiceStart, settable(set), { run: true, signal, reset: false }, 3);
        for (const value of Object.values(state))
          if (typeof value === 'number') expect(Number.isFinite(value)).toBe(true);
        const shown = stateOf(stateRegisters(state));
        expect(shown.trip).toBe(state.trip);
        expect(Math.abs(shown.frequency - state.frequency)).toBeLessThanOrEqual(0.051);
      }),
      { numRuns: 60 },
    );
  });
});
