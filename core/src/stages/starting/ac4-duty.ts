import type { Job } from '../../job/job.ts';

/** Whether contactors part the current of a standing motor, AC-4: it is jogged or plugged. */
export const isAC4Duty = ({ inching, plugging }: Pick<Job['starting'], 'inching' | 'plugging'>): boolean =>
  inching === 'yes' || plugging === 'yes';
