// Builds the web application when its sources changed, prepares a database and serves.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { setTimeout as wait } from 'node:timers/promises';
import { Failure } from './failure.mjs';
import { root } from './root.mjs';

const sources = [
  'core/src',
  'db',
  'web/src',
  'web/static',
  'web/vite.config.ts',
  'web/svelte.config.js',
  'package-lock.json',
];

function* filesUnder(path) {
  if (!statSync(path).isDirectory()) yield path;
  else for (const entry of readdirSync(path).sort()) yield* filesUnder(`${path}/${entry}`);
}

function sourceStamp() {
  const hash = createHash('sha256');
  for (const source of sources) {
    for (const file of filesUnder(`${root}/${source}`)) hash.update(file.slice(root.length)).update(readFileSync(file));
  }
  return hash.digest('hex');
}

export function ensureBuild() {
  const stampFile = `${root}/web/build/.stamp`;
  const stamp = sourceStamp();
  if (existsSync(stampFile) && readFileSync(stampFile, 'utf8') === stamp) return;
  process.stderr.write('Building …\n');
  const { status, stdout, stderr } = spawnSync('npm', ['run', '-s', 'build', '-w', 'web'], {
    cwd: root,
    encoding: 'utf8',
  });
  if (status !== 0) throw new Failure(`The build failed:\n${stdout}\n${stderr}`);
  writeFileSync(stampFile, stamp);
}

/** Migrates, and with `demo` fills an empty database. Says what is wrong in one sentence. */
export function prepareDatabase(url, { demo }) {
  const args = ['--import', 'tsx', `${root}/db/prepare.ts`, ...(demo ? ['--demo'] : [])];
  const { status, stderr } = spawnSync(process.execPath, args, {
    cwd: root,
    env: { ...process.env, DATABASE_URL: url },
    encoding: 'utf8',
  });
  if (status !== 0)
    throw new Failure(stderr.replace(/^pilgrim: /m, '').trim() || 'The database could not be prepared.');
}

/** Serves on 127.0.0.1. Resolves once it answers; `stop` asks it to finish and waits. */
export async function serve({ port, databaseUrl, quiet = false }) {
  const origin = `http://127.0.0.1:${port}`;
  const child = spawn(process.execPath, [`${root}/web/build/index.js`], {
    cwd: root,
    stdio: ['ignore', quiet ? 'ignore' : 'inherit', 'inherit'],
    detached: true, // so that Ctrl-C reaches this script first, which then stops things in order
    env: {
      ...process.env,
      NODE_ENV: 'production',
      HOST: '127.0.0.1',
      PORT: String(port),
      ORIGIN: origin,
      DATABASE_URL: databaseUrl,
      SHUTDOWN_TIMEOUT: '5',
      BODY_SIZE_LIMIT: '8M', // photographs; JSON has its own, smaller limit in read-json.ts
      LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn',
    },
  });
  const exited = new Promise((resolve) => child.once('exit', resolve));
  let gone = false;
  void exited.then(() => (gone = true));
  for (let tries = 0; tries < 1200; tries++) {
    if (gone) throw new Failure('The web server stopped while starting; the lines above say why.');
    const answer = await fetch(`${origin}/healthz`).catch(() => undefined);
    if (answer?.ok) {
      const stop = async () => {
        if (!gone) process.kill(child.pid, 'SIGTERM');
        await exited;
      };
      return { origin, exited, stop };
    }
    await wait(50);
  }
  process.kill(child.pid, 'SIGTERM');
  throw new Failure('The web server did not answer within a minute.');
}
