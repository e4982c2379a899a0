import { cardFileSchema, offerOf, takeFrom } from '$core/engine/card-file.ts';
import { fastenersFor } from '$lib/server/store/fasteners.ts';
import { appendFact, engineExists, factsAfter, loadEngine } from '$lib/server/store/engines.ts';
import { cardsOfModel } from '$lib/server/store/models.ts';
import { loadSurvey, surveysOf } from '$lib/server/store/surveys.ts';
import { error, fail } from '@sveltejs/kit';
import { randomUUID } from 'node:crypto';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params, locals }) => {
  const latest = surveysOf(params.id)[0];
  const loaded = latest && loadSurvey(latest.id);
  if (!latest || !loaded) error(404, 'There is no such engine.');
  return {
    fasteners: fastenersFor(latest.id),
    sisters: cardsOfModel(params.id).map((s) => ({ ...s, text: JSON.stringify(s.card) })),
    session: {
      surveyId: latest.id,
      engineId: params.id,
      survey: JSON.stringify(loaded.survey),
      seq: loaded.seq,
      factSeq: factsAfter(params.id).at(-1)?.seq ?? 0,
      units: locals.prefs.units,
      who: locals.prefs.who,
      now: new Date().toISOString()
    }
  };
};

/** A card is a page of figures. */
const MOST = 256 * 1024;

function readCard(
  text: string
): { ok: true; file: ReturnType<typeof cardFileSchema.parse> } | { ok: false; message: string } {
  if (text.length > MOST) return { ok: false, message: 'This is over 256 kB; a card is far smaller.' };
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return { ok: false, message: 'This is not a card: it is no JSON.' };
  }
  const parsed = cardFileSchema.safeParse(json);
  if (parsed.success) return { ok: true, file: parsed.data };
  const [issue] = parsed.error.issues;
  return {
    ok: false,
    message: `This is not a card: ${issue?.path.join('.') || 'the file'}, ${issue?.message ?? 'wrong'}.`
  };
}

export const actions: Actions = {
  /** Reads a card file and lays it beside the engine; takes nothing yet. */
  read: async ({ request }) => {
    const file = (await request.formData()).get('file');
    if (!(file instanceof File) || file.size === 0) return fail(400, { message: 'Choose a card (.json) first.' });
    if (file.size > MOST) return fail(413, { message: 'This is over 256 kB; a card is far smaller.' });
    const read = readCard(await file.text());
    if (!read.ok) return fail(422, { message: read.message });
    return { card: read.file, text: JSON.stringify(read.file) };
  },
  /** Takes the chosen entries of a card over. */
  take: async ({ request, params, locals }) => {
    if (!engineExists(params.id)) error(404, 'There is no such engine.');
    const form = await request.formData();
    const read = readCard(String(form.get('card') ?? ''));
    if (!read.ok) return fail(422, { message: read.message });
    const back = { card: read.file, text: JSON.stringify(read.file) };
    const offer = offerOf(read.file, loadEngine(params.id), locals.prefs.units);
    const taken = takeFrom(offer, new Set(form.getAll('path').map(String)), form.get('other') === 'yes');
    if (!taken.ok) return fail(taken.why === 'nothing' ? 400 : 409, { ...back, message: taken.message });
    const at = new Date().toISOString();
    for (const { path, value } of taken.facts)
      appendFact(params.id, {
        id: randomUUID(),
        path,
        value,
        at,
        ...(locals.prefs.who ? { by: locals.prefs.who } : {})
      });
    return { taken: taken.facts.length };
  }
};
