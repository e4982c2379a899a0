import { decide } from '$core/decision/decide.ts';
import { assess, judged, weighedOf } from '$core/assess.ts';
import type { Weighed } from '$core/assess.ts';
import type { SurveyFile } from '$core/record/survey-file.ts';
import { applyDelta, type SurveyDelta } from '$core/survey/delta.ts';
import type { System } from '$core/units/index.ts';
import { expose } from 'comlink';

let survey: SurveyFile | undefined;

/**
 * Advice and decision on a thread of their own: plain data out. The survey that is advised on is kept between calls, and each call
 * tells what changed in it: what was worked out for the readings that stayed is used again.
 */
const api = {
  advise: (delta: SurveyDelta, now: string, units: System): Weighed => {
    survey = applyDelta(survey, delta);
    const { advice, moves } = assess(survey, new Date(now), units);
    return weighedOf(advice, moves, survey.engine.profile);
  },
  decide: (survey: SurveyFile, now: string, units: System, draws: number, seed: number) =>
    decide(judged(survey, new Date(now), units), draws, seed)
};
export type AdviceWorker = typeof api;
expose(api);
