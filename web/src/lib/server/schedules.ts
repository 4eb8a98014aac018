import { error } from '@sveltejs/kit';
import { beside } from './work/pool';
import type { ScheduleTask } from './work/schedule-file';
import { scheduleFormats, type ScheduleFormat } from './work/schedule-formats';

const isFormat = (asked: string): asked is ScheduleFormat => Object.hasOwn(scheduleFormats, asked);
const LONGEST = 40;

/** Schedules as a file to keep, named after whose they are. */
export async function schedules(
  asked: Omit<ScheduleTask, 'format'>,
  format: string,
  name: string,
  gone: AbortSignal,
): Promise<Response> {
  if (!isFormat(format)) error(404, 'Schedules are kept as csv, xlsx or pdf.');
  const done = await beside({ kind: 'schedules', ...asked, format }, gone);
  if (done.kind !== 'file') throw new Error('the worker made no file');
  const plain = name.replaceAll(/[^\w-]+/g, '-').slice(0, LONGEST);
  return new Response(done.bytes, {
    headers: {
      'content-type': scheduleFormats[format],
      'content-disposition': `${format === 'pdf' ? 'inline' : 'attachment'}; filename="${plain}-schedules.${format}"`,
    },
  });
}
