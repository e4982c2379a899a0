import { careIds } from '$core/care/intervals.ts';
import { flowById, flows } from '$core/care/flows.ts';
import { flowMark } from '$core/care/flow.ts';
import { parseQuantity } from '$core/units/index.ts';
import { recordEntry } from '$lib/server/record-entry.ts';
import { careOf } from '$lib/server/care.ts';
import { surveyFor } from '$lib/server/short-jobs.ts';
import { historyOf, surveysOf } from '$lib/server/store/surveys.ts';
import { error, fail, redirect } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params }) => {
  const care = careOf(params.id);
  if (!care) error(404, 'There is no such engine.');
  const { engine } = historyOf(params.id).at(-1)!;
  return {
    care,
    /** What can be told as done without a job of its own. */
    known: careIds as readonly string[],
    hours: typeof engine.history.hours === 'number' ? engine.history.hours : null,
    rate: typeof engine.history.hoursAMonth === 'number' ? engine.history.hoursAMonth : null,
    flows: flows
      .filter((f) => f.fits?.(engine) ?? true)
      .map(({ id, title, means, minutes }) => ({ id, title, means, minutes }))
  };
};

export const actions: Actions = {
  /** Begins a short job. */
  begin: async ({ params, request, locals }) => {
    const flow = flowById(String((await request.formData()).get('flow') ?? ''));
    if (!flow) return fail(400, { message: 'There is no such job.' });
    const surveyId = surveyFor(params.id, flow, locals.prefs.who);
    if (!surveyId) error(404, 'There is no such engine.');
    recordEntry(surveyId, 'step', { step: flowMark(flow.id), state: 'open' }, locals.prefs.who);
    redirect(303, `/surveys/${surveyId}/flow/${flow.id}`);
  },
  /** Done elsewhere, or before there was a record: the day and the hours are enough. */
  done: async ({ params, request, locals }) => {
    const form = await request.formData();
    const what = String(form.get('what') ?? '');
    const on = String(form.get('on') ?? '');
    const hours = String(form.get('hours') ?? '').trim();
    const typed = { what, on, hours };
    if (!careIds.includes(what as never)) return fail(400, { typed, errors: { what: 'What was done?' } });
    const at = new Date(`${on}T12:00:00`);
    if (Number.isNaN(at.getTime())) return fail(400, { typed, errors: { on: 'On which day?' } });
    if (at.getTime() > Date.now() + 864e5) return fail(400, { typed, errors: { on: 'That day has not come yet.' } });
    const parsed = hours ? parseQuantity(hours, 'hours', locals.prefs.units) : undefined;
    if (parsed && !parsed.ok) return fail(400, { typed, errors: { hours: parsed.message } });
    const head = surveysOf(params.id)[0];
    if (!head) error(404, 'There is no such engine.');
    const hoursThen = parsed?.ok ? { hours: parsed.si } : {};
    const body = { step: `care.${what}`, state: 'done', at: at.toISOString(), ...hoursThen };
    const refused = recordEntry(head.id, 'step', body, locals.prefs.who);
    return refused ? fail(400, { typed, errors: { what: refused } }) : { saved: true };
  }
};
