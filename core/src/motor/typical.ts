import type { Evidence } from '../kernel/value.ts';
import type { Text } from '../kernel/text.ts';
import type { StandardsSystem } from '../kernel/quantity/units.ts';
import { memoize } from '../kernel/memoize.ts';
import { lockedRotorCurrent, lockedRotorTorque, breakdownTorque } from '../kernel/tables/index.ts';
import { classEfficiency, type EfficiencyClass } from './efficiency-class.ts';
import { standardHorsepower } from './standard-power.ts';
import { synchronousSpeed } from './synchronous.ts';

/** A motor as starting, profile and protection see it, whichever motor it is. SI. */
export interface Motor {
  /** For which motor a result holds, in words. */
  readonly label: string;
  readonly kind: 'plate' | 'typical' | 'picked';
  readonly power: number;
  readonly voltage: number;
  readonly frequency: number;
  readonly poles: number;
  /** Shaft speed at rated load, rad/s. */
  readonly speed: number;
  readonly current: number;
  readonly efficiency: number;
  readonly efficiencyMinimum: number;
  readonly powerFactor: number;
  readonly serviceFactor: number;
  /** Worst-case locked-rotor current, A. */
  readonly lockedRotorCurrent: number;
  /** Least locked-rotor current its letter or class allows, A. */
  readonly lockedRotorCurrentLeast: number;
  /** Least locked-rotor and breakdown torque as multiples of rated torque. */
  readonly lockedRotorTorque: number;
  readonly breakdownTorque: number;
  /** Design or class letter where it is known. */
  readonly designLetter?: string | undefined;
  /** Why its winding cannot start in star; absent where nothing speaks against it. */
  readonly noStarDelta?: Text;
  /** Plate or catalogue say that it runs in delta here with all six ends brought out. */
  readonly starDeltaProven?: boolean;
  /** What the winding is made for, where `voltage` and `current` are the low end of its range: 230 V of 208-230 V. */
  readonly winding?: {
    readonly voltage: number;
    readonly current: number;
    readonly lockedRotorCurrent: number;
    readonly lockedRotorCurrentLeast: number;
  };
}

/** Of what is computed from a motor: a plate or a catalogue declares it, a typical one is assumed. */
export const evidenceOf = ({ kind }: Pick<Motor, 'kind'>): Evidence => (kind === 'typical' ? 'assumed' : 'declared');

interface Rating {
  readonly power: number;
  readonly poles: number;
  readonly frequency: number;
  readonly voltage: number;
}

/**
 * Rated slip estimated from efficiency: rotor loss is taken as 22 % of all losses.
 * Common practice, no published source; good to about a third of the slip.
 */
export const estimatedSlip = (efficiency: number): number => (0.22 * (1 - efficiency)) / efficiency;

/** Rated power factor by size and poles. Common practice, no published source; good to about ±0.04. */
export function estimatedPowerFactor(power: number, poles: number): number {
  const byPoles: Readonly<Record<number, number>> = { 2: 0.04, 4: 0, 6: -0.05, 8: -0.1 };
  const base = 0.76 + 0.055 * Math.log10(Math.max(power, 500) / 750);
  return Math.min(0.91, Math.max(0.55, base + (byPoles[poles] ?? -0.12)));
}

const rpmColumn = (poles: number): string => `rpm${7200 / poles}`;

/** Least locked-rotor torque of Design B as a multiple of rated: MG 1 12.38.1, or 1.6 where the table is blank. */
export function minimumLockedRotorTorque(power: number, poles: number): number {
  const row = lockedRotorTorque.row(standardHorsepower(power) ?? -1);
  return (lockedRotorTorque.number(row, rpmColumn(poles)) ?? 160) / 100;
}

/** Least breakdown torque of Design B as a multiple of rated: MG 1 12.39.1, or 2.0 where the table is blank. */
export function minimumBreakdownTorque(power: number, poles: number): number {
  const row = breakdownTorque.row(standardHorsepower(power) ?? -1);
  return (breakdownTorque.number(row, rpmColumn(poles)) ?? 200) / 100;
}

/** Most locked-rotor current of Design B: MG 1 12.35.1 at 230 V, moved to `voltage`. Undefined off the table. */
export function maximumLockedRotorCurrent(power: number, voltage: number): number | undefined {
  const amperes = lockedRotorCurrent.number(lockedRotorCurrent.row(standardHorsepower(power) ?? -1), 'amperes');
  return amperes === undefined ? undefined : (amperes * 230) / voltage;
}

/**
 * A typical motor of a standard size: class efficiency from the tables, slip and power factor estimated,
 * torques at the Design B minimum, locked-rotor current at the Design B limit or 7.2 times rated. Remembered, since a
 * job asks for the same few again and again.
 */
export function typicalMotor(rating: Rating, className: EfficiencyClass, school: StandardsSystem): Motor | undefined {
  const { power, poles, frequency, voltage } = rating;
  return memoize(memory, REMEMBERED, `${power} ${poles} ${frequency} ${voltage} ${className} ${school}`, () =>
    typicalOf(rating, className, school),
  );
}

const REMEMBERED = 300;
const memory = new Map<string, Motor | undefined>();

function typicalOf(rating: Rating, className: EfficiencyClass, school: StandardsSystem): Motor | undefined {
  const { power, poles, frequency, voltage } = rating;
  const efficiency = classEfficiency(className, { power, poles, school })?.value;
  if (efficiency === undefined) return undefined;
  const powerFactor = estimatedPowerFactor(power, poles);
  const current = power / (Math.sqrt(3) * voltage * efficiency * powerFactor);
  const lockedRotorMost = (school === 'NEMA' ? maximumLockedRotorCurrent(power, voltage) : undefined) ?? 7.2 * current;
  return {
    label: `a typical ${poles}-pole motor of the size`,
    kind: 'typical',
    power,
    voltage,
    frequency,
    poles,
    speed: synchronousSpeed(frequency, poles) * (1 - estimatedSlip(efficiency)),
    current,
    efficiency,
    efficiencyMinimum: 1 - 1.2 * (1 - efficiency),
    powerFactor,
    serviceFactor: 1,
    lockedRotorCurrent: lockedRotorMost,
    lockedRotorCurrentLeast: 0.45 * lockedRotorMost,
    lockedRotorTorque: minimumLockedRotorTorque(power, poles),
    breakdownTorque: minimumBreakdownTorque(power, poles),
  };
}
