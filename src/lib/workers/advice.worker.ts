import { decide } from '$core/decision/decide.ts';
import { advise } from '$core/moves/advice.ts';
import { judge } from '$core/judge.ts';
import type { SurveyFile } from '$core/record/survey-file.ts';
import type { System } from '$core/units/index.ts';
import { expose } from 'comlink';

/** Advice and decision on a thread of their own: a survey in, plain data out. */
const api = {
  advise: (survey: SurveyFile, now: string, units: System) => advise(judge(survey, new Date(now), units)),
  decide: (survey: SurveyFile, now: string, units: System, draws: number, seed: number) =>
    decide(judge(survey, new Date(now), units), draws, seed)
};
export type AdviceWorker = typeof api;
expose(api);
