import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = ({ locals }) => ({
  prefs: locals.prefs,
  demo: process.env.INDAGA_DEMO === '1',
  /** Whether people sign in here, and whether this device is still closed. */
  access: locals.actor ? (locals.closed ? ('closed' as const) : ('open' as const)) : null
});
