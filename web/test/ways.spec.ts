/** Ways of working: the keyboard alone, the other units, what was saved before, catalogues of one’s own, dragging. */
import { expect, test, type Page } from '@playwright/test';
import { accessible, field, figure, fill, knownBy, openStage, saved, startJob, visit } from './app.ts';

test.use({ viewport: { width: 1280, height: 800 } });

/** A person at the keyboard: every key, and every text typed in one go, is one input. */
class Keyboard {
  inputs = 0;
  readonly #page: Page;
  constructor(page: Page) {
    this.#page = page;
  }
  async press(key: string): Promise<void> {
    this.inputs++;
    await this.#page.keyboard.press(key);
  }
  async type(text: string): Promise<void> {
    this.inputs++;
    await this.#page.keyboard.type(text);
  }
  /** To the next entry that is needed, which must be the one of a path; there `text` is typed. */
  async answer(path: string, text: string): Promise<void> {
    await expect(async () => {
      const { inputs } = this;
      await this.press('Alt+Enter');
      await expect(field(this.#page, path)).toBeFocused({ timeout: 10_000 });
      // What is tried again because the page was slow is no input of a person’s.
      this.inputs = inputs + 1;
    }).toPass({ timeout: 60_000 });
    await this.type(text);
    await expect(field(this.#page, path)).toHaveValue(text);
  }
}

const decision = (page: Page) => page.locator('[data-stage="handover"]');

test('the failed motor, from home to its sheet by the keyboard alone', async ({ page, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await visit(page, '/');
  await page.evaluate(() =>
    navigator.clipboard.writeText(
      'HP 15 RPM 1770 V 230/460 A 38/19 HZ 60 SF 1.15 CODE G DES B EFF 92.4 PF 80 FR 254T TEFC',
    ),
  );
  const keys = new Keyboard(page);
  await keys.press('Control+v');
  await expect(page.locator('#start')).toBeFocused();
  await keys.press('Enter');
  await page.waitForURL(/nameplate$/);
  await page.waitForSelector('html[data-hydrated]');
  await keys.answer('supply.voltage', '480 V');
  await expect(decision(page)).toContainText('Sheet ready');
  await keys.press('Alt+Enter');
  await expect(page.getByRole('link', { name: 'Selection sheet' })).toBeFocused();
  await keys.press('Enter');
  await page.waitForURL(/sheet$/);
  await expect(page.getByRole('heading', { name: 'Selection sheet' })).toBeAttached();
  expect(keys.inputs).toBeLessThanOrEqual(60);
});

test('the new machine, by the keyboard alone', async ({ page }) => {
  await visit(page, '/');
  const keys = new Keyboard(page);
  await page.locator('#kind').focus();
  await keys.type('N');
  await keys.press('Tab');
  await keys.type('K-77');
  await keys.press('Tab');
  await keys.type('Reject screen');
  await keys.press('Enter');
  await page.waitForURL(/load$/);
  await page.waitForSelector('html[data-hydrated]');
  await keys.answer('load.torque', '60 lb·ft');
  await keys.answer('load.speed', '1765');
  await keys.answer('supply.voltage', '480 V');
  await keys.answer('supply.frequency', '60');
  await expect(decision(page)).toContainText('Sheet ready');
  await keys.press('Alt+Enter');
  await keys.press('Enter');
  await page.waitForURL(/sheet$/);
  expect(keys.inputs).toBeLessThanOrEqual(60);
});

test('one switch shows the other units everywhere; a field keeps what was typed', async ({ page }) => {
  const job = await startJob(page, 'new', 'W-5', 'In other units');
  await openStage(page, 'load');
  await fill(page, { 'load.torque': '72 lb·ft', 'load.speed': '1768' });
  await openStage(page, 'place');
  await fill(page, { 'place.altitude': '640 ft' });
  await openStage(page, 'load');
  // 72.0 lb·ft is 97.6 N·m, 24.2 hp 18.1 kW, 640 ft 195 m.
  await expect(figure(page, 'load.motorTorque')).toHaveText('72.0\u00a0lb·ft');
  await page.getByRole('button', { name: /^Units:/ }).click();
  await expect(figure(page, 'load.motorTorque')).toHaveText('97.6\u00a0N·m');
  await expect(figure(page, 'load.motorPower')).toHaveText('18.1\u00a0kW');
  await expect(field(page, 'load.torque')).toHaveValue('72 lb·ft');
  await expect(page.locator('[data-poles="4"]')).toContainText('N·m');
  await openStage(page, 'place');
  await expect(figure(page, 'place.altitude')).toHaveText('195\u00a0m');
  await saved(page);
  await page.goto(`${job}/sheet`);
  await expect(page.getByRole('main')).toContainText('97.6\u00a0N·m');
  await visit(page, '/?q=W-5');
  await expect(page.locator('[data-units]')).toHaveAttribute('data-units', 'IEC');
  await page.getByRole('button', { name: /^Units:/ }).click();
  await visit(page, `${job}/load`);
  await expect(figure(page, 'load.motorTorque')).toHaveText('72.0\u00a0lb·ft');
});

test('what was saved before is listed with what changed, and can be brought back', async ({ page }) => {
  const job = await startJob(page, 'new', 'W-1', 'Save by save');
  await openStage(page, 'load');
  await fill(page, { 'load.torque': '40 lb·ft' });
  await saved(page);
  await fill(page, { 'load.torque': '50 lb·ft' });
  await saved(page);
  await page.getByRole('link', { name: /^rev \d/ }).click();
  await page.waitForURL(/revisions$/);
  await page.waitForSelector('html[data-hydrated]');
  const newest = page.locator('[data-revision]').first();
  await expect(newest).toContainText('Load: Torque at driven shaft: 40 lb·ft → 50 lb·ft');
  await accessible(page);
  await page
    .getByRole('button', { name: /^Bring back revision/ })
    .first()
    .click();
  await page.waitForURL(/situation$/);
  await visit(page, `${job}/load`);
  await expect(field(page, 'load.torque')).toHaveValue('40 lb·ft');
  expect((await page.request.get(`${job}/revisions?from=zero`)).status()).toBe(200);
  expect((await page.request.get(job.replace(/[0-9a-f]{12}$/, '000000000000') + '/revisions')).status()).toBe(404);
});

test('undo and redo outlive a reload', async ({ page }) => {
  const job = await startJob(page, 'new', 'W-2', 'Undone after a reload');
  await openStage(page, 'load');
  await fill(page, { 'load.torque': '40 lb·ft' });
  await fill(page, { 'load.speed': '1750' });
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(field(page, 'load.speed')).toHaveValue('');
  await saved(page);
  await page.reload();
  await page.waitForSelector('html[data-hydrated]');
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(field(page, 'load.speed')).toHaveValue('1750');
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(field(page, 'load.torque')).toHaveValue('');
  await saved(page);
  // In another tab there is nothing of it to undo.
  const other = await page.context().newPage();
  await other.goto(`${job}/load`);
  await expect(other.getByRole('button', { name: 'Undo' })).toBeDisabled();
});

test('a catalogue of one’s own: refused with reasons, added, picked from, exported, removed', async ({ page }) => {
  await visit(page, '/catalogues');
  await expect(page.locator('[data-catalogue]')).toHaveCount(1);
  const add = async (content: string): Promise<void> => {
    await page.locator('#file').setInputFiles({
      name: 'own.json',
      mimeType: 'application/json',
      buffer: Buffer.from(content),
    });
    await page.getByRole('button', { name: 'Add', exact: true }).click();
  };
  const demo = page.locator('[data-catalogue]').first();
  const whole = (await (
    await page.request.get((await demo.getByRole('link', { name: /^Export/ }).getAttribute('href')) ?? '')
  ).json()) as { name: string; currency: string; motors: { id: string; name: string }[]; drives: []; parts: [] };
  const [first] = whole.motors;
  const own = {
    ...whole,
    name: 'Own store',
    motors: [{ ...first, id: 'OWN-1', name: 'Own motor' }],
    drives: [],
    parts: [],
    accessories: [],
  };
  await add('{"name": "half');
  await expect(page.locator('#file-error')).toContainText('not complete JSON');
  await add(JSON.stringify({ ...own, motors: [{ ...first, price: -1 }] }));
  await expect(page.locator('#file-error')).toContainText('motors.0.price');
  await add(JSON.stringify({ ...own, currency: 'EUR' }));
  await expect(page.locator('#file-error')).toContainText('one currency');
  await add(JSON.stringify({ ...own, motors: [first] }));
  await expect(page.locator('#file-error')).toContainText('stands in');
  await accessible(page);
  await add(JSON.stringify(own));
  await expect(page.locator('[data-catalogue="Own store"]')).toContainText('1 × motor');
  await visit(page, '/?q=Own motor');
  await expect(page.getByRole('region', { name: 'Catalogue items' })).toContainText('Own motor');
  await visit(page, '/catalogues');
  page.on('dialog', (dialog) => void dialog.accept());
  await page.getByRole('button', { name: 'Remove Own store' }).click();
  await expect(page.locator('[data-catalogue="Own store"]')).toHaveCount(0);
  expect((await page.request.get('/catalogues/nothing.json')).status()).toBe(404);
});

test('hours are dragged in the picture and typed in the table under it', async ({ page }) => {
  await startJob(page, 'energy', 'W-3', 'Dragged hours');
  await openStage(page, 'load');
  await fill(page, { 'load.torque': '70 lb·ft', 'load.speed': '1760' });
  await openStage(page, 'supply');
  await fill(page, { 'supply.voltage': '480', 'supply.frequency': '60' });
  await openStage(page, 'profile');
  await page.getByRole('button', { name: 'Add a row' }).click();
  await fill(page, { 'profile.points.0.flow': '60 %', 'profile.points.0.hours': '4000' });
  const picture = page.getByRole('region', { name: 'Power–flow curve' });
  // A white circle on the end of the bar.
  const grip = picture.locator('svg path[fill="#fffefb"]').last();
  await expect(grip).toBeVisible();
  const box = await grip.boundingBox();
  if (!box) throw new Error('nothing to drag');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x, y + 30, { steps: 5 });
  await page.mouse.up();
  await expect(field(page, 'profile.points.0.hours')).not.toHaveValue('4000');
  const hours = Number((await field(page, 'profile.points.0.hours').inputValue()).replace(' h', ''));
  expect(hours).toBeGreaterThan(500);
  expect(hours).toBeLessThan(3900);
  await expect(figure(page, 'profile.hours')).toContainText(hours >= 1000 ? String(hours).slice(0, 1) : 'h');
});

test('a machine’s curve is pasted, and every way to control the flow is drawn by it', async ({ page }) => {
  await startJob(page, 'energy', 'W-4', 'Curve of a pump');
  await openStage(page, 'load');
  await knownBy(page, 'pump');
  await fill(page, { 'load.flow': '100 m³/h', 'load.head': '40 m', 'load.staticHead': '15 m' });
  await fill(page, { 'load.machineEfficiency': '78 %', 'load.speed': '1760' });
  await openStage(page, 'supply');
  await fill(page, { 'supply.voltage': '480', 'supply.frequency': '60' });
  await openStage(page, 'profile');
  await field(page, 'profile.control').selectOption('throttle');
  await page.getByRole('button', { name: 'Add a row' }).click();
  await fill(page, { 'profile.points.0.flow': '70 %', 'profile.points.0.hours': '4000' });
  const throttle = page.locator('[data-control="throttle"]');
  await page.getByText('Curve data, kW').click();
  const before = await throttle.innerText();
  await page.locator('summary', { hasText: 'Machine curve' }).click();
  await page.getByLabel('Paste points').fill('Q (m³/h); H (m); eff (%)\n0; 60; 2\n50; 55; 60\n100; 40; 78\nrest');
  await page.getByRole('button', { name: 'Take the points' }).click();
  await expect(page.getByText('3 points read. 1 lines')).toBeVisible();
  await expect.poll(() => throttle.innerText()).not.toBe(before);
  await expect(page.getByRole('region', { name: 'Head–flow curve' })).toBeVisible();
  // A curve that rises from no flow is told.
  await fill(page, { 'profile.curve.0.head': '30 m' });
  await expect(page.locator('[data-finding="profile.drooping"]')).toContainText('two flows');
  // No more than 70 % is ever used.
  await expect(page.locator('[data-finding="profile.trim"]')).toContainText('trimmed impeller');
  await accessible(page);
});

test('undo goes back edit by edit, over saves, says what it changed and leads there', async ({ page }) => {
  await startJob(page, 'replace', 'W-9', 'Step by step');
  await openStage(page, 'nameplate');
  const power = field(page, 'nameplate.power');
  for (const typed of ['30 hp', '40 hp', '50 hp']) {
    await fill(page, { 'nameplate.power': typed });
    await saved(page);
  }
  await openStage(page, 'load');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  const told = page.getByTestId('stepped');
  await expect(told).toContainText('Undone: Nameplate: Rated power, 50 hp → 40 hp');
  await told.getByRole('button', { name: 'Go to it' }).click();
  await expect(power).toBeFocused();
  await expect(power).toHaveValue('40 hp');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(power).toHaveValue('30 hp');
  await page.getByRole('button', { name: 'Redo', exact: true }).click();
  await expect(told).toContainText('Redone: Nameplate: Rated power, 30 hp → 40 hp');
  await expect(power).toHaveValue('40 hp');
  await accessible(page);
});

test('a term is found by another name, from the header and from its field', async ({ page, context }) => {
  await page.goto('/glossary');
  await page.getByRole('searchbox', { name: 'Find a term' }).fill('WK²');
  await page.getByRole('button', { name: 'Find' }).click();
  await expect(page.locator('[data-term="load.inertia"]').first()).toContainText('Load inertia');
  await accessible(page);
  await page.goto('/glossary?q=%3Cb%3Ezqx');
  await expect(page.getByText('No term is called “<b>zqx”')).toBeVisible();

  await startJob(page, 'replace', 'W-9', 'Step by step');
  await openStage(page, 'nameplate');
  await field(page, 'nameplate.serviceFactor').focus();
  const opened = context.waitForEvent('page');
  await page.keyboard.press('F1');
  await expect((await opened).locator('[data-term="nameplate.serviceFactor"]').first()).toContainText('NEMA MG 1');
});
