// npm run bench: speed against named references in the same run. Never part of npm test.
import { spawn, spawnSync } from 'node:child_process';
import { setTimeout as wait } from 'node:timers/promises';
import { gzipSync } from 'node:zlib';
import { blocking, liveResult, navigation, pictureWait } from './bench/pages.mjs';
import { ensureBuild, prepareDatabase, serve } from './lib/app.mjs';
import { openBrowser } from './lib/browser.mjs';
import { Failure, main } from './lib/failure.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { freePort, startDatabase } from './lib/postgres.mjs';
import { root } from './lib/root.mjs';

/** Each of two routes is asked for so long at a time, in turns, so often. */
const SECONDS = 1;
const TURNS = 6;
const TYPING_ROUNDS = 4;
const results = [];
const report = (name, value, limit, unit, better) => {
  const ok = better === 'lower' ? value <= limit : value >= limit;
  results.push(ok);
  process.stdout.write(`${ok ? 'ok  ' : 'MISS'} ${name}: ${value.toFixed(2)} ${unit} (limit ${limit})\n`);
};

/** Bundles a measuring script as the application is bundled, runs it and reads the JSON it prints. */
function measured(name, env = {}) {
  const out = `${root}/node_modules/.cache/bench`;
  const vite = [`${root}/node_modules/vite/bin/vite.js`, 'build', '--logLevel', 'error', '--outDir', out];
  const build = spawnSync(process.execPath, [...vite, '--ssr', `scripts/bench/${name}.mjs`], {
    cwd: root,
    encoding: 'utf8',
  });
  if (build.status !== 0) throw new Failure(`The measure ${name} did not build: ${build.stderr}`);
  const run = spawnSync(process.execPath, [`${out}/${name}.js`], {
    cwd: root,
    env: { ...process.env, ...env },
    encoding: 'utf8',
  });
  if (run.status !== 0) throw new Failure(run.stderr);
  return JSON.parse(run.stdout);
}

/** Builds the yardstick and serves it on a port of its own. */
async function serveBare(databaseUrl) {
  const folder = `${root}/scripts/bench/bare`;
  const vite = `${root}/node_modules/vite/bin/vite.js`;
  const { status, stderr } = spawnSync(process.execPath, [vite, 'build'], { cwd: folder, encoding: 'utf8' });
  if (status !== 0) throw new Failure(`The yardstick did not build: ${stderr}`);
  const port = await freePort();
  const env = {
    ...process.env,
    NODE_ENV: 'production',
    HOST: '127.0.0.1',
    PORT: String(port),
    DATABASE_URL: databaseUrl,
  };
  const child = spawn(process.execPath, [`${folder}/build/index.js`], { cwd: folder, env, stdio: 'ignore' });
  const origin = `http://127.0.0.1:${port}`;
  for (let tries = 0; tries < 100; tries++) {
    if ((await fetch(`${origin}/row`).catch(() => undefined))?.ok) break;
    await wait(50);
  }
  return { origin, stop: () => child.kill('SIGTERM') };
}

/** Gzipped bytes of every script a first visit loads before anybody touches the page. */
async function scriptBytes(browser, url) {
  const page = await browser.newPage();
  let bytes = 0;
  const pending = [];
  const count = (response) => {
    if (response.request().resourceType() !== 'script') return;
    pending.push(response.body().then((body) => (bytes += gzipSync(body).length)));
  };
  page.on('response', count);
  await page.goto(url, { waitUntil: 'networkidle' });
  page.off('response', count);
  await Promise.all(pending);
  await page.close();
  return bytes;
}

/** Longest gap between two frames of the page, ms, while somebody types, alone or beside workers that run the starts. */
async function typingWait(browser, origin, beside) {
  const page = await browser.newPage();
  await page.goto(origin);
  const job = await page.getByRole('link', { name: 'RF-110' }).first().getAttribute('href');
  await page.goto(`${origin}${job}/starting`);
  await page.waitForSelector('[data-drawn="true"] svg');
  await page.evaluate(() => {
    let last = performance.now();
    globalThis.longestGap = 0;
    const frame = () => {
      const now = performance.now();
      globalThis.longestGap = Math.max(globalThis.longestGap, now - last);
      last = now;
      globalThis.requestAnimationFrame(frame);
    };
    globalThis.requestAnimationFrame(frame);
  });
  if (beside) await page.getByRole('button', { name: 'What 2000 motors' }).click();
  await page.locator('#field-starting-startTimeLimit').pressSequentially('12.5 s', { delay: 60 });
  if (beside) await page.waitForSelector('[data-testid="spread"]');
  const gap = await page.evaluate(() => globalThis.longestGap);
  await page.close();
  return gap;
}

async function seen(browser, job, bare) {
  const say = (line) => process.stdout.write(`     ${line}\n`);
  for (const stage of ['nameplate', 'starting']) {
    const took = await navigation(browser, `${job}/${stage}`, bare);
    say(`${stage} at work after ${took.own.toFixed(0)} ms, a bare page after ${took.bare.toFixed(0)} ms`);
    report(
      `navigation to ${stage} until its scripts are at work, over a bare page`,
      took.own / took.bare,
      2.5,
      '×',
      'lower',
    );
  }
  const { cold, warm } = await liveResult(browser, job);
  say(`first live result after ${cold.toFixed(0)} ms, a later one after ${warm.toFixed(0)} ms`);
  report('first live result after a cold key over a warm one', cold / warm, 3, '×', 'lower');
  const picture = await pictureWait(browser, job);
  say(
    `key to changed picture ${picture.took.toFixed(0)} ms, a processor ${picture.slowness.toFixed(1)} × as slow as a quiet one`,
  );
  report('key to changed picture, median, of a quiet processor', picture.took / picture.slowness, 50, 'ms', 'lower');
  say(`a bare page keeps a slowed processor for ${(await blocking(browser, bare)).toFixed(0)} ms`);
  let worst = { stage: '', blocked: -1 };
  const html = await (await fetch(`${job}/nameplate`)).text();
  for (const [, stage] of html.matchAll(/data-stage="(\w+)"/g)) {
    const blocked = await blocking(browser, `${job}/${stage}`);
    say(`${stage} keeps it for ${blocked.toFixed(0)} ms`);
    if (blocked > worst.blocked) worst = { stage, blocked };
  }
  report(
    `blocking time of a stage on a processor slowed four times, the most (${worst.stage})`,
    worst.blocked,
    300,
    'ms',
    'lower',
  );
}

/** How many requests one server process answers in a turn, eight at a time. */
async function throughput(url) {
  const until = Date.now() + SECONDS * 1000;
  let done = 0;
  const client = async () => {
    while (Date.now() < until) {
      // As it is made: the bare server compresses nothing, and ours does it on other threads.
      const response = await fetch(url, { headers: { 'accept-encoding': 'identity' } });
      await response.text();
      if (!response.ok) throw new Failure(`${url} answered ${response.status}`);
      done++;
    }
  };
  await Promise.all(Array.from({ length: 8 }, client));
  return done;
}

/** What a person waits for in the browser, by `npm run bench pages`. */
async function pages() {
  const database = await startDatabase('bench', { fresh: true });
  try {
    await prepareDatabase(database.url, { demo: true });
    const app = await serve({ port: await freePort(), databaseUrl: database.url, quiet: true });
    let bare;
    try {
      bare = await serveBare(database.url);
      const home = await (await fetch(app.origin)).text();
      const browser = await openBrowser();
      await seen(browser, `${app.origin}${/\/jobs\/[0-9a-f-]+/.exec(home)?.[0]}`, bare.origin);
      await browser.close();
    } finally {
      bare?.stop();
      await app.stop();
    }
  } finally {
    await database.stop();
  }
}

await main(async () => {
  await ensurePackages();
  await ensureBuild();
  if (process.argv[2] === 'pages') {
    await pages();
    if (results.includes(false)) throw new Failure('A bench missed its limit.');
    return;
  }
  const solve = measured('solve');
  process.stdout.write(
    `     each solve with another load: one option takes ${(solve.demo / solve.reference).toFixed(1)} ×, three ${(solve.three / solve.reference).toFixed(1)} × the time to write and read a solution as JSON\n`,
  );
  report('full solve of one option, median', solve.demo, 4, 'ms', 'lower');
  report('full solve of one option, 95th percentile', solve.demo95, 12, 'ms', 'lower');
  report('full solve of three options, median', solve.three, 7, 'ms', 'lower');
  report('full solve of three options, 95th percentile', solve.three95, 20, 'ms', 'lower');
  report('solve with 11 000 motors over that with the demo catalogue', solve.large / solve.demo, 1.3, '×', 'lower');
  report('solve after a keystroke, 50 segments and 200 points, median', solve.keystroke, 4, 'ms', 'lower');
  const log = measured('log');
  process.stdout.write(
    `     500 000 rows parsed in ${log.alone.toFixed(0)} ms, parsed and binned in ${log.binned.toFixed(0)} ms\n`,
  );
  report('speed of binning a log over parsing it alone', log.alone / log.binned, 0.5, '×', 'higher');

  const risk = measured('risk');
  if (!risk.same) throw new Failure('One slice of draws and two do not say the same.');
  report('5000 draws of three options, worked out and judged', risk.median, 400, 'ms', 'lower');

  const start = measured('start');
  const note = ({ own, reference, error }) =>
    `     ${own.toFixed(2)} ms against ${reference.toFixed(2)} ms, both within ${error.toExponential(0)} of the speed\n`;
  process.stdout.write(note(start.quasiSteady));
  report(
    'quasi-steady run-up, times as fast as odex',
    start.quasiSteady.reference / start.quasiSteady.own,
    3,
    '×',
    'higher',
  );
  process.stdout.write(note(start.transient));
  report('transient run, times as fast as odex', start.transient.reference / start.transient.own, 1, '×', 'higher');
  report('all ways to start run up and charted', start.compared, 150, 'ms', 'lower');
  const { one, two, gain, odexGain, wholeGain } = start.crews;
  process.stdout.write(
    `     2 000 starts in ${one.toFixed(0)} ms on one worker, ${two.toFixed(0)} ms on two: ` +
      `${gain.toFixed(2)} ×, where odex gains ${odexGain.toFixed(2)} ×\n`,
  );
  report('2 000 sampled starts, two workers over one, of two whole processors', wholeGain, 1.6, '×', 'higher');

  const database = await startDatabase('bench', { fresh: true });
  try {
    await prepareDatabase(database.url, { demo: true });
    const { plate, own: imported, bare: inserted } = measured('register', { DATABASE_URL: database.url });
    report('one plate’s text read, median', plate, 1, 'ms', 'lower');
    process.stdout.write(
      `     5 000 rows imported in ${imported.toFixed(0)} ms, parsed and inserted bare in ${inserted.toFixed(0)} ms\n`,
    );
    report('5 000 rows imported over parsing and inserting bare rows', imported / inserted, 3, '×', 'lower');

    const app = await serve({ port: await freePort(), databaseUrl: database.url, quiet: true });
    let bare;
    try {
      bare = await serveBare(database.url);
      const home = await (await fetch(app.origin)).text();
      const base = `${app.origin}${/\/jobs\/[0-9a-f-]+/.exec(home)?.[0]}`;
      const job = `${base}/nameplate`;
      const browser = await openBrowser();
      // The least disturbed of some tries, in turns: a single frame is easily held up by whatever else the machine does.
      const waits = { alone: [], beside: [] };
      for (let round = 0; round < TYPING_ROUNDS; round++) {
        waits.alone.push(await typingWait(browser, app.origin, false));
        waits.beside.push(await typingWait(browser, app.origin, true));
      }
      const [alone, beside] = [Math.min(...waits.alone), Math.min(...waits.beside)];
      process.stdout.write(`     longest wait while typing alone ${alone.toFixed(0)} ms\n`);
      report('longest wait while typing beside 2 000 starts', beside, 100, 'ms', 'lower');
      const own = Math.max(await scriptBytes(browser, base), await scriptBytes(browser, job));
      const reference = await scriptBytes(browser, bare.origin);
      await browser.close();
      process.stdout.write(`     job page ${own} B, bare page ${reference} B of script, gzipped\n`);
      report('script of the job page over a bare SvelteKit + Flowbite page', own / reference, 1.6, '×', 'lower');

      const answered = { row: 0, page: 0 };
      for (let turn = 0; turn < TURNS + 2; turn++) {
        const row = await throughput(`${bare.origin}/row`);
        const page = await throughput(job);
        if (turn < 2) continue; // warms both up
        answered.row += row;
        answered.page += page;
      }
      const { row, page } = answered;
      const each = (count) => (count / TURNS / SECONDS).toFixed(0);
      process.stdout.write(`     job page ${each(page)}/s, bare route with one query ${each(row)}/s\n`);
      report('server-rendered job page over a bare route with one query', page / row, 0.2, '×', 'higher');
    } finally {
      bare?.stop();
      await app.stop();
    }
  } finally {
    await database.stop();
  }
  if (results.includes(false)) throw new Failure('A bench missed its limit.');
});
