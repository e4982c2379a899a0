import { assess } from '$core/assess.ts';
import { whyNotSign } from '$lib/server/access/actor.ts';
import { sign } from '$lib/server/store/releases.ts';
import { loadSurvey } from '$lib/server/store/surveys.ts';
import { error, fail, redirect } from '@sveltejs/kit';
import type { Actions } from './$types';

export const actions: Actions = {
  default: async ({ request, params, locals }) => {
    const form = await request.formData();
    // Where people sign in, a record carries the name that did.
    const name = (locals.actor ? (locals.actor.name ?? '') : String(form.get('name') ?? '')).trim().slice(0, 120);
    const no = whyNotSign(locals.actor, 'a record');
    if (no) return fail(403, { name, message: no });
    if (name.length < 2) return fail(400, { name, message: 'Sign with your name: it stands under the record.' });
    const loaded = loadSurvey(params.id);
    if (!loaded) error(404, 'There is no such assessment.');
    const assessment = assess(loaded.survey, new Date(), locals.prefs.units);
    if (!assessment.ready) {
      const closed = assessment.gates.filter((g) => !g.passes).map((g) => g.title);
      return fail(409, {
        name,
        message: `Not signed: ${closed.join(', ')} ${closed.length > 1 ? 'are' : 'is'} not through yet.`
      });
    }
    sign(params.id, assessment, name);
    redirect(303, `/surveys/${params.id}/record`);
  }
};
