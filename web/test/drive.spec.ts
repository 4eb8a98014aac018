/** The whole drive: what a long cable does to an old winding, the generator-fed works, the network, the settings sheet typed back. */
import { expect, test, type Page } from '@playwright/test';
import { accessible, copyOfDemo, field, figure, fill, finding, openStage, saved, startJob, visit } from './app.ts';

const open = async (page: Page, tag: string): Promise<void> =>
  visit(page, `${await copyOfDemo(page, tag, `DRV-${tag.slice(0, 2)}`)}/drive`);
const tab = (page: Page, name: string) => page.getByRole('tab', { name });

test('an old motor on 64 m of cable: the peak, the filter that mends it, and what stops without it', async ({
  page,
}) => {
  const address = await startJob(page, 'drive', 'OLD-1', 'A silent motor far away');
  await openStage(page, 'nameplate');
  await fill(page, {
    'nameplate.power': '20 hp',
    'nameplate.voltages': '460 V',
    'nameplate.currents': '25 A',
    'nameplate.frequency': '60 Hz',
    'nameplate.speed': '1760 r/min',
  });
  await openStage(page, 'load');
  await fill(page, { 'load.torque': '50 lb·ft', 'load.speed': '1760' });
  await openStage(page, 'supply');
  await fill(page, { 'supply.voltage': '480 V', 'supply.sourcePower': '1000 kVA', 'supply.sourceImpedance': '5 %' });
  await openStage(page, 'starting');
  await field(page, 'starting.method').selectOption('drive');
  await openStage(page, 'drive');
  await expect(page.getByText('Motor cable length, for the peak').first()).toBeVisible();
  await fill(page, { 'drive.lead': '64 m' });
  // √2·480·1.95 at the end of a cable that reflects all; 1000 V are borne.
  await expect(figure(page, 'drive.peakVoltage')).toHaveText(/^13\d\d\sV$/);
  await expect(finding(page, 'drive.filter-needed')).toContainText('1000');
  await field(page, 'drive.filter').selectOption('none');
  await expect(page.locator('[data-stage="drive"]')).toContainText('Motor not like this');
  const stop = finding(page, 'drive.winding-peak');
  await expect(stop).toContainText('winding withstand 1000');
  await stop.getByRole('button', { name: 'Add a dV/dt filter' }).click();
  await expect(field(page, 'drive.filter')).toHaveValue('dV/dt');
  await expect(stop).toHaveCount(0);
  await expect(figure(page, 'drive.filteredPeak')).toHaveText('1000 V');
  await tab(page, 'Cable and winding').click();
  await expect(page.getByRole('img', { name: /^Peak voltage at the winding/ })).toHaveAttribute('data-drawn', 'true');
  await page.getByText('Letter to the manufacturer').click();
  await expect(page.locator('[data-letter]')).toContainText('Which peak voltage at its terminals');
  await saved(page);
  await openStage(page, 'money');
  await expect(page.locator('[data-bill="accessory"]').first()).toContainText('dV/dt filter');
  await visit(page, `${address}/sheet`);
  await expect(page.getByRole('table', { name: 'Drive settings' })).toContainText('Motor rated current');
});

test('a cable that is nonsense is told at its field and nothing typed is lost', async ({ page }) => {
  await open(page, 'P-214');
  await fill(page, { 'drive.lead': '-5 ft' });
  await expect(page.locator('#field-drive-lead-error')).toContainText('must be more than zero');
  await fill(page, { 'drive.lead': 'round the corner' });
  await expect(page.locator('#field-drive-lead-error')).toContainText('has no number');
  await expect(field(page, 'drive.lead')).toHaveValue('round the corner');
});

test('the generator-fed works: distortion of its voltage, and what each line side would come to', async ({ page }) => {
  await open(page, 'KA-2');
  await tab(page, 'Network').click();
  const remedies = page.locator('[data-remedy]');
  await expect(remedies).toHaveCount(7);
  await expect(page.locator('[data-remedy="choke 3 %"]')).toContainText('taken');
  await field(page, 'drive.lineSide').selectOption('none');
  await expect(page.locator('[data-remedy="none"]')).toContainText('taken');
  await page.getByText('Line side and harmonics').click();
  await fill(page, { 'drive.otherDrives': '150 A' });
  await expect(finding(page, 'drive.generator-share')).toContainText('without line reactor');
  await accessible(page);
});

test('what was set is typed back: a wrong frequency is told, a rounded voltage is not', async ({ page }) => {
  await open(page, 'HF-031');
  await page.getByLabel('Motor rated frequency, as set').fill('50 Hz');
  await page.getByLabel('Motor rated voltage, as set').fill('462 V');
  await page.getByLabel('Motor rated voltage, as set').blur();
  await expect(page.locator('[data-setting="ratedFrequency"]')).toContainText('differs');
  await expect(page.locator('[data-setting="ratedVoltage"]')).not.toContainText('differs');
  await expect(finding(page, 'drive.setting-differs')).toContainText('calculated 60 Hz');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as CSV' }).click(),
  ]);
  expect(file.suggestedFilename()).toBe('drv-hf-settings.csv');
});

test('an option without a drive says so, and leads to where one is taken', async ({ page }) => {
  await open(page, 'BP-3');
  await expect(page.locator('[data-stage="drive"]')).toContainText('No drive in this option');
  await expect(page.getByTestId('not-asked')).toHaveCount(0);
  await page.getByRole('region', { name: 'Drive charts' }).getByRole('link', { name: 'Starting' }).click();
  await expect(page).toHaveURL(/\/starting$/);
});

test('a signal turns a needle, and what it asks beyond the highest frequency is told', async ({ page }) => {
  await open(page, 'HF-031');
  const asks = page.getByTestId('signal-asks');
  await expect(asks).toHaveText('30.0 Hz');
  await page.locator('#signal-scale').fill('0.25');
  await expect(asks).toHaveText('15.0 Hz');
  await page.locator('summary', { hasText: /^Control/ }).click();
  await fill(page, { 'drive.referenceHigh': '90 Hz' });
  await expect(finding(page, 'drive.scaling')).toContainText('90 Hz');
  await page.locator('#signal-scale').fill('1');
  await expect(page.getByTestId('signal-gives')).toContainText('the highest frequency ends it');
});

test('the terminal plan says what goes where, and follows the control that is chosen', async ({ page }) => {
  await open(page, 'BL-402');
  const plan = page.getByRole('region', { name: 'Terminal plan' });
  await expect(plan.locator('[data-terminal="Encoder"]')).toHaveCount(1);
  await expect(plan.locator('[data-terminal="Chopper"]')).toContainText('brake resistor');
  await page.locator('summary', { hasText: /^Control/ }).click();
  await field(page, 'drive.command').selectOption('two-wire');
  await expect(plan.locator('[data-terminal="Run"]')).toHaveCount(1);
  await expect(plan.locator('[data-terminal="Start"]')).toHaveCount(0);
  await accessible(page);
});

test.describe('the drive to practise on', () => {
  test.describe.configure({ mode: 'serial' });

  test('from a plate to a running fan: wrong settings show what they do, the exercise is graded', async ({ page }) => {
    test.slow();
    await visit(page, '/rig');
    const practice = page.getByRole('region', { name: 'A drive to practise on' });
    await practice.getByRole('button', { name: 'Begin again' }).click();
    const grade = page.getByTestId('practice-grade');
    await expect(grade).toHaveText('Exercise: 0 of 8 done');
    const set = async (name: string, text: string): Promise<void> => {
      await page.locator(`#practice-${name}`).fill(text);
      await page.locator(`#practice-${name}`).blur();
    };
    // As it left its box it trips before it turns.
    await page.locator('#practice-signal').fill('16.8');
    await practice.getByRole('button', { name: 'Start' }).click();
    await expect(page.getByTestId('practice-told')).toContainText('Tripped on current');
    await practice.getByRole('button', { name: 'Reset the trip' }).click();
    await expect(page.getByTestId('practice-told')).not.toContainText('Tripped');
    await set('baseFrequency', '6');
    await expect(page.locator('#practice-baseFrequency-error')).toHaveText('From 10 to 200 Hz.');
    for (const [name, text] of [
      ['baseFrequency', '60'],
      ['baseVoltage', '460'],
      ['motorCurrent', '9.55'],
      ['mostFrequency', '60'],
      ['rampUp', '5'],
      ['rampDown', '15'],
      ['boost', '2'],
      ['signalHigh', '60'],
    ] as const)
      await set(name, text);
    await expect(grade).toHaveText('Exercise: 6 of 8 done');
    await practice.getByRole('button', { name: 'Start' }).click();
    await expect(practice.locator('[data-task="run"]')).toHaveAttribute('data-done', 'true', { timeout: 40_000 });
    await expect(practice.locator('[data-practice="Flux"]')).toContainText('100 %');
    await practice.getByRole('button', { name: 'Stop' }).click();
    await expect(grade).toHaveText('Exercise: 8 of 8 done', { timeout: 60_000 });
    await accessible(page);
  });

  test('refuses what cannot be set, in words', async ({ request }) => {
    const put = (data: object) => request.put('/api/rig/practice', { data });
    expect((await put({})).status()).toBe(422);
    const read = await request.get('/api/rig/practice');
    const { setting, hand } = (await read.json()) as { setting: object; hand: object };
    expect((await put({ setting: { ...setting, rampUp: -3 }, hand })).status()).toBe(422);
    expect((await put({ setting, hand })).status()).toBe(200);
  });
});
