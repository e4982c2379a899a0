import { numberRuleIds, numberRules, ruleStep, type HouseRules } from '$core/house-rules/rules.ts';
import { topicIds, topics } from '$core/house-rules/topics.ts';
import { parseQuantity, say } from '$core/units/index.ts';
import { whyNotSign } from '$lib/server/access/actor.ts';
import { currentRules, saveRules } from '$lib/server/store/house-rules.ts';
import { fail } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = () => ({ rules: currentRules().rules });

export const actions: Actions = {
  default: async ({ request, locals }) => {
    const form = await request.formData();
    const errors: Record<string, string> = {};
    const typed: Record<string, string> = {};
    const no = whyNotSign(locals.actor, 'a house rule');
    if (no) return fail(403, { errors, typed, saved: false, message: no });
    const schools: Record<string, string> = {};
    const numbers: Record<string, number> = {};
    for (const id of topicIds) {
      const chosen = String(form.get(id) ?? topics[id].standard);
      if (Object.hasOwn(topics[id].choices, chosen)) schools[id] = chosen;
    }
    for (const id of numberRuleIds) {
      const rule = numberRules[id];
      const said = (r: typeof rule, x: number): string =>
        say(x, r.dimension, locals.prefs.units, r.dimension === 'volume' ? ruleStep(r) : undefined);
      const text = String(form.get(id) ?? '').trim();
      typed[id] = text;
      if (text === '') continue;
      const parsed = parseQuantity(text, rule.dimension, locals.prefs.units);
      if (!parsed.ok) errors[id] = parsed.message;
      else if (parsed.si < rule.min || parsed.si > rule.max)
        errors[id] = `Between ${said(rule, rule.min)} and ${said(rule, rule.max)}, please.`;
      else numbers[id] = parsed.si;
    }
    if (Object.keys(errors).length) return fail(400, { errors, typed, saved: false, message: '' });
    const { knowledge } = currentRules().rules;
    saveRules({ schools, numbers, ...(knowledge ? { knowledge } : {}) } as HouseRules, locals.prefs.who);
    return { errors, typed, saved: true, message: '' };
  }
};
