import { calendarResponse, calendarText, careOf } from '$lib/server/care.ts';
import { error } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params }) => {
  const care = careOf(params.id);
  if (!care) error(404, 'There is no such engine.');
  return calendarResponse(calendarText([care]), `care-${care.tag}`);
};
