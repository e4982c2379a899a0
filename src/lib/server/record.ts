import { assessed } from './advice.ts';
import { reportOf, type Report } from '../../core/report/report.ts';
import type { SurveyFile } from '../../core/record/survey-file.ts';
import type { System } from '../../core/units/index.ts';
import { lastRelease, type Release } from './store/releases.ts';
import { loadSurvey } from './store/surveys.ts';

export interface RecordView {
  readonly report: Report;
  readonly release: Omit<Release, 'record'> | undefined;
}

const MINUTE = 60_000;
/** Previews by the survey they are of: one is drawn up again when the survey changes, or a minute has passed. */
const previews = new WeakMap<SurveyFile, { readonly key: string; readonly report: Report }>();

function previewOf(survey: SurveyFile, units: System): Report {
  const now = new Date();
  const key = `${units}${Math.floor(now.getTime() / MINUTE)}`;
  const kept = previews.get(survey);
  if (kept?.key === key) return kept.report;
  const report = reportOf(assessed(survey, now, units));
  previews.set(survey, { key, report });
  return report;
}

/** The record to show: the signed one as it was frozen, else a preview of what would be signed now. */
export function recordOf(surveyId: string, units: System): RecordView | undefined {
  const loaded = loadSurvey(surveyId);
  if (!loaded) return undefined;
  const signed = lastRelease(surveyId);
  if (!signed) return { report: previewOf(loaded.survey, units), release: undefined };
  const { record, ...release } = signed;
  return { report: record.report, release };
}
