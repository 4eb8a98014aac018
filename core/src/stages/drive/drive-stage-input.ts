import type { Catalogue, DriveItem } from '../../catalogue/catalogue.ts';
import type { Value } from '../../kernel/value.ts';
import type { Motor } from '../../motor/typical.ts';
import type { LoadResult } from '../load/load-result.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import type { PickResult } from '../selection/selection.ts';
import type { PlaceResult } from '../environment/environment.ts';
import type { ProfileResult } from '../operating-profile/profile-result.ts';
import type { OptionContext } from '../stage.ts';
import type { StartingResult } from '../starting/starting.ts';
import type { SupplyResult } from '../supply/supply.ts';

/** What the drive is looked at with; in the order of the stages. */
export interface DriveStageContext {
  readonly brief: OptionContext;
  readonly catalogue: Catalogue;
  readonly nameplate: NameplateResult;
  readonly load: LoadResult;
  readonly supply: SupplyResult;
  readonly place: PlaceResult;
  readonly profile: ProfileResult;
  readonly starting: StartingResult;
  readonly pick: PickResult;
}

/** A motor on its drive. */
export interface DriveStageInput extends DriveStageContext {
  readonly motor: Motor;
  /** Undefined while none is picked, or where the present one is kept. */
  readonly item: DriveItem | undefined;
  /** System voltage, V, and frequency, Hz; speeds count on the motor’s own. */
  readonly voltage: Value;
  readonly frequency: number;
  /** Torque of the load over rated torque at full speed, where the load is known. */
  readonly share: number | undefined;
  /** Motors on this drive. */
  readonly motors: number;
}

/** Full load of the driven motor, N·m. */
export const ratedTorque = ({ motor }: Pick<DriveStageInput, 'motor'>): number => motor.power / motor.speed;

/** Whether speed is told by a signal with two ends. */
export const isAnalog = (reference: OptionContext['job']['drive']['reference']): boolean =>
  reference === '4–20 mA' || reference === '0–10 V';
