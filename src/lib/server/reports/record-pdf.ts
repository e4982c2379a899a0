import { recordOf } from '../record.ts';
import { loadSurvey } from '../store/surveys.ts';
import type { System } from '../../../core/units/index.ts';
import { inThread } from '../work/pool.ts';
import { picturesFor } from './pictures.ts';

/** A signed record never changes, so its PDF is made once: the last few by their hash and units. */
const made = new Map<string, Promise<Uint8Array>>();
const KEPT = 20;

export interface Pdf {
  readonly tag: string;
  readonly pdf: Uint8Array;
}

/** The PDF of an assessment: of its signed record, else a preview. Nothing where there is no such assessment. */
export async function pdfOf(surveyId: string, units: System): Promise<Pdf | undefined> {
  const view = recordOf(surveyId, units);
  const survey = loadSurvey(surveyId)?.survey;
  if (!view || !survey) return undefined;
  const make = async (): Promise<Uint8Array> =>
    inThread('recordPdf', view, await picturesFor(survey, view.release?.at));
  const { tag } = view.report;
  if (!view.release) return { tag, pdf: await make() };
  const key = view.release.hash;
  let pdf = made.get(key);
  if (!pdf) {
    pdf = make();
    made.set(key, pdf);
    pdf.catch(() => made.delete(key));
    if (made.size > KEPT) made.delete(made.keys().next().value!);
  }
  return { tag, pdf: await pdf };
}

/** Only what was signed. */
export const signedPdf = async (surveyId: string, units: System): Promise<Pdf | undefined> =>
  recordOf(surveyId, units)?.release ? pdfOf(surveyId, units) : undefined;
