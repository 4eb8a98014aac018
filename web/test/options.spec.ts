/** Options of a job as a person meets them: proposed, taken, named, copied, dropped, compared and handed over. */
import { expect, test, type Locator, type Page } from '@playwright/test';
import { accessible, field, figure, fill, openStage, saved, startJob, knownBy } from './app.ts';

const tabs = (page: Page): Locator => page.getByRole('region', { name: 'Options', exact: true });
const tab = (page: Page, letter: string): Locator => tabs(page).locator(`[data-option="${letter}"]`);
const choose = (page: Page, letter: string): Promise<void> => tab(page, letter).getByRole('button').first().click();
const menu = (page: Page, letter: string): Locator =>
  tabs(page).getByRole('button', { name: `Name or copy option ${letter}` });
const compared = (page: Page, id: string): Locator => page.locator(`[data-compared="${id}"]`);

test('a fan’s drive beside a direct start: taken, named, copied, changed, compared, dropped and undone', async ({
  page,
}) => {
  await startJob(page, 'new', 'F-610', 'Hood exhaust fan');
  await openStage(page, 'load');
  await knownBy(page, 'torque');
  await fill(page, { 'load.torque': '70 lb·ft', 'load.speed': '1760' });
  await field(page, 'load.torqueKind').selectOption('variable');
  await openStage(page, 'supply');
  await fill(page, { 'supply.voltage': '480', 'supply.frequency': '60', 'supply.sourcePower': '1000 kVA' });
  await openStage(page, 'place');
  await field(page, 'place.hazardous').selectOption('no');
  await openStage(page, 'profile');
  await field(page, 'profile.control').selectOption('damper');
  await page.getByRole('button', { name: 'Add a row' }).click();
  await fill(page, { 'profile.points.0.flow': '60 %', 'profile.points.0.hours': '6000' });
  await openStage(page, 'money');
  await fill(page, { 'money.energyPrice': '0.10 per kWh' });

  // One answer of its own, a start proposed beside it.
  await expect(tab(page, 'A')).toContainText('Drive');
  await expect(tab(page, 'B')).toContainText('Direct start');
  await expect(tab(page, 'B')).toContainText('proposed');
  await expect(compared(page, 'money.lifeCost').locator('td').first()).toContainText('★');
  await expect(page.getByTestId('best-option')).toHaveText('A is best by “life-cycle cost, undiscounted”.');
  // Against the one that costs least to buy, with its rate of return.
  await expect(page.locator('[data-worth="net-present-value"]')).toContainText('against B');
  await expect(page.locator('[data-worth="net-present-value"]')).toContainText('is the measure');
  await expect(page.locator('[data-worth="internal-rate"]')).toContainText('%');
  await expect(page.getByText(/B \(Direct start\) would cost less if less than/)).toBeVisible();

  await tabs(page).getByRole('button', { name: 'Take option B' }).click();
  await expect(tab(page, 'B')).not.toContainText('proposed');
  await choose(page, 'B');
  await expect(tab(page, 'B').getByRole('button').first()).toHaveAttribute('aria-pressed', 'true');
  await menu(page, 'B').click();
  await tabs(page).getByLabel('Name', { exact: true }).fill('Plain starter');
  await expect(tab(page, 'B')).toContainText('Plain starter');
  await openStage(page, 'starting');
  await expect(figure(page, 'starting.method')).toHaveText('direct');
  await expect(field(page, 'starting.method')).toHaveValue('direct');

  // A copy is changed by itself.
  await menu(page, 'B').click();
  await tabs(page).getByRole('button', { name: 'Copy B' }).click();
  await expect(tab(page, 'C')).toContainText('Plain starter (copy)');
  await field(page, 'starting.method').selectOption('soft starter');
  await expect(figure(page, 'starting.method')).toHaveText('soft starter');
  await openStage(page, 'pick');
  await page.getByRole('button', { name: 'Add a part' }).click();
  await fill(page, { 'pick.accessories.0.part': 'Panel', 'pick.accessories.0.price': 'a lot' });
  await expect(page.locator('[data-field="pick.accessories.0.price"]')).toContainText('has no number');
  await fill(page, { 'pick.accessories.0.price': '750' });
  await openStage(page, 'handover');
  await expect(compared(page, 'starting.method')).toContainText('soft starter');
  await accessible(page);
  await choose(page, 'B');
  await openStage(page, 'starting');
  await expect(field(page, 'starting.method')).toHaveValue('direct');

  await tabs(page).getByRole('button', { name: 'Drop option C' }).click();
  await expect(tab(page, 'C')).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(tab(page, 'C')).toContainText('Plain starter (copy)');

  // What is stored and printed is the chosen one’s, with the others beside it.
  await saved(page);
  await page.reload();
  await expect(tab(page, 'B').getByRole('button').first()).toHaveAttribute('aria-pressed', 'true');
  await expect(figure(page, 'starting.method')).toHaveText('direct');
  await page.getByRole('link', { name: 'Selection sheet' }).click();
  const sheet = page.getByRole('article', { name: 'Selection sheet' });
  await expect(sheet.getByRole('table', { name: 'Comparison of options' })).toContainText('B · Plain starter');
  await expect(sheet.getByTestId('decision')).toContainText('contactor');
});

test('an option with a stop is shown as such and keeps nobody from handing over another', async ({ page }) => {
  await startJob(page, 'replace', 'P-620', 'Seal-water pump');
  await openStage(page, 'nameplate');
  await fill(page, {
    'nameplate.power': '15 hp',
    'nameplate.voltages': '460',
    'nameplate.currents': '19',
    'nameplate.frequency': '60',
    'nameplate.speed': '1770',
    'nameplate.frame': '254T',
  });
  await openStage(page, 'supply');
  await fill(page, { 'supply.voltage': '480' });
  await openStage(page, 'place');
  await field(page, 'place.hazardous').selectOption('no');
  await openStage(page, 'starting');
  await menu(page, 'A').click();
  await tabs(page).getByRole('button', { name: 'Copy A' }).click();
  await field(page, 'starting.method').selectOption('star-delta');
  await expect(tab(page, 'B')).toContainText('stopped');
  await expect(page.getByTestId('findings-count')).toContainText('1 stop');
  await choose(page, 'A');
  await expect(page.getByTestId('findings-count')).not.toContainText('stop');
  await expect(tab(page, 'A')).toContainText('least cost');
  await openStage(page, 'handover');
  await expect(figure(page, 'handover.decision')).toContainText('254T');
});
