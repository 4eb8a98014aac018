import { expect, test } from '@playwright/test';
import { accessible, field, figure, fill, finding, openStage, saved, startJob, visit, knownBy } from './app.ts';

const ways: readonly (readonly [string, Readonly<Record<string, string>>, string])[] = [
  ['fan', { 'load.flow': '10000 cfm', 'load.pressure': '4 inH2O', 'load.machineEfficiency': '65 %' }, '9.7\u00a0hp'],
  ['pump', { 'load.flow': '500 gpm', 'load.head': '100 ft', 'load.machineEfficiency': '75 %' }, '16.9\u00a0hp'],
  ['displacement pump', { 'load.flow': '50 gpm', 'load.pressure': '1000 psi' }, '38.9\u00a0hp'],
  ['hoist', { 'load.movedMass': '10000 lb', 'load.linearSpeed': '50 ft/min' }, '20.2\u00a0hp'],
  ['conveyor', { 'load.friction': '0.03', 'load.incline': '0°' }, '0.455\u00a0hp'],
  ['mixer', { 'load.powerNumber': '5', 'load.impeller': '12 in' }, '438\u00a0hp'],
  ['screw compressor', { 'load.flow': '500 cfm', 'load.pressure': '100 psi' }, '120\u00a0hp'],
  ['piston compressor', { 'load.suctionPressure': '14.7 psi' }, '120\u00a0hp'],
  [
    'crusher',
    { 'load.massFlow': '60 t/h', 'load.workIndex': '13 kWh/t', 'load.feedSize': '80 mm', 'load.productSize': '10 mm' },
    '67.6\u00a0hp',
  ],
  ['centrifuge', { 'load.inertia': '120 lb·ft²', 'load.runUpTime': '30 s' }, '7.59\u00a0hp'],
  ['press', { 'load.strokeEnergy': '12 kJ', 'load.strokesPerMinute': '40' }, '14.3\u00a0hp'],
];

test('the load of a new machine, by each kind of machine', async ({ page }) => {
  await startJob(page, 'new', 'T-420', 'One of everything');
  await openStage(page, 'load');
  await fill(page, { 'load.speed': '1750 rpm' });
  for (const [way, values, power] of ways) {
    await knownBy(page, way);
    await fill(page, values);
    await expect(figure(page, 'load.motorPower'), way).toHaveText(power);
  }
  await knownBy(page, 'pump');
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
  await knownBy(page, 'slip');
  await fill(page, { 'load.runningSpeed': '1770 rpm', 'load.speed': '1770 rpm' });
  await expect(figure(page, 'load.motorPower')).toHaveText('15\u00a0hp');
  await expect(finding(page, 'load.measured-on-motor')).toContainText('within about 20 %');
  await knownBy(page, 'current');
  await fill(page, { 'load.runningCurrent': '24.8 A' });
  await expect(figure(page, 'load.motorPower')).toHaveText('20\u00a0hp');
  await expect(finding(page, 'load.measured-on-motor')).toContainText('only above half load');
  await knownBy(page, 'input power');
  await fill(page, { 'load.inputPower': '20.34 kW' });
  await expect(figure(page, 'load.motorPower')).toHaveText(/^25(\.\d)?\u00a0hp$/);
  await fill(page, { 'load.inputPower': '203.4 kW' });
  await expect(page.locator('#field-load-inputPower-error')).toContainText('would have stalled');
  await accessible(page);
  await knownBy(page, 'force');
  await fill(page, { 'load.force': '100 lbf', 'load.radius': '6 in' });
  // 50 lb·ft at 1770 r/min is 16.85 hp
  await expect(figure(page, 'load.motorPower')).toHaveText('16.9\u00a0hp');
});

test('a supply of the site fills in, is changed and kept for the next job', async ({ page }) => {
  await startJob(page, 'new', 'T-422', 'Couch agitator');
  await openStage(page, 'supply');
  await page.getByLabel('Supplies of Fenhallow Board Mill').selectOption('Yard transformer, 225 kVA');
  await expect(field(page, 'supply.sourcePower')).toHaveValue('225 kVA');
  await fill(page, { 'supply.sourceImpedance': '4 %', 'supply.phaseVoltages': '478/466/484' });
  await expect(finding(page, 'supply.unbalance')).toContainText('derating factor');
  await page.getByLabel('Keep what is typed as').fill('Yard, measured');
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText('Kept as Yard, measured')).toBeVisible();
  await accessible(page);
  await saved(page);
  await startJob(page, 'new', 'T-423', 'Next agitator');
  await openStage(page, 'supply');
  await page.getByLabel('Supplies of Fenhallow Board Mill').selectOption('Yard, measured');
  await expect(field(page, 'supply.phaseVoltages')).toHaveValue('478/466/484');
  const refused = await page.request.put('/api/records', {
    data: { kind: 'supply', site: 'Nowhere', name: 'x', document: {} },
  });
  expect(refused.status()).toBe(422);
  expect((await page.request.get('/api/records?site=Nowhere')).status()).toBe(200);
});

test('a train of stages: numbers typed where they were measured', async ({ page }) => {
  await startJob(page, 'new', 'T-430', 'Reject screw');
  await openStage(page, 'load');
  await page.getByRole('button', { name: 'List it stage by stage' }).click();
  await page.getByRole('button', { name: 'Add a stage' }).click();
  await fill(page, { 'load.stages.0.ratio': '2.5', 'load.stages.1.ratio': '6', 'load.stages.1.efficiency': '97 %' });
  await page.getByLabel('Driven shaft: Speed').fill('116 rpm');
  await page.getByLabel('After stage 1: Torque').fill('80 lb·ft');
  // 80 / (2.5 · 0.95) = 33.7 lb·ft at 116 · 15 = 1740 r/min
  await expect(figure(page, 'load.motorTorque')).toHaveText('33.7\u00a0lb·ft');
  await expect(figure(page, 'load.motorSpeed')).toHaveText('1740\u00a0r/min');
  await page.getByLabel('Driven shaft: Torque').fill('600 lb·ft');
  await expect(finding(page, 'load.train-creates-power')).toContainText('efficiency');
  // A belt that is the first stage pulls at the motor: the sheave has a least size (MG 1 Table 14-1, from memory).
  await field(page, 'load.sheave').fill('1.5 in');
  await expect(finding(page, 'load.sheave-small')).toContainText(/diameter is 1\.5\d?\sin, minimum [\d.]+\sin/);
  await field(page, 'load.sheave').fill('wide');
  await expect(page.locator('#field-load-sheave-error')).toContainText('Write it like');
  await field(page, 'load.sheave').fill('9 in');
  await expect(finding(page, 'load.sheave-small')).toBeHidden();
  await expect(page.locator('[data-poles="4"]')).toContainText('≥');
  await page.getByLabel('Driven shaft: Torque').fill('46 lb·fr');
  await expect(page.locator('#train-load-torque-error')).toContainText('lb·ft');
  await expect(page.locator('[data-poles="4"]')).toContainText('taken');
  await accessible(page);
});

test('a torque–speed table, pasted, with a bad line', async ({ page }) => {
  await startJob(page, 'new', 'T-431', 'Vacuum pump');
  await openStage(page, 'load');
  await knownBy(page, 'curve');
  await fill(page, { 'load.speed': '900 rpm' });
  await page.getByLabel('Paste a table').fill('speed [rpm];torque [lb·ft]\n0;30\n600;10\n1200;40\nend of test;');
  await page.getByRole('button', { name: 'Take the points' }).click();
  await expect(page.getByText('3 points read. 1 lines without two figures')).toBeVisible();
  await expect(figure(page, 'load.torque')).toHaveText('25.0\u00a0lb·ft');
  await expect(page.locator('[data-drawn="true"] svg')).toBeVisible();
  await page.setInputFiles('#curve-file', {
    name: 'curve.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('rpm,N·m\n0,20\n900,61\n1200,80\n'),
  });
  await expect(figure(page, 'load.torque')).toHaveText('45.0\u00a0lb·ft');
  await fill(page, { 'load.curve.1.torque': '10 rpm' });
  await expect(page.locator('#field-load-curve-1-torque-error')).toBeVisible();
  await accessible(page);
  await saved(page);
});

test('a duty cycle: bars moved by keyboard and by hand, and made from a log', async ({ page }) => {
  await startJob(page, 'new', 'T-432', 'Bale press feed');
  await openStage(page, 'load');
  await fill(page, { 'load.speed': '1750 rpm' });
  await knownBy(page, 'duty');
  for (const each of ['60', '20']) {
    await page.getByRole('button', { name: 'Add a segment' }).click();
    const at = each === '60' ? 0 : 1;
    await fill(page, { [`load.duty.${at}.torque`]: each, [`load.duty.${at}.time`]: '10 s' });
  }
  await expect(figure(page, 'load.rmsTorque')).toHaveText('44.7\u00a0lb·ft');
  await expect(page.locator('[data-duty-type]')).toContainText('continuous duty at the torque of equal heat');
  const bar = page.getByRole('slider', { name: 'Torque of segment 2' });
  await bar.press('PageUp');
  await expect(field(page, 'load.duty.1.torque')).toHaveValue('26.9 lb·ft');
  const box = await page.locator('[data-duty]').boundingBox();
  const own = await bar.boundingBox();
  if (!box || !own) throw new Error('the bars are not drawn');
  await page.mouse.move(own.x + own.width / 2, own.y + 4);
  await page.mouse.down();
  await page.mouse.move(own.x + own.width / 2, box.y + box.height * 0.5, { steps: 5 });
  await page.mouse.up();
  await expect(field(page, 'load.duty.1.torque')).toHaveValue(/^3\d(\.\d)? lb·ft$/);
  await fill(page, { 'load.duty.0.time': '45 min', 'load.duty.1.time': '75 min' });
  await expect(page.locator('[data-duty]')).toContainText('Thermally equivalent torque');
  await expect(page.getByText('A cycle of 120\u00a0min is not short')).toBeVisible();
  await page.getByRole('checkbox', { name: 'stands' }).nth(1).check();
  await expect(page.locator('[data-duty-type]')).toContainText('S3 38 %, 0.50 starts an hour');
  await accessible(page);

  await page.getByText('Duty cycle from a recorded log').click();
  const log = (name: string, content: string) => ({ name, mimeType: 'text/csv', buffer: Buffer.from(content) });
  await page.setInputFiles('#log-file', log('empty.csv', ''));
  await expect(page.getByRole('alert')).toContainText('empty');
  await page.setInputFiles('#log-file', log('words.csv', 'a,b\nno,figures\n'));
  await expect(page.getByRole('alert')).toContainText('No column of figures');
  const rows = Array.from({ length: 3000 }, (_, at) => `${at},${at % 100 < 25 ? 100 : 40}`);
  await page.setInputFiles('#log-file', log('torque.csv', ['time s,torque Nm', ...rows].join('\n')));
  await page.getByRole('button', { name: 'Make the duty cycle' }).click();
  // √(0.25·100² + 0.75·40²) = 60.8 N·m = 44.9 lb·ft
  await expect(page.getByText('3,000 samples')).toContainText('2 levels, RMS 44.9 lb·ft, peak 73.8 lb·ft');
  await expect(figure(page, 'load.rmsTorque')).toHaveText('44.9\u00a0lb·ft');
  await expect(figure(page, 'load.torque')).toHaveText(/^4[56]\.\d\u00a0lb·ft$/);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(field(page, 'load.duty.0.torque')).toHaveValue('60');
});

test('a log of current without a plate is refused in words; a missing row is reached from its finding', async ({
  page,
}) => {
  await startJob(page, 'new', 'T-439', 'Screen');
  await openStage(page, 'load');
  await knownBy(page, 'duty');
  await page.getByRole('link', { name: 'At least one segment of the duty cycle' }).click();
  await expect(page.getByRole('button', { name: 'Add a segment' })).toBeFocused();
  await page.getByText('Duty cycle from a recorded log').click();
  const log = Array.from({ length: 50 }, (_, at) => `${at};${20 + (at % 7)}`).join('\n');
  await page.setInputFiles('#log-file', {
    name: 'log.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`s;current A\n${log}`),
  });
  await page.getByRole('button', { name: 'Make the duty cycle' }).click();
  await expect(page.getByRole('alert')).toContainText('by the plate of the motor that was logged');
  await expect(page.locator('[data-row^="load.duty"]')).toHaveCount(0);
  await page.getByLabel('and counted in').selectOption('N·m');
  await page.getByRole('button', { name: 'Make the duty cycle' }).click();
  await expect(figure(page, 'load.dutyCycle')).toContainText('s');
});

test('half a million samples are binned with progress, and can be stopped', async ({ page }) => {
  await startJob(page, 'new', 'T-433', 'Refiner feed');
  await openStage(page, 'load');
  await page.getByText('Duty cycle from a recorded log').click();
  const rows = Array.from({ length: 500_000 }, (_, at) => `${at},${20 + (at % 37)}`).join('\n');
  await page.setInputFiles('#log-file', {
    name: 'long.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`s,Nm\n${rows}`),
  });
  await page.getByRole('button', { name: 'Make the duty cycle' }).click();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByText('Cancelled; nothing was changed.')).toBeVisible();
  await page.getByRole('button', { name: 'Make the duty cycle' }).click();
  await expect(page.getByRole('progressbar', { name: 'Reading the log' })).toBeVisible();
  await expect(page.getByText('500,000 samples')).toBeVisible();
});

test('a weak supply: feeder, other load and limits tell on the start', async ({ page }) => {
  await startJob(page, 'new', 'T-434', 'Vacuum pump');
  await openStage(page, 'load');
  await fill(page, { 'load.torque': '160 lb·ft', 'load.speed': '1770 rpm', 'load.breakaway': '30 %' });
  await openStage(page, 'supply');
  await fill(page, {
    'supply.voltage': '480 V',
    'supply.frequency': '60 Hz',
    'supply.sourcePower': '300 kVA',
    'supply.sourceImpedance': '5 %',
  });
  await expect(figure(page, 'supply.directBusDip')).toContainText('%');
  const near = await figure(page, 'supply.directTerminalDip').textContent();
  await page.getByText('Feeder, base load, upstream system').click();
  await fill(page, { 'supply.feederLength': '420 ft', 'supply.otherLoad': '120 kVA' });
  await field(page, 'supply.feederSize').selectOption('1/0');
  await expect(figure(page, 'supply.directTerminalDip')).not.toHaveText(near ?? '');
  await page.getByText('Starting limits').click();
  await fill(page, { 'supply.directPowerLimit': '20 hp', 'supply.startsPerHour': '-3' });
  await expect(page.locator('#field-supply-startsPerHour-error')).toContainText('more than zero');
  await page.getByRole('button', { name: 'Add a band' }).click();
  await fill(page, { 'supply.bands.0.price': '0.12 per kWh', 'supply.bands.0.share': '60 %' });
  await expect(finding(page, 'supply.band-shares')).toContainText('60');
  await accessible(page);
  await openStage(page, 'starting');
  await expect(page.locator('[data-failures="direct"]')).toContainText('permits starts at full voltage up to 20');
});

test('a generator: its two reactances, first instant and after, and a pair that cannot be', async ({ page }) => {
  await startJob(page, 'new', 'T-438', 'Brine pump');
  await openStage(page, 'load');
  await fill(page, { 'load.torque': '100 lb·ft', 'load.speed': '1770 rpm', 'load.breakaway': '30 %' });
  await openStage(page, 'supply');
  await field(page, 'supply.source').selectOption('generator');
  await fill(page, {
    'supply.voltage': '480 V',
    'supply.frequency': '60 Hz',
    'supply.sourcePower': '250 kVA',
    'supply.sourceImpedance': '20 %',
    'supply.subtransientReactance': '12 %',
  });
  const percent = async (id: string): Promise<number> =>
    Number.parseFloat((await figure(page, id).textContent()) ?? '');
  await expect(figure(page, 'supply.directFirstDip')).toContainText('%');
  expect(await percent('supply.directFirstDip')).toBeLessThan(await percent('supply.directBusDip'));
  await fill(page, { 'supply.subtransientReactance': '28 %' });
  await expect(finding(page, 'supply.reactances-swapped')).toContainText('below');
  await fill(page, { 'supply.subtransientReactance': '12 ohm' });
  await expect(page.locator('#field-supply-subtransientReactance-error')).toContainText('Accepted: %');
  await accessible(page);
  await field(page, 'supply.source').selectOption('transformer');
  await expect(field(page, 'supply.subtransientReactance')).toBeHidden();
});

test('a hard place: what is ruled out is as plain as what is chosen', async ({ page }) => {
  await startJob(page, 'new', 'T-435', 'Salt washer');
  await openStage(page, 'load');
  await fill(page, { 'load.torque': '160 lb·ft', 'load.speed': '1770 rpm' });
  await openStage(page, 'place');
  await fill(page, { 'place.ambient': '30 °C' });
  await field(page, 'place.corrosion').selectOption('salt');
  await field(page, 'place.water').selectOption('washdown');
  await expect(page.locator('[data-enclosure="washdown"]')).toContainText('chosen');
  await expect(page.locator('[data-enclosure="TEFC"]')).toContainText('washdown jets pass the seals');
  await expect(figure(page, 'place.frameMaterial')).toContainText('stainless');
  await page.getByLabel('Drive or starter in a cabinet').check();
  await fill(page, { 'place.cabinetHeight': '48 in', 'place.cabinetWidth': '30 in', 'place.cabinetDepth': '12 in' });
  await expect(finding(page, 'place.cabinet-air')).toContainText('cfm');
  await fill(page, { 'place.ambient': '45 °C' });
  await expect(finding(page, 'place.cabinet-cannot-cool')).toContainText('outside air cannot cool it');
  await accessible(page);
});

test('rules of thumb: kept for the site, taken into its next job, changed for one job', async ({ page }) => {
  // A site of its own: its rules concern no other test.
  await startJob(page, 'new', 'T-435', 'First of the site', 'Rule Bay');
  await visit(page, '/sites');
  await page.getByRole('link', { name: /Rule Bay/ }).click();
  await page.getByLabel('Power margin over the load').fill('40 apples');
  await page.getByLabel('Power margin over the load').blur();
  await expect(page.locator('#sizeMargin-error')).toContainText('apples');
  await expect(page.getByLabel('Power margin over the load')).toHaveValue('40 apples');
  await page.getByLabel('Power margin over the load').fill('25 %');
  await page.getByRole('button', { name: 'Keep for new jobs' }).click();
  await expect(page.getByText('✓ Kept')).toBeVisible();
  await accessible(page);
  await startJob(page, 'new', 'T-436', 'Broke pump', 'Rule Bay');
  await openStage(page, 'load');
  await fill(page, { 'load.torque': '40 lb·ft', 'load.speed': '1770 rpm' });
  // 13.5 hp and a quarter over is 16.9, so 20 hp
  await expect(figure(page, 'load.standardPower')).toHaveText('20\u00a0hp');
  await openStage(page, 'handover');
  await expect(page.locator('[data-rule="sizeMargin"]')).toContainText('the site’s');
  await openStage(page, 'load');
  await fill(page, { 'practice.sizeMargin': '0' });
  await expect(figure(page, 'load.standardPower')).toHaveText('15\u00a0hp');
  await openStage(page, 'handover');
  await expect(page.locator('[data-rule="sizeMargin"]')).toContainText('this job’s');
  await accessible(page);
  await visit(page, '/sites/Rule%20Bay');
  await page.getByLabel('Power margin over the load').fill('');
  await page.getByLabel('Power margin over the load').blur();
  await expect(page.getByText('✓ Kept')).toBeVisible();
  expect((await page.request.get('/api/sites?name=Nowhere')).status()).toBe(404);
  expect((await page.request.get('/sites/Nowhere')).status()).toBe(404);
});
