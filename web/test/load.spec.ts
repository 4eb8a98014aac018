import { expect, test } from '@playwright/test';
import { accessible, field, figure, fill, finding, openStage, saved, startJob } from './app.ts';

const ways: readonly (readonly [string, Readonly<Record<string, string>>, string])[] = [
  ['fan', { 'load.flow': '10000 cfm', 'load.pressure': '4 inH2O', 'load.machineEfficiency': '65 %' }, '9.7\u00a0hp'],
  ['pump', { 'load.flow': '500 gpm', 'load.head': '100 ft', 'load.machineEfficiency': '75 %' }, '16.9\u00a0hp'],
  ['displacement pump', { 'load.flow': '50 gpm', 'load.pressure': '1000 psi' }, '38.9\u00a0hp'],
  ['hoist', { 'load.movedMass': '10000 lb', 'load.linearSpeed': '50 ft/min' }, '20.2\u00a0hp'],
  ['conveyor', { 'load.friction': '0.03', 'load.incline': '0°' }, '0.455\u00a0hp'],
  ['mixer', { 'load.powerNumber': '5', 'load.impeller': '12 in' }, '438\u00a0hp'],
];

test('the load of a new machine, by each kind of machine', async ({ page }) => {
  await startJob(page, 'new', 'T-420', 'One of everything');
  await openStage(page, 'load');
  await fill(page, { 'load.speed': '1750 rpm' });
  for (const [way, values, power] of ways) {
    await field(page, 'load.way').selectOption(way);
    await fill(page, values);
    await expect(figure(page, 'load.motorPower'), way).toHaveText(power);
  }
  await field(page, 'load.way').selectOption('pump');
  await fill(page, { 'load.head': '100 psi' });
  await expect(page.locator('#field-load-head-error')).toContainText('Accepted: m, ft');
  await accessible(page);
});

test('the load of a running motor, by its speed, with what that is worth', async ({ page }) => {
  await startJob(page, 'energy', 'T-421', 'Reject fan');
  await fill(page, {
    'nameplate.power': '25 hp',
    'nameplate.voltages': '460 V',
    'nameplate.currents': '31 A',
    'nameplate.frequency': '60 Hz',
    'nameplate.speed': '1750 rpm',
    'nameplate.efficiency': '91.7 %',
  });
  await openStage(page, 'load');
  await field(page, 'load.way').selectOption('slip');
  await fill(page, { 'load.runningSpeed': '1770 rpm', 'load.speed': '1770 rpm' });
  await expect(figure(page, 'load.motorPower')).toHaveText('15\u00a0hp');
  await expect(finding(page, 'load.measured-on-motor')).toContainText('within about 20 %');
});

test('a supply of the site fills in, is changed and kept for the next job', async ({ page }) => {
  await startJob(page, 'new', 'T-422', 'Couch agitator');
  await openStage(page, 'supply');
  await page.getByLabel('Supplies of Fenhallow Board Mill').selectOption('Yard transformer, 225 kVA');
  await expect(field(page, 'supply.sourcePower')).toHaveValue('225 kVA');
  await fill(page, { 'supply.sourceImpedance': '4 %', 'supply.phaseVoltages': '478/466/484' });
  await expect(finding(page, 'supply.unbalance')).toContainText('keeps');
  await page.getByLabel('Keep what is typed as').fill('Yard, measured');
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText('Kept as Yard, measured')).toBeVisible();
  await accessible(page);
  await saved(page);
  await startJob(page, 'new', 'T-423', 'Next agitator');
  await openStage(page, 'supply');
  await page.getByLabel('Supplies of Fenhallow Board Mill').selectOption('Yard, measured');
  await expect(field(page, 'supply.phaseVoltages')).toHaveValue('478/466/484');
  const refused = await page.request.put('/api/supplies', { data: { site: 'Nowhere', name: 'x', supply: {} } });
  expect(refused.status()).toBe(422);
  expect((await page.request.get('/api/supplies?site=Nowhere')).status()).toBe(200);
});
