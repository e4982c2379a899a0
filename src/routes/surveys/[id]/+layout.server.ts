import { surveyPage } from '$lib/server/survey-page.ts';
import { error } from '@sveltejs/kit';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ params, locals: { prefs } }) => {
  const page = (await surveyPage(params.id, prefs.units)) ?? error(404, 'There is no such assessment.');
  return { ...page, session: { ...page.session, who: prefs.who } };
};
