// Processes that must not outlive the script that started them. Each dies with its parent, whatever ends that
// (Linux: the parent-death signal), and is killed where it does not end in time when asked.
import { spawn } from 'node:child_process';
import { existsSync } from 'node:fs';
import { setTimeout as wait } from 'node:timers/promises';

/** s a child may take to end when asked, before it is killed. */
const PATIENCE = 8;
const SETPRIV = '/usr/bin/setpriv';
/** Does not begin where the script died between the fork and the request for its signal. */
const IF_PARENT_LIVES = '[ "$PPID" = "$0" ] || exit 1; exec "$@"';

/** Thrown where the person at the terminal, or the system, asked the script to end. */
export class Stopped extends Error {}

const children = new Set();
let stop;
/** Resolves when the script is asked to end. */
export const stopped = new Promise((resolve) => (stop = resolve));
let asked = false;
export const isStopped = () => asked;

/** Ends what runs, on Ctrl-C, TERM or HUP; at once where asked twice. Call before the first child is started. */
export function handleSignals() {
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) {
    process.on(signal, () => {
      if (asked) {
        for (const { child } of children) kill(-child.pid, 'SIGKILL');
        process.exit(130);
      }
      asked = true;
      // What was asked for and is not done yet; servers are ended in order by who started them.
      for (const { child, passing } of children) if (passing) kill(-child.pid, 'SIGTERM');
      stop();
    });
  }
}

export function kill(pid, signal) {
  try {
    process.kill(pid, signal);
  } catch (error) {
    if (error.code !== 'ESRCH') throw error;
  }
}

/**
 * Starts a child that gets `deathSignal` when this script dies. `user`, where given, is who it runs as. It is in a group
 * of its own, so that Ctrl-C reaches this script first, which then ends things in order.
 */
export function start(command, args, { deathSignal = 'SIGKILL', user, ...options } = {}) {
  const wrapped = existsSync(SETPRIV)
    ? [
        SETPRIV,
        ...(user ? [`--reuid=${user}`, `--regid=${user}`, '--init-groups'] : []),
        `--pdeathsig=${deathSignal.replace('SIG', '')}`,
        '--',
        ...['/bin/sh', '-c', IF_PARENT_LIVES, String(process.pid)],
        command,
      ]
    : [command];
  const [program, ...rest] = [...wrapped, ...args];
  const child = spawn(program, rest, { detached: true, ...options });
  const entry = { child, passing: false };
  children.add(entry);
  const exited = new Promise((resolve) => {
    child.once('error', (error) => resolve({ status: null, error }));
    child.once('exit', (status, signal) => resolve({ status, signal }));
  }).finally(() => children.delete(entry));
  return { child, exited, entry };
}

/** Asks a child to end and waits; kills it where it takes too long. */
export async function end({ child, exited }, signal = 'SIGTERM') {
  kill(child.pid, signal);
  const late = await Promise.race([exited.then(() => false), wait(PATIENCE * 1000, true, { ref: false })]);
  if (late) kill(child.pid, 'SIGKILL');
  await exited;
}

/** Runs a command to its end, with all it starts; its output as text. Throws Stopped where the script was asked to end meanwhile. */
export async function run(command, args, { input, user, ...options } = {}) {
  if (asked) throw new Stopped();
  const running = start(command, args, {
    user,
    stdio: [input === undefined ? 'ignore' : 'pipe', 'pipe', 'pipe'],
    ...options,
  });
  running.entry.passing = true;
  const { child } = running;
  let stdout = '';
  let stderr = '';
  child.stdout?.on('data', (part) => (stdout += part));
  child.stderr?.on('data', (part) => (stderr += part));
  if (input !== undefined) child.stdin.end(input);
  const closed = new Promise((resolve) => child.once('close', resolve));
  const { status, error } = await running.exited;
  if (!error) await closed;
  if (asked) throw new Stopped();
  return { status, error, stdout, stderr };
}
