import { sums } from '$core/sums/index.ts';
import { error } from '@sveltejs/kit';
import type { PageLoad } from './$types';

/** Only a sum there is. */
export const load: PageLoad = ({ params }) => {
  if (!Object.hasOwn(sums, params.sum)) error(404, 'There is no such sum.');
};
