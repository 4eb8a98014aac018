// The files of a private PostgreSQL: its programs, its data folder in the project, its passwords.
import { spawnSync } from 'node:child_process';
import { createHash, randomBytes } from 'node:crypto';
import {
  accessSync,
  constants,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { dirname } from 'node:path';
import { run as runChild } from './children.mjs';
import { Failure } from './failure.mjs';
import { root } from './root.mjs';

const isRoot = process.getuid?.() === 0;
/** Who PostgreSQL runs as. */
export const user = isRoot ? 'postgres' : undefined;
/** From / and with a clean environment: postgres may not pass the project’s parents. */
export const place = { cwd: '/', env: { PATH: process.env.PATH, LANG: 'C.UTF-8' } };

/** Runs a command as the user PostgreSQL runs as. */
export const run = (command, args, options = {}) => runChild(command, args, { user, ...place, ...options });

export function check(result, doing) {
  if (result.status === 0) return result.stdout;
  const why = (result.stderr || result.error?.message || '').trim().split('\n').at(-1);
  throw new Failure(`${doing} failed: ${why || `exit code ${result.status}`}.`);
}

function newestBinaries() {
  const base = '/usr/lib/postgresql';
  const versions = existsSync(base) ? readdirSync(base).filter((each) => existsSync(`${base}/${each}/bin/initdb`)) : [];
  const newest = versions.map(Number).sort((a, b) => b - a)[0];
  return newest === undefined ? undefined : `${base}/${newest}/bin`;
}

/** Debian's PostgreSQL; installed when root, otherwise the one command to run is said. */
export function binaries() {
  const found = newestBinaries();
  if (found) return found;
  if (!isRoot) throw new Failure('PostgreSQL is not installed. Run: sudo apt-get install -y postgresql');
  process.stderr.write('Installing PostgreSQL …\n');
  installDebian(['postgresql']);
  const installed = newestBinaries();
  if (!installed)
    throw new Failure('PostgreSQL was installed but its programs were not found under /usr/lib/postgresql.');
  return installed;
}

export function installDebian(packages) {
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const apt = (...args) => spawnSync('apt-get', args, { stdio: ['ignore', 'ignore', 'inherit'], env }).status;
  apt('update');
  if (apt('install', '-y', '--no-install-recommends', ...packages) !== 0) {
    throw new Failure(`apt-get could not install ${packages.join(' ')}; the lines above say why.`);
  }
}

/** Where the cluster lives: in the project, or under /var/lib/postgresql where postgres may not pass the project's parents. */
export async function clusterFolder(name) {
  const inside = `${root}/.data/${name}/cluster`;
  if (!isRoot || (await run('test', ['-x', dirname(dirname(dirname(inside)))])).status === 0) return inside;
  return `/var/lib/postgresql/pilgrim-${name}-${createHash('sha256').update(root).digest('hex').slice(0, 12)}`;
}

export function makeFolder(folder, mode) {
  try {
    mkdirSync(folder, { recursive: true, mode });
    accessSync(folder, constants.W_OK);
  } catch (error) {
    throw new Failure(
      `The folder ${folder} cannot be written (${error.code}). Make it writable or start Pilgrim elsewhere.`,
    );
  }
}

/** The password of the superuser, who makes the cluster, or of the owner of the tables, as whom the application connects. */
export function readPassword(name, whose = 'superuser') {
  const file = `${root}/.data/${name}/${whose === 'superuser' ? 'password' : 'owner-password'}`;
  if (!existsSync(file)) writeFileSync(file, randomBytes(24).toString('base64url'), { mode: 0o600 });
  return readFileSync(file, 'utf8');
}

const SETTINGS = "listen_addresses = '127.0.0.1'\nunix_socket_directories = ''\n";

/** Our settings are written last: without them a start was cut off while it made the cluster, and nothing is in it yet. */
function isWhole(cluster) {
  const file = `${cluster}/postgresql.conf`;
  return existsSync(file) && readFileSync(file, 'utf8').includes(SETTINGS);
}

export async function initialise(bin, cluster, password) {
  if (isWhole(cluster)) return;
  rmSync(cluster, { recursive: true, force: true });
  makeFolder(cluster, 0o700);
  if (isRoot) {
    spawnSync('chown', ['postgres:postgres', cluster]);
    if (cluster.startsWith(root)) spawnSync('chmod', ['755', dirname(cluster), dirname(dirname(cluster))]);
  }
  // initdb must be able to read the password: it goes through standard input into a file of its own.
  const script =
    'umask 077; f=$(mktemp); trap \'rm -f "$f"\' EXIT; cat > "$f"; "$0" -D "$1" -U pilgrim --auth=scram-sha-256 --encoding=UTF8 --locale=C.UTF-8 --data-checksums --pwfile="$f"';
  check(
    await run('sh', ['-c', script, `${bin}/initdb`, cluster], { input: password }),
    'Creating the database cluster',
  );
  check(
    await run('sh', ['-c', 'cat >> "$0"/postgresql.conf', cluster], { input: SETTINGS }),
    'Configuring the database',
  );
}
