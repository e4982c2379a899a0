import { careOf, yearAsked, yearFor } from '$lib/server/care.ts';
import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params, url, locals }) => {
  const year = yearFor(params.id, locals.prefs.units, yearAsked(url.searchParams.get('year')));
  if (!year) error(404, 'There is no such engine.');
  return { ...year, engineId: params.id, due: careOf(params.id)?.due ?? [] };
};
