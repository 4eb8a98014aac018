import type { School } from '../../kernel/quantity/units.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import type { Brief } from '../stage.ts';
import type { Flag } from './findings.ts';
import type { Transmission } from './transmission.ts';
import type { LoadValues } from './values.ts';

/** A load carried back to the motor. */
export interface CheckedFrom {
  readonly brief: Brief;
  readonly nameplate: NameplateResult;
  readonly transmission: Transmission;
  readonly values: LoadValues;
  readonly flag: Flag;
}

/** The same with what its checks look at. */
export interface CheckedLoad extends Omit<CheckedFrom, 'brief'> {
  readonly job: Brief['job'];
  readonly given: Brief['given'];
  readonly practice: Brief['practice'];
  readonly school: School;
}
