import { expect, test } from '@playwright/test';
import { demoJob } from './app.ts';

interface Issues {
  readonly issues: readonly { readonly path: string; readonly message: string }[];
}

test('bad requests are answered 4xx with the field, never 500', async ({ request }) => {
  const solve = (data: string | object) =>
    request.post('/api/solve', {
      data: Buffer.from(typeof data === 'string' ? data : JSON.stringify(data)),
      headers: { 'content-type': 'application/json' },
    });
  const cases: readonly (readonly [string | object, number, string])[] = [
    ['{"nameplate":', 400, ''],
    ['', 400, ''],
    [[], 422, ''],
    [{ colour: 'red' }, 422, ''],
    [{ nameplate: { power: { hp: 15 } } }, 422, 'nameplate.power'],
    [{ nameplate: { power: '15 fr' } }, 422, 'nameplate.power'],
    [{ load: { torque: -5 } }, 422, 'load.torque'],
    [{ profile: { points: [{ flow: '70 %', hours: '99999 h' }] } }, 422, 'profile.points.0.hours'],
    [{ practice: { sizeMargin: [40] } }, 422, 'practice.sizeMargin'],
    ['{"__proto__":{"x":1},"title":"x"}', 422, ''],
    ['{"title":"\\u0000x"}', 422, 'title'],
    ['{"load":{"torque":"\\ud83d"}}', 422, 'load.torque'],
    ['['.repeat(200_000), 400, ''],
  ];
  for (const [data, status, path] of cases) {
    const response = await solve(data);
    expect(response.status(), JSON.stringify(data)).toBe(status);
    expect(((await response.json()) as Issues).issues[0]?.path).toBe(path);
  }
  expect((await solve('x'.repeat(600_000))).status()).toBe(413);
  expect((await request.get('/jobs/not-a-job')).status()).toBe(404);
  expect((await request.get('/jobs/00000000-0000-0000-0000-000000000000/sheet.pdf')).status()).toBe(404);
  expect((await request.put('/api/jobs/x', { data: { base: 1, document: {} } })).status()).toBe(404);
  expect((await request.put('/api/jobs/x', { data: { base: 0 } })).status()).toBe(422);
  expect((await request.get('/api/schema/other')).status()).toBe(404);
});

test('odd text is stored and printed, not failed on', async ({ request }) => {
  const response = await request.post('/api/jobs', {
    data: { title: 'ab 🜂 \u202e', site: "'; drop table jobs; --" },
  });
  expect(response.status()).toBe(201);
  const { id } = (await response.json()) as { id: string };
  expect((await request.get(`/jobs/${id}/situation`)).status()).toBe(200);
  const pdf = await request.get(`/jobs/${id}/sheet.pdf`);
  expect(pdf.status()).toBe(200);
});

test('a stale save is refused with the stored version, and revisions stay', async ({ page, request }) => {
  const job = await demoJob(page, 'RF-110');
  const { revision, document } = (await (await request.get(`/api${job}`)).json()) as {
    revision: number;
    document: { title: string };
  };
  const save = (base: number, title: string) =>
    request.put(`/api${job}`, { data: { base, document: { ...document, title } } });
  const first = await save(revision, 'First');
  expect(await first.json()).toEqual({ revision: revision + 1 });
  const second = await save(revision, 'Second');
  expect(second.status()).toBe(409);
  expect(await second.json()).toMatchObject({ revision: revision + 1, document: { title: 'First' } });
});

test('solving, schemas, catalogue and health are served', async ({ request }) => {
  const solution = (await (
    await request.post('/api/solve', {
      data: { nameplate: { power: '15 hp', voltages: '460', currents: '19', speed: '1770' } },
    })
  ).json()) as { values: Record<string, { value: number }> };
  expect(solution.values['nameplate.poles']?.value).toBe(4);
  expect(await (await request.get('/api/schema/job.json')).json()).toHaveProperty('properties.nameplate');
  expect(await (await request.get('/healthz')).json()).toMatchObject({ database: 'up', current: true });
  const catalogue = await request.get('/api/catalogue');
  const again = await request.get('/api/catalogue', {
    headers: { 'if-none-match': catalogue.headers()['etag'] ?? '' },
  });
  expect(again.status()).toBe(304);
});

test('only our own pages change what is stored, by any name of this machine', async ({ page, request, baseURL }) => {
  const make = (headers: Record<string, string>) =>
    request.post('/api/jobs', { data: { title: 'From elsewhere' }, headers });
  expect((await make({ origin: 'http://evil.example' })).status()).toBe(403);
  expect((await make({ host: 'evil.example' })).status()).toBe(421);
  expect((await make({})).status()).toBe(201);
  // A form works under localhost as it does under the number.
  await page.goto((baseURL ?? '').replace('127.0.0.1', 'localhost'));
  await page.getByLabel('Tag').first().fill('L-77');
  await page.getByRole('button', { name: /Start/ }).first().click();
  await expect(page).toHaveURL(/localhost:\d+\/jobs\//);
  const headers = (await request.get('/')).headers();
  expect(headers['cache-control']).toBe('no-store');
  expect(headers['content-security-policy']).toContain("form-action 'self'");
});
