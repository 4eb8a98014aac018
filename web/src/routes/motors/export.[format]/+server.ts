import { error } from '@sveltejs/kit';
import { motorDocuments } from '$lib/server/motors';
import { fileResponse, registerFormat } from '$lib/server/work/file-types';
import { beside } from '$lib/server/work/pool';
import type { RequestHandler } from './$types';

/** The whole register as CSV, XLSX or JSON. */
export const GET: RequestHandler = async ({ params, request }) => {
  const format = registerFormat(params.format);
  if (!format) error(404, 'The register is exported as csv, xlsx or json.');
  const done = await beside({ kind: 'register', documents: await motorDocuments(), format }, request.signal);
  if (done.kind !== 'file') throw new Error('the worker made no file');
  return fileResponse(done.bytes, 'motors', format);
};
