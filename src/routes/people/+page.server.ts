import { roles, whyNotSign, type Role } from '$lib/server/access/actor.ts';
import { DEVICE, keepDevice } from '$lib/server/access/cookie.ts';
import { forgiven, tooMany } from '$lib/server/access/limits.ts';
import {
  addPerson,
  closeDevice,
  openDevice,
  peopleOf,
  removePerson,
  setPassphrase,
  signIn,
  signOut
} from '$lib/server/access/store.ts';
import { inside } from '$lib/server/access/inside.ts';
import { fail, redirect } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, url }) => ({
  people: locals.actor ? peopleOf() : [],
  needed: locals.actor !== undefined,
  me: locals.actor ?? null,
  roles,
  back: inside(url.searchParams.get('back'))
});

const text = (form: FormData, key: string): string => String(form.get(key) ?? '').slice(0, 400);

export const actions: Actions = {
  signin: async ({ request, cookies }) => {
    const form = await request.formData();
    const [person, token] = [text(form, 'person'), cookies.get(DEVICE)];
    if (!token) return fail(401, { about: 'signin', message: 'This device is not opened.' });
    const wait = await tooMany('pin', person);
    if (wait) return fail(429, { about: 'signin', message: wait });
    const done = await signIn(token, person, text(form, 'pin'));
    if (!done.ok) return fail(403, { about: 'signin', message: done.message });
    await forgiven('pin', person);
    redirect(303, inside(text(form, 'back')));
  },
  signout: ({ cookies }) => {
    const token = cookies.get(DEVICE);
    if (token) signOut(token);
    redirect(303, '/people');
  },
  close: ({ cookies }) => {
    const token = cookies.get(DEVICE);
    if (token) closeDevice(token);
    cookies.delete(DEVICE, { path: '/' });
    redirect(303, '/door');
  },
  add: async ({ request, locals }) => {
    const form = await request.formData();
    const name = text(form, 'name');
    const no = whyNotSign(locals.actor, 'who works here');
    if (no) return fail(403, { about: 'add', message: no, name });
    const role = text(form, 'role');
    if (!Object.hasOwn(roles, role)) return fail(400, { about: 'add', message: 'Choose what they may do.', name });
    const done = await addPerson({ name, role: role as Role, pin: text(form, 'pin') }, locals.prefs.who);
    return done.ok ? { about: 'add', added: name } : fail(400, { about: 'add', message: done.message, name });
  },
  remove: async ({ request, locals }) => {
    const no = whyNotSign(locals.actor, 'who works here');
    if (no) return fail(403, { about: 'remove', message: no });
    const done = removePerson(text(await request.formData(), 'person'));
    return done.ok ? { about: 'remove' } : fail(409, { about: 'remove', message: done.message });
  },
  passphrase: async ({ request, locals, cookies, url }) => {
    const no = whyNotSign(locals.actor, 'the passphrase');
    if (no) return fail(403, { about: 'passphrase', message: no });
    const done = await setPassphrase(text(await request.formData(), 'passphrase'));
    if (!done.ok) return fail(400, { about: 'passphrase', message: done.message });
    // Every device is closed by it; this one is opened again.
    keepDevice(cookies, openDevice(), url);
    return { about: 'passphrase', changed: true };
  }
};
