// npm run screenshots: one current picture of each main view, from the demo data, into docs/screenshots.
import { chromium } from '@playwright/test';
import { mkdirSync } from 'node:fs';
import { ensureBuild, prepareDatabase, serve } from './lib/app.mjs';
import { main } from './lib/failure.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { freePort, startDatabase } from './lib/postgres.mjs';
import { root } from './lib/root.mjs';

const folder = `${root}/docs/screenshots`;
const views = [
  { name: 'home', path: '/' },
  { name: 'nameplate', tag: 'P-214', path: '/nameplate', open: 'nameplate.ratedTorque' },
  { name: 'load', tag: 'BL-402', path: '/load' },
  { name: 'profile-dark', tag: 'HF-031', path: '/profile', dark: true },
  { name: 'starting', tag: 'KA-2', path: '/starting' },
  { name: 'pick', tag: 'P-214', path: '/pick' },
  { name: 'stopped', tag: 'VF-12', path: '/place' },
  { name: 'sheet', tag: 'P-214', path: '/sheet' },
  { name: 'tablet', tag: 'P-214', path: '/protection', width: 768, height: 1024 },
];

async function shoot(browser, origin, { name, tag, path, open, dark, width = 1280, height = 800 }) {
  const page = await browser.newPage({ viewport: { width, height }, colorScheme: dark ? 'dark' : 'light' });
  await page.goto(origin);
  const base = tag ? await page.getByRole('link', { name: tag }).first().getAttribute('href') : '';
  await page.goto(origin + base + path);
  await page.waitForSelector('html[data-hydrated]');
  if (path === '/profile') await page.waitForSelector('[data-drawn="true"] svg');
  if (open) {
    await page.locator(`[data-value="${open}"] button`).click();
    await page.waitForSelector('[role="dialog"] math');
  }
  await page.screenshot({ path: `${folder}/${name}.png` });
  await page.close();
}

await main(async () => {
  ensurePackages();
  ensureBuild();
  mkdirSync(folder, { recursive: true });
  const database = await startDatabase('screenshots', { fresh: true });
  try {
    prepareDatabase(database.url, { demo: true });
    const app = await serve({ port: await freePort(), databaseUrl: database.url, quiet: true });
    try {
      const browser = await chromium.launch({
        executablePath: '/usr/bin/chromium',
        args: ['--no-sandbox', '--disable-gpu'],
      });
      for (const view of views) await shoot(browser, app.origin, view);
      await browser.close();
    } finally {
      await app.stop();
    }
  } finally {
    database.stop();
  }
});
