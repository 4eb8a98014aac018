import type { Catalogue } from '../../catalogue/catalogue.ts';
import type { DriveResult } from '../drive/drive.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import type { PickResult } from '../selection/selection.ts';
import type { ProfileResult } from '../operating-profile/profile-result.ts';
import type { OptionContext } from '../stage.ts';
import type { StartingResult } from '../starting/starting.ts';
import type { SupplyResult } from '../supply/supply.ts';

/** What money is asked with; in the order of the stages. */
export interface EconomicsInput {
  readonly brief: OptionContext;
  readonly catalogue: Catalogue;
  readonly nameplate: NameplateResult;
  readonly supply: SupplyResult;
  readonly profile: ProfileResult;
  readonly starting: StartingResult;
  readonly pick: PickResult;
  readonly drive: Pick<DriveResult, 'parts'>;
}
