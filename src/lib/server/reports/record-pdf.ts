import { lastRelease } from '../store/releases.ts';
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
  const survey = loadSurvey(surveyId)?.survey;
  if (!survey) return undefined;
  const signed = lastRelease(surveyId);
  const pictures = await picturesFor(survey, signed?.at);
  if (!signed)
    return {
      tag: survey.engine.identity.tag ?? 'no tag',
      pdf: await inThread('previewPdf', survey, new Date().toISOString(), units, pictures)
    };
  const { record, ...release } = signed;
  const key = release.hash;
  let pdf = made.get(key);
  if (!pdf) {
    pdf = inThread('recordPdf', { report: record.report, release }, pictures);
    made.set(key, pdf);
    pdf.catch(() => made.delete(key));
    if (made.size > KEPT) made.delete(made.keys().next().value!);
  }
  return { tag: record.report.tag, pdf: await pdf };
}

/** Only what was signed. */
export const signedPdf = async (surveyId: string, units: System): Promise<Pdf | undefined> =>
  lastRelease(surveyId) ? pdfOf(surveyId, units) : undefined;
