import { sheetFor } from '$lib/ui/sheets/register.ts';
import { checkNamed } from '$lib/ui/sheets/check-named.ts';
import type { PageLoad } from './$types';

/** The sheet of this check comes with it, and no other. */
export const load: PageLoad = async ({ params, data }) => ({
  ...data,
  sheet: await sheetFor(checkNamed(params.station))
});
