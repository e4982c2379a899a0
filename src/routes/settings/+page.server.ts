import type { PageServerLoad } from './$types';

/** Where one came from, if it is a page of this application. */
export const load: PageServerLoad = ({ url }) => {
  const back = url.searchParams.get('back') ?? '/';
  return { back: /^\/(?!\/|\\)/.test(back) ? back : '/' };
};
