// A database that is there and does not serve: frozen, read-only, full, out of connections. Every answer in time and in
// words, nothing unsaved taken for saved, and all is well soon after.
import { readFileSync, readdirSync } from 'node:fs';
import { setTimeout as wait } from 'node:timers/promises';
import { reachDatabase } from '../lib/postgres.mjs';
import { DATABASE, OWNER, asSuperuser } from '../lib/tenant.mjs';
import { NAME, healthy, pidOf, someJob } from './app.mjs';
import { fullDisk } from './full-disk.mjs';

/** ms a frozen state lasts: longer than an answer may take. */
const FROZEN = 6000;

/** The server and what it started. */
function serverPids() {
  const postmaster = pidOf('database');
  const parentOf = (pid) => {
    try {
      return Number(readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ').at(-1).split(' ')[1]);
    } catch {
      return 0;
    }
  };
  return [postmaster, ...readdirSync('/proc').filter((pid) => /^\d+$/.test(pid) && parentOf(pid) === postmaster)];
}
const signal = (name) => {
  for (const pid of serverPids()) process.kill(Number(pid), name);
};

/**
 * What is done to the database, how it is undone, and what a read and a save may answer meanwhile. `save` saves the job as it
 * is and gives the status of the answer.
 */
function statesOf(superuser, disk) {
  const settings = (line) =>
    superuser(async (sql) => {
      await sql`set session characteristics as transaction read write`;
      await sql.unsafe(line);
      await sql`select pg_reload_conf()`;
      await wait(300);
    });
  return {
    frozen: {
      begin: () => signal('SIGSTOP'),
      end: () => signal('SIGCONT'),
      lasts: FROZEN,
      read: [503],
      save: [503],
    },
    'read-only': {
      begin: () => settings('alter system set default_transaction_read_only = on'),
      end: () => settings('alter system reset default_transaction_read_only'),
      read: [200],
      save: [503],
    },
    full: {
      begin: (save) => disk.begin(superuser, save),
      end: () => disk.end(superuser),
      read: [200],
      save: [507],
    },
    'out of connections': {
      begin: () =>
        superuser(async (sql) => {
          await sql.unsafe(`alter role ${OWNER} connection limit 0`);
          await sql`select pg_terminate_backend(pid) from pg_stat_activity where usename = ${OWNER}`;
        }),
      end: () => superuser((sql) => sql.unsafe(`alter role ${OWNER} connection limit -1`)),
      read: [503],
      save: [503],
    },
  };
}

export async function states({ origin, patience }, rounds) {
  const job = await someJob(origin);
  const access = await reachDatabase(NAME);
  const superuser = (use) => asSuperuser(access, DATABASE, use);
  const web = pidOf('web');
  const bad = [];
  let slowest = 0;
  let longest = 0;
  const timed = async (what, asked, allowed) => {
    const began = performance.now();
    const answer = await asked().catch((error) => ({ status: error.cause?.code ?? error.name }));
    await answer.text?.().catch(() => '');
    const took = performance.now() - began;
    slowest = Math.max(slowest, took);
    if (!allowed.includes(answer.status)) bad.push(`${what} answered ${answer.status}`);
    if (took > patience) bad.push(`${what} took ${took.toFixed(0)} ms`);
  };
  const disk = fullDisk();
  for (let round = 0; round < rounds; round++) {
    for (const [name, state] of Object.entries(statesOf(superuser, disk))) {
      let { revision, document } = await job.read();
      await state.begin(async () => {
        const answer = await job.save(revision, document);
        if (answer.ok) ({ revision } = await answer.json());
        else await answer.text();
        return answer.status;
      });
      const until = Date.now() + (state.lasts ?? 0);
      try {
        do {
          await Promise.all([
            timed(`${name}: a page`, () => fetch(`${origin}/jobs/${job.id}`), state.read),
            timed(`${name}: the API`, () => fetch(job.url), state.read),
            timed(`${name}: a save`, () => job.save(revision, { ...document, title: `${name} ${round}` }), state.save),
          ]);
        } while (Date.now() < until);
      } finally {
        await state.end();
      }
      const back = await healthy(origin);
      longest = Math.max(longest, back);
      if (back > patience) bad.push(`${name}: back after ${back} ms`);
      const after = await job.read();
      if (after.document.title !== document.title) bad.push(`${name}: a save that was refused is stored`);
      await timed(
        `after ${name}: a save`,
        () => job.save(after.revision, { ...document, title: `after ${name}` }),
        [200],
      );
    }
  }
  if (pidOf('web') !== web) bad.push('the web server died');
  return {
    figure: `frozen, read-only, ${disk.kind}, out of connections, ${rounds} times: slowest answer ${slowest.toFixed(0)} ms, back within ${longest} ms`,
    bad,
  };
}
