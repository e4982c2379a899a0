import { assess, judged } from '../../../core/assess.ts';
import { decide, type Decision } from '../../../core/decision/decide.ts';
import type { SurveyFile } from '../../../core/record/survey-file.ts';
import { reportOf } from '../../../core/report/report.ts';
import { readSurveyFile } from '../../../core/survey/read-file.ts';
import type { System } from '../../../core/units/index.ts';
import { recordPdf } from '../reports/pdf.ts';

type Pictures = Parameters<typeof recordPdf>[1];

/** What is too heavy for the thread that answers requests. Each takes and gives plain data. */
export const tasks = {
  recordPdf: (view: Parameters<typeof recordPdf>[0], pictures: Pictures): Promise<Uint8Array> =>
    recordPdf(view, pictures),
  /** What would be signed now, drawn up and on paper. */
  previewPdf: (survey: SurveyFile, now: string, units: System, pictures: Pictures): Promise<Uint8Array> =>
    recordPdf({ report: reportOf(assess(survey, new Date(now), units)), release: undefined }, pictures),
  decide: (survey: SurveyFile, now: string, units: System, draws: number): Decision =>
    decide(judged(survey, new Date(now), units), draws),
  readSurveyFile: (text: string): ReturnType<typeof readSurveyFile> => readSurveyFile(text)
} as const;
export type Tasks = typeof tasks;
export type TaskName = keyof Tasks;
