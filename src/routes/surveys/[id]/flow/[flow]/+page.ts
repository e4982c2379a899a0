import { flowById } from '$core/care/flows.ts';
import { error } from '@sveltejs/kit';
import type { PageLoad } from './$types';

export const load: PageLoad = ({ params }) => {
  if (!flowById(params.flow)) error(404, 'There is no such job.');
  return { flow: params.flow };
};
