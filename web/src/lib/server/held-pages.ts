import { env } from '$env/dynamic/private';
import { currentRevision } from './jobs';

interface HeldPage {
  readonly revision: number;
  readonly body: string;
  readonly headers: Headers;
}

const JOB_PAGE = /^\/jobs\/([0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12})(?:\/[a-z]+)?$/;
/** Pages held at most; `HELD_PAGES=0` renders every request afresh. */
const most = Number(env.HELD_PAGES ?? 300);
const held = new Map<string, HeldPage>();

/**
 * Serves a job page rendered before while its revision stands. Revisions never change, so a page is a function of
 * job, revision and stage; which revision is newest is asked of the database every time.
 */
export async function heldPage(pathname: string, render: () => Promise<Response>): Promise<Response> {
  const id = JOB_PAGE.exec(pathname)?.[1];
  const revision = id === undefined ? undefined : await currentRevision(id).catch(() => undefined);
  if (revision === undefined) return render();
  const known = held.get(pathname);
  if (known?.revision === revision) return new Response(known.body, { headers: new Headers(known.headers) });
  const response = await render();
  if (response.status !== 200) return response;
  const page = { revision, body: await response.text(), headers: response.headers };
  held.delete(pathname);
  held.set(pathname, page);
  const oldest = held.keys().next();
  if (held.size > most && !oldest.done) held.delete(oldest.value);
  return new Response(page.body, { headers: new Headers(page.headers) });
}
