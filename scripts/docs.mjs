// npm run docs: writes the table of docs/values.md from what the stages declare.
import { spawnSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { Failure, main } from './lib/failure.mjs';
import { root } from './lib/root.mjs';

const file = `${root}/docs/values.md`;

await main(async () => {
  const { status, stdout, stderr } = spawnSync(process.execPath, ['--import', 'tsx', 'cli/src/main.ts', 'values'], {
    cwd: root,
    encoding: 'utf8',
  });
  if (status !== 0) throw new Failure(stderr);
  const rows = JSON.parse(stdout).map(({ id, label, unit, sheet }) => `| \`${id}\` | ${label} | ${unit} | ${sheet} |`);
  const table = ['| id | what it is | unit | on the sheet under |', '| --- | --- | --- | --- |', ...rows].join('\n');
  writeFileSync(file, readFileSync(file, 'utf8').replace(/(^\|.*\n)+/m, `${table}\n`));
  spawnSync('npx', ['prettier', '--write', '--log-level', 'warn', file], { cwd: root, stdio: 'inherit' });
});
