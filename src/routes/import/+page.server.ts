import { readBundle } from '$lib/server/files/bundle.ts';
import { withUpload } from '$lib/server/files/upload.ts';
import { inThread } from '$lib/server/work/pool.ts';
import { importSurvey } from '$lib/server/store/surveys.ts';
import { fail, redirect } from '@sveltejs/kit';
import type { Actions } from './$types';

const MOST = { json: 20 * 1024 * 1024, zip: 200 * 1024 * 1024 } as const;

/** A zip archive by its first bytes, whatever it is called. */
const isZip = async (file: File): Promise<boolean> => {
  const head = new Uint8Array(await file.slice(0, 2).arrayBuffer());
  return head[0] === 0x50 && head[1] === 0x4b;
};

export const actions: Actions = {
  default: async ({ request, locals }) => {
    const form = await request.formData();
    const file = form.get('file');
    if (!(file instanceof File) || file.size === 0)
      return fail(400, { path: '', message: 'Choose a survey file (.json) or a bundle (.zip) first.', name: '' });
    const zip = await isZip(file);
    if (file.size > (zip ? MOST.zip : MOST.json))
      return fail(413, {
        path: '',
        message: zip
          ? 'This bundle is over 200 MB; sixty photographs are far smaller.'
          : 'This file is over 20 MB; a survey file is far smaller.',
        name: file.name
      });
    const result = zip ? await withUpload(file, readBundle) : await inThread('readSurveyFile', await file.text());
    if (!result.ok) return fail(422, { path: result.path, message: result.message, name: file.name });
    const { surveyId } = importSurvey(result.survey, locals.prefs.who);
    redirect(303, `/surveys/${surveyId}`);
  }
};
