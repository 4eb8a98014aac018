import { currentCatalogue } from '$lib/server/catalogue';
import type { RequestHandler } from './$types';

/** Every item, for the browser’s own solving. */
export const GET: RequestHandler = async ({ request }) => {
  const { version, text } = await currentCatalogue();
  const etag = `"${version}"`;
  const headers = { etag, 'cache-control': 'no-cache' };
  if (request.headers.get('if-none-match') === etag) return new Response(null, { status: 304, headers });
  return new Response(text, { headers: { ...headers, 'content-type': 'application/json' } });
};
