import { loadJob } from '$lib/server/jobs';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = ({ params }) => loadJob(params.id);
