import { error, isHttpError, isRedirect } from '@sveltejs/kit';
import postgres, { type Sql } from 'postgres';
import { log } from './log';

let pool: Sql | undefined;
let ends = false;

function connect(): Sql {
  const url = process.env['DATABASE_URL'];
  if (!url) throw new Error('DATABASE_URL is not set');
  if (!ends) {
    ends = true;
    // Without this the server never exits on SIGTERM.
    process.once('sveltekit:shutdown', () => void pool?.end({ timeout: 5 }));
  }
  return postgres(url, {
    max: 8,
    idle_timeout: 60,
    connect_timeout: 3,
    backoff: (tries) => Math.min(1, 0.1 * 2 ** tries),
    onnotice: () => undefined,
  });
}

/** A pool that lost its database is not trusted again: some of its connections never come back (3.4.9). */
function discard(lost: Sql): void {
  if (pool !== lost) return;
  pool = undefined;
  void lost.end({ timeout: 5 });
}

/** The connection or its server is gone or does not answer. */
const LOST = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  'CONNECT_TIMEOUT',
  'CONNECTION_CLOSED',
  'CONNECTION_ENDED',
  'CONNECTION_DESTROYED',
  '57014', // took longer than it may
  '57P01', // terminated by an administrator: the server is restarting
  '57P02',
  '57P03', // starting up
]);
const READ_ONLY = '25006';
/** s; longer than any query of ours takes on a busy machine. */
const LIMIT = 4.5;

const codeOf = (cause: unknown): string =>
  typeof cause === 'object' && cause !== null && 'code' in cause ? String(cause.code) : '';

/** What a failing query means to who asked. Undefined where it is a mistake of the program. */
export function meaningOf(code: string): readonly [number, string] | undefined {
  if (/^(?:22|23)/.test(code)) return [422, 'Some value here is more than can be stored. Check what was typed last.'];
  if (code === '53100') return [507, 'The disk of the database is full. What you typed is kept here and saved later.'];
  if (LOST.has(code) || code === READ_ONLY || code.startsWith('53') || code.startsWith('08'))
    return [503, 'The database is away. What you typed is kept here and saved when it is back.'];
  return undefined;
}

/** Fails with the code of a query that took too long, so that nobody waits for a database that is frozen. */
export function limited<T>(running: Promise<T>, seconds = LIMIT): Promise<T> {
  return new Promise((resolve, reject) => {
    const timer = setTimeout(() => {
      reject(Object.assign(new Error('the database did not answer in time'), { code: '57014' }));
    }, seconds * 1000);
    running.then(resolve, reject).finally(() => {
      clearTimeout(timer);
    });
  });
}

/** Runs a query or several. A database that is away answers 503, so that the screen keeps what was typed and tries again. */
export async function withDatabase<T>(run: (sql: Sql) => Promise<T>): Promise<T> {
  const used = (pool ??= connect());
  try {
    return await limited(run(used));
  } catch (cause) {
    if (isHttpError(cause) || isRedirect(cause)) throw cause;
    const code = codeOf(cause);
    if (LOST.has(code)) discard(used);
    const meaning = meaningOf(code);
    if (!meaning) throw cause;
    log.warn({ code, err: meaning[0] === 422 ? cause : undefined }, 'refused by the database');
    error(...meaning);
  }
}
