import { keepDevice } from '$lib/server/access/cookie.ts';
import { forgiven, tooMany } from '$lib/server/access/limits.ts';
import { hasPassphrase, isPassphrase, openDevice } from '$lib/server/access/store.ts';
import { inside } from '$lib/server/access/inside.ts';
import { fail, redirect } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ url, locals }) => {
  if (!locals.closed) redirect(303, inside(url.searchParams.get('back')));
  return { made: hasPassphrase(), back: inside(url.searchParams.get('back')) };
};

export const actions: Actions = {
  default: async ({ request, cookies, url, getClientAddress }) => {
    const form = await request.formData();
    const address = getClientAddress();
    const wait = await tooMany('passphrase', address);
    if (wait) return fail(429, { message: wait });
    if (!(await isPassphrase(String(form.get('passphrase') ?? '').slice(0, 400))))
      return fail(403, { message: 'This is not the yard’s passphrase.' });
    await forgiven('passphrase', address);
    keepDevice(cookies, openDevice(), url);
    redirect(303, inside(String(form.get('back') ?? '/')));
  }
};
