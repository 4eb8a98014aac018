import { revisionText } from '$lib/server/jobs';
import { fileResponse, plainName } from '$lib/server/work/file-types';
import { beside } from '$lib/server/work/pool';
import type { RequestHandler } from './$types';

/** Papers made last, by job and revision: a revision never changes. */
const papers = new Map<string, Uint8Array<ArrayBuffer>>();
const KEPT = 50;

/** The sheet of a revision as it was decided then: its result, its engine, its catalogue. */
export const GET: RequestHandler = async ({ params, url, request }) => {
  const { document, result, revision, tag } = await revisionText(params.id, url.searchParams.get('revision'));
  const key = `${params.id} ${revision}`;
  let bytes = papers.get(key);
  if (!bytes) {
    const done = await beside({ kind: 'paper', document, result, revision }, request.signal);
    if (done.kind !== 'paper') throw new Error('the worker made no paper');
    ({ bytes } = done);
    papers.set(key, bytes);
    const [oldest] = papers.keys();
    if (papers.size > KEPT && oldest !== undefined) papers.delete(oldest);
  }
  return fileResponse(bytes, `${plainName(tag || 'job')}-selection`, 'pdf');
};
