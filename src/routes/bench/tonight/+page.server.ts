import { allWork, judgedInTurn } from '$lib/server/store/yard.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
  await judgedInTurn(locals.prefs.units);
  return {
    now: new Date().toISOString(),
    engines: allWork(locals.prefs.units)
      .filter((w) => w.tonight.length || w.labels.length)
      .map(({ id, tag, tonight, labels }) => ({ id, tag, tonight, labels }))
  };
};
