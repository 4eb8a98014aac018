import type { StandardsSystem } from '../../kernel/quantity/units.ts';
import type { Value } from '../../kernel/value.ts';
import type { Plate } from '../../job/job.ts';
import type { StageContext } from '../stage.ts';
import type { ConnectedRating } from './connected-rating.ts';
import type { DecodedValues } from './decoding.ts';
import type { Report } from './findings.ts';
import type { LockedRotorRange } from './locked-rotor-current.ts';
import type { Turning } from './poles.ts';

/** What is known of the plate so far. */
export interface PlateKnown {
  readonly power: Value | undefined;
  readonly rating: ConnectedRating;
  readonly roughPoles: number | undefined;
  readonly school: StandardsSystem;
  readonly open: boolean;
  readonly voltage: Value | undefined;
  readonly current: Value | undefined;
  readonly given: StageContext['given'];
  readonly plate: Plate;
  readonly report: Report;
  readonly decoded: DecodedValues;
  readonly turning: Turning | undefined;
  readonly speed: Value | undefined;
  readonly efficiency: Value | undefined;
  readonly powerFactor: Value | undefined;
  readonly range: LockedRotorRange | undefined;
  readonly frequency: Value;
  readonly minimum: Value | undefined;
  readonly serviceFactor: Value | undefined;
}
