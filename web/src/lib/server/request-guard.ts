import { json, text, type RequestEvent } from '@sveltejs/kit';

/** Names under which this machine reaches itself. */
const LOOPBACK = ['localhost', '127.0.0.1', '[::1]'];
const CHANGING = new Set(['POST', 'PUT', 'PATCH', 'DELETE']);

/** Host names that may be asked for: this machine’s own and those of PILGRIM_HOSTS (a comma between names). */
function knownHosts(): ReadonlySet<string> {
  const configured = (process.env['PILGRIM_HOSTS'] ?? '').split(',').map((name) => name.trim().toLowerCase());
  return new Set([...LOOPBACK, ...configured.filter((name) => name !== '')]);
}

/** `host` or `host:port`; the port does not matter. */
const nameOf = (host: string): string => host.replace(/:\d+$/, '').toLowerCase();

/** Why a request is refused before any route sees it; undefined where it may go on. */
export function refusalOf({ request, url }: Pick<RequestEvent, 'request' | 'url'>): Response | undefined {
  const host = request.headers.get('host') ?? '';
  if (!knownHosts().has(nameOf(host)))
    return said(request, 421, 'Pilgrim is not known by this name. Set PILGRIM_HOSTS to the names it may be asked for.');
  // No address of ours holds U+0000, and the database cannot look for it.
  if (/%00/.test(url.pathname + url.search)) return said(request, 400, 'This address holds a broken character.');
  if (!CHANGING.has(request.method)) return undefined;
  if (!isOwn(request.headers, host)) return said(request, 403, 'Only Pilgrim’s own pages may change what is stored.');
  // A form is named by a parameter that begins with a slash, wherever it stands.
  if ([...url.searchParams.keys()].some((key) => key.startsWith('/') && key.slice(1) in {}))
    return said(request, 404, 'There is no such form.');
  return undefined;
}

/** A browser says where a change comes from; what is no browser may leave it out. */
function isOwn(headers: Headers, host: string): boolean {
  const origin = headers.get('origin');
  if (origin !== null) return URL.canParse(origin) && new URL(origin).host === host.toLowerCase();
  const site = headers.get('sec-fetch-site');
  return site === null || site === 'same-origin' || site === 'none';
}

/** A refusal in words, as JSON for who asks for it. */
export function said(request: Request, status: number, message: string): Response {
  const wantsJson = /json/.test(`${request.headers.get('accept') ?? ''} ${request.headers.get('content-type') ?? ''}`);
  return wantsJson ? json({ issues: [{ path: '', message }] }, { status }) : text(message, { status });
}

const HEADERS = {
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'same-origin',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  'permissions-policy': 'camera=(), geolocation=(), microphone=(), payment=(), usb=()',
} as const;

/** What every answer says for the browser’s sake; what is private is not kept by it unless a route says so. */
export function guard(request: Request, response: Response): Response {
  for (const [name, value] of Object.entries(HEADERS)) response.headers.set(name, value);
  if (!response.headers.has('cache-control')) response.headers.set('cache-control', 'no-store');
  if (response.status === 503) response.headers.set('retry-after', '2');
  // What was sent and not read would hold the connection; closed, it is dropped.
  if (request.body && !request.bodyUsed) response.headers.set('connection', 'close');
  return response;
}
