import { error } from '@sveltejs/kit';
import { fileResponse, plainName, scheduleFormat } from './work/file-types';
import { beside } from './work/pool';
import type { ScheduleTask } from './work/schedule-file';

/** Schedules as a file to keep, named after whose they are. */
export async function schedules(
  asked: Omit<ScheduleTask, 'format'>,
  wanted: string,
  name: string,
  gone: AbortSignal,
): Promise<Response> {
  const format = scheduleFormat(wanted);
  if (!format) error(404, 'Schedules are kept as csv, xlsx or pdf.');
  const done = await beside({ kind: 'schedules', ...asked, format }, gone);
  if (done.kind !== 'file') throw new Error('the worker made no file');
  return fileResponse(done.bytes, `${plainName(name)}-schedules`, format);
}
