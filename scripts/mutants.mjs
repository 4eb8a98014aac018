// npm run mutants [folder]: changes the code of a folder of core in small ways, one at a time, and runs the tests. What
// lives shows where they are blind. A large folder by a seeded sample. Never part of npm test: it takes minutes a folder.
import { spawnSync } from 'node:child_process';
import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { Failure, main } from './lib/failure.mjs';
import { keyOf } from './lib/mutant-key.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { root } from './lib/root.mjs';

const SAMPLE = 130;
const SEED = 20_261_126;
const CORE = 'core/src';
const FOLDERS = [
  'kernel',
  'catalogue',
  'motor',
  'job',
  'present',
  'solve',
  ...readdirSync(`${root}/${CORE}/stages`, { withFileTypes: true })
    .filter((entry) => entry.isDirectory())
    .map(({ name }) => `stages/${name}`),
];
/** Words, and what is declared as words: their tests would only repeat them. */
const DECLARED = /(?:fields|values|findings|stage-list)\.ts$/;
const EXCLUDED = ['StringLiteral'];

function sources(folder) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return sources(path);
    return path.endsWith('.ts') && !DECLARED.test(path) ? [path] : [];
  });
}

/** The same shuffle every time. */
async function shuffled(items) {
  const { seeded } = await import('./lib/seeded.mjs');
  const random = seeded(SEED);
  const all = [...items];
  for (let at = all.length - 1; at > 0; at--) {
    const other = Math.floor(random() * (at + 1));
    [all[at], all[other]] = [all[other], all[at]];
  }
  return all;
}

async function mutantsOf(folder) {
  const { Instrumenter } = await import('@stryker-mutator/instrumenter');
  const silent = { debug() {}, info() {}, warn() {}, isDebugEnabled: () => false };
  const files = sources(`${root}/${folder}`).map((name) => ({
    name,
    mutate: true,
    content: readFileSync(name, 'utf8'),
  }));
  const options = { plugins: null, excludedMutations: EXCLUDED, ignorers: [] };
  const { mutants } = await new Instrumenter(silent).instrument(files, options);
  return mutants.filter(({ status }) => status === undefined);
}

const rangeOf = ({ fileName, location: { start, end } }) =>
  `${relative(root, fileName)}:${start.line + 1}:${start.column}-${end.line + 1}:${end.column}`;

async function run(name) {
  const folder = `${CORE}/${name}`;
  const all = await mutantsOf(folder);
  const chosen = all.length > SAMPLE * 1.25 ? (await shuffled(all)).slice(0, SAMPLE) : all;
  process.stdout.write(`── ${name}: ${all.length} mutants, ${chosen.length} tried\n`);
  const out = `${root}/test-results/mutants`;
  mkdirSync(out, { recursive: true });
  const report = `${out}/${name.replaceAll('/', '-')}.json`;
  const config = `${out}/stryker.json`;
  const settings = {
    packageManager: 'npm',
    testRunner: 'core',
    plugins: [`${root}/scripts/lib/core-test-runner.mjs`],
    mutate: chosen.map(rangeOf),
    mutator: { excludedMutations: EXCLUDED },
    reporters: ['json'],
    jsonReporter: { fileName: relative(root, report) },
    tempDirName: '.cache/mutants',
    coverageAnalysis: 'perTest',
    concurrency: Number(process.env.MUTANTS_AT_ONCE ?? 2),
    timeoutMS: 10_000,
    disableTypeChecks: false,
    ignorePatterns: ['web/build', 'web/.svelte-kit', '.data', 'docs', 'test-results', '.cache'],
    allowEmpty: true,
  };
  writeFileSync(config, JSON.stringify(settings));
  const keys = chosen.map((mutant) => keyOf(relative(root, mutant.fileName), mutant));
  writeFileSync(`${out}/chosen.json`, JSON.stringify(keys));
  const { status } = spawnSync('npx', ['stryker', 'run', config], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, MUTANTS_CHOSEN: `${out}/chosen.json` },
  });
  if (status !== 0) throw new Failure(`Mutation testing of ${name} did not finish.`);
  return summary(name, JSON.parse(readFileSync(report, 'utf8')), new Set(keys));
}

function summary(name, { files }, chosen) {
  const lived = [];
  let killed = 0;
  let timeouts = 0;
  for (const [file, { mutants, source }] of Object.entries(files)) {
    const lines = source.split('\n');
    for (const { status, mutatorName, replacement = '', location } of mutants) {
      // The report counts lines and columns from one.
      const { start, end } = location;
      const raw = {
        start: { line: start.line - 1, column: start.column - 1 },
        end: { line: end.line - 1, column: end.column - 1 },
      };
      if (!chosen.has(keyOf(file, { mutatorName, replacement, location: raw }))) continue;
      if (status === 'Killed') killed++;
      else if (status === 'Timeout') timeouts++;
      else if (status === 'Survived' || status === 'NoCoverage')
        lived.push(
          `${file}:${location.start.line} ${status} ${mutatorName}: ${lines[location.start.line - 1]?.trim().slice(0, 90)}  →  ${replacement.replaceAll(/\s+/g, ' ').slice(0, 60)}`,
        );
    }
  }
  const total = killed + lived.length;
  const share = total === 0 ? 100 : (100 * killed) / total;
  process.stdout.write(lived.map((line) => `     ${line}\n`).join(''));
  process.stdout.write(
    `${share >= 80 ? 'ok  ' : 'MISS'} ${name}: ${killed} of ${total} killed, ${share.toFixed(0)} %; ${timeouts} more ran out of time\n`,
  );
  return share;
}

await main(async () => {
  await ensurePackages();
  const [wanted] = process.argv.slice(2);
  const folders =
    wanted === undefined ? FOLDERS : FOLDERS.filter((name) => name === wanted || name === `stages/${wanted}`);
  if (folders.length === 0) throw new Failure(`There is no such folder; choose one of ${FOLDERS.join(', ')}.`);
  let worst = 100;
  for (const name of folders) worst = Math.min(worst, await run(name));
  if (worst < 80) throw new Failure('In some folder fewer than 80 % of the mutants were killed.');
});
