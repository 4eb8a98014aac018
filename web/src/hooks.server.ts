import type { Handle, HandleServerError, ServerInit } from '@sveltejs/kit';
import { randomUUID } from 'node:crypto';
import { guard, refusalOf } from '$lib/server/request-guard';
import { log } from '$lib/server/log';
import { rateLimit } from '$lib/server/rate-limit';
import { warmUp } from '$lib/server/work/warm-up';

/** Nobody waits for it: what comes meanwhile is served. */
export const init: ServerInit = () => void (process.env['PILGRIM_WORKER'] === undefined || warmUp());

export const handle: Handle = async ({ event, resolve }) => {
  const refusal = refusalOf(event) ?? (await rateLimit(event));
  if (refusal) return guard(event.request, refusal);
  const response = await resolve(event, {
    // The Latin face is on every page; others load when a character needs them.
    preload: ({ type, path }) =>
      type === 'js' || type === 'css' || (type === 'font' && path.includes('latin-wght-normal')),
  });
  return guard(event.request, response);
};

export const handleError: HandleServerError = ({ error, event, status }) => {
  if (status === 404) return { message: 'There is no such page.' };
  if (status < 500) return { message: error instanceof Error ? error.message : 'The request could not be read.' };
  const id = randomUUID().slice(0, 8);
  log.error({ id, err: error, path: event.url.pathname }, 'unexpected error');
  return { message: 'Something went wrong on the server. Nothing you typed is lost.', id };
};
