import type { LoadResult } from '../load/load.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import type { Job } from '../job.ts';
import { typicalMotor, type Motor } from './typical.ts';

/** Whether the motor on the plate stays; otherwise a new one is bought. */
export const keepsMotor = (job: Job): boolean => ['drive', 'starter', 'energy'].includes(job.situation.kind);

/**
 * The motor that profile and starting run on before one is picked: the plate’s own when there is a plate,
 * otherwise a typical motor of the standard size.
 */
export function referenceMotor(
  job: Job,
  nameplate: NameplateResult,
  load: LoadResult,
  voltage: number | undefined,
): Motor | undefined {
  if (job.situation.kind !== 'new' && nameplate.motor) return nameplate.motor;
  const { standardPower, poles } = load.values;
  const { frequency } = nameplate.values;
  if (!standardPower || !poles || !frequency || voltage === undefined) return undefined;
  return typicalMotor(
    { power: standardPower.value, poles: poles.value, frequency: frequency.value, voltage },
    job.school === 'NEMA' ? 'premium' : 'IE3',
    job.school,
  );
}
