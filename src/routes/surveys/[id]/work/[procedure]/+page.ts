import { procedureNamed } from '$core/procedures/register.ts';
import { error } from '@sveltejs/kit';
import type { PageLoad } from './$types';

export const load: PageLoad = ({ params }) => {
  if (!procedureNamed(params.procedure)) error(404, 'There is no such procedure.');
  return { procedure: params.procedure };
};
