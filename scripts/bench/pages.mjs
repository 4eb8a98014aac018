// What a person waits for in the browser. Each is measured in a fresh page; times are the page’s own.
const ROUNDS = 5;
const KEYS = 14;
/** Lighthouse slows the processor down as much for a middling telephone. */
const SLOWED = 4;
/** What a task may take before it is said to block. */
const SHORT = 50;

const median = (numbers) => numbers.toSorted((a, b) => a - b)[Math.floor(numbers.length / 2)] ?? NaN;

const hydrated = (page) => page.waitForSelector('html[data-hydrated]');

/** ms from asking for a page until its scripts are at work, the median of some visits. */
export async function navigation(browser, url) {
  const context = await browser.newContext();
  const times = [];
  for (let round = 0; round <= ROUNDS; round++) {
    const page = await context.newPage();
    const began = performance.now();
    await page.goto(url, { waitUntil: 'commit' });
    await hydrated(page);
    // The first fills the cache of the browser.
    if (round > 0) times.push(performance.now() - began);
    await page.close();
  }
  await context.close();
  return median(times);
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

/** ms from a hand on a field to its first key. */
const REACH = 400;

/** ms until the first figure follows the first key of a page, and a later one, medians of some visits. */
export async function liveResult(browser, job) {
  const [cold, warm] = [[], []];
  for (let round = 0; round < ROUNDS; round++) {
    const page = await browser.newPage();
    await page.goto(`${job}/load`);
    await hydrated(page);
    await watch(page, '[data-testid="readouts"]', '[data-value="load.motorTorque"]');
    await page.locator('#field-load-torque').click();
    await page.waitForTimeout(REACH);
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

/** ms from a key until the picture is drawn anew, the median of many keys. */
export async function pictureWait(browser, job) {
  const page = await browser.newPage();
  await page.goto(`${job}/load`);
  await hydrated(page);
  await watch(page, '[data-drawn]', '[data-drawn="true"] svg');
  await page.locator('#field-load-torque').focus();
  // A digit before the figure, and away again: the load changes every time.
  for (let key = 0; key < KEYS; key++) {
    await page.keyboard.press('Home');
    await pressed(page, '1');
    await page.waitForTimeout(150);
    await page.keyboard.press('Home');
    await pressed(page, 'Delete');
    await page.waitForTimeout(150);
  }
  const waits = await page.evaluate(() => globalThis.waits);
  await page.close();
  return median(waits);
}

/** ms that a stage’s own scripts keep the page from answering while it loads, on a slowed processor, in one visit. */
async function blockedOnce(browser, url) {
  const page = await browser.newPage();
  await page.addInitScript(() => {
    globalThis.tasks = [];
    new globalThis.PerformanceObserver((list) => {
      globalThis.tasks.push(...list.getEntries().map(({ duration }) => duration));
    }).observe({ type: 'longtask', buffered: true });
  });
  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
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
  while (visits.length < ROUNDS) visits.push(await blockedOnce(browser, url));
  return median(visits);
}
