import { plugThreads } from '$core/engine/plug-threads.ts';
import type { Instrument } from '$core/record/reading.ts';
import { parseQuantity, type DimensionName } from '$core/units/index.ts';
import { addInstrument, listInstruments, retireInstrument } from '$lib/server/store/house-rules.ts';
import { fail } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = () => ({ instruments: listInstruments() });

const fields: readonly (readonly [keyof Instrument & string, DimensionName, number])[] = [
  ['range', 'pressure', 1e8],
  ['accuracy', 'share', 0.5],
  ['resolution', 'pressure', 1e6],
  ['adapterVolume', 'volume', 1e-4],
  ['gaugeVolume', 'volume', 1e-3],
  ['restrictor', 'length', 0.01],
  ['supply', 'pressure', 2e6],
  ['reach', 'length', 0.06]
];

export const actions: Actions = {
  add: async ({ request, locals }) => {
    const form = await request.formData();
    const errors: Record<string, string> = {};
    const typed = Object.fromEntries([...form].map(([k, v]) => [k, String(v)]));
    const values: Record<string, unknown> = {};
    const name = (typed.name ?? '').trim();
    if (!name) errors.name = 'Give it a name that you will know it by.';
    for (const [key, dimension, most] of fields) {
      const text = (typed[key] ?? '').trim();
      if (!text) continue;
      const parsed = parseQuantity(text, dimension, locals.prefs.units);
      if (!parsed.ok) errors[key] = parsed.message;
      else if (parsed.si > most || (parsed.si === 0 && !key.endsWith('Volume') && key !== 'accuracy'))
        errors[key] = `“${text}” cannot be true for a gauge. Check the number and its unit.`;
      else values[key] = parsed.si;
    }
    if (Object.keys(errors).length) return fail(400, { errors, typed });
    const valve = ['plug end', 'gauge end'].includes(typed.valve ?? '') ? typed.valve : 'unknown';
    const thread = plugThreads.some((t) => t.value === typed.thread) ? { thread: typed.thread } : {};
    addInstrument({ name: name.slice(0, 120), ...values, ...thread, valve } as Instrument);
    return { errors, typed: {} as Record<string, string> };
  },
  retire: async ({ request }) => {
    retireInstrument(String((await request.formData()).get('id') ?? ''));
  }
};
