import type { SurveyFile } from '../../core/record/survey-file.ts';
import type { System } from '../../core/units/index.ts';
import { rememberAdvice, rememberedAdvice } from './advice.ts';
import { factsAfter } from './store/engines.ts';
import { fastenersFor } from './store/fasteners.ts';
import { lastRelease } from './store/releases.ts';
import { loadSurvey } from './store/surveys.ts';
import { thisMinute, whileUnchanged } from './store/unchanged.ts';
import { standsAt } from '../../core/record/stands-at.ts';
import { inThread } from './work/pool.ts';

/**
 * The moment a page is drawn for: the whole minute, so that pages of one minute share what was judged; the very moment where
 * something was entered within it, since nothing may be judged from before it was read.
 */
function minuteFor(survey: SurveyFile): Date {
  const now = new Date();
  const minute = thisMinute();
  const entered = [...survey.readings, ...(survey.steps ?? []), ...(survey.waits ?? [])];
  return entered.some((e) => Date.parse(e.at) > minute) ? now : new Date(minute);
}

/** The page of an assessment as the database has it, without whoever looks at it and what it is thought of. */
function made(id: string, units: System) {
  const loaded = loadSurvey(id);
  if (!loaded) return undefined;
  const release = lastRelease(id);
  const now = standsAt(loaded.survey, release?.at, minuteFor(loaded.survey));
  return {
    survey: loaded.survey,
    now,
    page: {
      session: {
        surveyId: id,
        engineId: loaded.head.engineId,
        survey: JSON.stringify(loaded.survey),
        seq: loaded.seq,
        factSeq: factsAfter(loaded.head.engineId).at(-1)?.seq ?? 0,
        units,
        served: true as const,
        now: now.toISOString()
      },
      // What came off engines of this model before: sockets and extensions are named before the walk.
      fasteners: fastenersFor(id),
      release: release ? { signedBy: release.signedBy, at: release.at, hash: release.hash } : null
    }
  };
}

/** Made once a minute as long as nothing is written; nothing where there is no such assessment. */
const kept = (id: string, units: System): ReturnType<typeof made> =>
  whileUnchanged(`page ${id} ${units} ${thisMinute()}`, () => made(id, units));

/** What the page of an engine needs of its latest assessment: not what to do with it. */
export async function engineSession(surveyId: string, units: System) {
  const found = kept(surveyId, units);
  if (!found) return undefined;
  const { survey, now, page } = found;
  const concluded = await whileUnchanged(`concluded ${surveyId} ${units} ${now.getTime()}`, async () =>
    JSON.stringify(await inThread('conclude', survey, now.toISOString(), units))
  );
  return { ...page.session, concluded };
}

/** The page of an assessment with its findings, its advice and what to do now, worked out beside the requests. */
export async function surveyPage(id: string, units: System) {
  const found = kept(id, units);
  if (!found) return undefined;
  const { survey, now, page } = found;
  const said = await whileUnchanged(`weighed ${id} ${units} ${now.getTime()}`, async () => {
    const { concluded, ...weighed } = await inThread(
      'weigh',
      survey,
      now.toISOString(),
      units,
      rememberedAdvice(survey, units)
    );
    rememberAdvice(survey, units, weighed.advice);
    return { weighed: JSON.stringify(weighed), concluded: JSON.stringify(concluded) };
  });
  return { ...page, session: { ...page.session, ...said } };
}
