import { decisionOf } from '$lib/server/advice.ts';
import { loadSurvey } from '$lib/server/store/surveys.ts';
import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => {
  const loaded = loadSurvey(params.id);
  if (!loaded) error(404, 'There is no such assessment.');
  const { units } = locals.prefs;
  return { decision: await decisionOf(loaded.survey, new Date(), units) };
};
