// What a person waits for in the browser. Each is measured in a fresh page; times are the page’s own.
//
// Others use the machine too, and take two thirds of it in some hours. The limits are meant for a quiet one, so a fixed
// piece of work is timed in the same pages: what is limited in milliseconds is counted in those of a quiet processor, and
// one that is slow already is slowed down by so much less.
/** Visits where each is short; five where each is long. */
const VISITS = 10;
const LONG_VISITS = 5;
const KEYS = 28;
/** Lighthouse slows the processor down as much for a middling telephone. */
const SLOWED = 4;
/** What a task may take before it is said to block. */
const SHORT = 50;
/** ms of the piece of work on a quiet processor of the machine the limits were first met on; the least seen there is 4.2. */
const QUIET = 5;
const PIECES = 15;

const median = (numbers) => numbers.toSorted((a, b) => a - b)[Math.floor(numbers.length / 2)] ?? NaN;

const hydrated = (page) => page.waitForSelector('html[data-hydrated]');

/** What pages do most: elements, maps, text. Runs in the page; ms. */
function pieceOfWork() {
  const { document, performance } = globalThis;
  const began = performance.now();
  let letters = 0;
  for (let round = 0; round < 20; round++) {
    const host = document.createElement('div');
    for (let at = 0; at < 60; at++) {
      const child = document.createElement('p');
      child.className = `c${at}`;
      child.textContent = `word ${at}`;
      host.append(child);
    }
    const known = new Map();
    for (let at = 0; at < 400; at++) known.set(`k${(at * 7919) % 400}`, { at, text: String(at) });
    for (const [key, { text }] of known) letters += key.length + text.length;
    letters += JSON.stringify([...known.values()]).length + host.childElementCount;
  }
  return letters > 0 ? performance.now() - began : NaN;
}

/** How many times as slow as a quiet processor this one is just now. */
async function slownessOf(page) {
  const times = [];
  for (let piece = 0; piece < PIECES; piece++) times.push(await page.evaluate(pieceOfWork));
  return median(times) / QUIET;
}

/** ms from asking for a page until its scripts are at work. */
async function visit(context, url) {
  const page = await context.newPage();
  const began = performance.now();
  await page.goto(url, { waitUntil: 'commit' });
  await hydrated(page);
  const took = performance.now() - began;
  await page.close();
  return took;
}

/** The same of a page and of a yardstick, visited in turns: medians of some visits. */
export async function navigation(browser, url, yardstick) {
  const context = await browser.newContext();
  const own = [];
  const bare = [];
  for (let round = 0; round <= VISITS; round++) {
    const both = [await visit(context, url), await visit(context, yardstick)];
    // The first fills the cache of the browser.
    if (round === 0) continue;
    own.push(both[0]);
    bare.push(both[1]);
  }
  await context.close();
  return { own: median(own), bare: median(bare) };
}

/** Watches a place of the page: after each key, ms until something in it changed. */
async function watch(page, selector, shown) {
  await page.waitForSelector(shown);
  await page.evaluate((place) => {
    globalThis.waits = [];
    let pressed;
    const target = globalThis.document.querySelector(place);
    new globalThis.MutationObserver(() => {
      if (pressed === undefined) return;
      globalThis.waits.push(performance.now() - pressed);
      pressed = undefined;
    }).observe(target, { subtree: true, childList: true, characterData: true, attributes: true });
    globalThis.addEventListener('input', () => (pressed = performance.now()), true);
  }, selector);
}

async function pressed(page, key) {
  const before = await page.evaluate(() => globalThis.waits.length);
  await page.keyboard.press(key);
  await page.waitForFunction((count) => globalThis.waits.length > count, before, { timeout: 10_000 });
}

/** ms from a hand on a field to its first key, beside a quiet processor. */
const REACH = 400;

/** ms until the first figure follows the first key of a page, and a later one, medians of some visits. */
export async function liveResult(browser, job) {
  const [cold, warm] = [[], []];
  for (let round = 0; round < VISITS; round++) {
    const page = await browser.newPage();
    const slowness = await slownessOf(page);
    await page.goto(`${job}/load`);
    await hydrated(page);
    await watch(page, '[data-testid="readouts"]', '[data-value="load.motorTorque"]');
    await page.locator('#field-load-torque').click();
    await page.waitForTimeout(REACH * slowness);
    await page.keyboard.press('Home');
    await pressed(page, '1');
    await page.waitForTimeout(300);
    await page.keyboard.press('Delete');
    await page.waitForTimeout(300);
    await pressed(page, '2');
    const waits = await page.evaluate(() => globalThis.waits);
    cold.push(waits[0]);
    warm.push(waits.at(-1));
    await page.close();
  }
  return { cold: median(cold), warm: median(warm) };
}

/** ms from a key until the picture is drawn anew, the median of many keys, and how slow the processor was. */
export async function pictureWait(browser, job) {
  const page = await browser.newPage();
  await page.goto(`${job}/load`);
  await hydrated(page);
  await watch(page, '[data-drawn]', '[data-drawn="true"] svg');
  await page.locator('#field-load-torque').focus();
  const pieces = [];
  // A digit before the figure, and away again: the load changes every time.
  for (let key = 0; key < KEYS; key++) {
    await page.keyboard.press('Home');
    await pressed(page, key % 2 === 0 ? '1' : 'Delete');
    await page.waitForTimeout(150);
    pieces.push(await page.evaluate(pieceOfWork));
  }
  const waits = await page.evaluate(() => globalThis.waits);
  await page.close();
  return { took: median(waits), slowness: median(pieces) / QUIET };
}

/** ms that a stage’s own scripts keep the page from answering while it loads, on a slowed processor, in one visit. */
async function blockedOnce(browser, url) {
  const page = await browser.newPage();
  const rate = Math.max(1, SLOWED / (await slownessOf(page)));
  await page.addInitScript(() => {
    globalThis.tasks = [];
    new globalThis.PerformanceObserver((list) => {
      globalThis.tasks.push(...list.getEntries().map(({ duration }) => duration));
    }).observe({ type: 'longtask', buffered: true });
  });
  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate });
  await page.goto(url, { waitUntil: 'load' });
  await hydrated(page);
  await page.waitForTimeout(1500);
  const tasks = await page.evaluate(() => globalThis.tasks);
  await page.close();
  return tasks.reduce((sum, duration) => sum + Math.max(0, duration - SHORT), 0);
}

/** The median of some visits, each of a browser that has seen nothing yet. */
export async function blocking(browser, url) {
  const visits = [];
  while (visits.length < LONG_VISITS) visits.push(await blockedOnce(browser, url));
  return median(visits);
}
