import { listInstruments } from '$lib/server/store/house-rules.ts';
import { earlierOf, referencesFor } from '$lib/server/store/references.ts';
import { whileUnchanged } from '$lib/server/store/unchanged.ts';
import type { PageServerLoad } from './$types';

/** Asked once an assessment, whichever check is opened: walking from check to check needs no server. */
export const load: PageServerLoad = ({ params }) =>
  whileUnchanged(`check ${params.id}`, () => ({
    instruments: listInstruments(),
    references: referencesFor(params.id),
    earlier: earlierOf(params.id)
  }));
