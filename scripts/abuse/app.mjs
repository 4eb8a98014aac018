// The application as a person starts it, on a port and a database of its own, to be treated badly.
import { readFileSync, readdirSync } from 'node:fs';
import { setTimeout as wait } from 'node:timers/promises';
import { start } from '../lib/children.mjs';
import { freePort } from '../lib/postgres.mjs';
import { root } from '../lib/root.mjs';

export const NAME = 'abuse';

/** Starts by npm’s own script. `up` resolves with the origin once it serves, or undefined where it ended before. */
export async function startApp(port) {
  const wanted = port ?? (await freePort());
  const { child, exited: ended } = start(process.execPath, [`${root}/scripts/start.mjs`], {
    cwd: root,
    deathSignal: 'SIGTERM',
    stdio: ['ignore', 'pipe', 'pipe'],
    env: { ...process.env, PORT: String(wanted), PILGRIM_DATABASE: NAME, PILGRIM_RATE: '0' },
  });
  let said = '';
  child.stderr.on('data', (part) => (said += part));
  const exited = ended.then(({ status, signal }) => signal ?? status);
  const up = new Promise((resolve) => {
    child.stdout.on('data', (part) => {
      said += part;
      const origin = /Pilgrim is at (\S+)/.exec(said)?.[1];
      if (origin) resolve(origin);
    });
    void exited.then(() => resolve(undefined));
  });
  return { child, port: wanted, exited, up, said: () => said };
}

/** Ends what was started and waits. */
export async function stopApp({ child, exited }) {
  child.kill('SIGTERM');
  await exited;
}

const owner = () => JSON.parse(readFileSync(`${root}/.data/${NAME}/owner.json`, 'utf8'));
/** Process number of the database or the web server that runs now. */
export const pidOf = (role) => owner().children.findLast((each) => each.role === role)?.pid;

/** Web servers of this port and databases of this name that run, by their command. */
export function leftBehind(port) {
  return readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name))
    .filter((pid) => {
      const read = (file) => {
        try {
          return readFileSync(`/proc/${pid}/${file}`, 'utf8');
        } catch {
          return '';
        }
      };
      const command = read('cmdline');
      if (command.includes('web/server.js')) return read('environ').includes(`\0PORT=${port}\0`);
      return command.includes(`/${NAME}/cluster`) || command.includes(`pilgrim-${NAME}-`);
    });
}

/** Waits until the application answers that all is well; the time that took, ms. */
export async function healthy(origin, within = 30_000) {
  const began = Date.now();
  for (;;) {
    const answer = await fetch(`${origin}/healthz`, { signal: AbortSignal.timeout(2000) }).catch(() => undefined);
    if (answer?.ok) return Date.now() - began;
    if (Date.now() - began > within) return Number.POSITIVE_INFINITY;
    await wait(50);
  }
}

export const residentOf = (pid) =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;

/** A job to treat badly: its address in the API, and how to save it. */
export async function someJob(origin) {
  const headers = { 'content-type': 'application/json' };
  const made = await fetch(`${origin}/api/jobs`, {
    method: 'POST',
    headers,
    body: JSON.stringify({ title: 'to be treated badly' }),
  });
  const { id } = await made.json();
  const url = `${origin}/api/jobs/${id}`;
  return {
    id,
    url,
    read: async () => (await fetch(url)).json(),
    save: (base, document) => fetch(url, { method: 'PUT', headers, body: JSON.stringify({ base, document }) }),
  };
}
