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
export const INPUT_REGISTERS = 20;
export const HOLDING_REGISTERS = 4;

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
