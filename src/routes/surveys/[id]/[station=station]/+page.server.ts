import { listInstruments } from '$lib/server/store/house-rules.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = () => ({ instruments: listInstruments() });
