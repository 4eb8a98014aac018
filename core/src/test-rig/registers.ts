import { settable } from './exercise.ts';
import { trips, type PracticeHand, type PracticeSetting, type PracticeState, type SettingName } from './practice.ts';
import { meters, rigRange, type BlowerState, type Meter, type RigSetting } from './rig.ts';

/** Input registers of a blower, in their order from its base, and what one of a register counts. */
const READ: readonly (readonly [meter: Meter, unit: number])[] = [
  ['volts', 0.1],
  ['amperes', 0.01],
  ['watts', 1],
  ['flow', 0.001],
  ['rpm', 1],
];
export const BLOWER_BASE = [0, 10] as const;
export const RIG_HOLDING = 4;

/** Readings of the meters of one blower. */
export type Readings = Pick<BlowerState, Meter>;

/** What hand and meters of the rig say. */
export interface RigState {
  readonly setting: RigSetting;
  readonly blowers: readonly [damped: Readings, driven: Readings];
}

/** Meters as whole numbers of their units; what is beyond a register stands at its end. */
export const toRegisters = (readings: Readings): number[] =>
  READ.map(([meter, unit]) => Math.min(0xff_ff, Math.max(0, Math.round(readings[meter] / unit))));

export const fromRegisters = (registers: readonly number[]): Readings =>
  Object.fromEntries(READ.map(([meter, unit], at) => [meter, (registers[at] ?? 0) * unit])) as unknown as Readings;

/** A reading of a true figure by a meter that is off by a share, −1 to 1, of what it may be. */
export const readBy = (meter: Meter, value: number, off: number): number =>
  Math.max(0, value + off * meters[meter].error * meters[meter].range);

const THOUSANDTHS = 1000;
const held = (value: number, [low, high]: readonly [number, number]): number => Math.min(high, Math.max(low, value));

/** Holding registers: damper and speed in thousandths, least flux and large motors 0 or 1. */
export const settingRegisters = ({ damper, speed, leastFlux, oversized }: RigSetting): number[] => [
  Math.round(damper * THOUSANDTHS),
  Math.round(speed * THOUSANDTHS),
  leastFlux ? 1 : 0,
  oversized ? 1 : 0,
];

/** What the rig takes from what was written; beyond its ranges it stays at their ends. */
export const settingOf = ([damper = 0, speed = 0, flux = 0, size = 0]: readonly number[]): RigSetting => ({
  damper: held(damper / THOUSANDTHS, rigRange.damper),
  speed: held(speed / THOUSANDTHS, rigRange.speed),
  leastFlux: flux !== 0,
  oversized: size !== 0,
});

/** The drive to practise on: its settings and the hand at it in holding registers, its state in input registers. */
export const PRACTICE_HOLDING = 10;
export const PRACTICE_INPUT = 20;
const SET: readonly (readonly [name: SettingName, unit: number])[] = [
  ['baseFrequency', 0.1],
  ['baseVoltage', 0.1],
  ['motorCurrent', 0.01],
  ['mostFrequency', 0.1],
  ['rampUp', 0.1],
  ['rampDown', 0.1],
  ['boost', 0.001],
  ['signalLow', 0.1],
  ['signalHigh', 0.1],
];
const SHOWN: readonly (readonly [name: Exclude<keyof PracticeState, 'trip'>, unit: number])[] = [
  ['frequency', 0.1],
  ['voltage', 0.1],
  ['speed', 0.01],
  ['flux', 0.001],
  ['current', 0.01],
  ['link', 0.1],
  ['winding', 0.1],
  ['overload', 0.001],
];
const SIGNAL = 0.01;
export const HOLDING_REGISTERS = PRACTICE_HOLDING + SET.length + 2;
export const INPUT_REGISTERS = PRACTICE_INPUT + SHOWN.length + 1;

const whole = (value: number, unit: number): number => Math.min(0xff_ff, Math.max(0, Math.round(value / unit)));

/** Settings, mA, and a word whose first bit runs it and whose second resets a trip. */
export const practiceRegisters = (setting: PracticeSetting, { run, signal, reset }: PracticeHand): number[] => [
  ...SET.map(([name, unit]) => whole(setting[name], unit)),
  whole(signal, SIGNAL),
  (run ? 1 : 0) + (reset ? 2 : 0),
];

export function practiceOf(registers: readonly number[]): {
  readonly setting: PracticeSetting;
  readonly hand: PracticeHand;
} {
  const entries = SET.map(([name, unit], at) => [name, Number(((registers[at] ?? 0) * unit).toFixed(3))] as const);
  const word = registers[SET.length + 1] ?? 0;
  return {
    setting: settable(Object.fromEntries(entries) as unknown as PracticeSetting),
    hand: { run: (word & 1) !== 0, reset: (word & 2) !== 0, signal: (registers[SET.length] ?? 0) * SIGNAL },
  };
}

export const stateRegisters = (state: PracticeState): number[] => [
  ...SHOWN.map(([name, unit]) => whole(state[name], unit)),
  trips.indexOf(state.trip),
];

export const stateOf = (registers: readonly number[]): PracticeState => ({
  ...(Object.fromEntries(
    SHOWN.map(([name, unit], at) => [name, (registers[at] ?? 0) * unit]),
  ) as unknown as PracticeState),
  trip: trips[registers[SHOWN.length] ?? 0] ?? 'none',
});

/** What hand, settings and meters of the drive to practise on say. */
export interface Practice {
  readonly setting: PracticeSetting;
  readonly hand: PracticeHand;
  readonly state: PracticeState;
}
