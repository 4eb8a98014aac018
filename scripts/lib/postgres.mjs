// A private PostgreSQL on loopback, with a password, in a data folder of the project. It is a child of the script that
// started it: it ends with it, whatever ends that, and is started again where it dies before.
import { closeSync, existsSync, openSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { setTimeout as wait } from 'node:timers/promises';
import { Stopped, end, isStopped, kill, start } from './children.mjs';
import { binaries, clusterFolder, initialise, makeFolder, place, readPassword, run, user } from './cluster.mjs';
import { Failure } from './failure.mjs';
import { own, runningBy } from './owner.mjs';
import { root } from './root.mjs';
import { settle, urlOf } from './tenant.mjs';

export function freePort(wanted = 0) {
  return new Promise((resolve, reject) => {
    const server = createServer();
    server.once('error', reject);
    server.listen(wanted, '127.0.0.1', () => {
      const { port } = server.address();
      server.close(() => resolve(port));
    });
  });
}

const portFile = (name) => `${root}/.data/${name}/port`;
const lastPort = (name) => (existsSync(portFile(name)) ? Number(readFileSync(portFile(name), 'utf8')) : 0);

/** The port used last, so that a restarted database is found again, or any free one. */
async function choosePort(name) {
  const port = await freePort(lastPort(name)).catch(() => freePort());
  writeFileSync(portFile(name), String(port));
  return port;
}

/** s a server may take to be ready: it may have to mend what a crash left. */
const READY = 60;
/** ms before one that died is started again. */
const AGAIN = 300;

const accessTo = (name, port) => ({
  port,
  superuserPassword: readPassword(name),
  ownerPassword: readPassword(name, 'owner'),
});

/** The named server: the one that runs, or one started for this script. `stop` ends only what was started. */
export async function reachDatabase(name) {
  if (!runningBy(name)) return startDatabase(name);
  const access = accessTo(name, lastPort(name));
  return { ...access, url: urlOf(access), stop: async () => undefined };
}

/**
 * Starts the named private server and keeps it running until `stop`. Refuses while another script runs it. `fresh` makes
 * it anew.
 */
export async function startDatabase(name, { fresh = false } = {}) {
  const owner = await own(name);
  try {
    const bin = binaries();
    makeFolder(`${root}/.data/${name}`, 0o755);
    const cluster = await clusterFolder(name);
    await clearLeft(cluster);
    if (fresh) rmSync(cluster, { recursive: true, force: true });
    await initialise(bin, cluster, readPassword(name));
    const port = await choosePort(name);
    const held = heldFile(name);
    rmSync(held, { force: true });
    const server = await keepRunning({ bin, cluster, port, owner, held });
    const access = accessTo(name, port);
    await settle(access).catch(async (error) => {
      await server.stop();
      throw error;
    });
    const stop = async () => {
      await server.stop();
      owner.release();
    };
    return { ...access, url: urlOf(access), owner, stop };
  } catch (error) {
    owner.release();
    throw error;
  }
}

async function keepRunning({ bin, cluster, port, owner, held }) {
  const log = `${cluster}/server.log`;
  let stopping = false;
  let server;
  const begin = () => {
    const out = openSync(log, 'a');
    // Interrupted, it drops its connections and ends in order.
    server = start(`${bin}/postgres`, ['-D', cluster, '-p', String(port)], {
      deathSignal: 'SIGINT',
      user,
      ...place,
      stdio: ['ignore', out, out],
    });
    closeSync(out);
    owner.note('database', server.child.pid);
    void server.exited.then(async () => {
      do await wait(AGAIN);
      while (existsSync(held) && !stopping && !isStopped());
      if (!stopping && !isStopped()) begin();
    });
  };
  begin();
  const stop = async () => {
    stopping = true;
    await end(server, 'SIGINT');
  };
  try {
    await untilReady({ bin, port, log, exited: server.exited });
  } catch (error) {
    await stop();
    throw error;
  }
  return { stop };
}

/** Waits until a server answers; fails where it ends before, or takes too long. */
async function untilReady({ bin, port, log, exited }) {
  const ready = async () =>
    (await run(`${bin}/pg_isready`, ['-q', '-h', '127.0.0.1', '-p', String(port)])).status === 0;
  for (let tries = 0; !(await ready()); tries++) {
    const ended = await Promise.race([exited.then(() => true), wait(100, false)]);
    if (ended || tries > READY * 10) {
      const last = (await run('tail', ['-n', '1', log])).stdout?.trim();
      throw new Failure(`PostgreSQL did not start: ${last || `see ${log}`}.`);
    }
  }
}

const recordOf = (cluster) => `${cluster}/postmaster.pid`;

/** Process number in the server’s own record; undefined where there is none. */
function recordedPid(cluster) {
  const file = recordOf(cluster);
  return existsSync(file) ? Number(readFileSync(file, 'utf8').split('\n')[0]) || undefined : undefined;
}

/**
 * Ends a server of this cluster that an earlier start left behind. The record of one that ended is removed: PostgreSQL
 * refuses to start while any process of that number exists, be it another or one that nobody has asked for its end.
 */
async function clearLeft(cluster) {
  for (let tries = 0; ; tries++) {
    const pid = recordedPid(cluster);
    if (!pid || !commandOf(pid)?.includes(cluster)) {
      rmSync(recordOf(cluster), { force: true });
      return;
    }
    if (isStopped()) throw new Stopped();
    if (tries > 150) throw new Failure(`A database of an earlier start (process ${pid}) does not end.`);
    if (tries % 50 === 0) kill(pid, tries === 0 ? 'SIGINT' : 'SIGQUIT');
    await wait(100);
  }
}

function commandOf(pid) {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8');
  } catch {
    return undefined;
  }
}

/** While it stands there a server that ended is not started again. */
const heldFile = (name) => `${root}/.data/${name}/held`;

/** Takes the named server down, in order (SIGINT) or as a crash would (SIGKILL), and keeps it down until it is let up. */
export async function holdDatabase(name, signal = 'SIGINT') {
  writeFileSync(heldFile(name), '');
  const pid = recordedPid(await clusterFolder(name));
  if (pid) kill(pid, signal);
}

/** Whoever runs the named server starts it again. */
export const letUp = (name) => rmSync(heldFile(name), { force: true });
