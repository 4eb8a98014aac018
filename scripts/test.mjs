// npm test: everything from nothing, on its own database and port. The demo's data is never touched.
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { ensureBuild, prepareDatabase, serve } from './lib/app.mjs';
import { ensureChromium } from './lib/browser.mjs';
import { start } from './lib/children.mjs';
import { main } from './lib/failure.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { freePort, startDatabase } from './lib/postgres.mjs';
import { root } from './lib/root.mjs';

const results = `${root}/test-results`;
const tally = { passed: 0, failed: 0 };

/** Without blocking: this script keeps the database running meanwhile. */
async function run(title, command, args, env = {}) {
  process.stdout.write(`\n── ${title}\n`);
  const started = Date.now();
  const { status } = await start(command, args, {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, ...env },
  }).exited;
  process.stdout.write(
    `── ${title}: ${status === 0 ? 'ok' : 'FAILED'} in ${((Date.now() - started) / 1000).toFixed(0)} s\n`,
  );
  return status === 0;
}

/** A step without tests of its own counts as one. */
const step = async (title, command, args) => void tally[(await run(title, command, args)) ? 'passed' : 'failed']++;
const npm = (title, script) => step(title, 'npm', ['run', '-s', script]);

/** Adds a runner's own counts; a runner that left none failed as a whole. */
function count(file, ok, read) {
  const { passed, failed } = existsSync(file) ? read(JSON.parse(readFileSync(file, 'utf8'))) : { passed: 0, failed: 0 };
  tally.passed += passed;
  tally.failed += failed + (!ok && failed === 0 ? 1 : 0);
}

async function browserTests(browser) {
  const database = await startDatabase('test', { fresh: true });
  try {
    await prepareDatabase(database.url, { demo: true });
    const app = await serve({ port: await freePort(), databaseUrl: database.url, quiet: true });
    try {
      const file = `${results}/browser.json`;
      const env = { PILGRIM_URL: app.origin, PILGRIM_ROOT: root, PILGRIM_BROWSER: browser };
      const ok = await run('browser tests', 'npx', ['playwright', 'test', '-c', 'web/test/playwright.config.ts'], env);
      count(file, ok, ({ stats }) => ({ passed: stats.expected, failed: stats.unexpected + stats.flaky }));
    } finally {
      await app.stop();
    }
  } finally {
    await database.stop();
  }
}

await main(async () => {
  rmSync(results, { recursive: true, force: true });
  mkdirSync(results, { recursive: true });
  await ensurePackages();
  const browser = ensureChromium();
  await run('types of the routes', 'npm', ['run', '-s', 'sync', '-w', 'web']);
  // On two processors; lint takes as long as the rest. It reads the types of the routes.
  const rest = async () => {
    await npm('types', 'types');
    await npm('format', 'format:check');
    await npm('unused code', 'unused');
  };
  await Promise.all([npm('lint', 'lint'), rest()]);
  const unitFile = `${results}/unit.json`;
  const ok = await run('unit tests', 'npx', [
    'vitest',
    'run',
    '--reporter=default',
    '--reporter=json',
    `--outputFile=${unitFile}`,
  ]);
  count(unitFile, ok, (report) => ({ passed: report.numPassedTests, failed: report.numFailedTests }));
  await ensureBuild();
  await browserTests(browser);
  await step('treated badly', process.execPath, ['scripts/abuse.mjs', '--slice']);
  process.exitCode = tally.failed === 0 ? 0 : 1;
}).finally(() => {
  process.stdout.write(
    `\n${tally.passed} passed, ${tally.failed + (process.exitCode && tally.failed === 0 ? 1 : 0)} failed\n`,
  );
});
