import type { System } from '$core/units/index.ts';
import { recordOf } from '$lib/server/record.ts';
import { sealText } from '$lib/server/reports/pdf.ts';
import { thisMinute, whileUnchanged } from '$lib/server/store/unchanged.ts';
import { error } from '@sveltejs/kit';
import QRCode from 'qrcode';
import type { PageServerLoad } from './$types';

/** The report goes as JSON text: it is long, and native JSON is several times faster than value by value. */
async function pageOf(id: string, units: System) {
  const view = recordOf(id, units) ?? error(404, 'There is no such assessment.');
  const code = view.release?.chain
    ? await QRCode.toString(sealText(view.release), { type: 'svg', errorCorrectionLevel: 'M', margin: 2 })
    : null;
  return { ...view, report: JSON.stringify(view.report), code };
}

export const load: PageServerLoad = ({ params, locals: { prefs } }) =>
  whileUnchanged(`record ${params.id} ${prefs.units} ${thisMinute()}`, () => pageOf(params.id, prefs.units));
