import { say } from '../../kernel/text.ts';
import { decodeDuty, isExplosionProtected } from './enclosure.ts';
import type { Decoding } from './decoding.ts';

export function checkExplosionProtection({ plate, job, flag }: Pick<Decoding, 'plate' | 'job' | 'flag'>): void {
  const said = [plate.enclosure, plate.model, plate.asRead].filter(Boolean).join(' ');
  if (job.situation.kind === 'new' || !isExplosionProtected(said)) return;
  flag(
    'nameplate.explosion-protected',
    'The motor on the plate is explosion-protected. Its replacement, starter or drive is a matter of certification.',
  );
}

export function readServiceFactor({ given, job, flag }: Pick<Decoding, 'given' | 'job' | 'flag'>): void {
  const factor = given.nameplate.serviceFactor;
  if (!factor || factor.value <= 1 || job.situation.kind !== 'drive') return;
  flag(
    'nameplate.service-factor',
    say`The service factor ${factor} is spent by the extra heat of a drive: the motor is held to 1.0 on it.`,
  );
}

export function readDuty({ plate, values, said, flag }: Pick<Decoding, 'plate' | 'values' | 'said' | 'flag'>): void {
  if (!plate.duty?.trim()) return;
  const duty = decodeDuty(plate.duty);
  if (duty) values.dutyMeaning = said(duty.meaning, 'IEC 60034-1 4.2, MG 1 10.36');
  if (duty?.continuous) return;
  flag(
    'nameplate.duty',
    `The plate’s duty is “${plate.duty.trim().slice(0, 30)}”${duty ? `: ${duty.meaning}` : ''}. Only S1 or CONT may be loaded continuously.`,
  );
}
