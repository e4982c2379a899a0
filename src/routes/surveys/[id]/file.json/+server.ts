import { downloadName } from '$lib/server/files/download-name.ts';
import { loadSurvey } from '$lib/server/store/surveys.ts';
import { error } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** The open survey file. */
export const GET: RequestHandler = ({ params }) => {
  const loaded = loadSurvey(params.id);
  if (!loaded) error(404, 'There is no such assessment.');
  return new Response(`${JSON.stringify(loaded.survey, null, 2)}\n`, {
    headers: {
      'content-type': 'application/json; charset=utf-8',
      'content-disposition': `attachment; filename="${downloadName(loaded.survey.engine.identity.tag)}.survey.json"`
    }
  });
};
