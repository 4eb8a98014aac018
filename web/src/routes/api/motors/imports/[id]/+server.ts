import { json } from '@sveltejs/kit';
import { undoImport } from '$lib/server/motors';
import type { RequestHandler } from './$types';

/** Takes back every motor an import brought in. */
export const DELETE: RequestHandler = async ({ params }) => json({ removed: await undoImport(params.id) });
