import { sheetFor } from '$lib/ui/sheets/register.ts';
import { checkNamed } from '$lib/ui/sheets/check-named.ts';
import type { PageLoad } from './$types';

/** The real sheet of the check, to read from. */
export const load: PageLoad = async ({ params, data }) => ({
  ...data,
  sheet: await sheetFor(checkNamed(params.station))
});
