import type { Catalogue, StarterPart } from '../../catalogue/catalogue.ts';
import { magneticSettings, motorBreakerRanges } from '../../kernel/tables/index.ts';
import type { Motor } from '../../motor/typical.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import type { OptionContext } from '../stage.ts';
import type { Comparison } from '../starting/comparison.ts';
import { startCurrent, type StartCurrent } from '../starting/inrush.ts';
import { faultAtBus, withstands } from '../supply/short-circuit.ts';
import type { SupplyResult } from '../supply/supply.ts';
import { magneticBand } from './magnetic-trip.ts';

/** A motor-protective breaker: overload relay and short-circuit device in one. */
export interface MotorBreaker {
  /** A from which and to which its dial goes. */
  readonly from: number;
  readonly to: number;
  /** As the catalogue has it; one of the usual ladder where it has none. */
  readonly part: StarterPart | undefined;
}

/** What it must carry, A, and what it must let pass. */
export interface Carried extends Pick<StartCurrent, 'standing' | 'inrush'> {
  readonly running: number;
}

/** Where it stands. */
interface Stands {
  readonly parts: readonly StarterPart[];
  /** Of the system, V. */
  readonly voltage: number;
  /** A that may flow at the bus; undefined where it is not known. */
  readonly fault: number | undefined;
}

const FIXED = Number(magneticSettings.row('motor protection circuit breaker, fixed trip')?.['typical']);

/** A that trip a motor breaker at once, by the top of its dial. */
export const fixedTrip = (top: number): ReturnType<typeof magneticBand> => magneticBand(top, FIXED);

/** Peak that trips a motor breaker at once, at its lower edge, and that of the inrush: which is less. */
export const holdsInrush = ({ standing, inrush }: Omit<Carried, 'running'>, top: number): boolean =>
  inrush * standing <= fixedTrip(top)[0];

const inside = (running: number, from: number, to: number): boolean =>
  from <= running * 1.0001 && to >= running * 0.9999;

/** One whose dial holds the motor: of the catalogue the least costly, one that breaks the fault first; undefined where none does. */
export function motorBreakerFor(carried: Carried, { parts, voltage, fault }: Stands): MotorBreaker | undefined {
  const [part] = parts
    .filter(
      (each) =>
        each.kind === 'motor breaker' &&
        each.voltageMax >= voltage &&
        inside(carried.running, each.currentMin, each.currentMax) &&
        holdsInrush(carried, each.currentMax),
    )
    .toSorted(
      (a, b) =>
        Number(!withstands(a.breakingCapacity, fault ?? 0)) - Number(!withstands(b.breakingCapacity, fault ?? 0)) ||
        a.price - b.price,
    );
  if (part) return { from: part.currentMin, to: part.currentMax, part };
  const row = motorBreakerRanges.rows.find((each) => inside(carried.running, Number(each['from']), Number(each['to'])));
  const to = Number(row?.['to']);
  return row && holdsInrush(carried, to) ? { from: Number(row['from']), to, part: undefined } : undefined;
}

/** What is asked for a breaker. */
export interface Guarded {
  readonly brief: OptionContext;
  readonly catalogue: Catalogue;
  readonly supply: SupplyResult;
  readonly nameplate: NameplateResult;
  readonly motor: Motor;
}

/** Classes of overload that motor breakers have not: they trip by class 10. Common practice, no published source. */
const SLOW: readonly string[] = ['20', '30', '40'];

export const isSlow = (own: Comparison | undefined): boolean => own !== undefined && SLOW.includes(own.relayClass);

/** Whether its dial can guard the motor: not of two speeds, nor the windings of star-delta, which the line does not tell of. */
const canGuard = ({ motor, nameplate: { speeds } }: Guarded, own: Comparison | undefined): boolean =>
  own?.method !== 'star-delta' && !(motor.kind === 'plate' && speeds?.both);

/**
 * What is device and overload of a start in one: as chosen, or wherever one that can be had holds the motor and its start;
 * undefined where fuses or a breaker and a relay are taken. `running` is by the nameplate, A.
 */
export function overloadBreaker(on: Guarded, own: Comparison | undefined, running: number): MotorBreaker | undefined {
  const { brief, catalogue, motor } = on;
  const { job, given } = brief;
  const { shortCircuit } = job.protection;
  const chosen = shortCircuit === 'motor breaker';
  if (job.school !== 'IEC' || !canGuard(on, own) || (shortCircuit !== 'auto' && !chosen)) return undefined;
  const breaker = motorBreakerFor({ running, ...startCurrent(motor, own) }, standsAt(on));
  if (chosen) return breaker;
  // One sold by a rating is no motor breaker: who types one means fuses.
  if (given.protection.rating || isSlow(own)) return undefined;
  return breaker?.part || catalogue.parts.length === 0 ? breaker : undefined;
}

/** Voltage and fault level of the place, and what can be had. */
export const standsAt = ({ catalogue, supply, motor }: Omit<Guarded, 'nameplate'>): Stands => ({
  parts: catalogue.parts,
  voltage: supply.values.voltage?.value ?? motor.voltage,
  fault: faultAtBus(supply)?.value,
});
