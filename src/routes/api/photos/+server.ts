import { keepPhoto } from '$lib/server/files/photos.ts';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Takes the bytes of one photograph and answers with its name; what it was called on the phone does not matter. */
export const POST: RequestHandler = async ({ request }) => {
  const kept = await keepPhoto(Buffer.from(await request.arrayBuffer()));
  return kept.ok ? json({ photo: kept.photo }) : json({ message: kept.message }, { status: kept.status });
};
