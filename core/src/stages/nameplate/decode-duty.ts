import { say } from '../../kernel/text.ts';
import { decodeDuty, isExplosionProtected } from './enclosure.ts';
import type { Decoding } from './decoding.ts';

export function checkExplosionProtection({ plate, job, report }: Pick<Decoding, 'plate' | 'job' | 'report'>): void {
  const said = [plate.enclosure, plate.model, plate.asRead].filter(Boolean).join(' ');
  if (job.situation.kind === 'new' || !isExplosionProtected(said)) return;
  report(
    'nameplate.explosion-protected',
    'The motor on the plate is explosion-protected. Its replacement, starter or drive is a matter of certification.',
  );
}

export function readServiceFactor({ given, job, report }: Pick<Decoding, 'given' | 'job' | 'report'>): void {
  const factor = given.nameplate.serviceFactor;
  if (!factor || factor.value <= 1 || job.situation.kind !== 'drive') return;
  report(
    'nameplate.service-factor',
    say`The service factor ${factor} is spent by the extra heat of a drive: the motor is held to 1.0 on it.`,
  );
}

export function readDuty({
  plate,
  values,
  said,
  report,
}: Pick<Decoding, 'plate' | 'values' | 'said' | 'report'>): void {
  if (!plate.duty?.trim()) return;
  const duty = decodeDuty(plate.duty);
  if (duty) values.dutyMeaning = said(duty.meaning, 'IEC 60034-1 4.2, MG 1 10.36');
  if (duty?.continuous) return;
  report(
    'nameplate.duty',
    `The plate’s duty is “${plate.duty.trim().slice(0, 30)}”${duty ? `: ${duty.meaning}` : ''}. Only S1 or CONT may be loaded continuously.`,
  );
}
