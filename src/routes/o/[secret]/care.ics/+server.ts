import { engineOfLink } from '$lib/server/access/store.ts';
import { calendarText, careOf } from '$lib/server/care.ts';
import { error } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** The dates of the owner's engine, for a calendar program that asks again by itself. Gone with the link, as when the engine is sold. */
export const GET: RequestHandler = ({ params }) => {
  const engineId = engineOfLink(params.secret);
  const care = engineId && careOf(engineId);
  if (!care) error(404, 'This address shows nothing any more. Ask the yard for a new one.');
  return new Response(calendarText([care]), {
    headers: { 'content-type': 'text/calendar; charset=utf-8', 'cache-control': 'no-store' }
  });
};
