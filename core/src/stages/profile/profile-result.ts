import type { Motor } from '../../motor/typical.ts';
import type { LoadResult } from '../load/load-result.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import type { OptionBrief, StageResult } from '../stage.ts';
import type { ProfileValues } from './values.ts';

/** One step of the profile as drawn and tabled. Powers are electrical input, W. */
export interface ProfilePoint {
  /** Which row of the document it is. */
  readonly at: number;
  readonly flow: number;
  readonly hours: number;
  /** As controlled today, the mean over the hours; undefined where the control is not known. */
  readonly throttled: number | undefined;
  /** Highest input of those hours, for the demand charge. */
  readonly throttledPeak: number | undefined;
  readonly speedControlled: number;
  /** Shaft power, W, as controlled today while it runs and with speed control, and speed as a share of full speed. */
  readonly shaftThrottled: number | undefined;
  readonly shaftControlled: number;
  readonly speed: number;
}

export interface ProfileResult extends StageResult<ProfileValues> {
  readonly points: readonly ProfilePoint[];
  readonly flowVaries: boolean;
  /** Static head as a share of the head at full flow. */
  readonly staticShare: number;
}

/** What the profile is asked with. */
export interface ProfileOn {
  /** The picked motor, or the one that stands in until one is picked. */
  readonly motor: Motor | undefined;
  readonly brief: OptionBrief;
  readonly nameplate: NameplateResult;
  readonly load: LoadResult;
}
