import { sheetOf } from '$lib/job/sheets';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ data }) => {
  const { fields } = await sheetOf('nameplate');
  return { ...data, plate: fields };
};
