import { selectionSheet } from '@pilgrim/core/handover/sheet';
import { loadSolved } from '$lib/server/jobs';
import { selectionPdf } from '$lib/server/pdf/selection-pdf';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ params }) => {
  const { job, solution, revision } = await loadSolved(params.id);
  const pdf = await selectionPdf(selectionSheet(job, solution), job.paper, revision);
  const name = (job.tag || 'job').replaceAll(/[^\w-]+/g, '-').slice(0, 40);
  return new Response(pdf, {
    headers: { 'content-type': 'application/pdf', 'content-disposition': `inline; filename="${name}-selection.pdf"` },
  });
};
