import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => ({ units: locals.prefs.units });
