import { error, isHttpError, isRedirect } from '@sveltejs/kit';
import postgres, { type Sql } from 'postgres';
import { log } from './log';

let pool: Sql | undefined;

function connect(): Sql {
  const url = process.env['DATABASE_URL'];
  if (!url) throw new Error('DATABASE_URL is not set');
  const opened = postgres(url, { max: 8, idle_timeout: 60, connect_timeout: 5, onnotice: () => undefined });
  // Without this the server never exits on SIGTERM.
  process.once('sveltekit:shutdown', () => void opened.end({ timeout: 5 }));
  return opened;
}

const AWAY = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  'CONNECT_TIMEOUT',
  'CONNECTION_CLOSED',
  'CONNECTION_ENDED',
  'CONNECTION_DESTROYED',
  '57P01', // terminated by an administrator: the server is restarting
  '57P02',
  '57P03', // starting up
]);

const codeOf = (cause: unknown): string =>
  typeof cause === 'object' && cause !== null && 'code' in cause ? String(cause.code) : '';

/** Runs a query or several. A database that is away answers 503, so that the screen keeps what was typed and tries again. */
export async function withDatabase<T>(run: (sql: Sql) => Promise<T>): Promise<T> {
  pool ??= connect();
  try {
    return await run(pool);
  } catch (cause) {
    if (isHttpError(cause) || isRedirect(cause)) throw cause;
    if (!AWAY.has(codeOf(cause))) throw cause;
    log.warn({ code: codeOf(cause) }, 'database away');
    error(503, 'The database is away. What you typed is kept here and saved when it is back.');
  }
}
