import { loadMotor, type StoredMotor } from '$lib/server/motors';
import type { PageServerLoad } from './$types';

/** Two registered motors by id; either may be left open and typed on the page. */
export const load: PageServerLoad = async ({ url }) => {
  const side = async (name: string): Promise<StoredMotor | undefined> => {
    const id = url.searchParams.get(name);
    return id === null || id === '' ? undefined : loadMotor(id);
  };
  const [a, b] = await Promise.all([side('a'), side('b')]);
  return { a, b };
};
