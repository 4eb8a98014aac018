/** What a person meets on screen of what was trusted, dropped or not asked before. */
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

test('a damaged two-speed plate says what it does not believe, and stops until a speed is chosen', async ({ page }) => {
  await startJob(page, 'replace', 'T-510', 'Vacuum pump');
  await openStage(page, 'nameplate');
  await field(page, 'nameplate.asRead').fill(
    '2.2/1.1 kW 2880/1430 min-1 400 V 4.7/2.9 A 50 Hz cos φ 0.85/0.78 3 kW IP55',
  );
  await page.getByRole('button', { name: 'Read into the fields' }).click();
  await expect(field(page, 'nameplate.powerFactor')).toHaveValue('0.85/0.78');
  await expect(finding(page, 'nameplate.unread')).toContainText('3 kW');
  await expect(finding(page, 'nameplate.two-speed')).toContainText('Stop');
  await field(page, 'nameplate.speedInForce').selectOption('second');
  await expect(figure(page, 'nameplate.power')).toHaveText('1.1\u00a0kW');
  await expect(figure(page, 'nameplate.powerFactor')).toHaveText('0.780');
  await expect(finding(page, 'nameplate.two-speed')).toBeHidden();
  await accessible(page);
});

test('a hoist on a drive asks for brake, feedback and where its energy goes', async ({ page }) => {
  await startJob(page, 'new', 'T-520', 'Bale hoist');
  await knownBy(page, 'hoist');
  await fill(page, {
    'load.movedMass': '2000 kg',
    'load.linearSpeed': '0.2 m/s',
    'load.machineEfficiency': '80 %',
    'load.speed': '1750',
  });
  await expect(figure(page, 'load.loweringTorque')).toContainText('−');
  await expect(finding(page, 'load.no-holding-brake')).toContainText('Stop');
  await field(page, 'load.holdingBrake').selectOption('yes');
  await expect(finding(page, 'load.no-holding-brake')).toBeHidden();
  await openStage(page, 'supply');
  await fill(page, { 'supply.voltage': '480', 'supply.frequency': '60' });
  await openStage(page, 'starting');
  await field(page, 'starting.speedControl').selectOption('yes');
  await expect(finding(page, 'starting.open-loop')).toBeVisible();
  await field(page, 'starting.closedLoop').selectOption('yes');
  await field(page, 'starting.braking').selectOption('chopper');
  await expect(finding(page, 'starting.open-loop')).toBeHidden();
  await expect(finding(page, 'starting.no-braking')).toBeHidden();
  await expect(page.locator('[data-missing="Improves accuracy"]')).toContainText('both directions');
  await accessible(page);
});

test('dial and ceiling stand apart, control of the flow is asked, and two currencies stop', async ({ page }) => {
  await startJob(page, 'drive', 'T-530', 'Dilution pump');
  await openStage(page, 'nameplate');
  await field(page, 'nameplate.asRead').fill('HP 30 RPM 1770 V 460 A 35.5 HZ 60 CODE G DES B EFF 93.6');
  await page.getByRole('button', { name: 'Read into the fields' }).click();
  await openStage(page, 'load');
  await field(page, 'load.torqueKind').selectOption('variable');
  await fill(page, { 'load.torque': '80 lb·ft', 'load.speed': '1772' });
  await openStage(page, 'supply');
  await fill(page, { 'supply.voltage': '480' });
  // The plate told the frequency.
  await expect(figure(page, 'supply.frequency')).toHaveText('60\u00a0Hz');
  await openStage(page, 'profile');
  await page.getByRole('button', { name: 'Add a row' }).click();
  await fill(page, { 'profile.points.0.flow': '70 %', 'profile.points.0.hours': '5000' });
  await expect(finding(page, 'profile.control-unknown')).toBeVisible();
  await field(page, 'profile.control').selectOption('throttle');
  await expect(figure(page, 'profile.savingShare')).toBeVisible();
  await openStage(page, 'situation');
  await page.getByText('Tag, title, site and standards').click();
  await field(page, 'currency').fill('EUR');
  await page.getByRole('button', { name: /Elsewhere: 1 stop/ }).click();
  await expect(finding(page, 'money.currency')).toContainText('Stop');
  await page.keyboard.press('Escape');
  await openStage(page, 'money');
  await fill(page, { 'money.exchangeRate': '0.92' });
  await expect(finding(page, 'money.currency')).toBeHidden();
  await openStage(page, 'starting');
  await field(page, 'starting.method').selectOption('direct');
  await openStage(page, 'protection');
  // Without a service factor: 35.5 · 0.92 on the dial, 35.5 · 1.15 at most by the code.
  await expect(figure(page, 'protection.overloadDial')).toHaveText('32.7\u00a0A');
  await expect(figure(page, 'protection.overloadCurrent')).toHaveText('40.8\u00a0A');
});

test('a sheet shows the revision as it was decided, with its engine and catalogue', async ({ page }) => {
  const base = await startJob(page, 'starter', 'T-540', 'First title');
  await openStage(page, 'nameplate');
  await field(page, 'nameplate.asRead').fill('HP 30 RPM 1770 V 460 A 35.5 HZ 60 CODE G DES B SF 1.15');
  await page.getByRole('button', { name: 'Read into the fields' }).click();
  await openStage(page, 'supply');
  await fill(page, { 'supply.voltage': '480 V' });
  await saved(page);
  const revision = Number(/rev (\d+)/.exec((await page.locator('[data-save]').textContent()) ?? '')?.[1]);
  await openStage(page, 'nameplate');
  await fill(page, { 'nameplate.currents': '38' });
  await expect(page.locator('[data-save]')).not.toContainText(`rev ${revision}`);
  await saved(page);

  await page.getByRole('link', { name: 'Selection sheet' }).click();
  const sheet = page.getByRole('article', { name: 'Selection sheet' });
  await expect(sheet).toContainText('38.0\u00a0A');
  await expect(page.getByTestId('solved-by')).toContainText(/pilgrim \d.*All catalogues/);
  await visit(page, `${new URL(base).pathname}/sheet?revision=${revision}`);
  await expect(sheet).toContainText('35.5\u00a0A');
  await expect(page.getByTestId('revision')).toContainText(`Revision ${revision} of`);
  const pdf = await page.request.get(`${base}/sheet.pdf?revision=${revision}`);
  expect(pdf.status()).toBe(200);
  expect((await page.request.get(`${base}/sheet.pdf?revision=9999`)).status()).toBe(404);
  expect((await page.request.get(`${base}/sheet?revision=half`)).status()).toBe(400);
});

test('an exception in the solver is told, nothing typed is lost, and the next keystroke solves again', async ({
  page,
}) => {
  const base = await startJob(page, 'replace', 'T-551', 'Save-all pump');
  await visit(page, `${new URL(base).pathname}/nameplate`);
  await page.route('**/api/catalogue', (route) => route.fulfill({ json: { name: 'Torn', currency: 'USD' } }));
  await fill(page, {
    'nameplate.power': '15 hp',
    'nameplate.voltages': '460',
    'nameplate.currents': '19',
    'nameplate.frequency': '60',
    'nameplate.speed': '1770',
  });
  await expect(page.getByTestId('trouble')).toContainText('could not be worked out');
  await expect(field(page, 'nameplate.power')).toHaveValue('15 hp');
  await page.unroute('**/api/catalogue');
  await fill(page, { 'nameplate.power': '20 hp' });
  await expect(page.getByTestId('trouble')).toBeHidden();
  await expect(page.locator('[data-stage="nameplate"]')).toContainText('20\u00a0hp');
});

test('a solver that could not be loaded is told, and the next keystroke solves again', async ({ page }) => {
  const base = await startJob(page, 'replace', 'T-550', 'Couch pit pump');
  const workers = '**/_app/immutable/workers/**';
  await page.route(workers, (route) => route.abort());
  await visit(page, `${new URL(base).pathname}/nameplate`);
  await fill(page, { 'nameplate.power': '15 hp' });
  await expect(page.getByTestId('trouble')).toContainText('could not be loaded');
  await page.unroute(workers);
  await fill(page, { 'nameplate.power': '20 hp' });
  await expect(page.getByTestId('trouble')).toBeHidden();
  await expect(page.locator('[data-stage="nameplate"]')).toContainText('20\u00a0hp');
});

test('a solver that comes to no end is ended and told, and the next keystroke solves again', async ({ page }) => {
  const base = await startJob(page, 'replace', 'T-552', 'Broke chest pump');
  const workers = '**/_app/immutable/workers/**';
  const endless = { contentType: 'text/javascript', body: 'onmessage = () => { for (;;); };' };
  await page.route(workers, (route) => route.fulfill(endless));
  await page.clock.install();
  await visit(page, `${new URL(base).pathname}/nameplate`);
  await fill(page, { 'nameplate.power': '15 hp' });
  await page.clock.runFor(40_000);
  await expect(page.getByTestId('trouble')).toContainText('take longer to work out');
  await expect(field(page, 'nameplate.power')).toHaveValue('15 hp');
  await page.unroute(workers);
  await fill(page, { 'nameplate.power': '20 hp' });
  await page.clock.runFor(5000);
  await expect(page.getByTestId('trouble')).toBeHidden();
  await expect(page.locator('[data-stage="nameplate"]')).toContainText('20\u00a0hp');
});

test('a stage that is first wanted while the server is away waits for it, told, and is drawn when it is back', async ({
  page,
}) => {
  await visit(page, `${await demoJob(page, 'P-214')}/nameplate`);
  await page.route('**/_app/immutable/**', (route) => route.abort());
  await page.locator('[data-stage="load"]').click();
  await expect(page.getByTestId('away')).toContainText('The server does not answer');
  await expect(page.getByRole('heading', { name: 'Nameplate' })).toBeVisible();
  await accessible(page);
  await page.unroute('**/_app/immutable/**');
  await expect(page.getByRole('heading', { name: 'Load', exact: true })).toBeVisible();
  await expect(page.getByTestId('away')).toHaveCount(0);
  await expect(page.locator('[data-drawn]').first()).toHaveAttribute('data-drawn', 'true');
});

test('a page that cannot be reached says so, and comes at a click when the server is back', async ({
  page,
  context,
}) => {
  const base = await demoJob(page, 'P-214');
  await visit(page, `${base}/nameplate`);
  await page.waitForLoadState('networkidle');
  await context.setOffline(true);
  await page.getByRole('link', { name: 'Selection sheet' }).click();
  await expect(page.getByRole('heading', { name: 'The server is away' })).toBeVisible();
  await expect(page.getByText('What was typed in this browser is kept.')).toBeVisible();
  await context.setOffline(false);
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('article', { name: 'Selection sheet' })).toBeVisible();
});

/** Requests: the first solve asks for a handful, the code of eleven stages for some forty. */
const MORE_THAN_A_SOLVE = 20;

test('a picture that is first drawn while the server is away is there when it is back', async ({ page }) => {
  const base = await demoJob(page, 'P-214');
  await visit(page, `${base}/nameplate`);
  // The code of the stages is there, what draws the charts is not.
  let [asked, open] = [0, 0];
  page.on('request', () => {
    asked++;
    open++;
  });
  page.on('requestfinished', () => open--);
  await page.mouse.move(300, 300);
  await expect.poll(() => (asked > MORE_THAN_A_SOLVE ? open : NaN)).toBe(0);
  await page.route('**/_app/immutable/**', (route) => route.abort());
  await page.locator('[data-stage="load"]').click();
  const picture = page.locator('[data-drawn]').first();
  await expect(picture).toHaveAttribute('data-drawn', 'false');
  await expect(page.getByTestId('away')).toBeVisible();
  await page.unroute('**/_app/immutable/**');
  await expect(picture).toHaveAttribute('data-drawn', 'true');
});
