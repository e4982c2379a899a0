import { recordOf } from '$lib/server/record.ts';
import { sealText } from '$lib/server/reports/pdf.ts';
import { error } from '@sveltejs/kit';
import QRCode from 'qrcode';
import type { PageServerLoad } from './$types';

/** The report goes as JSON text: it is long, and native JSON is several times faster than value by value. */
export const load: PageServerLoad = async ({ params, locals }) => {
  const view = recordOf(params.id, locals.prefs.units) ?? error(404, 'There is no such assessment.');
  const code = view.release?.chain
    ? await QRCode.toString(sealText(view.release), { type: 'svg', errorCorrectionLevel: 'M', margin: 2 })
    : null;
  return { ...view, report: JSON.stringify(view.report), code };
};
