import { advise, type Advice } from '../../../core/advice/advice.ts';
import { assess, judged, weighedOf, withAdvice, type Weighed } from '../../../core/assess.ts';
import { concludedOf } from '../../../core/conclude.ts';
import type { Concluded } from '../../../core/concluded.ts';
import { decide, type Decision } from '../../../core/decision/decide.ts';
import type { SurveyFile } from '../../../core/record/survey-file.ts';
import { reportOf } from '../../../core/report/report.ts';
import { readSurveyFile } from '../../../core/survey/read-file.ts';
import type { System } from '../../../core/units/index.ts';
import { lineOf, type Judged, type LineInput } from './line.ts';
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
  /** What the page of an assessment comes with; with `known` the advice is worked out already. */
  weigh: (
    survey: SurveyFile,
    now: string,
    units: System,
    known?: Advice
  ): Weighed & { readonly concluded: Concluded } => {
    const judgement = judged(survey, new Date(now), units);
    const { advice, moves } = withAdvice(judgement, (j) => known ?? advise(j));
    return { ...weighedOf(advice, moves, survey.engine.profile), concluded: concludedOf(judgement, advice) };
  },
  /** What is found and held, without the advice on it. */
  conclude: (survey: SurveyFile, now: string, units: System): Concluded =>
    concludedOf(judged(survey, new Date(now), units), undefined),
  /** The line of an engine in the yard. */
  line: (input: LineInput, now: string, units: System): Judged => lineOf(input, new Date(now), units),
  readSurveyFile: (text: string): ReturnType<typeof readSurveyFile> => readSurveyFile(text)
} as const;
export type Tasks = typeof tasks;
export type TaskName = keyof Tasks;
