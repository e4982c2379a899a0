import type { SurveyFile } from './survey-file.ts';

/** Whether this engine has been under water: by its case, or by its history. */
export const drowned = (c: { readonly survey: SurveyFile }): boolean =>
  c.survey.assessment.kind === 'drowned' || c.survey.engine.history.submerged === 'yes';
