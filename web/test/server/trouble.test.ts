// What a failing database and a poisonous task mean to who asked. PostgreSQL’s error codes are those of its manual, Appendix A;
// the status codes those of RFC 9110 and RFC 4918 (507).
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { limited, meaningOf } from '../../src/lib/server/database.ts';
import { beside } from '../../src/lib/server/work/pool.ts';
import type { Task } from '../../src/lib/server/work/worker.ts';

describe('a query that fails', () => {
  it.each([
    ['22021', 422, 'a byte that is no text'],
    ['22003', 422, 'a number out of range'],
    ['23514', 422, 'a check that is violated'],
    ['53100', 507, 'the disk is full'],
    ['53300', 503, 'too many connections'],
    ['25006', 503, 'read-only'],
    ['57014', 503, 'took too long'],
    ['57P03', 503, 'starting up'],
    ['08006', 503, 'the connection failed'],
    ['ECONNREFUSED', 503, 'nobody listens'],
    ['CONNECTION_CLOSED', 503, 'cut off'],
  ])('%s is %d: %s', (code, status) => {
    expect(meaningOf(code)?.[0]).toBe(status);
    expect(meaningOf(code)?.[1]).toMatch(/kept here|Check what was typed/);
  });

  it.each(['42601', '42P01', '', 'TypeError'])('“%s” is a mistake of the program', (code) => {
    expect(meaningOf(code)).toBeUndefined();
  });

  it('is not waited for without end', async () => {
    const never = new Promise<string>(() => undefined);
    await expect(limited(never, 0.05)).rejects.toMatchObject({ code: '57014' });
    expect(await limited(Promise.resolve('here'), 0.05)).toBe('here');
    await expect(limited(Promise.reject(new Error('broken')), 0.05)).rejects.toThrow('broken');
  });
});

describe('a task beside the thread that answers', () => {
  const task = (size: string) => ({ kind: 'paper', sheet: {}, size, revision: 1 }) as unknown as Task;

  beforeAll(() => {
    process.env['PILGRIM_WORKER'] = new URL('../data/poisoned.mjs', import.meta.url).pathname;
  });
  afterAll(() => {
    delete process.env['PILGRIM_WORKER'];
    // Ends the threads.
    process.emit('sveltekit:shutdown' as 'exit', 0);
  });

  it('is done; one that never ends or takes all memory is refused in words and costs its worker only', async () => {
    expect(await beside(task('a4'))).toMatchObject({ kind: 'paper' });
    await expect(beside(task('hangs'), undefined, 500)).rejects.toMatchObject({ status: 422 });
    expect(await beside(task('a4'))).toMatchObject({ kind: 'paper' });
    await expect(beside(task('hogs'))).rejects.toMatchObject({ status: 422 });
    expect(await beside(task('a4'))).toMatchObject({ kind: 'paper' });
  });

  it('that throws is a mistake of the program, and is told as one', async () => {
    await expect(beside(task('throws'))).rejects.toThrow('a mistake of the program');
  });

  it('is refused for now where too many wait', async () => {
    const gone = new AbortController();
    const waiting = Array.from({ length: 130 }, () =>
      beside(task('hangs'), gone.signal).catch((error: unknown) => error),
    );
    // One makes papers and a hundred wait.
    const refused = await Promise.race(waiting);
    expect(refused).toMatchObject({ status: 503 });
    gone.abort();
    // Those whose client has gone are dropped, the running ones with their workers.
    expect((await Promise.all(waiting)).filter((each) => (each as { status?: number }).status === 408)).toHaveLength(
      101,
    );
    expect(await beside(task('a4'))).toMatchObject({ kind: 'paper' });
  });
});
