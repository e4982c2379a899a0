import type { SurveyFile } from '$core/record/survey-file.ts';
import type { Weighed } from '$core/assess.ts';
import { assessed } from '$lib/server/advice.ts';
import { factsAfter } from '$lib/server/store/engines.ts';
import { fastenersFor } from '$lib/server/store/fasteners.ts';
import { lastRelease } from '$lib/server/store/releases.ts';
import { loadSurvey } from '$lib/server/store/surveys.ts';
import { error } from '@sveltejs/kit';
import type { LayoutServerLoad } from './$types';

/**
 * The moment a page is drawn for: the whole minute, so that pages of one minute share what was judged; the very moment where
 * something was entered within it, since nothing may be judged from before it was read.
 */
function minuteFor(survey: SurveyFile): Date {
  const now = new Date();
  const minute = Math.floor(now.getTime() / 60_000) * 60_000;
  const entered = [...survey.readings, ...(survey.steps ?? []), ...(survey.waits ?? [])];
  return entered.some((e) => Date.parse(e.at) > minute) ? now : new Date(minute);
}

export const load: LayoutServerLoad = ({ params, locals }) => {
  const loaded = loadSurvey(params.id);
  if (!loaded) error(404, 'There is no such assessment.');
  const release = lastRelease(params.id);
  const now = minuteFor(loaded.survey);
  const { advice, moves } = assessed(loaded.survey, now, locals.prefs.units);
  return {
    session: {
      surveyId: params.id,
      engineId: loaded.head.engineId,
      survey: JSON.stringify(loaded.survey),
      seq: loaded.seq,
      factSeq: factsAfter(loaded.head.engineId).at(-1)?.seq ?? 0,
      units: locals.prefs.units,
      who: locals.prefs.who,
      now: now.toISOString(),
      weighed: JSON.stringify({ advice, moves } satisfies Weighed)
    },
    // What came off engines of this model before: sockets and extensions are named before the walk.
    fasteners: fastenersFor(params.id),
    release: release ? { signedBy: release.signedBy, at: release.at, hash: release.hash } : null
  };
};
