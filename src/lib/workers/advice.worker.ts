import { decide } from '$core/decision/decide.ts';
import { assess, judged, weighedOf } from '$core/assess.ts';
import type { Weighed } from '$core/assess.ts';
import type { SurveyFile } from '$core/record/survey-file.ts';
import type { System } from '$core/units/index.ts';
import { expose } from 'comlink';

/** Advice and decision on a thread of their own: a survey in, plain data out. */
const api = {
  advise: (survey: SurveyFile, now: string, units: System): Weighed => {
    const { advice, moves } = assess(survey, new Date(now), units);
    return weighedOf(advice, moves, survey.engine.profile);
  },
  decide: (survey: SurveyFile, now: string, units: System, draws: number, seed: number) =>
    decide(judged(survey, new Date(now), units), draws, seed)
};
export type AdviceWorker = typeof api;
expose(api);
