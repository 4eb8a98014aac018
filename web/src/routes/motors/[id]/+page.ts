import { sheetOf } from '$lib/job/sheets';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ data }) => {
  return { ...data, sheet: await sheetOf('nameplate') };
};
