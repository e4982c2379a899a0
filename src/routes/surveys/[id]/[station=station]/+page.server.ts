import { listInstruments } from '$lib/server/store/house-rules.ts';
import { referencesFor } from '$lib/server/store/references.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params }) => ({
  instruments: listInstruments(),
  references: params.station === 'compression' ? referencesFor(params.id) : []
});
