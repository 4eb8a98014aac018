import type { Catalogue } from '../../catalogue/catalogue.ts';
import type { Comparison } from '../starting/comparison.ts';
import type { Value } from '../../kernel/value.ts';
import type { Motor } from '../../motor/typical.ts';
import type { LoadResult } from '../load/load-result.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import type { PickResult } from '../selection/selection.ts';
import type { OptionContext } from '../stage.ts';
import type { StartingResult } from '../starting/starting.ts';
import type { SupplyResult } from '../supply/supply.ts';

/** What protection is asked with; in the order of the stages. */
export interface ProtectionOn {
  readonly brief: OptionContext;
  readonly catalogue: Catalogue;
  readonly nameplate: NameplateResult;
  readonly load: LoadResult;
  readonly supply: SupplyResult;
  readonly starting: StartingResult;
  readonly pick: PickResult;
}

/** The motor that is protected. */
export interface Circuit extends ProtectionOn {
  readonly motor: Motor;
  /** By its nameplate, A of the line. */
  readonly nameplateCurrent: Value;
  readonly onDrive: boolean;
  /** Where the table has no current for the voltage the nameplate’s stands in, to compare by. */
  readonly compares?: true;
  /** Which motor a figure holds for. */
  readonly holds: string;
}

/** Power factor of a standing motor. Common practice, no published source. */
export const STANDING_POWER_FACTOR = 0.3;

/** A motor of which both speeds are used, by its plate. */
export const bothSpeeds = ({ motor, nameplate: { speeds } }: Circuit): NameplateResult['speeds'] =>
  motor.kind === 'plate' && speeds?.both ? speeds : undefined;

/** What wires and short-circuit device carry: of two speeds that which takes the most (NEC 430.22(B)). */
export function mostCurrent(circuit: Circuit): Value {
  const { nameplateCurrent } = circuit;
  const currents = bothSpeeds(circuit)?.currents.filter((each) => each !== undefined) ?? [];
  return currents.reduce((most, each) => (each.value > most.value ? each : most), nameplateCurrent);
}

/** The start of the circuit by its own way; undefined while that is not known. */
export const ownStart = ({ starting: { method, bench } }: Pick<Circuit, 'starting'>): Comparison | undefined =>
  method && bench?.comparison(method);
