import { procedures } from '$core/procedures/register.ts';
import type { PageServerLoad } from './$types';

/** Procedures whose title, purpose, tools or faults hold every word of the search. */
export const load: PageServerLoad = ({ url }) => {
  const search = (url.searchParams.get('q') ?? '').slice(0, 80);
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  return {
    search,
    total: procedures.length,
    list: procedures
      .filter((p) => {
        const text = [p.title, p.means, ...p.tools, ...p.parts, ...p.wrong].join(' ').toLowerCase();
        return words.every((w) => text.includes(w));
      })
      .map(({ id, title, means, minutes }) => ({ id, title, means, minutes }))
  };
};
