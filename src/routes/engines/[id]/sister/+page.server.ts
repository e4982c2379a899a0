import { sisters } from '$core/care/sisters.ts';
import { contextWithWork } from '$core/jobs/work.ts';
import { careOf } from '$lib/server/care.ts';
import { sistersOf } from '$lib/server/store/sister.ts';
import { loadSurvey, surveysOf } from '$lib/server/store/surveys.ts';
import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params, url, locals }) => {
  const head = surveysOf(params.id)[0];
  if (!head) error(404, 'There is no such engine.');
  const { units } = locals.prefs;
  const now = new Date();
  const list = sistersOf(params.id);
  const chosen = list.find((s) => s.engineId === url.searchParams.get('of')) ?? list[0];
  const mine = loadSurvey(head.id)!.survey;
  const hers = chosen && loadSurvey(chosen.surveyId)!.survey;
  const side = (engineId: string, survey: typeof mine) => ({
    engineId,
    tag: survey.engine.identity.tag ?? 'no tag',
    hours: typeof survey.engine.history.hours === 'number' ? survey.engine.history.hours : null,
    assessed: survey.assessment.startedAt,
    due: (careOf(engineId)?.due ?? [])
      .filter((d) => d.state === 'overdue' || d.state === 'soon')
      .map((d) => ({ id: d.id, title: d.title, state: d.state }))
  });
  return {
    mine: side(params.id, mine),
    hers: chosen && hers ? { ...side(chosen.engineId, hers), how: chosen.how } : null,
    others: list.map(({ engineId, tag, how }) => ({ engineId, tag, how })),
    beside: hers ? sisters(contextWithWork(mine, now, units), contextWithWork(hers, now, units)) : null
  };
};
