import { flowById, flows } from '$core/care/flows.ts';
import { togetherOf } from '$core/parts/together.ts';
import { currentPacks } from '$lib/server/store/shop.ts';
import { peopleOf } from '$lib/server/access/store.ts';
import { fleetFor, giveTo, ownersOf, tickForAll } from '$lib/server/fleet.ts';
import { error, fail } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ url, locals }) => {
  const flow = flowById(url.searchParams.get('flow') ?? 'lay-up');
  if (!flow) error(404, 'There is no such job.');
  const owner = url.searchParams.get('owner') ?? '';
  const who = url.searchParams.get('who') ?? '';
  const { rows, steps, needs, hands } = fleetFor(flow, owner, new Date(), locals.prefs.units, { inHand: who });
  const asked = url.searchParams.get('step');
  return {
    flow: { id: flow.id, title: flow.title, hazards: flow.hazards },
    owner,
    who,
    hands,
    names: [...new Set([...peopleOf().map((p) => p.name), ...hands.flatMap((h) => h.who ?? [])])].sort(),
    owners: ownersOf(),
    flows: flows.map(({ id, title }) => ({ id, title })),
    steps,
    needs: togetherOf(needs, currentPacks(), locals.prefs.units),
    /** The step at hand: the one asked for, else the first that not everybody is through. */
    step: (steps.find((s) => s.key === asked) ?? steps.find((s) => s.done < s.of) ?? steps[0])?.key,
    rows: rows.map(({ steps: of, ...r }) => ({ ...r, steps: Object.fromEntries(of) }))
  };
};

export const actions: Actions = {
  give: async ({ request, locals }) => {
    const form = await request.formData();
    const engines = form.getAll('engine').map(String);
    const to = String(form.get('to') ?? '').trim();
    if (!engines.length) return fail(400, { give: 'Choose at least one engine.', to });
    return { given: giveTo([...new Set(engines)], to, locals.prefs.who), to };
  },
  tick: async ({ request, locals }) => {
    const form = await request.formData();
    const flow = flowById(String(form.get('flow') ?? ''));
    const step = String(form.get('step') ?? '');
    const engines = form.getAll('engine').map(String);
    if (!flow) return fail(400, { message: 'There is no such job.' });
    if (!engines.length) return fail(400, { message: 'Choose at least one engine.' });
    return { ticked: tickForAll(flow, step, [...new Set(engines)], locals.prefs.who) };
  }
};
