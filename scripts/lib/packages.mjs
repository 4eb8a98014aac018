// Installs the npm packages when the lock file changed since the last install.
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { start } from './children.mjs';
import { Failure } from './failure.mjs';
import { patiently } from './patiently.mjs';
import { root } from './root.mjs';

const stamp = `${root}/node_modules/.pilgrim-lock`;

export async function ensurePackages() {
  const wanted = createHash('sha256')
    .update(readFileSync(`${root}/package-lock.json`))
    .digest('hex');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  const { status } = await patiently(
    'Installing npm packages',
    () => start('npm', ['ci', '--no-progress', '--loglevel=error'], { cwd: root, stdio: ['ignore', 2, 2] }).exited,
  );
  if (status !== 0) throw new Failure('npm ci failed; the lines above say why.');
  writeFileSync(stamp, wanted);
}
