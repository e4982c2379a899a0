import { switchSchema } from '$core/instruments/wire.ts';
import { instrumentHub } from '$lib/server/instruments/hub.ts';
import { liveStream } from '$lib/server/instruments/stream.ts';
import { error, json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** What the instruments send, as server-sent events: batches of lines, and how the ways in stand. */
export const GET: RequestHandler = ({ request }) => liveStream(instrumentHub(), request.signal);

/** Switches a way in on or off. */
export const POST: RequestHandler = async ({ request }) => {
  const asked = switchSchema.safeParse(await request.json().catch(() => undefined));
  if (!asked.success) error(400, 'Say which way in, and on or off.');
  if (!(await instrumentHub().switch(asked.data.id, asked.data.on))) error(404, 'There is no such way in.');
  return json(instrumentHub().states());
};
