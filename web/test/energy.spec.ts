/** Hours from shifts and logs, what may turn out otherwise, taking another than the best, repair or replace, and the rig. */
import { expect, test, type Page } from '@playwright/test';
import { accessible, field, figure, fill, finding, openStage, saved, startJob, visit } from './app.ts';

/** A new fan on a damper whose options have their costs known. */
async function fanJob(page: Page, tag: string): Promise<string> {
  const address = await startJob(page, 'new', tag, 'A fan of a test');
  await openStage(page, 'load');
  await fill(page, { 'load.torque': '70 lb·ft', 'load.speed': '1760' });
  await field(page, 'load.torqueKind').selectOption('variable');
  await openStage(page, 'supply');
  await fill(page, { 'supply.voltage': '480 V', 'supply.sourcePower': '1000 kVA', 'supply.sourceImpedance': '5 %' });
  await openStage(page, 'profile');
  await field(page, 'profile.control').selectOption('damper');
  return address;
}

const rows = (page: Page) => page.locator('[data-row^="profile.points."]');

test('a log of flow and power becomes the hours of a year, calibrated; a short one is told', async ({ page }) => {
  await fanJob(page, 'LOG-1');
  await page
    .getByRole('button', { name: /^Add a / })
    .first()
    .click();
  await fill(page, { 'profile.points.0.flow': '100 %', 'profile.points.0.hours': '4000 h' });
  await expect(figure(page, 'profile.energyThrottled')).toBeVisible();
  // Two days by the minute: half at 60 %, half at 100 %, with a power a little above what is calculated.
  const lines = Array.from({ length: 2881 }, (_, minute) => {
    const full = minute % 120 < 60;
    return `${minute * 60},${full ? 100 : 60},${full ? 20 : 16}`;
  });
  await page.getByText('Hours from a recorded log of flow or power').click();
  await page.locator('#flow-log-file').setInputFiles({
    name: 'flow.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(['time s,flow %,power kW', ...lines].join('\n')),
  });
  await expect(page.locator('#flow-log-second')).toHaveValue('2');
  await page.getByRole('button', { name: 'Make the hours' }).click();
  await expect(rows(page)).toHaveCount(2);
  await expect(field(page, 'profile.points.0.flow')).toHaveValue('100 %');
  await expect(field(page, 'profile.points.0.hours')).toHaveValue(/^4380/);
  await expect(field(page, 'profile.calibration')).toHaveValue(/^1\.0/);
  await expect(finding(page, 'profile.season')).toContainText('no season was seen');
  await saved(page);
});

test('a log that cannot be read, or tells no flow, is refused in words and changes nothing', async ({ page }) => {
  await fanJob(page, 'LOG-2');
  await page.getByText('Hours from a recorded log of flow or power').click();
  const choose = (buffer: string) =>
    page
      .locator('#flow-log-file')
      .setInputFiles({ name: 'log.csv', mimeType: 'text/csv', buffer: Buffer.from(buffer) });
  await choose('');
  await expect(page.getByRole('alert').filter({ hasText: 'The file is empty.' })).toBeVisible();
  await choose('time s,power kW\n0,12\n60,13\n120,12');
  await page.locator('#flow-log-unit').selectOption('kW');
  await page.getByRole('button', { name: 'Make the hours' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'bring load and hours first' })).toBeVisible();
  await expect(rows(page)).toHaveCount(0);
});

test('shifts by the clock: hours, a wrong time told at its field, energy at the price of each band', async ({
  page,
}) => {
  await fanJob(page, 'SHIFT-1');
  await page.getByText('Shift schedule: days, times, months').click();
  await page.getByRole('button', { name: 'Add a shift' }).click();
  await fill(page, {
    'profile.shifts.0.flow': '80 %',
    'profile.shifts.0.from': '25:00',
    'profile.shifts.0.to': '14:00',
  });
  await expect(page.locator('#field-profile-shifts-0-from-error')).toContainText('25:00');
  await fill(page, { 'profile.shifts.0.from': '6:00' });
  await expect(page.locator('#field-profile-shifts-0-from-error')).toHaveCount(0);
  await field(page, 'profile.shifts.0.days').selectOption('weekdays');
  // 8 h on 5/7 of 365 days.
  await expect(page.locator('[data-stage="profile"]')).toContainText(/2086\sh/);
});

test('what may turn out otherwise is drawn, and another than the best asks why', async ({ page }) => {
  await fanJob(page, 'RISK-1');
  await page
    .getByRole('button', { name: /^Add a / })
    .first()
    .click();
  await fill(page, { 'profile.points.0.flow': '60 %', 'profile.points.0.hours': '6000 h' });
  await openStage(page, 'money');
  await fill(page, { 'money.energyPrice': '0.10 per kWh' });
  const verdict = page.getByTestId('risk-verdict');
  await expect(verdict).toContainText(/costs less than . in \d+ of 100 draws/);
  await expect(verdict).toContainText('Both would cost the same if');
  await expect(page.locator('[data-swing="energyPrice"]')).toBeVisible();
  await expect(page.locator('[data-risk="discounted"]')).toContainText(' to ');
  const before = await page.locator('[data-risk="discounted"]').textContent();
  await fill(page, { 'money.energyPrice': '0.20 per kWh' });
  await expect(page.locator('[data-risk="discounted"]')).not.toHaveText(before ?? '');
  await accessible(page);
  // The direct start is taken though the drive costs less by far.
  await openStage(page, 'starting');
  await field(page, 'starting.method').selectOption('direct');
  await openStage(page, 'handover');
  await expect(page.locator('[data-missing="Needed for a decision"]')).toContainText('One sentence why');
  await fill(page, { 'handover.why': 'Nobody here can mend a drive.' });
  await expect(page.getByText('One sentence why')).toHaveCount(0);
  await expect(page.getByText('Nobody here can mend a drive.').last()).toBeVisible();
});

test('a book of prices of the site: kept, filled in for the next job, its parts taken at a click', async ({ page }) => {
  const kept = async (tag: string) => {
    await startJob(page, 'new', tag, 'A fan of a test', 'Prices Mill');
    await openStage(page, 'pick');
    await page
      .getByRole('button', { name: /^Add a/ })
      .last()
      .click();
    await fill(page, { 'pick.accessories.0.part': 'Choke', 'pick.accessories.0.price': '150' });
    await openStage(page, 'money');
    await fill(page, { 'money.energyPrice': '0.12 per kWh' });
    await saved(page);
  };
  await kept('BOOK-1');
  await page.getByLabel('Keep what is typed as').fill('2026');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText('Kept as 2026')).toBeVisible();
  await startJob(page, 'new', 'BOOK-2', 'Another fan of a test', 'Prices Mill');
  await openStage(page, 'money');
  await page.getByLabel('Prices of Prices Mill').selectOption('2026');
  await expect(field(page, 'money.energyPrice')).toHaveValue('0.12 per kWh');
  await page.getByRole('button', { name: 'Choke · 150' }).click();
  await accessible(page);
  await openStage(page, 'pick');
  await expect(field(page, 'pick.accessories.0.price')).toHaveValue('150');
  const refused = await page.request.put('/api/records', {
    data: { kind: 'prices', site: 'Prices Mill', name: '', document: { parts: [{ part: '' }] } },
  });
  expect(refused.status()).toBe(422);
});

test.describe('the rig', () => {
  const watts = async (page: Page, at: number): Promise<number> =>
    Number((await page.locator('[data-meter="watts"] td').nth(at).textContent()) ?? Number.NaN);

  test('flows matched, meters read, flux and motors changed, a reading taken into a job', async ({ page }) => {
    await visit(page, '/rig');
    await expect(page.locator('[data-meter="watts"]')).toBeVisible();
    await page.locator('#rig-damper').fill('50');
    await page.locator('#rig-speed').fill('80');
    await expect(page.getByTestId('rig-verdict')).toContainText('slow it');
    await page.locator('#rig-speed').fill('47');
    await expect(page.getByTestId('rig-verdict')).toContainText('The flows match');
    // Half the flow: the cube of the speed and losses, against most of the power behind a damper.
    expect(await watts(page, 1)).toBeLessThan(0.4 * (await watts(page, 0)));
    await expect(page.locator('[data-meter="expected"] td').first()).toContainText('✓');
    await accessible(page);
    const before = await watts(page, 0);
    await page.getByText('Motors twice too large').click();
    await expect(page.getByLabel('Motors twice too large')).toBeChecked();
    await expect.poll(async () => Math.abs((await watts(page, 0)) - before)).toBeGreaterThan(20);
    await page.getByText('Drive lowers the flux').click();
    await expect(page.getByLabel('Drive lowers the flux')).toBeChecked();
    await page.getByRole('button', { name: 'Take blower 1 into a job' }).click();
    await page.waitForURL(/\/jobs\/[\w-]+\/load$/);
    await expect(page.getByRole('banner')).toContainText('RIG-1');
  });
  test('what it cannot take is refused at its field', async ({ request }) => {
    const put = (data: object) => request.put('/api/rig', { data });
    const refused = await put({ damper: 3, speed: 0.5, leastFlux: false, oversized: false });
    expect(refused.status()).toBe(422);
    expect(((await refused.json()) as { issues: { path: string }[] }).issues[0]?.path).toBe('damper');
    expect((await put({})).status()).toBe(422);
    expect((await request.get('/api/rig')).status()).toBe(200);
  });
});
