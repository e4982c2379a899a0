import { checkById, signById, suspectById } from '$core/diagnosis/knowledge/index.ts';
import {
  provenanceOf,
  strengthNames,
  strengths,
  systems,
  stakes,
  type Strength
} from '$core/diagnosis/knowledge/shape.ts';
import type { HouseRules } from '$core/house-rules/rules.ts';
import { whyNotSign } from '$lib/server/access/actor.ts';
import { currentRules, saveRules } from '$lib/server/store/house-rules.ts';
import { error, fail } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';

const linksOf = (id: string): { sign: string; says: string; strength: Strength }[] =>
  strengthNames.flatMap((strength) =>
    (suspectById.get(id)!.shows[strength] ?? []).map((sign) => ({ sign, says: signById.get(sign)!.present, strength }))
  );

export const load: PageServerLoad = ({ params }) => {
  const s = suspectById.get(params.suspect);
  if (!s) error(404, 'Nothing known here has this name.');
  const own = currentRules().rules.knowledge;
  return {
    suspect: {
      id: s.id,
      label: s.label,
      system: systems[s.system],
      artefact: s.artefact ?? false,
      cure: s.cure,
      settled: checkById.get(s.settled)!.title,
      prior: s.prior,
      parts: s.parts,
      minutes: s.minutes,
      stake: stakes[s.stake].label,
      specialist: s.specialist ?? false,
      provenance: provenanceOf(s)
    },
    links: linksOf(s.id).map((l) => ({ ...l, own: own?.strengths?.[`${s.id}>${l.sign}`] })),
    ownPrior: own?.priors?.[s.id]
  };
};

const words: Readonly<Record<string, number>> = { ...strengths, never: 0, certain: 1 };

export const actions: Actions = {
  default: async ({ request, params, locals }) => {
    const form = await request.formData();
    const { rules } = currentRules();
    const id = params.suspect;
    if (!suspectById.has(id)) error(404, 'Nothing known here has this name.');
    const typed = String(form.get('prior') ?? '').trim();
    const no = whyNotSign(locals.actor, 'a house rule');
    if (no) return fail(403, { typed, message: no, saved: false });
    const percent = typed === '' ? undefined : Number(typed.replace(',', '.').replace(/\s*%$/, ''));
    if (percent !== undefined && !(percent >= 0 && percent <= 100))
      return fail(400, { typed, message: 'A share from 0 to 100, or empty for ours.', saved: false });
    const priors = { ...rules.knowledge?.priors };
    const own = { ...rules.knowledge?.strengths };
    delete priors[id];
    if (percent !== undefined) priors[id] = percent / 100;
    for (const { sign, strength } of linksOf(id)) {
      delete own[`${id}>${sign}`];
      const chosen = String(form.get(`sign.${sign}`) ?? 'ours');
      if (chosen !== 'ours' && chosen !== strength && Object.hasOwn(words, chosen))
        own[`${id}>${sign}`] = words[chosen]!;
    }
    saveRules({ ...rules, knowledge: { priors, strengths: own } } as HouseRules, locals.prefs.who);
    return { saved: true, typed, message: '' };
  }
};
