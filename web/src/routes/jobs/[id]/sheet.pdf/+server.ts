import { selectionSheet } from '@pilgrim/core/solve/sheet';
import { loadRevision } from '$lib/server/jobs';
import { selectionPdf } from '$lib/server/pdf/selection-pdf';
import type { RequestHandler } from './$types';

/** The sheet of a revision as it was decided then: its result, its engine, its catalogue. */
export const GET: RequestHandler = async ({ params, url }) => {
  const { job, solution, revision } = await loadRevision(params.id, url.searchParams.get('revision'));
  const pdf = await selectionPdf(selectionSheet(job, solution), job.paper, revision);
  const name = (job.tag || 'job').replaceAll(/[^\w-]+/g, '-').slice(0, 40);
  return new Response(pdf, {
    headers: { 'content-type': 'application/pdf', 'content-disposition': `inline; filename="${name}-selection.pdf"` },
  });
};
