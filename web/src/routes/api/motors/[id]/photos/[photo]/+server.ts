import { loadPhoto, removePhoto } from '$lib/server/motors';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ params }) => {
  const { type, content } = await loadPhoto(params.id, params.photo);
  return new Response(new Uint8Array(content), {
    headers: { 'content-type': type, 'cache-control': 'private, max-age=31536000, immutable' },
  });
};

export const DELETE: RequestHandler = async ({ params }) => {
  await removePhoto(params.id, params.photo);
  return new Response(null, { status: 204 });
};
