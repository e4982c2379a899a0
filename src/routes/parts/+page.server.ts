import { judgedInTurn } from '$lib/server/store/yard.ts';
import { partLines } from '$core/record/part-lines.ts';
import { partStates, type Offer, type PartLine, type PartState } from '$core/record/work.ts';
import { parseQuantity, say } from '$core/units/index.ts';
import { recordEntry } from '$lib/server/record-entry.ts';
import { loadSurvey } from '$lib/server/store/surveys.ts';
import { packSaid } from '$core/parts/together.ts';
import { ordersOf, togetherFor } from '$lib/server/parts.ts';
import { currentPacks, savePacks } from '$lib/server/store/shop.ts';
import { supplyIds, supplyOf, type SupplyId } from '$core/care/supplies.ts';
import { MOST_PACKS, packSchema } from '$core/parts/packs.ts';
import { fail } from '@sveltejs/kit';
import { randomUUID } from 'node:crypto';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
  await judgedInTurn(locals.prefs.units);
  const engine = url.searchParams.get('engine') ?? undefined;
  return {
    orders: ordersOf(locals.prefs.units, engine),
    together: togetherFor(locals.prefs.units, engine),
    supplies: supplyIds.map((id) => ({
      id,
      label: supplyOf(id).label,
      holds: supplyOf(id).dimension ? say(1e-3, supplyOf(id).dimension!, locals.prefs.units) : '10'
    })),
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
  /** How something is sold, with what is in it and its price. */
  pack: async ({ request, locals }) => {
    const form = await request.formData();
    const typed = Object.fromEntries([...form].map(([k, v]) => [k, String(v).trim()])) as Record<string, string>;
    const supply = typed.supply as SupplyId;
    if (!supplyIds.includes(supply)) return fail(400, { pack: true, typed, errors: { called: 'Choose what it is.' } });
    const { dimension } = supplyOf(supply);
    const errors: Record<string, string> = {};
    if (!typed.called) errors.called = 'What is it sold as: a bottle, a can, a set?';
    const price = parseQuantity(typed.price ?? '', 'money', locals.prefs.units);
    if (!price.ok) errors.price = price.message;
    const holds = parseQuantity(typed.holds ?? '', dimension ?? 'count', locals.prefs.units);
    if (!holds.ok) errors.holds = holds.message;
    if (Object.keys(errors).length || !price.ok || !holds.ok) return fail(400, { pack: true, typed, errors });
    const pack = packSchema.safeParse({
      supply,
      called: typed.called,
      holds: holds.si,
      price: price.si,
      ...(typed.from ? { from: typed.from } : {})
    });
    if (!pack.success) {
      const issue = pack.error.issues[0]!;
      return fail(400, { pack: true, typed, errors: { [String(issue.path[0] ?? 'called')]: issue.message } });
    }
    const packs = currentPacks();
    if (packs.length >= MOST_PACKS)
      return fail(400, {
        pack: true,
        typed,
        errors: { called: `${MOST_PACKS} are written down already: take one off that nobody sells any more.` }
      });
    savePacks([...packs, pack.data], locals.prefs.who);
    return { saved: 'pack' };
  },
  noPack: async ({ request, locals }) => {
    const form = await request.formData();
    const index = Number(form.get('index'));
    const packs = currentPacks();
    // Somebody else may have changed the list meanwhile: only what was shown is taken off.
    if (packs[index] && packSaid(packs[index], locals.prefs.units) === form.get('pack'))
      savePacks(packs.toSpliced(index, 1), locals.prefs.who);
    return { saved: 'pack' };
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
