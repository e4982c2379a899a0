import { keepPhoto } from '$lib/server/files/photos.ts';
import { readIntake } from '$lib/server/intake.ts';
import { recordEntry } from '$lib/server/record-entry.ts';
import { createEngine } from '$lib/server/store/engines.ts';
import { createSurvey } from '$lib/server/store/surveys.ts';
import { fail, redirect } from '@sveltejs/kit';
import type { Actions } from './$types';

export const actions: Actions = {
  default: async ({ request, locals }) => {
    const form = await request.formData();
    const plate = form.get('plate');
    form.delete('plate');
    const intake = readIntake(form, locals.prefs.units);
    // Looked at before the engine is made: a picture that cannot be kept is said beside its field.
    const kept =
      plate instanceof File && plate.size ? await keepPhoto(Buffer.from(await plate.arrayBuffer())) : undefined;
    const errors: Record<string, string> = { ...intake.errors, ...(kept?.ok === false ? { plate: kept.message } : {}) };
    if (!intake.kind || Object.keys(errors).length) return fail(400, { errors, typed: intake.typed });
    const engineId = createEngine(intake.facts, locals.prefs.who);
    const surveyId = createSurvey(engineId, intake.kind, locals.prefs.who);
    if (kept?.ok) recordEntry(surveyId, 'reading', { what: 'look.platePhoto', value: kept.photo }, locals.prefs.who);
    redirect(303, `/surveys/${surveyId}/safe`);
  }
};
