import { recordOf } from '$lib/server/record.ts';
import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

/** The report goes as JSON text: it is long, and native JSON is several times faster than value by value. */
export const load: PageServerLoad = ({ params, locals }) => {
  const view = recordOf(params.id, locals.prefs.units) ?? error(404, 'There is no such assessment.');
  return { ...view, report: JSON.stringify(view.report) };
};
