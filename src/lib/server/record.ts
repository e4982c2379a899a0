import { assess } from '../../core/assess.ts';
import { reportOf, type Report } from '../../core/release/report.ts';
import type { System } from '../../core/units/index.ts';
import { lastRelease, type Release } from './store/releases.ts';
import { loadSurvey } from './store/surveys.ts';

export interface RecordView {
  readonly report: Report;
  readonly release: Omit<Release, 'record'> | undefined;
}

/** The record to show: the signed one as it was frozen, else a preview of what would be signed now. */
export function recordOf(surveyId: string, units: System): RecordView | undefined {
  const loaded = loadSurvey(surveyId);
  if (!loaded) return undefined;
  const signed = lastRelease(surveyId);
  if (!signed) return { report: reportOf(assess(loaded.survey, new Date(), units)), release: undefined };
  const { record, ...release } = signed;
  return { report: record.report, release };
}
