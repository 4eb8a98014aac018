import { KELVIN } from '../../kernel/constants.ts';
import type { StandardsSystem } from '../../kernel/quantity/units.ts';
import type { Value } from '../../kernel/value.ts';
import type { LoadResult } from '../load/load-result.ts';
import type { StageContext } from '../stage.ts';
import type { CabinetHeat } from './cabinet.ts';
import type { Report } from './findings.ts';

export type HousingCode = 'IP20' | 'IP55' | 'IP66';

/** Ambient that ratings hold for, K (IEC 60034-1 6, MG 1 14.2). */
export const RATED_AMBIENT = KELVIN + 40;
/** Motors are rated up to it, m. */
export const RATED_ALTITUDE = 1000;

/** What is known of the place so far. */
export interface PlaceKnown {
  readonly job: StageContext['job'];
  readonly given: StageContext['given'];
  readonly school: StandardsSystem;
  readonly practice: StageContext['practice'];
  readonly ambient: Value;
  readonly altitude: Value;
  readonly power: number;
  readonly size: Value | undefined;
  readonly at: StageContext['job']['place'];
  readonly load: LoadResult;
  readonly report: Report;
  readonly heat: CabinetHeat | undefined;
  readonly wet: boolean;
  readonly housing: HousingCode;
  readonly thinAir: boolean;
  readonly ratedAmbient: Value;
}
