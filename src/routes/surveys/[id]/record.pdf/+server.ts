import { recordOf } from '$lib/server/record.ts';
import { recordPdf } from '$lib/server/reports/pdf.ts';
import { error } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ params, locals }) => {
  const view = recordOf(params.id, locals.prefs.units);
  if (!view) error(404, 'There is no such assessment.');
  const pdf = await recordPdf(view);
  const name = view.report.tag.replace(/[^A-Za-z0-9_-]+/g, '-').slice(0, 60) || 'engine';
  return new Response(new Uint8Array(pdf), {
    headers: { 'content-type': 'application/pdf', 'content-disposition': `inline; filename="${name}-record.pdf"` }
  });
};
