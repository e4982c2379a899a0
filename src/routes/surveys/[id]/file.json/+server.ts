import { loadSurvey } from '$lib/server/store/surveys.ts';
import { error } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** The open survey file. */
export const GET: RequestHandler = ({ params }) => {
  const loaded = loadSurvey(params.id);
  if (!loaded) error(404, 'There is no such assessment.');
  const name =
    (loaded.survey.engine.identity.tag ?? 'engine').replace(/[^A-Za-z0-9_-]+/g, '-').slice(0, 60) || 'engine';
  return new Response(`${JSON.stringify(loaded.survey, null, 2)}\n`, {
    headers: {
      'content-type': 'application/json; charset=utf-8',
      'content-disposition': `attachment; filename="${name}.survey.json"`
    }
  });
};
