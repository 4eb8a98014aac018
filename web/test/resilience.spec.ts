import { expect, test } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { accessible, field, saved, startJob, visit } from './app.ts';

const database = (what: 'start' | 'stop'): void =>
  void execFileSync(process.execPath, ['scripts/database.mjs', what, 'test'], { cwd: process.env['PILGRIM_ROOT'] });

test('two people save the same job: the second is told and loses nothing', async ({ page, browser }) => {
  const context = await browser.newContext({ baseURL: process.env['PILGRIM_URL'] ?? '' });
  const job = await startJob(page, 'replace', 'T-400', 'Shared job');
  const other = await context.newPage();
  await visit(other, `${job}/nameplate`);

  await field(page, 'nameplate.power').fill('20 hp');
  await field(page, 'nameplate.frame').fill('256T');
  await saved(page);
  await field(other, 'nameplate.power').fill('25 hp');
  await field(other, 'nameplate.speed').fill('1765 rpm');

  const dialog = other.getByRole('dialog', { name: 'Somebody saved this job before you' });
  await expect(dialog).toBeVisible();
  await expect(dialog.locator('[data-conflict="nameplate.power"]')).toContainText('25 hp');
  await expect(dialog.locator('[data-conflict="nameplate.power"]')).toContainText('20 hp');
  // The frame was changed by one of them only: nobody is asked.
  await expect(dialog.locator('[data-conflict]')).toHaveCount(1);
  await accessible(other);
  await dialog.getByRole('button', { name: 'Save what is chosen' }).click();
  await saved(other);

  await visit(page, `${job}/nameplate`);
  await expect(field(page, 'nameplate.power')).toHaveValue('25 hp');
  await expect(field(page, 'nameplate.speed')).toHaveValue('1765 rpm');
  await expect(field(page, 'nameplate.frame')).toHaveValue('256T');
  await context.close();
});

test('two people who change different fields are joined, and nobody is asked', async ({ page, browser }) => {
  const context = await browser.newContext({ baseURL: process.env['PILGRIM_URL'] ?? '' });
  const job = await startJob(page, 'replace', 'T-405', 'Joined job');
  const other = await context.newPage();
  await visit(other, `${job}/nameplate`);
  await field(page, 'nameplate.power').fill('50 hp');
  await saved(page);
  await field(other, 'nameplate.speed').fill('1765 rpm');
  await saved(other);
  await expect(other.getByRole('dialog')).toHaveCount(0);
  await expect(field(other, 'nameplate.power')).toHaveValue('50 hp');
  // Undo goes back over one’s own typing only.
  await other.getByRole('button', { name: 'Undo' }).click();
  await expect(field(other, 'nameplate.speed')).toHaveValue('');
  await expect(field(other, 'nameplate.power')).toHaveValue('50 hp');
  await other.getByRole('button', { name: 'Redo' }).click();
  await expect(field(other, 'nameplate.speed')).toHaveValue('1765 rpm');
  await saved(other);
  await visit(page, `${job}/nameplate`);
  await expect(field(page, 'nameplate.power')).toHaveValue('50 hp');
  await expect(field(page, 'nameplate.speed')).toHaveValue('1765 rpm');
  await context.close();
});

test('the database restarts in the middle of work: typing goes on and is saved when it is back', async ({ page }) => {
  const job = await startJob(page, 'replace', 'T-410', 'Restarted database');
  await field(page, 'nameplate.power').fill('20 hp');
  await saved(page);

  database('stop');
  try {
    await field(page, 'nameplate.speed').fill('1765 rpm');
    await expect(page.locator('[data-save="waiting"]')).toBeVisible();
    expect((await page.request.get('/healthz')).status()).toBe(503);
    expect((await page.request.get('/')).status()).toBe(503);
    await field(page, 'nameplate.frame').fill('256T');
  } finally {
    database('start');
  }
  await saved(page);
  expect((await page.request.get('/healthz')).status()).toBe(200);
  await visit(page, `${job}/nameplate`);
  await expect(field(page, 'nameplate.speed')).toHaveValue('1765 rpm');
  await expect(field(page, 'nameplate.frame')).toHaveValue('256T');
});

test('a closed tab takes nothing with it: unsent typing is there on the next visit', async ({ page, context }) => {
  const job = await startJob(page, 'replace', 'T-420', 'Closed tab');
  await page.route('**/api/jobs/*', (route) => route.abort());
  await field(page, 'nameplate.power').fill('30 hp');
  await expect(page.locator('[data-save="waiting"]')).toBeVisible();
  await page.close();
  const next = await context.newPage();
  await visit(next, `${job}/nameplate`);
  await expect(field(next, 'nameplate.power')).toHaveValue('30 hp');
  await saved(next);
});
