import type { Context } from '../findings/context.ts';
import type { SurveyFile } from '../record/survey-file.ts';
import { isAfter } from '../units/instant.ts';
import { isJobId, jobOf } from './register.ts';

/** When work was marked done that a check proves; a mark that was taken back to open later is none. */
export function workOf(survey: SurveyFile): Context['worked'] {
  const marks = survey.steps ?? [];
  const done = marks.filter(
    (m) => m.state === 'done' && !marks.some((o) => o.step === m.step && o.state === 'open' && isAfter(o.at, m.at))
  );
  return (station) => done.filter((m) => isJobId(m.step) && jobOf(m.step).proof.station === station).map((m) => m.at);
}
