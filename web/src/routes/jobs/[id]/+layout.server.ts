import { ownNames } from '@pilgrim/core';
import { loadJob } from '$lib/server/jobs';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ params }) => ({ ...(await loadJob(params.id)), ownNames });
