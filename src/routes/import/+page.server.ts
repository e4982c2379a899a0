import { readSurveyFile } from '$core/survey/read-file.ts';
import { importSurvey } from '$lib/server/store/surveys.ts';
import { fail, redirect } from '@sveltejs/kit';
import type { Actions } from './$types';

const MOST = 20 * 1024 * 1024;

export const actions: Actions = {
  default: async ({ request, locals }) => {
    const form = await request.formData();
    const file = form.get('file');
    if (!(file instanceof File) || file.size === 0)
      return fail(400, { path: '', message: 'Choose a survey file first; it ends in .json.', name: '' });
    if (file.size > MOST)
      return fail(413, {
        path: '',
        message: 'This file is over 20 MB; a survey file is far smaller.',
        name: file.name
      });
    const result = readSurveyFile(await file.text());
    if (!result.ok) return fail(422, { path: result.path, message: result.message, name: file.name });
    const { surveyId } = importSurvey(result.survey, locals.prefs.who);
    redirect(303, `/surveys/${surveyId}`);
  }
};
