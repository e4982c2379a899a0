import { searchAll } from '$lib/server/store/search.ts';
import { loadEngine } from '$lib/server/store/engines.ts';
import { judgedInTurn, refresh } from '$lib/server/store/yard.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url, locals }) => {
  await judgedInTurn(locals.prefs.units);
  const q = (url.searchParams.get('q') ?? '').slice(0, 200);
  const waiting = refresh(locals.prefs.units);
  const tags = new Map<string, string>();
  const hits = searchAll(q).map((h) => {
    const tag = tags.get(h.engineId) ?? loadEngine(h.engineId).identity.tag ?? 'no tag';
    tags.set(h.engineId, tag);
    return { ...h, tag };
  });
  return { q, hits, waiting };
};
