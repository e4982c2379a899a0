import { engineOfLink } from '$lib/server/access/store.ts';
import { careOf, yearAsked, yearFor } from '$lib/server/care.ts';
import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

/** The year of the owner's one engine: what he logged, what was done, what comes next. */
export const load: PageServerLoad = ({ params, url, locals, setHeaders }) => {
  setHeaders({ 'cache-control': 'no-store', 'x-robots-tag': 'noindex' });
  const engineId = engineOfLink(params.secret);
  const year = engineId && yearFor(engineId, locals.prefs.units, yearAsked(url.searchParams.get('year')));
  if (!engineId || !year) error(404, 'This address shows nothing any more. Ask the yard for a new one.');
  return { ...year, due: careOf(engineId)?.due ?? [] };
};
