import type { SurveyFile } from './survey-file.ts';

/** Whether this engine has been under water: by its case, or by its history. */
export const drowned = (c: { readonly survey: SurveyFile }): boolean =>
  c.survey.assessment.kind === 'drowned' || c.survey.engine.history.submerged === 'yes';

/** Whether its engine ran when it went under: undefined of one that never did, `'unknown'` where nobody was asked or knows. */
export function ranUnder(c: { readonly survey: SurveyFile }): 'yes' | 'no' | 'unknown' | undefined {
  if (!drowned(c)) return undefined;
  const said = c.survey.engine.history.runningWhenSunk;
  return said === 'yes' || said === 'no' ? said : 'unknown';
}

/** It ran when it went under, or nobody can say that it stood. */
export function mayHaveRunUnder(c: { readonly survey: SurveyFile }): boolean {
  const ran = ranUnder(c);
  return ran !== undefined && ran !== 'no';
}
