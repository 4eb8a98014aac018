import { expect, test, type Page } from '@playwright/test';
import { accessible, field, figure, visit } from './app.ts';

// One red pixel, the smallest PNG there is.
const PIXEL = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mP8z8BQDwAEhQGAhKmMIQAAAABJRU5ErkJggg==',
  'base64',
);
const list = (rows: readonly string[]): string => ['Tag,Location,HP,Volts,Amps,RPM,Frame,Status', ...rows].join('\n');
const choose = (page: Page, name: string, content: string | Buffer): Promise<void> =>
  page.setInputFiles('#file', { name, mimeType: 'text/csv', buffer: Buffer.from(content) });

test('the register: add, photograph, history, save, start a job, search and group', async ({ page }) => {
  await visit(page, '/motors');
  await expect(page.getByTestId('motor-count')).toContainText('motors');
  await accessible(page);
  await page.getByLabel('Tag', { exact: true }).fill('T-400-M');
  await page.getByRole('complementary').getByLabel('Site').fill('Fenhallow Board Mill');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.waitForURL(/\/motors\/[0-9a-f-]{36}/);
  await page.waitForSelector('html[data-hydrated]');
  await field(page, 'nameplate.asRead').fill('HP 20 RPM 1765 V 460 A 24.5 HZ 60 FR 256T TEFC');
  await page.getByRole('button', { name: 'Read into the fields' }).click();
  await expect(figure(page, 'nameplate.shaftHeight')).toHaveText('6.25\u00a0in');
  await page.getByLabel('State').selectOption('spare');
  await page.getByLabel('Note on the event').fill('From the closed line');
  await page.getByRole('button', { name: 'Add to the history' }).click();
  await expect(page.locator('[data-save="saved"]')).toContainText('rev 2');

  await page.setInputFiles('#photo', { name: 'plate.png', mimeType: 'image/png', buffer: PIXEL });
  await expect(page.getByRole('img', { name: 'picture 1' })).toBeVisible();
  await page.setInputFiles('#photo', { name: 'plate.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
  await expect(page.getByRole('alert')).toContainText('not a picture that can be read');
  await accessible(page);
  await page.reload();
  await expect(page.getByRole('region', { name: 'History' })).toContainText('From the closed line');

  const motor = page.url();
  await page.waitForSelector('html[data-hydrated]');
  await page.getByLabel('Task').selectOption('drive');
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await page.waitForURL(/\/jobs\//);
  await expect(page.locator('[data-stage="nameplate"]')).toContainText('20 hp');

  await visit(page, '/motors?q=256T&state=spare&group=frame');
  await expect(page.getByRole('region', { name: 'Frame 256' })).toContainText('T-400-M');
  await visit(page, motor.replace(/^https?:\/\/[^/]+/, ''));
  await page.getByRole('button', { name: 'Remove this motor' }).click();
  await page.waitForURL(/\/motors\?gone=/);
  await expect(page.locator('[data-motor="T-400-M"]')).toHaveCount(0);
  await accessible(page);
  await page.getByTestId('just-removed').getByRole('button', { name: 'Restore' }).click();
  await page.waitForURL(motor);
  await expect(page.getByRole('region', { name: 'History' })).toContainText('From the closed line');
  await expect(page.getByRole('img', { name: 'picture 1' })).toBeVisible();
});

test('a picture chosen while the server is away waits and is sent when it is back', async ({ page, request }) => {
  const made = await request.post('/api/motors', { data: { tag: 'T-402-M' } });
  const { id } = (await made.json()) as { id: string };
  await visit(page, `/motors/${id}`);
  await page.route('**/photos', (route) => route.fulfill({ status: 503, json: {} }));
  await page.setInputFiles('#photo', { name: 'plate.png', mimeType: 'image/png', buffer: PIXEL });
  await expect(page.getByRole('alert')).toContainText('waits here');
  await page.unroute('**/photos');
  await expect(page.getByRole('img', { name: 'picture 1' })).toBeVisible({ timeout: 30_000 });
  await expect(page.getByRole('alert')).toHaveCount(0);
});

test('what a motor was before is kept and can be put back; a removed one is found again', async ({ page, request }) => {
  const made = await request.post('/api/motors', { data: { tag: 'T-401-M', location: 'Winder hall' } });
  const { id } = (await made.json()) as { id: string };
  await visit(page, `/motors/${id}`);
  await page.getByLabel('Location').fill('Store 2');
  await expect(page.locator('[data-save="saved"]')).toContainText('rev 2');
  await page.reload();
  await page.waitForSelector('html[data-hydrated]');
  await page.getByText('Earlier states (1)').click();
  await page.getByRole('button', { name: 'Put rev 1 into the fields' }).click();
  await expect(page.getByLabel('Location')).toHaveValue('Winder hall');
  await expect(page.getByRole('alert')).toContainText('hold rev 1 now');
  await expect(page.locator('[data-save="saved"]')).toContainText('rev 3');

  const api = `/api/motors/${id}`;
  expect((await (await request.get(`${api}/revisions/2`)).json()) as unknown).toMatchObject({
    motor: { location: 'Store 2' },
  });
  for (const none of ['9', '0', 'half', '99999999999999999999'])
    expect((await request.get(`${api}/revisions/${none}`)).status()).toBe(404);
  expect((await request.delete(api)).status()).toBe(204);
  expect((await request.delete(api)).status()).toBe(404);
  expect((await request.get(api)).status()).toBe(404);
  const stale = await request.put(api, { data: { base: 3, motor: { tag: 'T-401-M' } } });
  expect(stale.status()).toBe(404);
  await visit(page, '/motors?q=T-401&state=removed');
  await page.locator('[data-motor="T-401-M"]').getByRole('button', { name: 'Take back' }).click();
  await page.waitForURL(new RegExp(id));
  await expect(page.getByLabel('Location')).toHaveValue('Winder hall');
});

test('the register is sorted by what was chosen', async ({ page }) => {
  await visit(page, '/motors');
  const tags = () => page.locator('[data-motor]').evaluateAll((rows) => rows.map((row) => row.dataset['motor'] ?? ''));
  const sizes = () =>
    page.locator('[data-motor]').evaluateAll((rows) =>
      rows.flatMap((row) => {
        const [, figure, unit] = /([\d.]+)\s(hp|kW)/.exec(row.querySelectorAll('td')[1]?.textContent ?? '') ?? [];
        return figure ? [Number(figure) * (unit === 'hp' ? 0.7457 : 1)] : [];
      }),
    );
  await page.getByLabel('Sort by').selectOption('size');
  await page.waitForURL(/order=size/);
  const rising = await sizes();
  expect(rising.length).toBeGreaterThan(3);
  expect(rising).toEqual(rising.toSorted((a, b) => a - b));
  await page.getByLabel('Sort by').selectOption('tag');
  await page.waitForURL(/order=tag/);
  const found = await tags();
  expect(found).toEqual(found.toSorted((a, b) => a.localeCompare(b, 'en')));
  // A press on a head sorts by it, another turns it round; what is printed nowhere stays last.
  const head = (name: string) => page.getByRole('columnheader', { name });
  await head('Plate').getByRole('button').click();
  await expect(head('Plate')).toHaveAttribute('aria-sort', 'ascending');
  await head('Plate').getByRole('button').click();
  await expect(head('Plate')).toHaveAttribute('aria-sort', 'descending');
  await expect(head('Plate').getByRole('button')).toBeFocused();
  await expect(page).toHaveURL(/order=size.*down=1/);
  expect(await sizes()).toEqual(rising.toReversed());
});

test('two motors are compared in plain words', async ({ page }) => {
  await visit(page, '/motors');
  await page.getByLabel('Compare P-214-M').check();
  await page.getByLabel('Compare S-018').check();
  await page.getByRole('button', { name: 'Compare 2 of 2' }).click();
  await page.waitForURL(/compare/);
  await expect(page.locator('[data-difference="Code letter"]')).toContainText('check starter and breaker');
  await expect(page.locator('[data-difference="Frame"]')).toContainText('never for belts');
  await expect(page.getByTestId('mounting')).toContainText('does not drop in');
  await accessible(page);
  await page.getByLabel('Motor that would take its place').fill('');
  await expect(page.getByText('Paste a plate on each side')).toBeVisible();
});

test('a list is imported: columns mapped, good rows taken, bad rows handed back', async ({ page }) => {
  await visit(page, '/motors/import');
  await choose(
    page,
    'motors.csv',
    list([
      'I-1,Hall 1,15,460,19,1770,254T,spare',
      'I-2,Hall 2,lots,460,19,1770,254T,spare',
      '=1+1,Hall,5,460,7,1745,184T,spare',
    ]),
  );
  await expect(page.getByTestId('checked')).toContainText('1 good');
  await expect(page.getByRole('region', { name: 'Rows not taken' })).toContainText('row 3');
  await expect(page.getByRole('region', { name: 'Rows not taken' })).toContainText('spreadsheet formula');
  await accessible(page);
  await page.getByLabel('HP', { exact: true }).selectOption('');
  await expect(page.getByTestId('checked')).toContainText('2 good');
  await page.getByLabel('HP', { exact: true }).selectOption({ label: 'Power' });
  await expect(page.getByTestId('checked')).toContainText('1 good');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the other rows' }).click();
  expect((await download).suggestedFilename()).toBe('rows-not-taken.csv');
  await page.getByRole('button', { name: 'Take the 1 good rows' }).click();
  await expect(page.getByTestId('outcome')).toContainText('1 motors are in the register');
  const exported = await (await page.request.get('/motors/export.xlsx')).body();
  await visit(page, '/motors/import');
  await page.setInputFiles('#file', { name: 'motors.xlsx', mimeType: 'application/zip', buffer: exported });
  await expect(page.getByTestId('checked')).toContainText(/\d\d good/);
  await expect(page.getByTestId('checked')).not.toContainText('not taken');
  await visit(page, '/motors?q=I-1');
  await expect(page.locator('[data-motor="I-1"]')).toContainText('254T');
});

test('5 000 rows come in with progress, and a cancelled import leaves nothing behind', async ({ page }) => {
  const rows = Array.from(
    { length: 5000 },
    (_, at) => `BULK-${at},Hall ${at % 40},${[5, 10, 15, 20][at % 4]},460,19,1770,254T,spare`,
  );
  await visit(page, '/motors/import');
  await choose(page, 'many.csv', list(rows));
  await expect(page.getByTestId('checked')).toContainText('5000 good');
  await page.getByRole('button', { name: 'Take the 5000 good rows' }).click();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByTestId('outcome')).toContainText('Cancelled');
  await visit(page, '/motors?q=BULK-');
  await expect(page.getByTestId('motor-count')).toHaveText('0 motors');

  await visit(page, '/motors/import');
  await choose(page, 'many.csv', list(rows));
  await page.getByRole('button', { name: 'Take the 5000 good rows' }).click();
  await expect(page.getByTestId('busy')).toContainText('Storing motors');
  await expect(page.getByTestId('outcome')).toContainText('5000 motors are in the register');
  await visit(page, '/motors?q=BULK-&group=size');
  await expect(page.getByTestId('motor-count')).toContainText('5000 motors, the first 1000 shown');
});

test('a hostile file is refused in words and the page goes on working', async ({ page }) => {
  await visit(page, '/motors/import');
  await choose(page, 'rows.csv', `Tag\n${'P\n'.repeat(2_000_000)}`);
  await expect(page.getByRole('alert')).toContainText('more than 50,000 rows');
  await choose(page, 'picture.csv', PIXEL);
  await expect(page.getByRole('alert')).toContainText('not a table of text');
  await choose(page, 'good.csv', list(['H-1,Hall,15,460,19,1770,254T,spare']));
  await expect(page.getByTestId('checked')).toContainText('1 good');
});

test('the register is exported, and its API refuses what it should', async ({ request }) => {
  const csv = await (await request.get('/motors/export.csv')).text();
  expect(csv).toContain('P-214-M');
  expect(csv.split('\n')[0]).toContain('Plate as read');
  const xlsx = await (await request.get('/motors/export.xlsx')).body();
  expect(xlsx.subarray(0, 2).toString()).toBe('PK');
  const { motors } = (await (await request.get('/motors/export.json')).json()) as { motors: unknown[] };
  expect(motors.length).toBeGreaterThan(10);
  expect((await request.get('/motors/export.exe')).status()).toBe(404);

  const made = (await (await request.post('/api/motors', { data: { tag: 'API-1' } })).json()) as { id: string };
  const at = `/api/motors/${made.id}`;
  expect((await request.post('/api/motors', { data: { tag: 5 } })).status()).toBe(422);
  const half = { data: Buffer.from('{"tag":'), headers: { 'content-type': 'application/json' } };
  expect((await request.post('/api/motors', half)).status()).toBe(400);
  expect((await request.post('/api/motors', { data: Buffer.from('{"tag":') })).status()).toBe(415);
  const large = { ...half, data: Buffer.from(`{"note":"${'x'.repeat(600_000)}"}`) };
  expect((await request.post('/api/motors', large)).status()).toBe(413);
  expect((await request.put(at, { data: { base: 1, motor: { tag: 'API-2' } } })).status()).toBe(200);
  expect((await request.put(at, { data: { base: 1, motor: { tag: 'API-3' } } })).status()).toBe(409);
  expect((await request.post(`${at}/photos`, { data: Buffer.alloc(0) })).status()).toBe(422);
  expect((await request.post(`${at}/photos`, { data: Buffer.alloc(8_100_000) })).status()).toBe(422);
  expect((await request.post('/api/motors/batch', { data: { importId: 'x', motors: [] } })).status()).toBe(422);
  expect((await request.get('/api/motors/nothing')).status()).toBe(404);
  expect((await request.delete(at)).status()).toBe(204);
  expect((await request.get(at)).status()).toBe(404);
});

test('a link saves what was typed of a motor first; rules of a site are not dropped without a word', async ({
  page,
}) => {
  await visit(page, '/motors?q=S-018');
  await page.getByRole('link', { name: 'S-018' }).first().click();
  await page.waitForURL(/\/motors\/[0-9a-f-]{36}/);
  const motor = page.url();
  await page.locator('#location').fill('Motor store, rack 9');
  await page.getByRole('link', { name: 'Motors', exact: true }).first().click();
  await page.waitForURL(/\/motors$/);
  await visit(page, new URL(motor).pathname);
  await expect(page.locator('#location')).toHaveValue('Motor store, rack 9');
  await visit(page, '/sites/Greyspit%20Salt%20Works');
  await page.locator('#busDip').fill('4 %');
  await page.getByRole('link', { name: 'Motors', exact: true }).first().click();
  await page.waitForURL(/\/motors$/);
  await visit(page, '/sites/Greyspit%20Salt%20Works');
  await expect(page.locator('#busDip')).toHaveValue('4 %');
  // What cannot be used is told, and dropped only when the page is left once more.
  await page.locator('#busDip').fill('4 apples');
  await page.getByRole('link', { name: 'Motors', exact: true }).first().click();
  await expect(page.locator('#busDip-error')).toContainText('apples');
  await expect(page.locator('#busDip')).toHaveValue('4 apples');
  await page.getByRole('link', { name: 'Motors', exact: true }).first().click();
  await page.waitForURL(/\/motors$/);
  await visit(page, '/sites/Greyspit%20Salt%20Works');
  await page.locator('#busDip').fill('');
  await page.locator('#busDip').blur();
  await expect(page.getByText('✓ Kept')).toBeVisible();
});
