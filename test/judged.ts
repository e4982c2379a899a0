import { judgeAsked } from '../src/lib/workers/judging.ts';
import type { Session } from '../src/lib/ui/session/session.svelte.ts';

/** A session judged as it stands, at once and on this thread: for pages drawn without a worker, as in tests. */
export function judged(session: Session): Session {
  session.conclude(judgeAsked(session.survey, session.asked(), session.advice?.suspects).concluded);
  return session;
}
