import { judgeAsked } from '../src/lib/workers/judging.ts';
import type { SurveyFile } from '../src/core/record/survey-file.ts';
import { Session, type SessionData } from '../src/lib/ui/session/session.svelte.ts';

/** A session judged as it stands, at once and on this thread: for pages drawn without a worker, as in tests. */
export function judged(session: Session): Session {
  session.conclude(judgeAsked(session.survey, session.asked(), session.advice?.suspects).concluded);
  return session;
}

/** A survey open on a page of its own, not judged yet. */
export const opened = (survey: SurveyFile, more: Partial<SessionData> = {}): Session =>
  new Session({
    surveyId: 's',
    engineId: 'e',
    survey,
    seq: 0,
    factSeq: 0,
    units: 'us',
    who: 'Ines',
    now: '2026-05-03T08:00:00.000Z',
    ...more
  });
