// Installs the npm packages when the lock file changed since the last install.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { Failure } from './failure.mjs';
import { root } from './root.mjs';

const stamp = `${root}/node_modules/.pilgrim-lock`;

export function ensurePackages() {
  const wanted = createHash('sha256')
    .update(readFileSync(`${root}/package-lock.json`))
    .digest('hex');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  process.stderr.write('Installing npm packages …\n');
  const { status } = spawnSync('npm', ['ci', '--no-progress', '--loglevel=error'], {
    cwd: root,
    stdio: ['ignore', 2, 2],
  });
  if (status !== 0) throw new Failure('npm ci failed; the lines above say why.');
  writeFileSync(stamp, wanted);
}
