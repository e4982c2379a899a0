import { health } from '$lib/server/health.ts';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** How the server is, for scripts and supervisors: 200 while it works, 503 when it does not. Behind a door only whether. */
export const GET: RequestHandler = async ({ locals }) => {
  const found = await health();
  return json(locals.closed ? { ok: found.ok } : found, {
    status: found.ok ? 200 : 503,
    headers: { 'cache-control': 'no-store' }
  });
};
