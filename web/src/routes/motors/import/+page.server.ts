import { listSites } from '$lib/server/jobs';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => ({ sites: await listSites() });
