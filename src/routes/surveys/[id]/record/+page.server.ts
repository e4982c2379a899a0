import { recordOf } from '$lib/server/record.ts';
import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params, locals }) =>
  recordOf(params.id, locals.prefs.units) ?? error(404, 'There is no such assessment.');
