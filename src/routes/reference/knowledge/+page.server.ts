import { signById, suspectKinds } from '$core/diagnosis/knowledge/index.ts';
import { systems, type SystemId } from '$core/diagnosis/knowledge/shape.ts';
import { currentRules } from '$lib/server/store/house-rules.ts';
import type { PageServerLoad } from './$types';

/** Suspects whose name, cure or signs hold every word of the search. */
export const load: PageServerLoad = ({ url }) => {
  const search = (url.searchParams.get('q') ?? '').slice(0, 80);
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const { knowledge } = currentRules().rules;
  const own = new Set([
    ...Object.keys(knowledge?.priors ?? {}),
    ...Object.keys(knowledge?.strengths ?? {}).map((k) => k.slice(0, k.indexOf('>')))
  ]);
  const found = suspectKinds.filter((s) => {
    const signs = Object.values(s.shows)
      .flat()
      .map((id) => signById.get(id)!.present);
    const text = [s.label, s.cure, systems[s.system], ...signs].join(' ').toLowerCase();
    return words.every((w) => text.includes(w));
  });
  return {
    search,
    total: suspectKinds.length,
    groups: (Object.keys(systems) as SystemId[])
      .map((id) => ({
        title: systems[id],
        list: found
          .filter((s) => s.system === id)
          .map((s) => ({
            id: s.id,
            label: s.label,
            artefact: s.artefact ?? false,
            own: own.has(s.id),
            shows: Object.values(s.shows)
              .flat()
              .slice(0, 3)
              .map((sign) => signById.get(sign)!.present),
            cure: s.cure
          }))
      }))
      .filter((g) => g.list.length)
  };
};
