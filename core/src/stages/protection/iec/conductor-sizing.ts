import { magnitude } from '../../../kernel/complex.ts';
import type { Value } from '../../../kernel/value.ts';
import { STANDING_POWER_FACTOR, type Circuit } from '../protection-input.ts';
import { ampacityHere, carriedBySize, laidBy, sizes, surroundingsOf } from './cable.ts';
import type { Place } from '../conductor-run.ts';
import type { Run as Where } from '../installation-conditions.ts';
import type { Device } from './device.ts';
import { dropOf, type Run } from './voltage-drop.ts';
import {
  disconnectionTime,
  FAULT_VOLTAGE,
  kFactor,
  adiabaticMinimumSize,
  earthFaultLoopImpedance,
  protectiveSize,
} from './protective-earthing.ts';

/** Of the voltage a run may lose while the motor runs and while it starts. Common practice; the first as IEC 60364-5-52 Annex G notes it. */
export const RUNNING_MOST = 0.05;
export const STARTING_MOST = 0.15;
/** What is asked of a run of cable. */
export interface Demand {
  readonly run: Where;
  readonly needed: Value;
  readonly powerFactor: number;
  readonly length: Value | undefined;
  /** A of the start in this run. */
  readonly starting: number | undefined;
  readonly device: Device | undefined;
  /** mm² of the protective conductor at least. */
  readonly leastProtective?: number;
}

/** The least size for one of the things that are asked; undefined where none of the table does. */
export interface Limit {
  readonly name: string;
  /** Where along the run it bites. */
  readonly at: Place;
  readonly size: number | undefined;
}

export interface SizedRun {
  readonly needed: Value;
  readonly length: Value | undefined;
  readonly metal: 'cu' | 'al';
  readonly limits: readonly Limit[];
  /** The largest of them, mm², and what asks for it; undefined where one cannot be met. */
  readonly size: number | undefined;
  readonly decides: string;
  readonly ampacity: Value | undefined;
  readonly protective: number | undefined;
  /** Shares of the voltage to earth lost with that size. */
  readonly running: number | undefined;
  readonly starting: number | undefined;
  /** Ω of the fault loop and at most, A that open the device, within s. */
  readonly loop:
    | { readonly loop: number; readonly most: number; readonly operatingCurrent: number; readonly time: number }
    | undefined;
}

/** The smallest size of the table that does all that is asked of a run; undefined where the insulation does not bear the place. */
export function sizeRun(circuit: Circuit, demand: Demand): SizedRun | undefined {
  const { brief, supply, motor } = circuit;
  const laid = laidBy(brief, demand.run);
  const around = surroundingsOf(brief, laid, demand.run);
  if (!around) return undefined;
  const { needed, length, device } = demand;
  const carried = carriedBySize(laid, around);
  const toEarth = (supply.values.voltage?.value ?? motor.voltage) / Math.sqrt(3);
  const runOf = (size: number): Run => ({ length: length?.value ?? 0, size, metal: laid.metal });
  const least = (does: (size: number) => boolean): number | undefined => sizes.find(does);
  const dropWith = (size: number, current: number, powerFactor: number): number =>
    dropOf(runOf(size), current, powerFactor, toEarth);
  const protectiveOf = (size: number): number | undefined => {
    const beside = protectiveSize(size);
    return beside === undefined ? undefined : Math.max(beside, demand.leastProtective ?? 0);
  };
  const loopWith = loopCheck(circuit, device, toEarth, (size) => ({
    run: runOf(size),
    protective: protectiveOf(size),
  }));
  const limits: Limit[] = [
    {
      name: 'its current',
      at: 'way',
      size: least((size) => (carried.get(size) ?? 0) >= needed.value - 1e-9),
    },
  ];
  if (length) {
    limits.push({
      name: 'the drop while it runs',
      at: 'end',
      size: least((size) => dropWith(size, needed.value, demand.powerFactor) <= RUNNING_MOST),
    });
    const { starting } = demand;
    if (starting !== undefined)
      limits.push({
        name: 'the drop while it starts',
        at: 'end',
        size: least((size) => dropWith(size, starting, STANDING_POWER_FACTOR) <= STARTING_MOST),
      });
    if (loopWith)
      limits.push({ name: 'a fault to earth being cleared', at: 'end', size: least((size) => meets(loopWith(size))) });
  }
  const heat = device && heatCheck(circuit, device, toEarth, length ? loopWith : undefined);
  if (heat) limits.push({ name: 'the heat of a short circuit', at: 'start', size: least(heat) });
  const decided = limits.some(({ size }) => size === undefined)
    ? undefined
    : limits.reduce((most, each) => ((each.size ?? 0) > (most.size ?? 0) ? each : most));
  const size = decided?.size;
  return {
    needed,
    length,
    metal: laid.metal,
    limits,
    size,
    decides: decided?.name ?? '',
    ampacity: size === undefined ? undefined : ampacityHere(size, laid, around),
    protective: size === undefined ? undefined : protectiveOf(size),
    running: size === undefined || !length ? undefined : dropWith(size, needed.value, demand.powerFactor),
    starting:
      size === undefined || !length || demand.starting === undefined
        ? undefined
        : dropWith(size, demand.starting, STANDING_POWER_FACTOR),
    loop: size === undefined || !length ? undefined : loopWith?.(size),
  };
}

const meets = (found: SizedRun['loop']): boolean => found !== undefined && found.loop <= found.most;

/** The loop of a size against what its device asks for; undefined where no device clears it in a TN system. */
function loopCheck(
  { brief, supply }: Circuit,
  device: Device | undefined,
  toEarth: number,
  of: (size: number) => { readonly run: Run; readonly protective: number | undefined },
): ((size: number) => SizedRun['loop']) | undefined {
  if (!device || brief.job.protection.earthSystem !== 'TN') return undefined;
  const time = disconnectionTime(device.rating, toEarth);
  const operatingCurrent = device.opensAt(time);
  // What flows until a device opens: of a generator less than in the first instant.
  const source = supply.source?.internal;
  const share = source ? FAULT_VOLTAGE.known : FAULT_VOLTAGE.unknown;
  return (size) => {
    const { run, protective } = of(size);
    if (protective === undefined) return undefined;
    return {
      loop: earthFaultLoopImpedance(run, protective, source),
      most: (share * toEarth) / operatingCurrent,
      operatingCurrent,
      time,
    };
  };
}

/**
 * Whether a size bears what the device lets through: of a short circuit at the bus, and of a fault to earth at the far end, which lasts
 * longer. Undefined where neither is known or only the maker of the device says it.
 */
function heatCheck(
  { brief, supply }: Circuit,
  device: Device,
  toEarth: number,
  loopWith: ((size: number) => SizedRun['loop']) | undefined,
): ((size: number) => boolean) | undefined {
  const { insulation, metal } = laidBy(brief);
  const { source } = supply;
  const { letThrough } = device;
  if (!letThrough || (!source && !loopWith)) return undefined;
  const factor = kFactor(insulation, metal);
  const near = source ? letThrough(toEarth / magnitude(source.firstInternal ?? source.internal)) : 0;
  return (size) => {
    const loop = loopWith?.(size)?.loop;
    const far = loop === undefined ? 0 : letThrough((FAULT_VOLTAGE.known * toEarth) / loop);
    return size >= adiabaticMinimumSize(Math.max(near, far), factor) * 0.999_99;
  };
}
