import { readPhoto } from '$lib/server/files/photos.ts';
import { error } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** A kept photograph, or its thumbnail. Its name is its content, so it never changes. */
export const GET: RequestHandler = async ({ params, url }) => {
  const bytes = await readPhoto(params.photo, url.searchParams.get('size') === 'thumb' ? 'thumb' : 'full');
  if (!bytes) error(404, 'There is no such photograph here.');
  return new Response(new Uint8Array(bytes), {
    headers: { 'content-type': 'image/jpeg', 'cache-control': 'private, max-age=31536000, immutable' }
  });
};
