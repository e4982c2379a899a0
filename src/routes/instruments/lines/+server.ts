import { postedLinesSchema } from '$core/instruments/wire.ts';
import { instrumentHub } from '$lib/server/instruments/hub.ts';
import { error } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Sentences of the page with stand-in instruments; they reach every open sheet as a device's would. */
export const POST: RequestHandler = async ({ request }) => {
  const posted = postedLinesSchema.safeParse(await request.json().catch(() => undefined));
  if (!posted.success) error(400, 'These are no sentences; nothing was passed on.');
  instrumentHub().post(posted.data.text);
  return new Response(null, { status: 204 });
};
