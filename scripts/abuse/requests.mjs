// Requests nobody means well with: whatever is sent, never 5xx, never slow, and the memory stays.
import { connect } from 'node:net';
import { residentOf, pidOf, someJob } from './app.mjs';
import { seeded } from '../lib/seeded.mjs';

const SLOW = 5000;
const AT_ONCE = 8;
/** MB the web server may have grown by. */
const GROWN = 250;

const words = [
  '',
  '0',
  '-1',
  '1e999',
  'NaN',
  '99999999999999999999',
  '\\u0000',
  '\\ud83d',
  '__proto__',
  'constructor',
  "' or 1=1 --",
  '<script>alert(1)</script>',
  '../../etc/passwd',
  '=cmd|x',
  '\u202e',
  '😀',
  'x'.repeat(5000),
];
const paths = [
  '/',
  '/?q=',
  '/motors',
  '/motors?order=',
  '/motors/import',
  '/motors/export.csv',
  '/motors/compare?ids=',
  '/sites',
  '/sites/',
  '/jobs/',
  '/api/jobs',
  '/api/jobs/',
  '/api/solve',
  '/api/motors',
  '/api/motors/',
  '/api/motors/batch',
  '/api/motors/spares',
  '/api/motors/imports/',
  '/api/sites?name=',
  '/api/records?kind=prices&site=',
  '/api/schema/',
  '/api/catalogue',
  '/healthz',
  '/?/create',
  '/?/import',
  '/motors?/create',
  '/favicon.svg',
  '/_app/',
];
const methods = ['GET', 'POST', 'PUT', 'DELETE', 'PATCH', 'HEAD', 'OPTIONS'];
const types = [
  'application/json',
  'text/plain',
  'application/x-www-form-urlencoded',
  'multipart/form-data; boundary=x',
  'multipart/form-data',
  'application/xml',
  '',
];

/** A body near a valid one, spoiled in some way. */
function spoiled(random, document) {
  const pick = (list) => list[Math.floor(random() * list.length)];
  const text = JSON.stringify(random() < 0.5 ? document : { base: pick([1, 0, -1, 3e9, 1.5, '1']), document });
  const at = Math.floor(random() * text.length);
  switch (Math.floor(random() * 9)) {
    case 0:
      return text.slice(0, at);
    case 1:
      return text.replace(/"[a-z]+":/i, `"${pick(words)}":`);
    case 2:
      return text.replace(/:"[^"]*"/, `:"${pick(words)}"`);
    case 3:
      return '['.repeat(1 + Math.floor(random() * 100_000));
    case 4:
      return text.slice(0, at) + pick(words) + text.slice(at);
    case 5:
      return `--x\r\ncontent-disposition: form-data; name="${pick(words)}"\r\n\r\n${pick(words)}`;
    case 6:
      return `tag=${pick(words)}&kind=${pick(words)}&${pick(words)}`;
    case 7:
      return text.replaceAll('}', `,"${pick(['__proto__', 'constructor', 'zz'])}":{}}`);
    default:
      return text;
  }
}

/** Half a request on a bare connection, then silence or a cut. */
function halfRequest(origin, random) {
  const { hostname, port } = new URL(origin);
  const heads = [
    'POST /api/jobs HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\nContent-Length: 5000\r\n\r\n{"title":',
    'GET / HTTP/1.1\r\nHost: localhost\r\nX: ',
    'GET /\0 HTTP/1.1\r\n\r\n',
    `GET /${'x'.repeat(20_000)} HTTP/1.1\r\nHost: localhost\r\n\r\n`,
    'POST /api/solve HTTP/1.1\r\nHost: localhost\r\nTransfer-Encoding: chunked\r\n\r\nzz\r\n',
  ];
  return new Promise((resolve) => {
    const socket = connect({ host: hostname, port: Number(port) }, () => {
      socket.write(heads[Math.floor(random() * heads.length)]);
      setTimeout(() => socket.destroy(), 20);
    });
    socket.on('error', () => {});
    socket.on('close', resolve);
  });
}

export async function requests({ origin }, count, seed) {
  const random = seeded(seed);
  const pick = (list) => list[Math.floor(random() * list.length)];
  const job = await someJob(origin);
  const { document } = await job.read();
  const web = pidOf('web');
  const before = residentOf(web);
  const bad = [];
  let slowest = 0;
  let answered = 0;
  const one = async () => {
    if (random() < 0.03) return halfRequest(origin, random);
    const path =
      random() < 0.3
        ? `/api/jobs/${job.id}`
        : `${pick(paths)}${random() < 0.5 ? encodeURIComponent(pick(words.slice(0, 6))) : ''}`;
    const method = pick(methods);
    const headers = {
      'content-type': pick(types),
      ...(random() < 0.1 ? { origin: pick(['null', 'http://evil.example', origin]) } : {}),
    };
    const body = ['GET', 'HEAD'].includes(method) ? undefined : spoiled(random, document);
    const began = performance.now();
    const response = await fetch(origin + path, {
      method,
      headers,
      body,
      redirect: 'manual',
      signal: AbortSignal.timeout(30_000),
    }).catch((error) => ({ status: `no answer: ${error.cause?.code ?? error.name}` }));
    await response.text?.().catch(() => '');
    const took = performance.now() - began;
    slowest = Math.max(slowest, took);
    answered++;
    if (typeof response.status !== 'number' || response.status >= 500 || took > SLOW)
      bad.push(
        `${response.status} in ${took.toFixed(0)} ms: ${method} ${path.slice(0, 60)} ${headers['content-type']} ${(body ?? '').slice(0, 80)}`,
      );
    return undefined;
  };
  let left = count;
  await Promise.all(
    Array.from({ length: AT_ONCE }, async () => {
      while (left-- > 0) await one();
    }),
  );
  const same = pidOf('web') === web;
  const grown = same ? residentOf(web) - before : 0;
  if (!same) bad.push('the web server died');
  if (grown > GROWN) bad.push(`the web server grew by ${grown.toFixed(0)} MB`);
  return {
    figure: `${answered} answered, ${bad.length} badly; slowest ${slowest.toFixed(0)} ms, ${grown.toFixed(0)} MB more`,
    bad,
  };
}
