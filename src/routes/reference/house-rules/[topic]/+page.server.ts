import { topicIds, topics, type TopicId } from '$core/house-rules/topics.ts';
import { schoolsBeside, SEASON_HOURS } from '$core/report/schools.ts';
import { loadEngine } from '$lib/server/store/engines.ts';
import { loadSurvey, openSurveys } from '$lib/server/store/surveys.ts';
import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

/** Engines to choose from: the latest ones; a yard of thousands looks one up by its own page. */
const OFFERED = 60;

/** The schools of one topic beside each other, on one engine of the yard. */
export const load: PageServerLoad = ({ params, url, locals }) => {
  const topic = topicIds.find((t) => t === params.topic) as TopicId | undefined;
  if (!topic) error(404, 'There is no such topic.');
  const heads = openSurveys().reverse();
  const asked = heads.find((h) => h.id === url.searchParams.get('survey'));
  const head = asked ?? heads[0];
  const loaded = head && loadSurvey(head.id);
  const offered = heads.slice(0, OFFERED);
  if (asked && !offered.includes(asked)) offered.unshift(asked);
  return {
    topic,
    title: topics[topic].topic,
    why: topics[topic].why,
    engines: offered.map((h) => ({ id: h.id, tag: loadEngine(h.engineId).identity.tag ?? 'no tag' })),
    survey: head?.id,
    seasonHours: SEASON_HOURS,
    beside: loaded ? schoolsBeside(loaded.survey, topic, new Date(), locals.prefs.units) : []
  };
};
