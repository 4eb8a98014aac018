import { error } from '@sveltejs/kit';
import { motorDocuments } from '$lib/server/motors';
import { beside } from '$lib/server/work/pool';
import { registerFormats, type RegisterFormat } from '$lib/server/work/register-formats';
import type { RequestHandler } from './$types';

const isFormat = (asked: string): asked is RegisterFormat => Object.hasOwn(registerFormats, asked);

/** The whole register as CSV, XLSX or JSON. */
export const GET: RequestHandler = async ({ params, request }) => {
  const { format } = params;
  if (!isFormat(format)) error(404, 'The register is exported as csv, xlsx or json.');
  const done = await beside({ kind: 'register', documents: await motorDocuments(), format }, request.signal);
  if (done.kind !== 'file') throw new Error('the worker made no file');
  return new Response(done.bytes, {
    headers: {
      'content-type': registerFormats[format],
      'content-disposition': `attachment; filename="motors.${format}"`,
    },
  });
};
