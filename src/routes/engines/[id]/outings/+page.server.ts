import { randomUUID } from 'node:crypto';
import { keepOuting, outingsOf, readOuting, takeBackOuting } from '$lib/server/outings.ts';
import { loadEngine } from '$lib/server/store/engines.ts';
import { error, fail } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params, locals }) => {
  const view = outingsOf(params.id, new Date(), locals.prefs.units);
  if (!view) error(404, 'There is no such engine.');
  return { ...view, engineId: params.id, tag: loadEngine(params.id).identity.tag ?? 'no tag', name: randomUUID() };
};

export const actions: Actions = {
  log: async ({ params, request, locals }) => {
    const now = new Date();
    const view = outingsOf(params.id, now, locals.prefs.units);
    if (!view) error(404, 'There is no such engine.');
    const form = await request.formData();
    const read = readOuting(form, view.gap, locals.prefs.units, now);
    if ('errors' in read) return fail(400, read);
    keepOuting(params.id, String(form.get('name') ?? ''), read.outing, locals.prefs.who, now);
    return { kept: true };
  },
  back: async ({ params, request, locals }) => {
    const id = String((await request.formData()).get('outing') ?? '');
    return takeBackOuting(params.id, id, locals.prefs.who, new Date())
      ? { takenBack: true }
      : fail(404, { errors: { on: 'This outing is not in the log any more.' }, typed: {} });
  }
};
