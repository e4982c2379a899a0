import { inside } from '$lib/server/access/inside.ts';
import type { PageServerLoad } from './$types';

/** Where one came from, if it is a page of this application. */
export const load: PageServerLoad = ({ url }) => {
  return { back: inside(url.searchParams.get('back')) };
};
