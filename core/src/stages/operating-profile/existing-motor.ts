import type { Motor } from '../../motor/typical.ts';
import type { OptionContext } from '../stage.ts';
import { fedMotor, type Fed } from './input-power.ts';
import type { ProfileOn } from './profile-result.ts';

/** What runs today stands on today’s motor, where there is one. */
export const existingMotor = (motor: Motor, { brief, nameplate }: Pick<ProfileOn, 'brief' | 'nameplate'>): Motor =>
  (brief.job.situation.kind === 'new' ? undefined : nameplate.motor) ?? motor;

interface Beside {
  readonly brief: OptionContext;
  readonly nameplate: ProfileOn['nameplate'];
}

/**
 * A motor beside another, older one counts by its guaranteed minimum, any other by its nominal efficiency, so that the saving is
 * the smaller one; or as the job says.
 */
export function countsGuaranteed(motor: Motor, on: Beside): boolean {
  const { efficiencyBasis } = on.brief.job.profile;
  return efficiencyBasis === 'guaranteed' || (efficiencyBasis === 'cautious' && existingMotor(motor, on) !== motor);
}

/** The motor of an option with its losses. */
export const optionMotor = (motor: Motor, on: Beside): Fed => fedMotor(motor, on.brief, countsGuaranteed(motor, on));

/** Today’s with its losses. */
export const existingDrive = (motor: Motor, on: Beside): Fed =>
  fedMotor(existingMotor(motor, on), on.brief, on.brief.job.profile.efficiencyBasis === 'guaranteed');
