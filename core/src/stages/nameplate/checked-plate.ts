import type { StandardsSystem } from '../../kernel/quantity/units.ts';
import type { Value } from '../../kernel/value.ts';
import type { Plate } from '../../job/job.ts';
import type { StageContext, Notebook } from '../stage.ts';
import type { ConnectedRating } from './connected-rating.ts';
import type { Report } from './findings.ts';
import type { Frame } from './frame.ts';
import type { LockedRotorRange } from './locked-rotor-current.ts';
import type { Turning } from './poles.ts';

/** A plate with what its first reading came to. */
export interface CheckedPlate {
  readonly job: StageContext['job'];
  readonly power: Value | undefined;
  readonly require: Notebook<Report>['require'];
  readonly voltage: Value | undefined;
  readonly rating: ConnectedRating;
  readonly current: Value | undefined;
  readonly report: Report;
  readonly frequency: Value;
  readonly turning: Turning | undefined;
  readonly powerFactor: Value | undefined;
  readonly efficiency: Value | undefined;
  readonly school: StandardsSystem;
  readonly plate: Plate;
  readonly range: LockedRotorRange | undefined;
  readonly frame: Frame | undefined;
  readonly open: boolean;
}
