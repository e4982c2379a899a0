import { keepDevice } from '$lib/server/access/cookie.ts';
import { isSetupKey } from '$lib/server/access/setup.ts';
import {
  addPerson,
  hasPassphrase,
  openDevice,
  peopleOf,
  setPassphrase,
  signIn,
  SHORTEST_PASSPHRASE
} from '$lib/server/access/store.ts';
import { fail, redirect } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ url, setHeaders }) => {
  setHeaders({ 'cache-control': 'no-store' });
  return { open: isSetupKey(url.searchParams.get('key')), set: hasPassphrase(), least: SHORTEST_PASSPHRASE };
};

export const actions: Actions = {
  default: async ({ request, url, cookies }) => {
    if (!isSetupKey(url.searchParams.get('key')))
      return fail(403, {
        message: 'This address was used, or is of an earlier start. Start the server again.',
        name: ''
      });
    const form = await request.formData();
    const [passphrase, name, pin] = ['passphrase', 'name', 'pin'].map((k) => String(form.get(k) ?? '').slice(0, 400));
    const back = { name: name ?? '' };
    // The person first: a passphrase without anybody who signs would close the door behind itself.
    if (!peopleOf().some((p) => p.role === 'technician')) {
      if ((passphrase ?? '').trim().length < SHORTEST_PASSPHRASE)
        return fail(400, { ...back, message: `A passphrase has ${SHORTEST_PASSPHRASE} characters or more.` });
      const added = await addPerson({ name: name ?? '', role: 'technician', pin: pin ?? '' }, name ?? '');
      if (!added.ok) return fail(400, { ...back, message: added.message });
    }
    const set = await setPassphrase(passphrase ?? '');
    if (!set.ok) return fail(400, { ...back, message: set.message });
    const token = openDevice();
    const person = peopleOf().find((p) => p.name === name?.trim());
    if (person) await signIn(token, person.id, pin ?? '');
    keepDevice(cookies, token, url);
    redirect(303, '/people');
  }
};
