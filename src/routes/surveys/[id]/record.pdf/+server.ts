import { downloadName } from '$lib/server/files/download-name.ts';
import { pdfOf } from '$lib/server/reports/record-pdf.ts';
import { error } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ params, locals }) => {
  const made = await pdfOf(params.id, locals.prefs.units);
  if (!made) error(404, 'There is no such assessment.');
  return new Response(new Uint8Array(made.pdf), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': `inline; filename="${downloadName(made.tag)}-record.pdf"`
    }
  });
};
