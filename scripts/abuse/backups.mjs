// Backup while people work, loss, restore: what was saved before is there again, photographs included.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { root } from '../lib/root.mjs';
import { NAME, someJob, startApp, stopApp } from './app.mjs';

// One red pixel, the smallest PNG there is.
const PIXEL = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mP8z8BQDwAEhQGAhKmMIQAAAABJRU5ErkJggg==',
  'base64',
);
const script = (name, file) =>
  spawnSync(process.execPath, [`${root}/scripts/${name}.mjs`, file], {
    encoding: 'utf8',
    env: { ...process.env, PILGRIM_DATABASE: NAME },
  });

async function photographed(origin) {
  const made = await fetch(`${origin}/api/motors`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ tag: 'to be lost' }),
  });
  const { id } = await made.json();
  await fetch(`${origin}/api/motors/${id}/photos`, {
    method: 'POST',
    headers: { 'content-type': 'image/png' },
    body: PIXEL,
  });
  const { photos } = await (await fetch(`${origin}/api/motors/${id}`)).json();
  return { url: `/api/motors/${id}/photos/${photos[0].id}`, motor: `/api/motors/${id}` };
}

export async function backups() {
  const folder = mkdtempSync(join(tmpdir(), 'pilgrim-'));
  const bad = [];
  const check = (holds, what) => void (holds || bad.push(what));
  try {
    const file = join(folder, 'all.dump');
    let app = await startApp();
    let origin = await app.up;
    if (!origin) return { figure: 'does not start', bad: [app.said()] };
    const job = await someJob(origin);
    const photo = await photographed(origin);
    const bytes = Buffer.from(await (await fetch(origin + photo.url)).arrayBuffer());
    const made = script('backup', file);
    check(made.status === 0 && /proved/.test(made.stdout), `the backup failed: ${made.stderr}`);
    check(script('restore', file).status !== 0, 'a restore went on while Pilgrim runs');
    await job.save(1, { title: 'written after the backup' });
    await fetch(origin + photo.motor, { method: 'DELETE' });
    await stopApp(app);
    const half = join(folder, 'half.dump');
    writeFileSync(half, 'PGDMP and nothing more');
    check(script('restore', half).status !== 0, 'half a file was restored');
    const restored = script('restore', file);
    check(restored.status === 0, `the restore failed: ${restored.stderr}`);
    app = await startApp();
    origin = await app.up;
    if (!origin) return { figure: 'does not start after the restore', bad: [app.said()] };
    const { document, revision } = await (await fetch(`${origin}/api/jobs/${job.id}`)).json();
    check(revision === 1 && document.title === 'to be treated badly', 'the job is not what it was at the backup');
    const again = await fetch(origin + photo.url);
    check(again.ok && bytes.equals(Buffer.from(await again.arrayBuffer())), 'the photograph is not what it was');
    await stopApp(app);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
  return { figure: `backup under way, restore, ${bad.length} wrong`, bad };
}
