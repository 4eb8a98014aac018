import type { Circuit } from '../../motor/circuit.ts';
import { terminalImpedance } from '../../motor/circuit.ts';
import type { Motor } from '../../motor/typical.ts';
import { memoize } from '../../kernel/memoize.ts';
import type { Impedances } from '../supply/source.ts';
import type { Turning } from './motor-on-supply.ts';
import type { StartingMode, Method } from './starting-mode.ts';
import type { TorqueCeiling } from './minimum-torque.ts';
import { runUp, type RunUp } from './run-up.ts';
import type { HotAndCold } from './stall-time.ts';
import { classTimes, leastClass, type TripClass } from './trip-class.ts';
import { tripUse } from './trip-curve.ts';

/** Everything a start depends on; SI. Plain data, so that it can be sent to a worker. */
export interface StartSetting {
  readonly circuit: Circuit;
  readonly motor: Pick<Motor, 'power' | 'speed' | 'current' | 'voltage'>;
  readonly turning: Turning;
  /** The most torque that may be counted on; left out in samples of motors that might be delivered. */
  readonly ceiling?: TorqueCeiling | undefined;
  /** Most locked-rotor current that plate or catalogue allow at `motor.voltage`, A. */
  readonly lockedRotorMost: number;
  /** Of it the motor’s own, kg·m². */
  readonly rotorInertia: number;
  readonly source: Impedances | undefined;
  readonly feeds: Readonly<Record<Method, StartingMode>>;
  /** Time the motor bears standing at full voltage, hot or cold as it starts, s. */
  readonly stallTime: number;
  /** The same hot and cold, s. */
  readonly stalls: HotAndCold;
  readonly tripClass: TripClass | 'auto';
  /** Overload setting, A. */
  readonly overload: number;
  /** Heat of the relay while the motor runs as loaded, and before the start, of its setting’s. */
  readonly loadedHeat: number;
  readonly warm: number;
}

/** One way to start, run up. */
export interface Start {
  readonly method: Method;
  readonly run: RunUp;
  /** Heat of rotor and stator over what each bears standing for the stall time. */
  readonly rotorUse: number;
  readonly statorUse: number;
  /** Share of the overload relay’s trip level at its fast edge. */
  readonly tripUse: number;
  readonly leastClass: TripClass | undefined;
  /** The class the relay is taken to have. */
  readonly relayClass: TripClass;
  /** At standstill: line current at rated voltage, A, and torque over rated. */
  readonly standstillCurrent: number;
  readonly standstillTorque: number;
  /** Most current that plate or catalogue allow over what the circuit draws; at least 1. */
  readonly currentFactor: number;
}

const REMEMBERED = 6;
const FEEDS_REMEMBERED = 40;
type FedMotor = Omit<StartSetting, 'feeds'>;
let memory: { readonly fed: FedMotor; readonly steps: number; readonly starts: Map<string, Start> }[] = [];

/** Whether two plain values are the same to the last number. */
function same(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a)) {
    if (!Array.isArray(b) || a.length !== b.length) return false;
    // Written out: of two long load curves all but one point are alike.
    for (let at = 0; at < a.length; at++) if (a[at] !== b[at] && !same(a[at], b[at])) return false;
    return true;
  }
  const keys = Object.keys(a);
  return (
    keys.length === Object.keys(b).length &&
    keys.every((key) => same((a as Record<string, unknown>)[key], (b as Record<string, unknown>)[key]))
  );
}

/**
 * Starts of one motor on one load and supply, each run up when it is asked for, or remembered: most keystrokes leave the
 * starts as they were. A feed may differ from the setting’s, to look for the one that will do.
 */
export function startsOf(setting: StartSetting, steps: number): (method: Method, feed?: StartingMode) => Start {
  const { feeds, ...fed } = setting;
  let known = memory.find((each) => each.steps === steps && same(each.fed, fed));
  if (!known) {
    known = { fed, steps, starts: new Map() };
    memory = [known, ...memory.slice(0, REMEMBERED - 1)];
  }
  const { starts } = known;
  return (method, feed = feeds[method]) =>
    memoize(starts, FEEDS_REMEMBERED, `${method} ${JSON.stringify(feed)}`, () =>
      runStart({ ...setting, feeds: { ...feeds, [method]: feed } }, method, steps),
    );
}

export function runStart(setting: StartSetting, method: Method, steps?: number): Start {
  const { circuit, motor, turning, source, feeds, stallTime, overload, warm, ceiling } = setting;
  const feed = feeds[method];
  const ratedTorque = motor.power / motor.speed;
  const run = runUp({
    circuit,
    turning,
    source,
    feed,
    ratedTorque,
    ratedCurrent: motor.current,
    ceiling,
    ...(steps === undefined ? {} : { steps }),
  });
  // Heat of standing at rated voltage for the stall time is what the maker lets the motor bear.
  const impedance = terminalImpedance(circuit, 1);
  const locked = motor.voltage / Math.sqrt(3) / Math.hypot(impedance.re, impedance.im);
  const stator = 3 * locked ** 2 * (circuit.r1 + (circuit.rs ?? 0));
  const rotor = Math.max(1e-9, 3 * locked ** 2 * impedance.re - stator);
  const torque = (run.trace.torque[0] ?? 0) / ratedTorque;
  const least = leastClass(run.trace, overload, warm);
  const relayClass = setting.tripClass === 'auto' ? (least ?? '40') : setting.tripClass;
  return {
    method,
    run,
    rotorUse: run.rotorHeat / (rotor * stallTime),
    statorUse: run.statorHeat / (stator * stallTime),
    tripUse: tripUse(run.trace, overload, classTimes(relayClass).fastest, warm),
    leastClass: least,
    relayClass,
    standstillCurrent:
      feed.kind === 'drive'
        ? run.peakLineCurrent
        : standstillCurrent(feed, Math.max(locked, setting.lockedRotorMost), motor.current),
    // The circuit may draw less than plate or catalogue allow; what flows may be as much more.
    currentFactor: feed.kind === 'drive' ? 1 : Math.max(1, setting.lockedRotorMost / locked),
    standstillTorque: torque,
  };
}

/** Line current at standstill and rated voltage, A. */
function standstillCurrent(feed: Exclude<StartingMode, { kind: 'drive' }>, locked: number, rated: number): number {
  switch (feed.kind) {
    case 'direct':
      return locked;
    case 'star-delta':
      return locked / 3;
    case 'autotransformer':
      return locked * feed.tap ** 2;
    case 'soft starter': {
      const kick = feed.kickTime > 0 ? locked * feed.kickVoltage : 0;
      return Math.max(kick, Math.min(locked, feed.currentLimit * rated));
    }
  }
}
