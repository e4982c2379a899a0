import { sheetFor } from '$lib/ui/sheets/register.ts';
import type { StationId } from '$core/stations/items.ts';
import type { PageLoad } from './$types';

/** The real sheet of the check, to read from. */
export const load: PageLoad = async ({ params, data }) => ({
  ...data,
  sheet: await sheetFor(params.station as StationId)
});
