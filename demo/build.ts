import { emptySurvey, type SurveyFile } from '../src/core/record/survey-file.ts';
import { withEntries } from '../src/core/record/entries.ts';
import { logOf, type DemoEngine } from './builder.ts';

/** When an engine's assessment began, counted back from now. */
export const startOf = (e: DemoEngine, now: Date): Date => new Date(now.getTime() - e.startedHoursAgo * 3.6e6);

/** The survey file of a demo engine as it stands now; what the examples and tests are made from. */
export function surveyOf(e: DemoEngine, now: Date): SurveyFile {
  const start = startOf(e, now);
  const base: SurveyFile = {
    ...emptySurvey(e.kind, start.toISOString()),
    engine: {
      identity: e.identity,
      profile: e.profile,
      history: e.history(start),
      ...(e.manual ? { manual: e.manual } : {}),
      ...(e.card ? { card: e.card } : {}),
      ...(e.outings ? { outings: e.outings(start) } : {})
    }
  };
  return withEntries(base, logOf(e, start));
}
