import { expect, test, type Page } from '@playwright/test';
import { accessible, demoJob, field, legibleInTheDark, sideways, startJob, visit } from './app.ts';

const PLATE = 'HP 25 RPM 1770 V 230/460 A 62/31 HZ 60 SF 1.15 CODE G DES B EFF 92.4 PF 0.82 FR 284T TEFC INS F CONT';

const paste = (page: Page, text: string): Promise<void> =>
  page.evaluate((pasted) => {
    const data = new DataTransfer();
    data.setData('text/plain', pasted);
    document.body.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
  }, text);
const row = (page: Page, tag: string) => page.locator(`[data-job="${tag}"]`);
const menu = async (page: Page, tag: string, entry: string): Promise<void> => {
  await row(page, tag)
    .getByRole('button', { name: /^Copy, archive or remove/ })
    .click();
  await row(page, tag).getByRole('button', { name: entry, exact: true }).click();
};
const shelf = (page: Page, name: string) => page.getByRole('navigation', { name: 'Where jobs stand' }).getByText(name);

test('a plate pasted anywhere and Enter start a job with its fields filled', async ({ page }) => {
  await visit(page, '/');
  await paste(page, PLATE);
  await expect(page.getByLabel('Plate, as text')).toHaveValue(PLATE);
  await expect(page.getByRole('button', { name: 'Start', exact: true })).toBeFocused();
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/jobs\/[0-9a-f-]+\/nameplate/);
  await expect(field(page, 'nameplate.frame')).toHaveValue('284T');
  await expect(field(page, 'nameplate.asRead')).toHaveValue(PLATE);
  await page.goto('/');
  await page.getByLabel('Plate, as text').fill('nothing to be read here');
  await page.getByLabel('Tag', { exact: true }).fill('N-1');
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page.locator('#plate-error')).toContainText('Nothing could be read. Write it like: HP 15');
  await expect(page.getByLabel('Plate, as text')).toHaveValue('nothing to be read here');
  await expect(page.getByLabel('Tag', { exact: true })).toHaveValue('N-1');
});

test('what stands in the way of a job is said in the list, those that need somebody first', async ({ page }) => {
  await visit(page, '/');
  await expect(row(page, 'VF-12')).toContainText('Pilgrim does not choose explosion-protected equipment');
  await expect(row(page, 'RF-110')).toContainText('Needed: ');
  const states = await page.locator('[data-job]').evaluateAll((rows) => rows.map((each) => each.dataset['state']));
  const order = ['stopped', 'open', 'ready'];
  expect(states).toEqual(states.toSorted((a, b) => order.indexOf(a ?? '') - order.indexOf(b ?? '')));
  await page.goto('/?shelf=stopped');
  await expect(page.locator('[data-job]')).toHaveCount(await page.locator('[data-state="stopped"]').count());
  await page.goto('/?at=Greyspit+Salt+Works');
  await expect(row(page, 'KA-2')).toBeVisible();
  await expect(row(page, 'P-214')).toHaveCount(0);
});

test('a job is copied, archived, removed and taken back', async ({ page }) => {
  await startJob(page, 'replace', 'H-1', 'Put away');
  await visit(page, '/?q=Put+away');
  await menu(page, 'H-1', 'Make a copy');
  await page.waitForURL(/\/jobs\//);
  await visit(page, '/?q=Put+away');
  await expect(page.locator('[data-job="H-1"]')).toHaveCount(2);
  await expect(page.getByText('Put away (copy)')).toBeVisible();
  await row(page, 'H-1')
    .first()
    .getByRole('button', { name: /^Copy, archive or remove/ })
    .click();
  await row(page, 'H-1').first().getByRole('button', { name: 'Archive', exact: true }).click();
  await expect(page.getByTestId('set-aside')).toContainText('The job was archived');
  await expect(page.locator('[data-job="H-1"]')).toHaveCount(1);
  await expect(shelf(page, 'Archived')).toHaveText(/1$/);
  await page.getByRole('button', { name: 'Restore' }).click();
  await expect(page.locator('[data-job="H-1"]')).toHaveCount(2);
  await row(page, 'H-1')
    .first()
    .getByRole('button', { name: /^Copy, archive or remove/ })
    .click();
  await row(page, 'H-1').first().getByRole('button', { name: 'Remove', exact: true }).click();
  await shelf(page, 'Removed').click();
  // The shelf before has one of them as well.
  await expect(page.getByRole('link', { name: /^✕?\s*Removed/ })).toHaveAttribute('aria-current', 'page');
  await expect(page.locator('[data-job="H-1"]')).toHaveCount(1);
  await menu(page, 'H-1', 'Restore');
  await shelf(page, 'At work').click();
  await expect(page.locator('[data-job="H-1"]')).toHaveCount(2);
});

test('the search finds jobs, motors and catalogue; what another changed is marked', async ({ page, request }) => {
  const path = await demoJob(page, 'PU-205');
  await visit(page, path);
  await page.goto('/?q=pump');
  await expect(row(page, 'PU-205')).toBeVisible();
  await expect(row(page, 'PU-205')).not.toContainText('changed since you saw it');
  await page.goto('/?q=254T');
  await expect(page.getByRole('region', { name: 'Motors found' }).getByRole('link').first()).toBeVisible();
  await expect(page.getByRole('region', { name: 'Catalogue items' })).toContainText('254T');
  const { revision, document } = (await (await request.get(`/api${path}`)).json()) as {
    revision: number;
    document: object;
  };
  const saved = await request.put(`/api${path}`, { data: { base: revision, document } });
  expect(saved.status()).toBe(200);
  await visit(page, '/?q=pump');
  await expect(row(page, 'PU-205')).toContainText('changed since you saw it');
});

test('hundreds of jobs come in pages', async ({ page, request }) => {
  for (let at = 0; at < 51; at++) {
    const made = await request.post('/api/jobs', { data: { title: 'One of many', tag: `M-${at}` } });
    expect(made.status()).toBe(201);
  }
  await visit(page, '/?q=One+of+many');
  await expect(page.locator('[data-job]')).toHaveCount(50);
  await page.getByRole('link', { name: 'Further in the list' }).click();
  await expect(page.getByText('Page 2 of 2')).toBeVisible();
  await expect(page.locator('[data-job]')).toHaveCount(1);
});

test('home, motors and sites pass axe in light and dark and are never wider than the screen', async ({ page }) => {
  for (const width of [1280, 768, 375]) {
    await page.setViewportSize({ width, height: 900 });
    for (const path of ['/', '/?q=fan', '/motors', '/sites']) {
      await visit(page, path);
      expect(await sideways(page), `${path} at ${width}`).toBeLessThanOrEqual(0);
      if (width === 375) continue;
      await accessible(page);
      await legibleInTheDark(page);
    }
  }
});
