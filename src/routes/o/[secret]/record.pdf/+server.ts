import { engineOfLink } from '$lib/server/access/store.ts';
import { downloadName } from '$lib/server/files/download-name.ts';
import { signedPdf } from '$lib/server/reports/record-pdf.ts';
import { lastRelease } from '$lib/server/store/releases.ts';
import { surveysOf } from '$lib/server/store/surveys.ts';
import { error } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** The last signed record of the owner's engine. */
export const GET: RequestHandler = async ({ params, locals }) => {
  const engineId = engineOfLink(params.secret);
  const survey = engineId && surveysOf(engineId).find((s) => lastRelease(s.id));
  if (!survey) error(404, 'There is no signed record at this address.');
  const made = await signedPdf(survey.id, locals.prefs.units);
  if (!made) error(404, 'There is no signed record at this address.');
  return new Response(new Uint8Array(made.pdf), {
    headers: {
      'content-type': 'application/pdf',
      'cache-control': 'no-store',
      'content-disposition': `inline; filename="${downloadName(made.tag)}-record.pdf"`
    }
  });
};
