import { judgedInTurn } from '$lib/server/store/yard.ts';
import { pickJobs } from '$core/schedule/picker.ts';
import { partLines } from '$core/record/part-lines.ts';
import { dateSchema } from '$core/record/work.ts';
import { benchData, firstPlan } from '$lib/server/bench.ts';
import { recordEntry } from '$lib/server/record-entry.ts';
import { addPin } from '$lib/server/store/shop.ts';
import { loadSurvey } from '$lib/server/store/surveys.ts';
import type { System } from '$core/units/index.ts';
import { thisMinute, whileUnchanged } from '$lib/server/store/unchanged.ts';
import { pinSchema } from '$core/schedule/settings.ts';
import { fail } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
  const { units } = locals.prefs;
  await judgedInTurn(units);
  const minutes = Math.min(1440, Math.max(0, Number(url.searchParams.get('minutes')) || 0));
  const asked = {
    minutes,
    cleanHands: url.searchParams.has('clean'),
    quiet: url.searchParams.has('quiet'),
    lampOnly: url.searchParams.has('lamp')
  };
  const { input, ...planned } = whileUnchanged(`bench ${units} ${thisMinute()}`, () => plannedBench(units));
  return { ...planned, asked, picks: minutes ? pickJobs(input.engines, asked, new Date(input.now)) : [] };
};

/** The bench with its first plan. One string each: a plan of a large yard goes through the page faster so. */
function plannedBench(units: System) {
  const data = benchData(units);
  const { plan, today } = firstPlan(data.input);
  return { ...data, bench: JSON.stringify(data.input), first: JSON.stringify({ plan, today }) };
}

export const actions: Actions = {
  /** Puts a step somewhere, to a person, or lets it go. */
  pin: async ({ request, locals }) => {
    const form = await request.formData();
    const said = (key: string): string | undefined => String(form.get(key) ?? '') || undefined;
    const pin = pinSchema.safeParse({
      engine: said('engine'),
      step: said('step'),
      ...(said('at') ? { at: said('at') } : {}),
      ...(said('person') ? { person: said('person') } : {}),
      ...(said('off') ? { off: true } : {})
    });
    if (!pin.success) return fail(400, { message: 'This step could not be put there; nothing was changed.' });
    addPin(pin.data, locals.prefs.who);
    return { message: '' };
  },
  /** Another day for a delivery, or its arrival. */
  delivery: async ({ request, locals }) => {
    const form = await request.formData();
    const [survey, key, due] = ['survey', 'key', 'due'].map((k) => String(form.get(k) ?? '')) as [
      string,
      string,
      string
    ];
    const here = form.has('here');
    const loaded = loadSurvey(survey);
    const line = loaded && partLines(loaded.survey).find((l) => l.key === key);
    if (!line) return fail(404, { message: 'This line of the order is gone; the page shows what there is.' });
    const { id: _id, at: _at, by: _by, due: _due, ...rest } = line;
    if (!here && due && !dateSchema.safeParse(due).success)
      return fail(400, { message: `“${due}” is not a date.`, key, typed: due });
    const body = here ? { ...rest, state: 'arrived' } : { ...rest, state: 'ordered', ...(due ? { due } : {}) };
    const refused = recordEntry(survey, 'part', body, locals.prefs.who);
    if (refused) return fail(400, { message: refused, key, typed: due });
    return { message: '' };
  }
};
