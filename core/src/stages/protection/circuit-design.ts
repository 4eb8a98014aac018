import type { Complex } from '../../kernel/complex.ts';
import type { Value } from '../../kernel/value.ts';
import type { ConductorRun } from './conductor-run.ts';
import type { Device } from './iec/device.ts';
import type { ProtectionValues } from './values.ts';

/** A short-circuit device over time and current. */
export interface DrawnDevice extends Pick<Device, 'name' | 'carries' | 'operatingCurrent'> {
  /** A, and the sizes it may have instead, where it is sold by its rating. */
  readonly rated: { readonly rating: number; readonly sizes: readonly number[] } | undefined;
}

/** A circuit by the rules of one school. */
export interface CircuitDesign {
  readonly values: Partial<ProtectionValues>;
  /** What clears a short circuit, to be drawn; undefined where there is none, or a fuse of which no gates are known. */
  readonly device: DrawnDevice | undefined;
  /** A²s that the wire bears within a few seconds; undefined where none is sized. */
  readonly conductorI2t: number | undefined;
  /** Its wires with what asks for their sizes. */
  readonly runs: readonly ConductorRun[];
  /** Ω of one wire from the bus to the motor, or to its drive; undefined where no length is known. */
  readonly impedance: Complex | undefined;
  /** A; its rating, for what stands before it. */
  readonly rating: Value | undefined;
  /** Whether its own dial is the overload of the motor. */
  readonly isOverload: boolean;
}
