import type { SurveyFile } from '$core/record/survey-file.ts';
import { applyDelta, type SurveyDelta } from '$core/survey/delta.ts';
import { expose } from 'comlink';
import { judgeAsked, type JudgeAnswer, type JudgeAsked, type Suspects } from './judging.ts';

let survey: SurveyFile | undefined;
let suspects: Suspects;

/** Findings and holds on a thread of their own. The survey is kept between calls; each call tells what changed in it, and the suspects where they were weighed anew. */
const api = {
  judge: (delta: SurveyDelta, asked: JudgeAsked, weighed?: { readonly suspects: Suspects }): JudgeAnswer => {
    survey = applyDelta(survey, delta);
    if (weighed) suspects = weighed.suspects;
    return judgeAsked(survey, asked, suspects);
  }
};
export type JudgeWorker = typeof api;
expose(api);
