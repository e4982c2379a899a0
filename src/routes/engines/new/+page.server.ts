import { readIntake } from '$lib/server/intake.ts';
import { createEngine } from '$lib/server/store/engines.ts';
import { createSurvey } from '$lib/server/store/surveys.ts';
import { fail, redirect } from '@sveltejs/kit';
import type { Actions } from './$types';

export const actions: Actions = {
  default: async ({ request, locals }) => {
    const intake = readIntake(await request.formData(), locals.prefs.units);
    if (!intake.kind || Object.keys(intake.errors).length)
      return fail(400, { errors: intake.errors, typed: intake.typed });
    const engineId = createEngine(intake.facts, locals.prefs.who);
    const surveyId = createSurvey(engineId, intake.kind, locals.prefs.who);
    redirect(303, `/surveys/${surveyId}/safe`);
  }
};
