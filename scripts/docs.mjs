// npm run docs: writes the tables of docs/values.md and docs/terms.md from what the stages declare.
import { spawnSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { Failure, main } from './lib/failure.mjs';
import { root } from './lib/root.mjs';

function listed(command) {
  const { status, stdout, stderr } = spawnSync(process.execPath, ['--import', 'tsx', 'cli/src/main.ts', command], {
    cwd: root,
    encoding: 'utf8',
  });
  if (status !== 0) throw new Failure(stderr);
  return JSON.parse(stdout);
}

function write(name, heads, rows) {
  const file = `${root}/docs/${name}.md`;
  const table = [heads, heads.map(() => '---'), ...rows].map((cells) => `| ${cells.join(' | ')} |`).join('\n');
  writeFileSync(file, readFileSync(file, 'utf8').replace(/(^\|.*\n)+/m, `${table}\n`));
  spawnSync('npx', ['prettier', '--write', '--log-level', 'warn', file], { cwd: root, stdio: 'inherit' });
}

await main(async () => {
  write(
    'values',
    ['id', 'what it is', 'unit', 'on the sheet under'],
    listed('values').map(({ id, label, unit, sheet }) => [`\`${id}\``, label, unit, sheet]),
  );
  write(
    'terms',
    ['id', 'NEMA and NEC', 'symbol', 'IEC', 'symbol', 'definition', 'clause, from memory'],
    listed('terms').map(({ id, kind, nema, nemaSymbol, iec, iecSymbol, definition, clause }) => [
      kind === 'field' ? `\`${id}\` (field)` : `\`${id}\``,
      nema,
      nemaSymbol,
      iec,
      iecSymbol,
      definition,
      clause,
    ]),
  );
});
