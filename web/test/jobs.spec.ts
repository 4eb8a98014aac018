import { expect, test } from '@playwright/test';
import {
  accessible,
  demoJob,
  field,
  figure,
  fill,
  finding,
  openStage,
  saved,
  startJob,
  visit,
  knownBy,
} from './app.ts';

const PLATE = 'HP 25 RPM 1770 V 230/460 A 62/31 HZ 60 SF 1.15 CODE G DES B EFF 92.4 PF 0.82 FR 284T TEFC INS F CONT';

test('a failed motor is replaced from its plate to the PDF', async ({ page }) => {
  await startJob(page, 'replace', 'T-100', 'Couch pit pump');
  await field(page, 'nameplate.asRead').fill(PLATE);
  await page.getByRole('button', { name: 'Read into the fields' }).click();
  await expect(page.getByText('fields read')).toBeVisible();
  await expect(field(page, 'nameplate.frame')).toHaveValue('284T');
  await expect(figure(page, 'nameplate.poles')).toHaveText('4');
  await expect(figure(page, 'nameplate.ratedCurrent')).toHaveText('31.0\u00a0A');

  await openStage(page, 'situation');
  await fill(page, { 'situation.life': '2 years' });
  await expect(finding(page, 'situation.early-failure')).toBeVisible();

  await openStage(page, 'load');
  await field(page, 'load.machine').selectOption('pump');
  await field(page, 'load.torqueKind').selectOption('variable');
  await fill(page, { 'load.torque': '60 lb·ft', 'load.speed': '1768 rpm' });
  await expect(figure(page, 'load.motorPower')).toHaveText('20.2\u00a0hp');

  await openStage(page, 'supply');
  await fill(page, {
    'supply.voltage': '480 V',
    'supply.frequency': '60 Hz',
    'supply.sourcePower': '1000 kVA',
    'supply.sourceImpedance': '5.75 %',
  });
  await openStage(page, 'place');
  await fill(page, { 'place.ambient': '104 °F' });

  await openStage(page, 'profile');
  await field(page, 'profile.control').selectOption('throttle');
  for (const [index, [flow, hours]] of [
    ['100 %', '2000'],
    ['70 %', '4000'],
  ].entries()) {
    await page.getByRole('button', { name: 'Add a row' }).click();
    await fill(page, { [`profile.points.${index}.flow`]: flow ?? '', [`profile.points.${index}.hours`]: hours ?? '' });
  }
  await expect(page.locator('[data-drawn="true"] svg').first()).toBeVisible();
  await openStage(page, 'money');
  await fill(page, { 'money.energyPrice': '0.10 per kWh' });

  await openStage(page, 'pick');
  await expect(page.locator('[data-motor]').first()).toContainText('25 hp 4-pole 284T');
  await expect(page.locator('[data-drive]').first()).toBeVisible();
  await expect(page.getByRole('region', { name: 'Rejected motors' })).toContainText('2 poles, not 4');
  await openStage(page, 'protection');
  await expect(figure(page, 'protection.tableCurrent')).toHaveText('34.0\u00a0A');
  await saved(page);

  await page.getByRole('link', { name: 'Selection sheet' }).click();
  await expect(page.getByTestId('decision')).toContainText('25 hp 4-pole 284T with');
  await expect(page.getByRole('region', { name: 'Cautions' })).toContainText('prove dead');
  await expect(page.getByRole('article', { name: 'Selection sheet' })).toContainText('failure is unexplained');
  await accessible(page);

  const pdf = await page.request.get(page.url().replace(/sheet$/, 'sheet.pdf'));
  expect(pdf.headers()['content-type']).toBe('application/pdf');
  const bytes = await pdf.body();
  expect(bytes.subarray(0, 5).toString()).toBe('%PDF-');
  expect(bytes.toString('latin1')).toMatch(/FontFile[23]/);
  expect(bytes.toString('latin1')).toContain('[0 0 612 792]'); // US Letter by the site

  const solution = (await (await page.request.get(page.url().replace(/sheet$/, 'solution.json'))).json()) as {
    values: Record<string, { value: unknown }>;
  };
  expect(solution.values['protection.tableCurrent']?.value).toBe(34);
});

test('a new machine from force and radius to a drive, on the keyboard where it matters', async ({ page }) => {
  await startJob(page, 'new', 'T-200', 'Slat conveyor');
  await knownBy(page, 'force');
  await fill(page, {
    'load.force': '500 lbf',
    'load.radius': '10 in',
    'load.speed': '100 rpm',
    'load.ratio': '17.5',
    'load.transmissionEfficiency': '92 %',
  });
  await expect(figure(page, 'load.torque')).toHaveText('417\u00a0lb·ft');
  // 500·10/12 / (17.5·0.92) = 25.9 lb·ft at 1750 r/min: 8.6 hp
  await expect(figure(page, 'load.motorTorque')).toHaveText('25.9\u00a0lb·ft');
  await expect(figure(page, 'load.standardPower')).toHaveText('10\u00a0hp');

  await figure(page, 'load.motorTorque').focus();
  await page.keyboard.press('Enter');
  const working = page.getByRole('dialog', { name: 'Derivation of Torque at motor shaft' });
  await expect(working.locator('math')).toBeVisible();
  await expect(working).toContainText('92.0');
  await page.keyboard.press('Escape');
  await expect(working).toBeHidden();
  await expect(figure(page, 'load.motorTorque')).toBeFocused();

  await openStage(page, 'supply');
  await fill(page, {
    'supply.voltage': '480',
    'supply.frequency': '60',
    'supply.sourcePower': '500 kVA',
    'supply.sourceImpedance': '4 %',
  });
  await openStage(page, 'starting');
  await field(page, 'starting.speedControl').selectOption('yes');
  await expect(figure(page, 'starting.method')).toHaveText('drive');
  await openStage(page, 'pick');
  await expect(page.locator('[data-drive]').first()).toBeVisible();
  const second = page.locator('[data-motor]').nth(1);
  const id = await second.getAttribute('data-motor');
  await second.getByRole('button', { name: 'Choose' }).click();
  await expect(page.locator(`[data-motor="${id}"]`)).toContainText('chosen');
  await expect(page.locator('[data-train="feed"]')).toHaveAttribute('data-state', 'decided');
  await accessible(page);

  await page.locator('body').click({ position: { x: 5, y: 790 } });
  await page.keyboard.press('Control+z');
  await expect(page.locator(`[data-motor="${id}"]`)).not.toContainText('chosen');
  await saved(page);
});

test('a hazardous area stops everything, on screen and on the sheet', async ({ page }) => {
  const job = await demoJob(page, 'HF-031');
  const copy = await page.request.post('/api/jobs', {
    data: (await (await page.request.get(`${job}/export.json`)).json()) as object,
  });
  const { id } = (await copy.json()) as { id: string };
  await visit(page, `/jobs/${id}/place`);
  await field(page, 'place.hazardous').selectOption('yes');
  await expect(finding(page, 'place.hazardous')).toContainText('does not choose explosion-protected');
  await expect(page.locator('[data-train="motor"]')).toHaveAttribute('data-state', 'stopped');
  await expect(page.locator('[data-stage="handover"]')).toHaveAttribute('data-state', 'stop');
  await openStage(page, 'pick');
  await expect(page.locator('[data-drive]')).toHaveCount(0);
  await saved(page);
  await page.getByRole('link', { name: 'Selection sheet' }).click();
  await expect(page.getByTestId('decision')).toContainText('Stopped');
  await visit(page, '/');
  await expect(page.locator('[data-job="HF-031"]').first()).toHaveAttribute('data-state', 'stopped');
});

test('bad input is met at the field and nothing typed is lost', async ({ page }) => {
  const job = await startJob(
    page,
    'replace',
    'T-300',
    '<b>Bad</b> input & a title that goes on and on, far longer than anybody would sensibly write it down',
  );
  const cases: readonly (readonly [stage: string, path: string, typed: string, says: RegExp])[] = [
    ['nameplate', 'nameplate.power', '15 fr²', /Unit “fr²” is not known here\. Accepted: kW, hp/],
    ['nameplate', 'nameplate.currents', '-31 A', /empty place|more than zero/],
    ['nameplate', 'nameplate.speed', '1,770', /Write 1770 or 1\.770/],
    ['load', 'load.torque', '1e9 N·m', /outside what is believable/],
    ['load', 'load.transmissionEfficiency', '140 %', /20\.0\s% to 100\s%/],
    ['supply', 'supply.voltage', 'volts', /no number/],
    ['place', 'place.ambient', '400 °C', /outside what is believable/],
  ];
  for (const [stage, path, typed, says] of cases) {
    await openStage(page, stage);
    await field(page, path).fill(typed);
    await expect(page.locator(`#field-${path.replaceAll('.', '-')}-error`)).toHaveText(says);
    await expect(field(page, path)).toHaveAttribute('aria-invalid', 'true');
  }
  await accessible(page);
  await saved(page);
  await visit(page, `${job}/nameplate`);
  await expect(field(page, 'nameplate.power')).toHaveValue('15 fr²');
  await finding(page, 'input.unreadable').getByRole('link').click();
  await expect(field(page, 'nameplate.power')).toBeFocused();
});

test('what is typed before the scripts arrive is kept', async ({ page }) => {
  const job = await startJob(page, 'replace', 'T-310', 'Early typist');
  let release = (): void => undefined;
  const released = new Promise<void>((done) => (release = done));
  await page.route('**/_app/**/*.js', async (route) => {
    await released;
    await route.continue();
  });
  await page.goto(`${job}/nameplate`, { waitUntil: 'commit' });
  await field(page, 'nameplate.power').fill('40 hp');
  await expect(page.locator('html[data-hydrated]')).toHaveCount(0);
  release();
  await page.waitForSelector('html[data-hydrated]');
  await expect(field(page, 'nameplate.power')).toHaveValue('40 hp');
  await expect(page.locator('[data-stage="nameplate"]')).toContainText('40\u00a0hp');
  await saved(page);
});

test('home searches jobs and catalogue, and imports what was exported', async ({ page }) => {
  await visit(page, '/');
  await page.getByLabel('Search jobs, motors and catalogue').fill('agitator');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('link', { name: 'KA-2' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'P-214' })).toHaveCount(0);
  await visit(page, '/?q=Limekiln 15');
  await expect(page.getByRole('region', { name: 'Catalogue items' })).toContainText('Limekiln 15 hp');
  await visit(page, '/?q=%25%27%3B--');
  await expect(page.getByText('No job here holds')).toBeVisible();

  const job = await demoJob(page, 'KA-2');
  const exported = await (await page.request.get(`${job}/export.json`)).body();
  await page.getByText('Import a job from a file').click();
  await page
    .getByLabel('Job file (JSON)')
    .setInputFiles({ name: 'job.json', mimeType: 'application/json', buffer: exported });
  await page.getByRole('button', { name: 'Import' }).click();
  await page.waitForURL(/situation/);
  await expect(field(page, 'tag')).toHaveValue('KA-2');

  await visit(page, '/');
  await page.getByText('Import a job from a file').click();
  await page
    .getByLabel('Job file (JSON)')
    .setInputFiles({ name: 'half.json', mimeType: 'application/json', buffer: exported.subarray(0, 90) });
  await page.getByRole('button', { name: 'Import' }).click();
  await expect(page.getByText('not complete JSON')).toBeVisible();
});

test('a removed job says so, takes nothing more, and is taken back from its own page', async ({ page }) => {
  const address = await startJob(page, 'new', 'GONE-1', 'To be removed');
  const id = address.split('/').at(-1) ?? '';
  await page.request.post('/?/remove', { form: { id, back: '' }, headers: { origin: new URL(address).origin } });
  await openStage(page, 'load');
  await fill(page, { 'load.torque': '30 lb·ft' });
  await expect(page.getByText(/This job was removed\. Take it back first/)).toBeVisible();
  await visit(page, `${new URL(address).pathname}/load`);
  await expect(page.getByTestId('removed')).toContainText('not saved');
  await page.getByRole('button', { name: 'Restore' }).click();
  await page.waitForURL(/\/$|\/\?/);
  await visit(page, `${new URL(address).pathname}/load`);
  await expect(page.getByTestId('removed')).toHaveCount(0);
  await fill(page, { 'load.torque': '31 lb·ft' });
  await saved(page);
});
