/** The motor’s circuit: sized by its own school, the other one beside it, drawn over time and current. */
import { expect, test } from '@playwright/test';
import readXlsxFile from 'read-excel-file/node';
import { accessible, copyOfDemo, demoJob, field, fill, finding, visit } from './app.ts';

test.use({ viewport: { width: 1280, height: 800 } });

test('the circuit by its own school, and the other’s answers beside it at a click', async ({ page }) => {
  await visit(page, `${await demoJob(page, 'BP-3')}/protection`);
  const circuit = page.getByRole('region', { name: 'Comparison of NEC and IEC' });
  const row = (name: string) => circuit.locator(`[data-question="${name}"]`);
  await expect(page.locator('[data-value="protection.conductorSize"]').first()).toContainText('6 mm² copper');
  await expect(circuit).toHaveCount(0);
  const show = page.getByRole('button', { name: 'Show what the NEC would say' });
  await expect(show).toHaveAttribute('aria-pressed', 'false');
  await show.click();
  await expect(row('conductorSize')).toContainText('6 mm² copper');
  await expect(row('conductorSize')).toContainText('8 AWG copper');
  await expect(row('conduit')).toContainText('in EMT');
  await expect(row('wireCurrent')).toContainText('no current for this voltage');
  await accessible(page);
  await page.getByRole('button', { name: 'Hide what the NEC would say' }).click();
  await expect(circuit).toHaveCount(0);
});

test('the starter: what it is built of, and the coordination its consequence asks for', async ({ page }) => {
  await visit(page, `${await copyOfDemo(page, 'BP-3', 'CAB-2')}/protection`);
  const starter = page.getByRole('region', { name: 'Starter' });
  await expect(starter).toContainText('two devices: motor-protective breaker, contactor');
  await expect(starter.locator('[data-value="starter.coordination"]')).toContainText('type 1');
  await field(page, 'protection.consequence').selectOption('process');
  await expect(starter.locator('[data-value="starter.coordination"]')).toContainText('type 2');
  await field(page, 'protection.shortCircuit').selectOption('gG');
  await expect(starter).toContainText('three devices');
});

test('what the catalogue has as tested together is no longer only proposed', async ({ page }) => {
  const job = await copyOfDemo(page, 'PU-205', 'CAB-5');
  // As the server draws it, before anything is worked out anew.
  expect(await (await page.request.get(`${job}/pick`)).text()).toContain('tested together by their maker, type 1');
  await visit(page, `${job}/protection`);
  await field(page, 'protection.consequence').selectOption('process');
  const coordination = page.locator('[data-value="starter.coordination"]');
  await expect(coordination).toContainText('type 2');
  await expect(finding(page, 'protection.pair-untested')).toHaveCount(0);
  await coordination.getByRole('button').click();
  await expect(page.getByRole('dialog', { name: 'Derivation of Coordination type required' })).toContainText(
    'Tested together by their maker',
  );
  await page.keyboard.press('Escape');
  // Continuity of service was not tested.
  await field(page, 'protection.consequence').selectOption('safety');
  await expect(finding(page, 'protection.pair-untested')).toContainText('Bulwark breaker 60 A');
});

test('more circuits side by side want a larger cable, a better way of laying it a smaller one', async ({ page }) => {
  await visit(page, `${await copyOfDemo(page, 'BP-3', 'CAB-1')}/protection`);
  const size = page.locator('[data-value="protection.conductorSize"]').first();
  await expect(size).toContainText('6 mm²');
  await fill(page, { 'protection.circuits': '3' });
  // 46 A · 0.7 · 0.87 at 38 °C are 28.0 for 27.8; 6 mm² would carry 20.7.
  await expect(size).toContainText('10 mm²');
  // 43 A · 0.82 · 0.87 on a tray.
  await field(page, 'protection.laying').selectOption('tray');
  await expect(size).toContainText('6 mm²');
  await field(page, 'protection.earthSystem').selectOption('TT');
  await expect(finding(page, 'protection.earth-system')).toContainText('residual-current');
});

test('the picture shows device, first half-wave, standing motor, and where nine of ten starts lie', async ({
  page,
}) => {
  await visit(page, `${await demoJob(page, 'BP-3')}/protection`);
  const picture = page.getByRole('region', { name: 'Time–current curves' });
  await picture.locator('svg').first().hover();
  await expect(picture.getByTestId('starts-held')).toContainText(/100\s% start without tripping/);
  await page.context().grantPermissions(['clipboard-read', 'clipboard-write']);
  await picture.getByRole('button', { name: 'Copy the figures as CSV' }).click();
  await expect(picture.getByRole('status')).toHaveText('Copied');
  const csv = await page.evaluate(() => navigator.clipboard.readText());
  // A motor breaker of 32 A opens at 13 times its top within a fifth; 198 A standing peak at 1.401 times.
  expect(csv).toMatch(/"Device non-operating curve",332\.8,0\.01/);
  expect(csv).toMatch(/"Device operating curve",499\.2,0\.01/);
  for (const name of ['90 % of starts', 'Relay class 10, cold', 'Overload relay, warm', 'Locked-rotor withstand, hot'])
    expect(csv).toContain(`"${name}",`);
  expect(csv).toMatch(/"First half-cycle peak",27\d(\.\d+)?,0\.01/);
});

test('the dial is dragged until it is told that the motor may take too much, and turned back at a click', async ({
  page,
}) => {
  await visit(page, `${await copyOfDemo(page, 'BP-3', 'CAB-3')}/protection`);
  const picture = page.getByRole('region', { name: 'Time–current curves' });
  const grip = picture.locator('svg path[fill="#fffefb"]').last();
  const drag = async (by: number) => {
    // A picture takes hold when a hand comes near.
    await picture.hover();
    await expect(grip).toBeVisible();
    const box = await grip.boundingBox();
    if (!box) throw new Error('no dial to drag');
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + by, y, { steps: 5 });
    await page.mouse.up();
  };
  const dial = page.locator('[data-value="protection.overloadDial"]').first();
  await expect(dial).toContainText('27.8');
  await drag(20);
  const found = finding(page, 'protection.dial-high');
  await expect(found).toContainText('maximum');
  await expect(field(page, 'protection.dial')).toHaveValue(/^[345]\d(\.\d)? A$/);
  await found.getByRole('button', { name: /^Take 27\.8/ }).click();
  await expect(found).toHaveCount(0);
  await expect(dial).toContainText('27.8');
  await drag(-12);
  await expect(finding(page, 'protection.dial-low')).toContainText('while the machine runs');
  await fill(page, { 'protection.dial': '27.6' });
  await expect(finding(page, 'protection.dial-low')).toHaveCount(0);
  await accessible(page);
});

test('what else hangs on the feeder is counted with the motor, and the panel must hold the short circuit', async ({
  page,
}) => {
  await visit(page, `${await copyOfDemo(page, 'BP-3', 'CAB-4')}/protection`);
  await page.getByRole('button', { name: 'Add a circuit' }).click();
  await fill(page, { 'protection.others.0.current': '60 A', 'protection.others.0.device': '125 A' });
  const feeder = page.locator('[data-value="protection.feederAmpacity"]').first();
  await expect(feeder).toContainText('87.8');
  await expect(page.locator('[data-value="protection.feederDevice"]').first()).toContainText('gG 200 A');
  await page.getByText('Panel and feeder').click();
  await fill(page, { 'protection.simultaneity': '50 %', 'protection.assemblyRating': '10 kA' });
  await expect(feeder).toContainText('43.9');
  await expect(finding(page, 'protection.fault-above')).toContainText('22.7');
  await accessible(page);
});

test('cables, devices and settings of a job and of its site are kept as PDF, XLSX and CSV', async ({
  page,
  request,
}) => {
  const job = await demoJob(page, 'BP-3');
  await visit(page, `${job}/protection`);
  const links = page.getByRole('region', { name: 'Schedules' });
  await expect(links.getByRole('link', { name: 'Schedules as CSV' })).toHaveAttribute('href', `${job}/schedules.csv`);
  const csv = await request.get(`${job}/schedules.csv`);
  expect(csv.headers()['content-disposition']).toBe('attachment; filename="BP-3-schedules.csv"');
  const text = await csv.text();
  expect(text).toContain('BP-3-W1,panel,BP-3-M1,6 mm² copper');
  expect(text).toMatch(/BP-3-F2,Relay,Current,27\.8\sA/);
  expect(text).toContain('licensed person');
  const site = `/sites/${encodeURIComponent('Greyspit Salt Works')}`;
  await visit(page, site);
  await expect(links.getByRole('link', { name: 'Schedules as XLSX' })).toHaveAttribute(
    'href',
    `${site}/schedules.xlsx`,
  );
  const sheets = await readXlsxFile(Buffer.from(await (await request.get(`${site}/schedules.xlsx`)).body()));
  expect(sheets.map(({ sheet }) => sheet)).toEqual(['Cables', 'Devices', 'Panels', 'Settings', 'Notes']);
  const cables = sheets[0]?.data.map((row) => String(row[0])) ?? [];
  expect(cables).toEqual(expect.arrayContaining(['BP-3-W1', 'KA-2-W1', 'KA-2-W2']));
  // The stopped job is told, not listed.
  expect(cables.some((cable) => cable.startsWith('VF-12'))).toBe(false);
  expect(sheets[4]?.data.map(([note]) => String(note)).join(' ')).toContain('Left out, stopped. VF-12: Hazardous area');
  for (const address of [`${job}/schedules.pdf`, `${site}/schedules.pdf`]) {
    const paper = await request.get(address);
    expect(paper.headers()['content-type']).toBe('application/pdf');
    expect((await paper.body()).subarray(0, 5).toString()).toBe('%PDF-');
  }
  for (const wrong of [`${job}/schedules.doc`, '/sites/nowhere/schedules.pdf', `${job}/schedules.csv?revision=x`])
    expect((await request.get(wrong)).status()).toBeGreaterThanOrEqual(400);
});

test('the diagrams of a school are read with terminals, wire numbers and parts, kept as SVG, and printed', async ({
  page,
  request,
}) => {
  const iec = await demoJob(page, 'BP-3');
  await visit(page, `${iec}/protection`);
  const diagrams = page.getByRole('region', { name: 'Circuit diagrams' });
  await expect(diagrams).toContainText('IEC 60617');
  const power = diagrams.getByRole('img', { name: 'Power circuit, direct' });
  const control = diagrams.getByRole('img', { name: 'Control circuit, direct' });
  for (const label of ['L1', '2L1', 'U1', 'V1', 'W1', 'M1', '3~']) await expect(power).toContainText(label);
  for (const label of ['A1', 'A2', '13', '14', 'S0', 'S1', 'S2', 'T2']) await expect(control).toContainText(label);
  // A motor breaker trips the contactor by its auxiliary contact; a coil is a box.
  await expect(control.locator('path[data-symbol="coil"]')).toHaveCount(1);
  const bill = diagrams.getByRole('table', { name: 'Bill of materials' });
  await expect(bill.getByRole('row', { name: /Motor-protective breaker/ })).toContainText(/25–32\sA, set to 27\.8\sA/);
  await expect(bill.getByRole('row', { name: /^Q2 Contactor/ })).toContainText('Latch contactor 32 A');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    diagrams.getByRole('button', { name: 'Control circuit, direct as SVG' }).click(),
  ]);
  expect(file.suggestedFilename()).toBe('control-circuit-direct.svg');
  await accessible(page);
  const paper = await request.get(`${iec}/sheet.pdf`);
  expect(paper.headers()['content-type']).toBe('application/pdf');

  // North American letters, and the relay’s contact before the coil.
  const nec = await copyOfDemo(page, 'PU-205', 'CAB-9');
  await visit(page, `${nec}/protection`);
  await expect(diagrams).toContainText('North American');
  for (const label of ['CB', 'OL', 'MTR', 'T1', 'T2', 'T3']) await expect(power).toContainText(label);
  for (const label of ['START', 'STOP', 'E-STOP', 'OL', 'CPT']) await expect(control).toContainText(label);
  await expect(bill.getByRole('row', { name: /^OL F2 Overload relay/ })).toContainText(/18\.4\sA/);
  // The sheet that prints has them too.
  await visit(page, `${nec}/sheet`);
  await expect(power).toBeVisible();
  await accessible(page);
});

test('the run shows what asks for its size at each place, and its length moves it', async ({ page }) => {
  const job = await copyOfDemo(page, 'BP-3', 'CAB-8');
  await visit(page, `${job}/protection`);
  const run = page.getByRole('region', { name: 'Conductor sizing criteria' }).locator('[data-run]');
  await expect(run).toContainText('6 mm² copper');
  await expect(run).toContainText('its length is not typed');
  await page.getByRole('link', { name: /^Cable length/ }).click();
  await fill(page, { 'supply.feederLength': '250 m' });
  await visit(page, `${job}/protection`);
  await expect(run).toContainText('▲ a fault to earth being cleared');
  await expect(run).not.toContainText('not typed');
  await accessible(page);
});

test('the device is dragged to a rating that the start opens, told, and mended', async ({ page }) => {
  await visit(page, `${await copyOfDemo(page, 'BP-3', 'CAB-6')}/protection`);
  await field(page, 'protection.shortCircuit').selectOption('gG');
  const device = page.locator('[data-value="protection.branchDevice"]').first();
  await expect(device).toContainText('Fuses gG 80 A');
  const picture = page.getByRole('region', { name: 'Time–current curves' });
  await picture.hover();
  const grip = picture.locator('svg path[fill="#fffefb"]').last();
  await expect(grip).toBeVisible();
  const box = await grip.boundingBox();
  if (!box) throw new Error('no device to drag');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x - 60, y, { steps: 5 });
  await page.mouse.up();
  const found = finding(page, 'protection.device-small');
  await expect(found).toContainText('are the smallest that carry motor and start');
  await expect(field(page, 'protection.rating')).toHaveValue(/^\d\d A$/);
  await found.getByRole('button', { name: /^Take 80/ }).click();
  await expect(found).toHaveCount(0);
  await expect(device).toContainText('Fuses gG 80 A');
  await accessible(page);
});

test('a motor of two speeds: a relay for each, and the contactors in its diagram', async ({ page }) => {
  const job = await copyOfDemo(page, 'PU-205', 'CAB-7');
  await visit(page, `${job}/nameplate`);
  await fill(page, { 'nameplate.speed': '1770/885', 'nameplate.power': '15/5 hp', 'nameplate.currents': '20/11' });
  await field(page, 'nameplate.speedInForce').selectOption('both');
  await fill(page, { 'nameplate.voltages': '460' });
  await visit(page, `${job}/situation`);
  await page
    .getByRole('radio', { name: /starter/i })
    .first()
    .check();
  await visit(page, `${job}/protection`);
  await expect(page.locator('[data-value="starter.lowDial"]').first()).toContainText('11.0');
  const power = page.getByRole('img', { name: 'Power circuit, tapped winding' });
  for (const label of ['OL-L', 'OL-H', 'HS', 'T4', 'T6']) await expect(power).toContainText(label);
});

test('where Pilgrim itself chose a drive, no relay and no contactor are asked about', async ({ page }) => {
  await visit(page, `${await demoJob(page, 'BL-402')}/protection`);
  await expect(field(page, 'protection.ambient')).toBeVisible();
  for (const path of ['protection.dial', 'protection.consequence', 'protection.control', 'protection.rating'])
    await expect(field(page, path)).toHaveCount(0);
  await expect(page.getByText('Motor cable of the drive')).toBeVisible();
});
