import { yardPage } from '$lib/server/store/yard.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, url }) => {
  const search = (url.searchParams.get('q') ?? '').slice(0, 80);
  const page = Math.min(10_000, Math.max(1, Math.floor(Number(url.searchParams.get('page')) || 1)));
  return { ...yardPage(locals.prefs.units, search, page), search, page, now: new Date().toISOString() };
};
