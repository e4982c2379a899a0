import { judge, type Judgement } from '$core/judge.ts';
import type { SurveyFile } from '$core/record/survey-file.ts';
import type { System } from '$core/units/index.ts';

/** Texts kept whose contents the server has read last. */
const KEPT = 120;
const read = new Map<string, unknown>();
const judged = new WeakMap<SurveyFile, { readonly key: string; readonly judgement: Judgement }>();

/** What a JSON text says. Drawn page after page by the server it is the same object, as long as the text is the same. */
export function readOnce<T>(text: string): T {
  const known = read.get(text);
  // The one used last goes last.
  read.delete(text);
  const said = known ?? (JSON.parse(text) as unknown);
  read.set(text, said);
  if (read.size > KEPT) read.delete(read.keys().next().value!);
  return said as T;
}

/** What is judged of a survey for a page that is only drawn: once for a moment and a system of units. */
export function judgementFor(survey: SurveyFile, now: Date, units: System): Judgement {
  const key = `${units}${now.getTime()}`;
  const kept = judged.get(survey);
  if (kept?.key === key) return kept.judgement;
  const judgement = judge(survey, now, units);
  judged.set(survey, { key, judgement });
  return judgement;
}
