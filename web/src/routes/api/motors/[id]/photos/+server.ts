import { json } from '@sveltejs/kit';
import { addPhoto } from '$lib/server/motors';
import { refuse } from '$lib/server/read-json';
import type { RequestHandler } from './$types';

/** Adds a photograph: the file itself is the body. Type and size are read off its content. */
export const POST: RequestHandler = async ({ params, request }) => {
  const content = await request.arrayBuffer().catch(() => undefined);
  if (!content)
    return refuse(413, [
      { path: 'photo', message: 'The picture is larger than 8 MB. Make it smaller and send it again.' },
    ]);
  const refusal = await addPhoto(params.id, new Uint8Array(content), request.signal);
  return refusal === undefined
    ? json({ added: true }, { status: 201 })
    : refuse(422, [{ path: 'photo', message: refusal }]);
};
