import { Readable } from 'node:stream';
import { writeBundle } from '$lib/server/files/bundle.ts';
import { downloadName } from '$lib/server/files/download-name.ts';
import { loadSurvey } from '$lib/server/store/surveys.ts';
import { error } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** The survey with its photographs, in one file. */
export const GET: RequestHandler = async ({ params }) => {
  const loaded = loadSurvey(params.id);
  if (!loaded) error(404, 'There is no such assessment.');
  const stream = await writeBundle(loaded.survey);
  return new Response(Readable.toWeb(stream) as ReadableStream, {
    headers: {
      'content-type': 'application/zip',
      'content-disposition': `attachment; filename="${downloadName(loaded.survey.engine.identity.tag)}.bundle.zip"`
    }
  });
};
