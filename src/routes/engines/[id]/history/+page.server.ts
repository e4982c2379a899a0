import { caseKinds } from '$core/engine/case-kind.ts';
import { beforeAfterOf } from '$core/history/compare.ts';
import { trendsOf } from '$core/history/trends.ts';
import { contextWithWork } from '$core/jobs/work.ts';
import { historyOf, surveysOf } from '$lib/server/store/surveys.ts';
import { lastRelease } from '$lib/server/store/releases.ts';
import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params, url, locals }) => {
  const heads = surveysOf(params.id).reverse();
  if (!heads.length) error(404, 'There is no such engine.');
  const surveys = historyOf(params.id);
  const at = (key: string, otherwise: number): number => {
    const k = heads.findIndex((h) => h.id === url.searchParams.get(key));
    return k < 0 ? otherwise : k;
  };
  const [a, b] = [at('a', Math.max(0, heads.length - 2)), at('b', heads.length - 1)];
  const [first, second] = [Math.min(a, b), Math.max(a, b)];
  return {
    tag: surveys.at(-1)!.engine.identity.tag ?? 'no tag',
    engineId: params.id,
    surveys: heads.map((h) => ({
      id: h.id,
      kind: caseKinds[h.kind].label,
      startedAt: h.startedAt,
      releasedAt: lastRelease(h.id)?.at ?? null
    })),
    trends: trendsOf(surveys.map((s) => contextWithWork(s, new Date(s.assessment.startedAt), locals.prefs.units))),
    compared:
      first === second
        ? null
        : {
            a: heads[first]!.id,
            b: heads[second]!.id,
            rows: beforeAfterOf(surveys[first]!, surveys[second]!, new Date(), locals.prefs.units)
          }
  };
};
