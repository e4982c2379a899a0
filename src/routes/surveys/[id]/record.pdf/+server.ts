import { recordOf } from '$lib/server/record.ts';
import { downloadName } from '$lib/server/files/download-name.ts';
import { picturesFor } from '$lib/server/reports/pictures.ts';
import { loadSurvey } from '$lib/server/store/surveys.ts';
import { recordPdf } from '$lib/server/reports/pdf.ts';
import { error } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ params, locals }) => {
  const view = recordOf(params.id, locals.prefs.units);
  if (!view) error(404, 'There is no such assessment.');
  const { survey } = loadSurvey(params.id)!;
  const pdf = await recordPdf(view, await picturesFor(survey, view.release?.at));
  const name = downloadName(view.report.tag);
  return new Response(new Uint8Array(pdf), {
    headers: { 'content-type': 'application/pdf', 'content-disposition': `inline; filename="${name}-record.pdf"` }
  });
};
