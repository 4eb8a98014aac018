// Builds the web application when its sources changed, prepares a database and serves.
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { setTimeout as wait } from 'node:timers/promises';
import { end, run, start } from './children.mjs';
import { Failure } from './failure.mjs';
import { patiently } from './patiently.mjs';
import { freePort } from './postgres.mjs';
import { root } from './root.mjs';

const sources = [
  'scripts/lib/app.mjs',
  'core/src',
  'db',
  'web/src',
  'web/static',
  'web/vite.config.ts',
  'web/chunks.ts',
  'web/flowbite-treeshake.js',
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

export async function ensureBuild() {
  const stampFile = `${root}/web/build/.stamp`;
  const stamp = sourceStamp();
  if (existsSync(stampFile) && readFileSync(stampFile, 'utf8') === stamp) return;
  await patiently('Building', async () => {
    // Not by npm: it would leave the build running where this script is killed.
    const vite = [`${root}/node_modules/vite/bin/vite.js`, 'build'];
    const { status, stdout, stderr } = await run(process.execPath, vite, { cwd: `${root}/web` });
    if (status !== 0) throw new Failure(`The build failed:\n${stdout}\n${stderr}`);
  });
  await buildBeside();
  await unpackFonts();
  writeFileSync(stampFile, stamp);
}

/** What runs beside the thread that answers, and the simulated rig, each as one file. */
async function buildBeside() {
  const { build } = await import('esbuild');
  await build({
    entryPoints: {
      worker: `${root}/web/src/lib/server/work/worker.ts`,
      rig: `${root}/web/src/lib/server/test-rig/device.ts`,
    },
    outdir: `${root}/web/build`,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    packages: 'external',
    alias: { '@pilgrim/core': `${root}/core/src`, '@pilgrim/db': `${root}/db` },
    logLevel: 'error',
  });
}

/** The faces of the papers without their compression, which would be undone for every paper. */
async function unpackFonts() {
  const { convert } = await import('fontverter');
  const folder = `${root}/node_modules/@fontsource/atkinson-hyperlegible-next/files`;
  mkdirSync(`${root}/web/build/fonts`, { recursive: true });
  for (const face of ['400-normal', '700-normal', '400-italic', '700-italic']) {
    const packed = readFileSync(`${folder}/atkinson-hyperlegible-next-latin-${face}.woff`);
    writeFileSync(`${root}/web/build/fonts/${face}.ttf`, await convert(packed, 'sfnt'));
  }
}

/** Migrates, and with `demo` fills an empty database. Says what is wrong in one sentence. */
export async function prepareDatabase(url, { demo }) {
  const args = ['--import', 'tsx', `${root}/db/prepare.ts`, ...(demo ? ['--demo'] : [])];
  const { status, stderr } = await run(process.execPath, args, {
    cwd: root,
    env: { ...process.env, DATABASE_URL: url },
  });
  if (status !== 0)
    throw new Failure(stderr.replace(/^pilgrim: /m, '').trim() || 'The database could not be prepared.');
}

/** The simulated rig, on a port of its own. */
async function startRig(owner) {
  const port = await freePort();
  const rig = start(process.execPath, [`${root}/web/build/rig.js`, String(port)], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
    deathSignal: 'SIGTERM',
  });
  owner?.note('rig', rig.child.pid);
  return { port, stop: () => end(rig) };
}

/** Serves on 127.0.0.1, with a rig beside it. Resolves once it answers; `stop` asks it to finish and waits. A failure says whether it was `killed`. */
export async function serve({ port, databaseUrl, owner, quiet = false, rig = true }) {
  const origin = `http://127.0.0.1:${port}`;
  const beside = rig ? await startRig(owner) : undefined;
  const web = start(process.execPath, [`${root}/web/server.js`], {
    cwd: root,
    stdio: ['ignore', quiet ? 'ignore' : 'inherit', 'inherit'],
    deathSignal: 'SIGTERM',
    env: {
      ...process.env,
      NODE_ENV: 'production',
      HOST: '127.0.0.1',
      PORT: String(port),
      ORIGIN: origin,
      DATABASE_URL: databaseUrl,
      ...(beside ? { PILGRIM_RIG: String(beside.port) } : {}),
      BODY_SIZE_LIMIT: '8M', // photographs; JSON has its own, smaller limit in read-json.ts
      LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn',
    },
  });
  owner?.note('web', web.child.pid, { origin });
  const stop = async () => {
    await end(web);
    await beside?.stop();
  };
  let gone;
  void web.exited.then((how) => (gone = how));
  for (let tries = 0; tries < 1200; tries++) {
    if (gone) {
      await beside?.stop();
      const failure = new Failure('The web server stopped while starting; the lines above say why.');
      throw Object.assign(failure, { killed: Boolean(gone.signal) });
    }
    const answer = await fetch(`${origin}/healthz`).catch(() => undefined);
    if (answer?.ok) return { origin, exited: web.exited, pid: web.child.pid, stop };
    await wait(50);
  }
  await stop();
  throw new Failure('The web server did not answer within a minute.');
}
