import { readSurveyFile } from '../../../core/survey/read-file.ts';
import { recordPdf } from '../reports/pdf.ts';

/** What is too heavy for the thread that answers requests. Each takes and gives plain data. */
export const tasks = {
  recordPdf: (view: Parameters<typeof recordPdf>[0], pictures: Parameters<typeof recordPdf>[1]): Promise<Uint8Array> =>
    recordPdf(view, pictures),
  readSurveyFile: (text: string): ReturnType<typeof readSurveyFile> => readSurveyFile(text)
} as const;
export type Tasks = typeof tasks;
export type TaskName = keyof Tasks;
