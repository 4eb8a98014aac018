import type { Catalogue } from '../../catalogue/catalogue.ts';
import type { LoadResult } from '../load/load-result.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import type { PlaceResult } from '../environment/environment.ts';
import type { ProfileResult } from '../operating-profile/profile-result.ts';
import type { SituationResult } from '../task/task.ts';
import type { StageContext, OptionContext } from '../stage.ts';
import type { Method } from '../starting/starting-mode.ts';
import type { SupplyResult } from '../supply/supply.ts';
import { keepsMotor } from '../load/reference-motor.ts';
import { YEAR } from '../../kernel/constants.ts';

/** What the pick is asked with. */
export interface SelectionInput {
  readonly brief: OptionContext;
  readonly catalogue: Catalogue;
  readonly situation: SituationResult;
  readonly nameplate: NameplateResult;
  readonly load: LoadResult;
  readonly supply: SupplyResult;
  readonly place: PlaceResult;
  readonly profile: ProfileResult;
  /** How the motor will start. */
  readonly method: Method | undefined;
}

/** Whether the motor on the plate stays in this option: as it says itself, else as the situation says. */
export const optionKeepsMotor = ({ job }: Pick<OptionContext, 'job'>): boolean =>
  job.pick.motorFrom === 'auto' ? keepsMotor(job) : job.pick.motorFrom === 'kept' && job.situation.kind !== 'new';

/** Whether the starter or drive that is there stays in this option. */
export const keepsFeed = ({ job }: Pick<OptionContext, 'job'>): boolean =>
  job.pick.feedFrom === 'kept' && job.situation.kind !== 'new';

/** Years that are counted where none are typed. Common practice, no published source. */
const DEFAULT_YEARS = 10;
export const yearsCounted = ({ given }: Pick<StageContext, 'given'>): number =>
  given.money.years ? given.money.years.value / YEAR : DEFAULT_YEARS;

/** Where a figure was found. */
export const FROM_CATALOGUE = 'catalogue';
