import { expect, test } from '@playwright/test';
import {
  accessible,
  copyOfDemo,
  demoJob,
  field,
  figure,
  fill,
  finding,
  openStage,
  saved,
  startJob,
  visit,
} from './app.ts';

const PLATE =
  'HP 15 RPM 1770 V 230/460 A 38/19 HZ 60 SF 1.15 CODE G DES B EFF 92.4 FR 254T TEFC INS F CONT DE 6309-2Z/C3 WIBBLE 46O';

test('a pasted plate shows what each word was taken for, and a word is put right in place', async ({ page }) => {
  await startJob(page, 'replace', 'T-310', 'Save-all pump');
  await field(page, 'nameplate.asRead').fill(PLATE);
  await page.getByRole('button', { name: 'Read into the fields' }).click();
  await expect(page.getByText('Not understood: WIBBLE, 46O')).toBeVisible();
  await expect(page.locator('[data-token="ignored"]')).toHaveText(['WIBBLE', '46O']);
  await expect(page.locator('[data-token="understood"]').filter({ hasText: '254T' })).toBeVisible();
  await expect(figure(page, 'nameplate.bearingDriveEnd')).toContainText('45 mm bore');
  await expect(figure(page, 'nameplate.feetAcross')).toHaveText('10.0\u00a0in');
  await expect(page.getByRole('img', { name: /shaft height 6.25 in/ })).toBeVisible();

  await page.getByRole('button', { name: 'WIBBLE: not understood' }).click();
  await page.getByLabel(/“WIBBLE” is/).selectOption({ label: 'Serial number' });
  await expect(field(page, 'nameplate.serial')).toHaveValue('WIBBLE');
  await expect(page.locator('[data-token="ignored"]')).toHaveText(['46O']);
  await accessible(page);
  await saved(page);
  await page.reload();
  await expect(field(page, 'nameplate.asRead')).toHaveValue(PLATE);
});

test('a plate that disagrees with itself names the digit; a second rating set serves its own frequency', async ({
  page,
}) => {
  await startJob(page, 'starter', 'T-311', 'Wash press');
  await fill(page, { 'nameplate.power': '15 hp', 'nameplate.voltages': '230/460', 'nameplate.currents': '38/16' });
  await expect(finding(page, 'nameplate.ratio')).toContainText('Current 16 may be a misread 19');
  await fill(page, { 'nameplate.currents': '38/19', 'nameplate.frequency': '60', 'nameplate.speed': '1770' });
  await expect(finding(page, 'nameplate.ratio')).toBeHidden();
  await page.getByText('Second rating, other frequency').click();
  await fill(page, {
    'nameplate.altFrequency': '50',
    'nameplate.altSpeed': '1465',
    'nameplate.altVoltages': '190/380',
  });
  await openStage(page, 'supply');
  await fill(page, { 'supply.voltage': '380 V', 'supply.frequency': '50 Hz' });
  await openStage(page, 'nameplate');
  await expect(figure(page, 'nameplate.speed')).toHaveText('1465\u00a0r/min');
  await expect(figure(page, 'nameplate.slip')).toHaveText('2.33\u00a0%');
});

test('an early failure is inquired into, and what is found reaches the pick and the sheet', async ({ page }) => {
  const job = await copyOfDemo(page, 'PU-205', 'PLT-1');
  await visit(page, `${job}/situation`);
  await fill(page, { 'situation.life': '2 years' });
  await field(page, 'situation.failureMode').selectOption('bearing');
  await expect(finding(page, 'situation.early-failure')).toContainText('is unexplained');
  await page.locator('[data-cause="drive-currents"]').getByRole('link').click();
  await expect(field(page, 'situation.onDrive')).toBeFocused();
  await field(page, 'situation.onDrive').check();
  const cause = page.locator('[data-cause="drive-currents"]');
  await expect(cause).toContainText('△ it ran on a drive');
  await accessible(page);
  await cause.getByLabel('Found').check();
  await expect(finding(page, 'situation.early-failure')).toBeHidden();
  await expect(figure(page, 'situation.remedies')).toContainText('shaft grounding ring');
  await saved(page);
  await page.getByRole('link', { name: 'Selection sheet' }).click();
  const sheet = page.getByRole('article', { name: 'Selection sheet' });
  await expect(sheet.getByText(/shaft grounding ring; insulated bearing/)).toBeVisible();
});

test('each way in asks only what it needs, and going back loses nothing', async ({ page }) => {
  await startJob(page, 'replace', 'T-312', 'Screen room fan');
  await fill(page, { 'nameplate.power': '40 hp', 'nameplate.frame': '324T' });
  await openStage(page, 'situation');
  await page.locator('[data-kind="new"] input').check();
  await expect(page.locator('[data-stage="nameplate"]')).toHaveAttribute('data-state', 'not asked');
  await openStage(page, 'nameplate');
  await expect(page.getByTestId('not-asked')).toContainText('kept');
  await openStage(page, 'situation');
  await page.locator('[data-kind="energy"] input').check();
  await expect(page.locator('[data-stage="starting"]')).toHaveAttribute('data-state', 'not asked');
  await openStage(page, 'nameplate');
  await expect(field(page, 'nameplate.frame')).toBeHidden();
  await openStage(page, 'situation');
  await page.locator('[data-kind="replace"] input').check();
  await openStage(page, 'nameplate');
  await expect(field(page, 'nameplate.frame')).toHaveValue('324T');
  await expect(field(page, 'nameplate.power')).toHaveValue('40 hp');
});

test('a plate that cannot be read is recovered by measuring, never passed off as known', async ({ page }) => {
  await startJob(page, 'replace', 'T-313', 'Old rope drive');
  await page.getByText('Nameplate missing or unreadable').click();
  await field(page, 'nameplate.unreadable').check();
  await fill(page, { 'nameplate.measuredShaftHeight': '6.25 in', 'nameplate.measuredShaftDiameter': '1.625 in' });
  await expect(figure(page, 'nameplate.recoveredFrame')).toContainText('254T');
  await expect(page.getByRole('region', { name: 'Results from measurements' })).toContainText('good');
  await expect(finding(page, 'nameplate.recovered')).toContainText('must not be bought from');
  await fill(page, { 'nameplate.measuredShaftDiameter': 'thick' });
  await expect(page.locator('#field-nameplate-measuredShaftDiameter-error')).toContainText('Write it like');
  await accessible(page);
});

test('the spare on the shelf is offered before the catalogue', async ({ page }) => {
  const job = await demoJob(page, 'P-214');
  await visit(page, `${job}/pick`);
  const spares = page.getByRole('region', { name: 'Spares in the register' });
  await expect(spares).toContainText('S-017');
  await expect(spares).toContainText('suitable');
  await expect(spares.getByRole('listitem').filter({ hasText: 'S-018' })).toContainText('short shaft');
  await expect(page.locator('[data-outline="both"]')).toContainText('it drops in');
  await accessible(page);
});
