import type { JobView } from '../../job/job.ts';

/** Rise marked on the plate, K; undefined where none reads. */
export function markedRise({ nameplate: { rise } }: Pick<JobView, 'nameplate'>): number | undefined {
  const found = /(\d{2,3})/.exec(rise ?? '')?.[1];
  return found === undefined ? undefined : Number(found);
}

/** Service factor 1.15 or a marked rise of 40 K or less: the motors that NEC 430.32 gives 125 %. */
export const hasReserve = (job: Pick<JobView, 'nameplate' | 'situation'>, serviceFactor: number): boolean =>
  serviceFactor >= 1.15 || (job.situation.kind !== 'new' && (markedRise(job) ?? Infinity) <= 40);

/** 115 of 125 %: what a relay in motor amperes is set to for motors without that reserve. Common practice, no published source. */
const WITHOUT_RESERVE = 115 / 125;

/**
 * What an overload relay marked in motor amperes is set to, as a share of the nameplate current. The NEC percentage limits
 * where it trips and is no dial value; without service factor the dial goes down in its proportion. IEC: the current itself.
 */
export const dialShare = (job: Pick<JobView, 'school' | 'nameplate' | 'situation'>, serviceFactor: number): number =>
  job.school === 'IEC' || hasReserve(job, serviceFactor) ? 1 : WITHOUT_RESERVE;

/** In star-delta each winding, and the relay in it, carries this share of the line. */
export const IN_WINDING = 1 / Math.sqrt(3);
