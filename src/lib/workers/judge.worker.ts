import type { SurveyFile } from '$core/record/survey-file.ts';
import { applyDelta, type SurveyDelta } from '$core/survey/delta.ts';
import { expose } from 'comlink';
import { judgeAsked, type JudgeAnswer, type JudgeAsked } from './judging.ts';

let survey: SurveyFile | undefined;

/** Findings and holds on a thread of their own. The survey is kept between calls; each call tells what changed in it. */
const api = {
  judge: (delta: SurveyDelta, asked: JudgeAsked): JudgeAnswer => {
    survey = applyDelta(survey, delta);
    return judgeAsked(survey, asked);
  }
};
export type JudgeWorker = typeof api;
expose(api);
