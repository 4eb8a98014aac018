import type { Motor } from '../../motor/typical.ts';
import type { ProfileOn } from './profile-result.ts';

/** What runs today stands on today’s motor, where there is one. */
export const motorToday = (motor: Motor, { brief, nameplate }: Pick<ProfileOn, 'brief' | 'nameplate'>): Motor =>
  (brief.job.situation.kind === 'new' ? undefined : nameplate.motor) ?? motor;
