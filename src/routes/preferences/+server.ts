import { COOKIE, preferencesSchema } from '$lib/preferences';
import { inside } from '$lib/server/access/inside.ts';
import { redirect } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Units, theme and name of this browser; works before scripts load. */
export const POST: RequestHandler = async ({ request, cookies, locals }) => {
  const form = await request.formData();
  const given = Object.fromEntries([...form].filter(([, v]) => typeof v === 'string'));
  const prefs = preferencesSchema.parse({ ...locals.prefs, ...given });
  cookies.set(COOKIE, JSON.stringify(prefs), {
    path: '/',
    maxAge: 60 * 60 * 24 * 400,
    sameSite: 'lax',
    httpOnly: true,
    secure: false
  });
  redirect(303, inside(String(form.get('back') ?? '/')));
};
