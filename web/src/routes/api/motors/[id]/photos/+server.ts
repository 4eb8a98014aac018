import { json } from '@sveltejs/kit';
import { addPhoto } from '$lib/server/motors';
import { refuse } from '$lib/server/read-json';
import type { RequestHandler } from './$types';

const MOST_BYTES = 8_000_000;

/** Adds a photograph: the file itself is the body. Type and size are read off its content. */
export const POST: RequestHandler = async ({ params, request }) => {
  if (Number(request.headers.get('content-length') ?? 0) > MOST_BYTES)
    return refuse(413, [
      { path: 'photo', message: 'The picture is larger than 8 MB. Make it smaller and send it again.' },
    ]);
  const refusal = await addPhoto(params.id, new Uint8Array(await request.arrayBuffer()));
  return refusal === undefined
    ? json({ added: true }, { status: 201 })
    : refuse(422, [{ path: 'photo', message: refusal }]);
};
