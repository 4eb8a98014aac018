import { KELVIN } from '../../kernel/constants.ts';
import type { School } from '../../kernel/quantity/units.ts';
import type { Value } from '../../kernel/value.ts';
import type { LoadResult } from '../load/load-result.ts';
import type { Brief } from '../stage.ts';
import type { CabinetHeat } from './cabinet.ts';
import type { Flag } from './findings.ts';

export type HousingCode = 'IP20' | 'IP55' | 'IP66';

/** Ambient that ratings hold for, K (IEC 60034-1 6, MG 1 14.2). */
export const RATED_AMBIENT = KELVIN + 40;
/** Motors are rated up to it, m. */
export const RATED_ALTITUDE = 1000;

/** What is known of the place so far. */
export interface PlaceKnown {
  readonly job: Brief['job'];
  readonly given: Brief['given'];
  readonly school: School;
  readonly practice: Brief['practice'];
  readonly ambient: Value;
  readonly altitude: Value;
  readonly power: number;
  readonly size: Value | undefined;
  readonly at: Brief['job']['place'];
  readonly load: LoadResult;
  readonly flag: Flag;
  readonly heat: CabinetHeat | undefined;
  readonly wet: boolean;
  readonly housing: HousingCode;
  readonly thinAir: boolean;
  readonly ratedAmbient: Value;
}
