import { yard } from '$lib/server/store/yard.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, url }) => {
  const search = (url.searchParams.get('q') ?? '').slice(0, 80);
  const words = search.toLowerCase();
  const all = yard(locals.prefs.units);
  const rows = words
    ? all.filter((r) => [r.tag, r.serial, r.owner, r.name].some((x) => x.toLowerCase().includes(words)))
    : all;
  return { rows, search, total: all.length, now: new Date().toISOString() };
};
