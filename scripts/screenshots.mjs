// npm run screenshots: one current picture of each main view, from the demo data, into docs/screenshots.
import { mkdirSync } from 'node:fs';
import { ensureBuild, prepareDatabase, serve } from './lib/app.mjs';
import { openBrowser } from './lib/browser.mjs';
import { main } from './lib/failure.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { freePort, startDatabase } from './lib/postgres.mjs';
import { root } from './lib/root.mjs';

const folder = `${root}/docs/screenshots`;
const views = [
  { name: 'home', path: '/' },
  { name: 'nameplate', tag: 'P-214', path: '/nameplate', open: 'nameplate.ratedTorque' },
  { name: 'inquiry', tag: 'P-214', path: '/situation', show: '[data-cause]' },
  { name: 'motors', path: '/motors' },
  { name: 'motor', path: '/motors', follow: 'P-214-M' },
  { name: 'load', tag: 'BL-402', path: '/load' },
  { name: 'profile-dark', tag: 'HF-031', path: '/profile', dark: true },
  { name: 'place', tag: 'KA-2', path: '/place', show: '[data-enclosure="TEXP"]' },
  { name: 'site', path: '/sites/Fenhallow%20Board%20Mill' },
  { name: 'starting', tag: 'RF-110', path: '/starting', press: ['direct'], drawn: true },
  { name: 'protection', tag: 'PU-205', path: '/protection', wait: '[data-testid="starts-held"] strong', drawn: true },
  { name: 'pick', tag: 'P-214', path: '/pick' },
  { name: 'drive', tag: 'HF-031', path: '/drive', drawn: true },
  { name: 'options', tag: 'HF-031', path: '/money', wait: '[data-testid="risk-verdict"]' },
  { name: 'rig', path: '/rig', wait: '[data-meter="watts"]' },
  { name: 'glossary', path: '/glossary?q=WK²' },
  { name: 'stopped', tag: 'VF-12', path: '/place' },
  { name: 'sheet', tag: 'P-214', path: '/sheet' },
  { name: 'tablet', tag: 'P-214', path: '/protection', width: 768, height: 1024, drawn: true },
];

async function shoot(browser, origin, view) {
  const { name, tag, path, open, dark, width = 1280, height = 800 } = view;
  const page = await browser.newPage({ viewport: { width, height }, colorScheme: dark ? 'dark' : 'light' });
  await page.goto(origin);
  const base = tag ? await page.locator(`[data-job="${tag}"] a`).first().getAttribute('href') : '';
  await page.goto(origin + base + path);
  await page.waitForSelector('html[data-hydrated]');
  if (path === '/pick') await page.waitForSelector('[data-spares]:not([data-spares="?"])');
  if (path === '/profile') await page.waitForSelector('[data-drawn="true"] svg');
  if (view.wait) await page.waitForSelector(view.wait);
  if (view.show) await page.locator(view.show).first().scrollIntoViewIfNeeded();
  for (const name of view.press ?? []) await page.getByRole('button', { name }).first().click();
  if (view.drawn) await page.waitForSelector('[data-drawn="true"] svg');
  if (view.follow) {
    await page.getByRole('link', { name: view.follow }).click();
    await page.waitForSelector('[data-outline]');
  }
  if (open) {
    await page.locator(`[data-value="${open}"] button`).click();
    await page.waitForSelector('[role="dialog"] math');
  }
  await page.screenshot({ path: `${folder}/${name}.png` });
  await page.close();
}

await main(async () => {
  await ensurePackages();
  await ensureBuild();
  mkdirSync(folder, { recursive: true });
  const database = await startDatabase('screenshots', { fresh: true });
  try {
    await prepareDatabase(database.url, { demo: true });
    const app = await serve({ port: await freePort(), databaseUrl: database.url, quiet: true });
    try {
      const browser = await openBrowser();
      for (const view of views) await shoot(browser, app.origin, view);
      await browser.close();
    } finally {
      await app.stop();
    }
  } finally {
    await database.stop();
  }
});
