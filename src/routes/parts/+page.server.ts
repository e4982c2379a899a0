import { judgedInTurn } from '$lib/server/store/yard.ts';
import { partLines } from '$core/record/part-lines.ts';
import { partStates, type Offer, type PartLine, type PartState } from '$core/record/work.ts';
import { parseQuantity } from '$core/units/index.ts';
import { recordEntry } from '$lib/server/record-entry.ts';
import { loadSurvey } from '$lib/server/store/surveys.ts';
import { ordersOf } from '$lib/server/parts.ts';
import { fail } from '@sveltejs/kit';
import { randomUUID } from 'node:crypto';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
  await judgedInTurn(locals.prefs.units);
  const engine = url.searchParams.get('engine') ?? undefined;
  return {
    orders: ordersOf(locals.prefs.units, engine),
    engine: engine ?? null,
    edit: url.searchParams.get('edit') ?? ''
  };
};

export const actions: Actions = {
  /** One tap: it lies in the drawer, or it has to be ordered. */
  state: async ({ request, locals }) => {
    const form = await request.formData();
    const [survey, key, step, name, state] = ['survey', 'key', 'step', 'name', 'state'].map((k) =>
      String(form.get(k) ?? '')
    ) as [string, string, string, string, string];
    const loaded = loadSurvey(survey);
    if (!loaded || !Object.hasOwn(partStates, state)) return fail(404, { message: 'This line is gone.' });
    const {
      id: _id,
      at: _at,
      by: _by,
      ...old
    } = (partLines(loaded.survey).find((l) => l.key === key) as Partial<PartLine> | undefined) ?? {
      key,
      name,
      ...(step ? { step } : {})
    };
    const refused = recordEntry(survey, 'part', { ...old, state }, locals.prefs.who);
    return refused ? fail(400, { message: refused }) : { saved: key };
  },
  line: async ({ request, locals }) => {
    const form = await request.formData();
    const typed = Object.fromEntries([...form].map(([k, v]) => [k, String(v).trim()])) as Record<string, string>;
    const { survey = '', key = '' } = typed;
    const loaded = loadSurvey(survey);
    if (!loaded) return fail(404, { survey, key, typed, errors: { name: 'This engine is not in the yard any more.' } });
    const errors: Record<string, string> = {};
    const offers: Offer[] = [];
    for (const k of [0, 1, 2, 3]) {
      const from = typed[`from${k}`] ?? '';
      const price = typed[`price${k}`] ? parseQuantity(typed[`price${k}`]!, 'money', locals.prefs.units) : undefined;
      const days = typed[`days${k}`] ? Number(typed[`days${k}`]) : undefined;
      if (!from && !price && days === undefined) continue;
      if (!from) errors[`from${k}`] = 'Who sells it?';
      if (price && !price.ok) errors[`price${k}`] = price.message;
      else if (price && price.si < 0) errors[`price${k}`] = 'A price is not under nothing.';
      if (days !== undefined && !(days >= 0 && days <= 400)) errors[`days${k}`] = 'Days, 0 to 400.';
      offers.push({
        from,
        what: typed[`what${k}`] === 'kit' ? 'kit' : 'pieces',
        ...(price?.ok ? { price: price.si } : {}),
        ...(days === undefined || Number.isNaN(days) ? {} : { days })
      });
    }
    const quantity = typed.quantity ? Number(typed.quantity) : undefined;
    if (quantity !== undefined && !(Number.isInteger(quantity) && quantity >= 1 && quantity <= 999))
      errors.quantity = 'A whole number of pieces, 1 to 999.';
    if (!typed.name) errors.name = 'What is the part called?';
    if (typed.due && !/^\d{4}-\d\d-\d\d$/.test(typed.due)) errors.due = 'A date, please.';
    if (Object.keys(errors).length) return fail(400, { survey, key, typed, errors });
    const old = partLines(loaded.survey).find((l) => l.key === key);
    const chosen = typed.chosen ? Number(typed.chosen) : undefined;
    const body = {
      key: key || `own/${randomUUID()}`,
      ...((typed.step ?? old?.step) ? { step: typed.step || old?.step } : {}),
      name: typed.name,
      ...(typed.number ? { number: typed.number } : {}),
      ...(quantity === undefined ? {} : { quantity }),
      ...(offers.length ? { offers } : {}),
      ...(chosen !== undefined && offers[chosen] ? { chosen } : {}),
      state: (typed.state && Object.hasOwn(partStates, typed.state) ? typed.state : 'wanted') as PartState,
      ...(typed.due ? { due: typed.due } : {})
    };
    const refused = recordEntry(survey, 'part', body, locals.prefs.who);
    if (refused) return fail(400, { survey, key, typed, errors: { name: refused } });
    return { saved: key };
  }
};
