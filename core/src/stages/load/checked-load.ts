import type { StandardsSystem } from '../../kernel/quantity/units.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import type { StageContext } from '../stage.ts';
import type { Report } from './findings.ts';
import type { Transmission } from './transmission.ts';
import type { LoadValues } from './values.ts';

/** A load carried back to the motor. */
export interface CheckedFrom {
  readonly brief: StageContext;
  readonly nameplate: NameplateResult;
  readonly transmission: Transmission;
  readonly values: LoadValues;
  readonly report: Report;
}

/** The same with what its checks look at. */
export interface CheckedLoad extends Omit<CheckedFrom, 'brief'> {
  readonly job: StageContext['job'];
  readonly given: StageContext['given'];
  readonly practice: StageContext['practice'];
  readonly school: StandardsSystem;
}
