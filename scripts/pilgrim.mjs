// The command line: node scripts/pilgrim.mjs solve job.json
import { spawnSync } from 'node:child_process';
import { ensurePackages } from './lib/packages.mjs';
import { root } from './lib/root.mjs';

await ensurePackages();
const { status } = spawnSync(
  process.execPath,
  ['--import', 'tsx', `${root}/cli/src/main.ts`, ...process.argv.slice(2)],
  {
    stdio: 'inherit',
  },
);
process.exitCode = status ?? 1;
