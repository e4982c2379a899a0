import { careIds } from '$core/care/intervals.ts';
import { flows } from '$core/care/flows.ts';
import { flowMark } from '$core/care/flow.ts';
import { parseQuantity } from '$core/units/index.ts';
import { appendBatch } from '$lib/server/store/append.ts';
import { careOf } from '$lib/server/care.ts';
import { createSurvey, historyOf, surveysOf } from '$lib/server/store/surveys.ts';
import { lastRelease } from '$lib/server/store/releases.ts';
import { error, fail, redirect } from '@sveltejs/kit';
import { randomUUID } from 'node:crypto';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params }) => {
  const care = careOf(params.id);
  if (!care) error(404, 'There is no such engine.');
  const { engine } = historyOf(params.id).at(-1)!;
  return {
    care,
    hours: typeof engine.history.hours === 'number' ? engine.history.hours : null,
    rate: typeof engine.history.hoursAMonth === 'number' ? engine.history.hoursAMonth : null,
    flows: flows
      .filter((f) => f.fits?.(engine) ?? true)
      .map(({ id, title, means, minutes }) => ({ id, title, means, minutes }))
  };
};

/** The assessment a short job's readings go into: the one under way, else one of its own. */
function surveyFor(engineId: string, by: string): string {
  const head = surveysOf(engineId)[0];
  if (!head) error(404, 'There is no such engine.');
  const closed = lastRelease(head.id) !== undefined || head.kind === 'single-job';
  return closed ? createSurvey(engineId, 'single-job', by) : head.id;
}

function mark(
  surveyId: string,
  step: string,
  state: 'done' | 'open',
  by: string,
  more: object = {}
): string | undefined {
  const body = { id: randomUUID(), at: new Date().toISOString(), ...(by ? { by } : {}), step, state, ...more };
  return appendBatch(surveyId, { since: 0, factSince: 0, entries: [{ type: 'step', body }], facts: [] })?.refused[0]
    ?.message;
}

export const actions: Actions = {
  /** Begins a short job. */
  begin: async ({ params, request, locals }) => {
    const id = String((await request.formData()).get('flow') ?? '');
    if (!flows.some((f) => f.id === id)) return fail(400, { message: 'There is no such job.' });
    const surveyId = surveyFor(params.id, locals.prefs.who);
    mark(surveyId, flowMark(id), 'open', locals.prefs.who);
    redirect(303, `/surveys/${surveyId}/flow/${id}`);
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
    const refused = mark(head.id, `care.${what}`, 'done', locals.prefs.who, {
      at: at.toISOString(),
      ...(parsed?.ok ? { hours: parsed.si } : {})
    });
    return refused ? fail(400, { typed, errors: { what: refused } }) : { saved: true };
  }
};
