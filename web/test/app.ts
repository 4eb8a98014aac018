/** What the browser tests share: opening pages once scripts have arrived, reading figures, starting jobs. */
import AxeBuilder from '@axe-core/playwright';
import { expect, type Locator, type Page } from '@playwright/test';

export async function visit(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await page.waitForSelector('html[data-hydrated]');
}

export const openStage = async (page: Page, stage: string): Promise<void> => {
  await page.locator(`[data-stage="${stage}"]`).click();
  await expect(page.locator(`[data-stage="${stage}"]`)).toHaveAttribute('aria-current', 'step');
};

export const field = (page: Page, path: string): Locator => page.locator(`#field-${path.replaceAll('.', '-')}`);
export const figure = (page: Page, id: string): Locator => page.locator(`[data-value="${id}"] button`);
export const finding = (page: Page, code: string): Locator => page.locator(`[data-finding="${code}"]`).first();
export const saved = (page: Page): Promise<void> => expect(page.locator('[data-save="saved"]')).toBeVisible();

export async function fill(page: Page, values: Readonly<Record<string, string>>): Promise<void> {
  for (const [path, text] of Object.entries(values)) await field(page, path).fill(text);
}

/** Takes a way of knowing the load, under whichever tab it stands. */
export async function knownBy(page: Page, way: string): Promise<void> {
  const radio = page.locator(`input[name="load-way"][value="${way}"]`);
  for (const tab of await page.getByRole('tab').all()) {
    await tab.click();
    if ((await radio.count()) === 0) continue;
    await radio.check();
    return;
  }
  throw new Error(`no way called ${way}`);
}

/** Starts a job from the home page and returns its address. */
export async function startJob(
  page: Page,
  kind: string,
  tag: string,
  title: string,
  site = 'Fenhallow Board Mill',
): Promise<string> {
  await visit(page, '/');
  await page.getByLabel('Task').selectOption(kind);
  await page.getByLabel('Tag', { exact: true }).fill(tag);
  await page.getByLabel('What it drives').fill(title);
  await page.getByLabel('Site', { exact: true }).fill(site);
  await page.getByRole('button', { name: 'Start' }).click();
  await page.waitForURL(/\/jobs\/[0-9a-f-]+\//);
  await page.waitForSelector('html[data-hydrated]');
  return page.url().replace(/\/[a-z]+$/, '');
}

/** The address of a demo job, by its tag. */
export async function demoJob(page: Page, tag: string): Promise<string> {
  await visit(page, `/?q=${tag}`);
  const href = await page.locator(`[data-job="${tag}"] a`).first().getAttribute('href');
  return href ?? '';
}

/** The address of a copy of a demo job under another tag, which no other test looks at. */
export async function copyOfDemo(page: Page, tag: string, as: string): Promise<string> {
  const exported = await page.request.get(`${await demoJob(page, tag)}/export.json`);
  const document = (await exported.json()) as Record<string, unknown>;
  const made = await page.request.post('/api/jobs', { data: { ...document, tag: as, title: 'Looked at whole' } });
  return `/jobs/${((await made.json()) as { id: string }).id}`;
}

type Found = Awaited<ReturnType<AxeBuilder['analyze']>>;

function nothingIn({ violations }: Found): void {
  expect(
    violations.map((each) => `${each.id}: ${each.nodes.map((node) => node.target.join(' ')).join(' | ')}`),
  ).toEqual([]);
}

/** No violation of WCAG 2.2 A and AA that axe can find. */
export async function accessible(page: Page): Promise<void> {
  const axe = new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa']);
  nothingIn(await axe.analyze());
}

/** The same in the dark of what a theme can spoil: it has the same words in the same places. */
export async function legibleInTheDark(page: Page): Promise<void> {
  const turn = (): Promise<boolean> => page.evaluate(() => document.documentElement.classList.toggle('dark'));
  expect(await turn()).toBe(true);
  nothingIn(await new AxeBuilder({ page }).withRules(['color-contrast', 'link-in-text-block']).analyze());
  await turn();
}

export const sideways = (page: Page): Promise<number> =>
  page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
