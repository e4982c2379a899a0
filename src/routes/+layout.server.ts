import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = ({ locals }) => ({ prefs: locals.prefs, demo: process.env.INDAGA_DEMO === '1' });
