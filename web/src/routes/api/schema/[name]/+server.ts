import { jobJsonSchema, solutionJsonSchema } from '@pilgrim/core';
import { error, json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** The published JSON Schemas: job.json and solution.json. */
export const GET: RequestHandler = ({ params }) => {
  if (params.name === 'job.json') return json(jobJsonSchema());
  if (params.name === 'solution.json') return json(solutionJsonSchema());
  error(404, 'There are two schemas: job.json and solution.json.');
};
