import type { LoadResult } from './load-result.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import type { Job } from '../../job/job.ts';
import type { Value } from '../../kernel/value.ts';
import { typicalMotor, type Motor } from '../../motor/typical.ts';

/** Whether the motor on the plate stays; otherwise a new one is bought. */
export const keepsMotor = (job: Job): boolean => ['drive', 'starter', 'energy'].includes(job.situation.kind);

/**
 * Size of the motor that will run, as far as it is known before one is picked: the plate’s where the motor stays, the
 * load’s standard size for a new machine, and the larger of the two for a replacement.
 */
export function sizeInForce(
  job: Job,
  { values: plate }: NameplateResult,
  standardPower: Value | undefined,
): Value | undefined {
  const known = job.situation.kind === 'new' ? undefined : plate.power;
  if (!known || !standardPower) return known ?? standardPower;
  return keepsMotor(job) || known.value >= standardPower.value ? known : standardPower;
}

/** A typical motor of a size for this job; undefined while frequency or voltage are not known. */
export const typicalFor = (
  job: Job,
  { values: plate }: NameplateResult,
  power: number,
  poles: number,
  voltage: number | undefined,
): Motor | undefined =>
  plate.frequency && voltage !== undefined
    ? typicalMotor(
        { power, poles, frequency: plate.frequency.value, voltage },
        job.school === 'NEMA' ? 'premium' : 'IE3',
        job.school,
      )
    : undefined;

/**
 * The motor that runs before one is picked: the plate’s own when the plate is whole, otherwise a typical motor of the
 * size in force with whatever its plate does say.
 */
export function motorInForce(
  job: Job,
  nameplate: NameplateResult,
  standardPower: Value | undefined,
  poles: Value | undefined,
  voltage: number | undefined,
): Motor | undefined {
  const { values: plate } = nameplate;
  if (job.situation.kind !== 'new' && nameplate.motor) return nameplate.motor;
  const size = sizeInForce(job, nameplate, standardPower);
  if (!size || !poles) return undefined;
  const typical = typicalFor(job, nameplate, size.value, poles.value, voltage);
  if (!typical || size !== plate.power) return typical;
  const { speed, efficiency, serviceFactor, lockedRotorCurrentMax: most, lockedRotorCurrentMin: least } = plate;
  return {
    ...typical,
    label: `a typical ${poles.value}-pole motor of the size, with what the plate says`,
    designLetter: job.nameplate.designLetter,
    speed: speed?.value ?? typical.speed,
    efficiency: efficiency?.value ?? typical.efficiency,
    serviceFactor: serviceFactor?.value ?? typical.serviceFactor,
    lockedRotorCurrent: most?.value ?? typical.lockedRotorCurrent,
    lockedRotorCurrentLeast: least?.value ?? typical.lockedRotorCurrentLeast,
  };
}

/** The motor that profile and starting run on before one is picked. */
export const referenceMotor = (
  job: Job,
  nameplate: NameplateResult,
  { values }: LoadResult,
  voltage: number | undefined,
): Motor | undefined => motorInForce(job, nameplate, values.standardPower, values.poles, voltage);
