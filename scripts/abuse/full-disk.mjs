// A disk that is really full: a small file system in memory, given to the table that saves write to, and filled to the last
// byte. Where this machine lets nobody mount one, the error of a full disk is raised by a trigger instead, and that is said.
import { spawnSync } from 'node:child_process';
import { chmodSync, closeSync, mkdirSync, mkdtempSync, openSync, rmSync, writeSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { check, run, user } from '../lib/cluster.mjs';

const SIZE = '48m';
const TABLE = 'job_revisions';
const SPACE = 'small_disk';
/** Saves after which the last page of the table must be full. */
const MOST_SAVES = 500;

const ran = (command, ...args) => spawnSync(command, args, { stdio: 'ignore' }).status === 0;

/** Where a file system was mounted; undefined where that is not allowed. */
function mounted() {
  const folder = mkdtempSync(join(tmpdir(), 'pilgrim-disk-'));
  if (ran('mount', '-t', 'tmpfs', '-o', `size=${SIZE}`, 'none', folder)) return folder;
  rmSync(folder, { recursive: true });
  return undefined;
}

function givenBack(folder) {
  ran('umount', folder);
  rmSync(folder, { recursive: true, force: true });
}

/** Takes the last byte. */
function fill(file) {
  const full = openSync(file, 'w');
  for (let size = 1 << 20; size >= 1;) {
    try {
      writeSync(full, Buffer.alloc(size));
    } catch (error) {
      if (error.code !== 'ENOSPC') throw error;
      size >>= 1;
    }
  }
  closeSync(full);
}

const RAISED = {
  kind: 'a full disk raised by a trigger',
  begin: (superuser) =>
    superuser((sql) =>
      sql.unsafe(`
        create function no_room() returns trigger language plpgsql as $$
        begin raise exception 'could not extend file: No space left on device' using errcode = '53100'; end $$;
        create trigger no_room before insert on ${TABLE} execute function no_room()`),
    ),
  end: (superuser) => superuser((sql) => sql.unsafe('drop function no_room cascade')),
};

/** How a disk is filled and given back; `begin` saves a job until there is no room for it. */
export function fullDisk() {
  let folder = mounted();
  if (folder === undefined) return RAISED;
  givenBack(folder);
  return {
    kind: 'a full disk',
    begin: async (superuser, save) => {
      folder = mounted();
      const space = join(folder, 'space');
      chmodSync(folder, 0o755);
      mkdirSync(space);
      if (user) check(spawnSync('chown', [user, space]), 'Handing the small disk over');
      check(await run('test', ['-w', space]), 'Writing to the small disk');
      await superuser(async (sql) => {
        await sql.unsafe(`create tablespace ${SPACE} location '${space}'`);
        await sql.unsafe(`alter table ${TABLE} set tablespace ${SPACE}`);
      });
      fill(join(folder, 'filler'));
      for (let saves = 0; saves < MOST_SAVES && (await save()) === 200; saves++);
    },
    end: async (superuser) => {
      rmSync(join(folder, 'filler'), { force: true });
      await superuser(async (sql) => {
        await sql.unsafe(`alter table ${TABLE} set tablespace pg_default`);
        await sql.unsafe(`drop tablespace ${SPACE}`);
      });
      givenBack(folder);
    },
  };
}
