// What is refused before any route sees it, and how a body is read. No outside source but the web’s own rules: Fetch
// (forbidden request headers, Origin), RFC 9110 (421, 415), RFC 8259 (JSON is UTF-8).
import fc from 'fast-check';
import { afterEach, describe, expect, it } from 'vitest';
import { z } from 'zod';
import { guard, refusalOf } from '../../src/lib/server/request-guard.ts';
import { rateLimit, pointsOf } from '../../src/lib/server/rate-limit.ts';
import { readForm, typedIn } from '../../src/lib/server/read-form.ts';
import { baseSchema, readJson } from '../../src/lib/server/read-json.ts';

function asked(path: string, headers: Record<string, string>, method = 'GET'): Response | undefined {
  const url = new URL(`http://127.0.0.1:4700${path}`);
  const request = new Request(url, { method, headers: { host: '127.0.0.1:4700', ...headers } });
  return refusalOf({ request, url });
}

describe('names Pilgrim may be asked for', () => {
  afterEach(() => delete process.env['PILGRIM_HOSTS']);

  it.each(['localhost:4700', '127.0.0.1', 'LOCALHOST:1', '[::1]:4700'])('%s is this machine', (host) => {
    expect(asked('/', { host })).toBeUndefined();
  });

  it.each(['evil.example', '127.0.0.1.evil.example', 'localhost.evil.example:4700', '', '10.0.0.8:4700'])(
    '“%s” is not',
    (host) => {
      expect(asked('/', { host })?.status).toBe(421);
    },
  );

  it('others by setting, in words for who meets it', async () => {
    process.env['PILGRIM_HOSTS'] = 'pilgrim.mill.example, plant-7';
    expect(asked('/', { host: 'Pilgrim.Mill.example:8080' })).toBeUndefined();
    expect(asked('/', { host: 'plant-7' })).toBeUndefined();
    expect(await asked('/', { host: 'plant-8' })?.text()).toContain('PILGRIM_HOSTS');
  });
});

describe('who may change what is stored', () => {
  it.each(['POST', 'PUT', 'PATCH', 'DELETE'])('%s only from our own pages, or from what is no browser', (method) => {
    const from = (headers: Record<string, string>) => asked('/api/jobs', headers, method)?.status;
    expect(from({})).toBeUndefined();
    expect(from({ origin: 'http://127.0.0.1:4700' })).toBeUndefined();
    expect(from({ host: 'localhost:4700', origin: 'http://localhost:4700' })).toBeUndefined();
    expect(from({ 'sec-fetch-site': 'same-origin' })).toBeUndefined();
    expect(from({ origin: 'http://localhost:4700' })).toBe(403);
    expect(from({ origin: 'http://127.0.0.1:4701' })).toBe(403);
    expect(from({ origin: 'null' })).toBe(403);
    expect(from({ origin: 'http://evil.example' })).toBe(403);
    expect(from({ 'sec-fetch-site': 'cross-site' })).toBe(403);
    expect(from({ 'sec-fetch-site': 'same-site' })).toBe(403);
  });

  it('reading is not changing', () => {
    expect(asked('/api/jobs', { origin: 'http://evil.example' })).toBeUndefined();
  });

  it.each(['constructor', '__proto__', 'toString', '%63onstructor'])('there is no form called %s', (name) => {
    expect(asked(`/?/${name}`, {}, 'POST')?.status).toBe(404);
    expect(asked(`/?a=1&/${name}=`, {}, 'POST')?.status).toBe(404);
    expect(asked('/?/create', {}, 'POST')).toBeUndefined();
  });

  it('no address holds a NUL', () => {
    expect(asked('/?q=a%00b', {})?.status).toBe(400);
    expect(asked('/sites/%00', {})?.status).toBe(400);
  });
});

describe('how much one address may ask for', () => {
  it('counts what changes or costs, never a page that is read', () => {
    expect(pointsOf('GET', '/jobs/1/load')).toBe(0);
    expect(pointsOf('PUT', '/api/jobs/1')).toBe(1);
    for (const path of ['/jobs/1/sheet.pdf', '/motors/export.csv', '/api/solve', '/api/motors/1/photos'])
      expect(pointsOf('GET', path)).toBe(20);
  });

  it('refuses the one over its points, in words and with when to come again, and nobody else', async () => {
    process.env['PILGRIM_RATE'] = '3';
    const from = async (address: string, method = 'PUT') => {
      const url = new URL('http://127.0.0.1/api/jobs/1');
      const request = new Request(url, { method, headers: { accept: 'application/json' } });
      return rateLimit({ request, url, getClientAddress: () => address } as never);
    };
    for (let at = 0; at < 3; at++) expect(await from('10.0.0.1')).toBeUndefined();
    const refused = await from('10.0.0.1');
    expect(refused?.status).toBe(429);
    expect(Number(refused?.headers.get('retry-after'))).toBeGreaterThan(0);
    expect(await refused?.json()).toMatchObject({ issues: [{ message: expect.stringContaining('Wait') as string }] });
    expect(await from('10.0.0.2')).toBeUndefined();
    expect(await from('10.0.0.1', 'GET')).toBeUndefined();
    delete process.env['PILGRIM_RATE'];
  });
});

describe('every answer', () => {
  const bare = () => new Request('http://127.0.0.1/');

  it('tells the browser to guess no type, keep nothing private and share with nobody', () => {
    const { headers } = guard(bare(), new Response('x'));
    expect(headers.get('x-content-type-options')).toBe('nosniff');
    expect(headers.get('cache-control')).toBe('no-store');
    expect(headers.get('cross-origin-opener-policy')).toBe('same-origin');
    expect(headers.get('cross-origin-resource-policy')).toBe('same-origin');
    expect(headers.get('permissions-policy')).toContain('camera=()');
    expect(
      guard(bare(), new Response('x', { headers: { 'cache-control': 'max-age=60' } })).headers.get('cache-control'),
    ).toBe('max-age=60');
  });

  it('says when to try again where it is too busy', () => {
    expect(guard(bare(), new Response('', { status: 503 })).headers.get('retry-after')).toBe('2');
    expect(guard(bare(), new Response('')).headers.get('retry-after')).toBeNull();
  });

  it('closes a connection whose body nobody read', async () => {
    const unread = new Request('http://127.0.0.1/', { method: 'POST', body: 'x'.repeat(1000) });
    expect(guard(unread, new Response('')).headers.get('connection')).toBe('close');
    const read = new Request('http://127.0.0.1/', { method: 'POST', body: 'x' });
    await read.text();
    expect(guard(read, new Response('')).headers.get('connection')).toBeNull();
  });
});

describe('a body of JSON', () => {
  const anything = z.unknown();
  const sent = (body: string | Uint8Array<ArrayBuffer>, type = 'application/json') =>
    new Request('http://127.0.0.1/', { method: 'POST', body, headers: { 'content-type': type } });
  const status = async (request: Request, schema: z.ZodType = anything): Promise<number> => {
    const read = await readJson(request, schema);
    return 'refusal' in read ? read.refusal.status : 200;
  };

  it('is taken in UTF-8 and refused by its type, size, depth and what it breaks off', async () => {
    expect(await status(sent('{"a":[1]}'))).toBe(200);
    expect(await status(sent('{"a":[1]}', 'application/merge-patch+json; charset=utf-8'))).toBe(200);
    expect(await status(sent('{}', 'text/plain'))).toBe(415);
    expect(await status(sent('{}', 'application/jsonp'))).toBe(415);
    expect(await status(sent('{"a":'))).toBe(400);
    expect(await status(sent(''))).toBe(400);
    expect(await status(sent(Uint8Array.from([0x22, 0xff, 0x22])))).toBe(400);
    expect(await status(sent(JSON.stringify('x'.repeat(600_000))))).toBe(413);
    expect(await status(sent('['.repeat(200_000) + ']'.repeat(200_000)))).toBe(400);
    expect(await status(sent('['.repeat(40) + ']'.repeat(40)))).toBe(200);
    expect(await status(sent('['.repeat(41) + ']'.repeat(41)))).toBe(400);
    // Brackets in text are no nesting.
    expect(await status(sent(JSON.stringify('[{"\\'.repeat(1000))))).toBe(200);
  });

  it('names the field with half a character or a NUL', async () => {
    for (const broken of ['\\ud83d', 'a\\u0000b', '\\udc00x']) {
      const read = await readJson(sent(`{"load":{"torque":["12","${broken}"]}}`), anything);
      if (!('refusal' in read)) expect.fail();
      expect(read.refusal.status).toBe(422);
      expect(await read.refusal.json()).toMatchObject({ issues: [{ path: 'load.torque.1' }] });
    }
    expect(await status(sent('{"\\ud83d":1}'))).toBe(422);
    expect(await status(sent('{"a":"\\ud83d\\ude00"}'))).toBe(200);
  });

  it('has a revision that the database can hold', async () => {
    for (const [base, expected] of [
      [1, 200],
      [2_147_483_647, 200],
      [2_147_483_648, 422],
      [0, 422],
      [1.5, 422],
      [1e300, 422],
    ] as const)
      expect(await status(sent(JSON.stringify(base)), baseSchema)).toBe(expected);
  });

  it('is never thrown at, whatever is sent', async () => {
    await fc.assert(
      fc.asyncProperty(fc.oneof(fc.string({ unit: 'binary' }), fc.json(), fc.uint8Array()), async (body) => {
        expect([200, 400, 413, 422]).toContain(
          await status(sent(typeof body === 'string' ? body : Uint8Array.from(body))),
        );
      }),
    );
  });
});

describe('a form', () => {
  it('is refused where it arrives broken, and its texts can be stored', async () => {
    const broken = new Request('http://127.0.0.1/', {
      method: 'POST',
      body: '--x\r\ncontent-dispo',
      headers: { 'content-type': 'multipart/form-data; boundary=x' },
    });
    await expect(readForm(broken)).rejects.toMatchObject({ status: 400 });
    const form = new FormData();
    form.set('tag', ' P-101\0 \ud83d ');
    form.set('file', new File(['x'], 'x'));
    expect(typedIn(form, 'tag')).toBe('P-101 \ufffd');
    expect(typedIn(form, 'file')).toBe('');
    expect(typedIn(form, 'none')).toBe('');
  });
});
