import type { StandardsSystem } from '../../kernel/quantity/units.ts';
import { PRACTICE, quantity, type Value } from '../../kernel/value.ts';
import type { Machine } from '../../motor/fit-motor.ts';
import { usualRotorInertia } from '../../motor/rotor-inertia.ts';
import type { Motor } from '../../motor/typical.ts';
import type { LoadResult } from '../load/load-result.ts';
import type { ProfileResult } from '../operating-profile/profile-result.ts';
import type { OptionContext } from '../stage.ts';
import type { SupplyResult } from '../supply/supply.ts';
import { usualDrive, type DriveLimits } from './starting-mode.ts';
import { minimumTorques, type Guaranteed } from './minimum-torque.ts';
import { stallTimeOf } from './stall-time.ts';

export interface StartingOn {
  /** The picked motor, or the reference motor where none is picked. */
  readonly motor: Motor | undefined;
  readonly brief: OptionContext;
  readonly load: LoadResult;
  readonly supply: SupplyResult;
  readonly profile: ProfileResult;
  /** What the picked drive gives; a usual one of its duty stands in before one is picked. */
  readonly drive?: DriveLimits | undefined;
  /** Only the way to start is asked, which the pick needs: dearer ways are not run up once one passes. */
  readonly extent?: 'all' | 'method only';
}

/** What every start of the motor has in common. */
export interface StartKnown extends Omit<StartingOn, 'drive' | 'extent'> {
  readonly motor: Motor;
  readonly machine: Machine;
  readonly school: StandardsSystem;
  readonly rotor: Value;
  readonly machineInertia: Value;
  readonly totalInertia: Value;
  readonly stall: Value;
  readonly guaranteed: Guaranteed;
  readonly drive: DriveLimits;
}

/** Masses, promised torques and what the motor bears standing. */
export function knownOf(on: StartingOn, motor: Motor, machine: Machine): StartKnown {
  const { brief, load } = on;
  const { job, given, practice } = brief;
  const { school } = job;
  const rotor =
    given.starting.rotorInertia ??
    quantity(usualRotorInertia(motor.power, motor.poles), 'inertia', {
      origin: 'estimated',
      source: PRACTICE,
      assumes: 'starting.rotorInertia',
      note: 'A usual rotor of the size, within about 40 %.',
    });
  const machineInertia =
    load.values.inertia ??
    quantity(rotor.value * practice.assumedInertia.value, 'inertia', {
      origin: 'estimated',
      assumes: 'load.inertia',
      formula: 'k\\,J_r',
      from: { k: practice.assumedInertia, J_r: rotor },
      source: PRACTICE,
    });
  const totalInertia = quantity(rotor.value + machineInertia.value, 'inertia', {
    origin: load.values.inertia && given.starting.rotorInertia ? 'derived' : 'estimated',
    formula: 'J = J_r + J_m',
    from: { J_r: rotor, J_m: machineInertia },
    source: 'kinetic energy, ½ J ω²',
  });
  return {
    ...on,
    motor,
    machine,
    school,
    rotor,
    machineInertia,
    totalInertia,
    stall: stallTimeOf(brief),
    guaranteed: minimumTorques(motor, given.starting, school),
    drive: on.drive ?? usualDrive(brief),
  };
}
