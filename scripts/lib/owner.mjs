// Who runs a private database: one script at a time, known by its process number and when it began.
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { setTimeout as wait } from 'node:timers/promises';
import { kill } from './children.mjs';
import { Failure } from './failure.mjs';
import { root } from './root.mjs';

const folderOf = (name) => `${root}/.data/${name}`;
const lockOf = (name) => `${folderOf(name)}/owner.json`;

/** When a process began, in clock ticks since the machine started; undefined where it is gone or ended. */
function beganAt(pid) {
  try {
    const fields = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ').at(-1).split(' ');
    return fields[0] === 'Z' ? undefined : fields[19];
  } catch {
    return undefined;
  }
}
const lives = ({ pid, began }) => began !== undefined && beganAt(pid) === began;

function read(file) {
  try {
    return JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    return undefined;
  }
}

/** Waits until a process that somebody else’s script left is gone; ends it where it does not go by itself. */
async function clear(left) {
  for (let tries = 0; lives(left); tries++) {
    if (tries === 20) kill(left.pid, 'SIGTERM');
    if (tries === 80) kill(left.pid, 'SIGKILL');
    if (tries > 200) throw new Failure(`Process ${left.pid} of an earlier start does not end. End it and start again.`);
    await wait(100);
  }
}

/** The record of the script that runs a private database now; undefined where none does. */
export function runningBy(name) {
  const record = read(lockOf(name));
  return record && lives(record) ? record : undefined;
}

/**
 * Takes a private database for this script. Refuses while another script runs it; what one that is gone left behind is
 * ended first. `note` remembers a process this script starts, `release` gives the database free.
 */
export async function own(name) {
  mkdirSync(folderOf(name), { recursive: true });
  const lock = lockOf(name);
  for (;;) {
    const before = read(lock);
    if (runningBy(name)) {
      const at = before.origin ? ` It is at ${before.origin}.` : '';
      throw new Failure(`Pilgrim runs already from this folder, as process ${before.pid}.${at}`);
    }
    for (const left of before?.children ?? []) await clear(left);
    rmSync(lock, { force: true });
    const record = { pid: process.pid, began: beganAt(process.pid), children: [] };
    const write = () => writeFileSync(lock, JSON.stringify(record));
    try {
      writeFileSync(lock, JSON.stringify(record), { flag: 'wx' });
    } catch (error) {
      if (error.code === 'EEXIST') continue;
      throw new Failure(`The folder ${folderOf(name)} cannot be written (${error.code}).`);
    }
    return {
      note(role, pid, more = {}) {
        record.children = [...record.children.filter(lives), { role, pid, began: beganAt(pid) }];
        Object.assign(record, more);
        write();
      },
      release: () => rmSync(lock, { force: true }),
    };
  }
}
