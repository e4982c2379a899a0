import * as z from 'zod/mini';
import { entryKinds, entryTypes } from '../record/entries.ts';
import { SURVEY_FORMAT, SURVEY_VERSION, type SurveyFile } from '../record/survey-file.ts';
import { placed } from './placed.ts';
import { wrongReference } from './references.ts';
import { surveyFileSchema } from './schema.ts';

// A file's author reads these sentences; the pages bring their own.
z.config(z.locales.en());

export type ReadResult =
  | { readonly ok: true; readonly survey: SurveyFile }
  | { readonly ok: false; readonly path: string; readonly message: string };

const refuse = (path: string, message: string): ReadResult => ({ ok: false, path, message });

/**
 * Reads the text of a survey file. All or nothing: the first wrong field is named by its path with a plain sentence.
 * Never throws.
 */
export function readSurveyFile(text: string): ReadResult {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch (e) {
    if (text.trim() === '') return refuse('', 'The file is empty.');
    const cut = /^\s*\{/.test(text) && !/\}\s*$/.test(text);
    return refuse(
      '',
      cut
        ? 'The file stops in the middle: it was cut off when it was copied or saved. Fetch it again.'
        : `The file is not JSON${e instanceof Error && /position \d+/.test(e.message) ? ` (${/position \d+/.exec(e.message)?.[0]})` : ''}.`
    );
  }
  if (typeof data !== 'object' || data === null || Array.isArray(data))
    return refuse('', 'The file holds no survey: it is not a JSON object.');
  const head = data as { format?: unknown; version?: unknown };
  if (head.format !== SURVEY_FORMAT)
    return refuse('format', `This is not a survey file: "format" should be "${SURVEY_FORMAT}".`);
  if (typeof head.version === 'number' && head.version > SURVEY_VERSION)
    return refuse(
      'version',
      `This file is of version ${head.version}, newer than this application reads (${SURVEY_VERSION}). Update first; nothing was imported.`
    );
  const parsed = surveyFileSchema.safeParse(data);
  if (parsed.success) {
    const { readings, engine } = parsed.data;
    return doubles({
      ...parsed.data,
      version: SURVEY_VERSION,
      readings: readings.map((r) => placed(engine.profile, r))
    });
  }
  const issue = parsed.error.issues[0];
  return refuse(pathOf(issue?.path ?? []), sentence(issue?.message ?? 'something is wrong here'));
}

/** Two entries of one id could hide one another. */
function doubles(survey: SurveyFile): ReadResult {
  const seen = new Set<string>();
  for (const type of entryTypes) {
    const { list } = entryKinds[type];
    for (const [k, entry] of (survey[list] ?? []).entries()) {
      if (seen.has(entry.id)) return refuse(`${list}[${k}].id`, `The id "${entry.id}" stands twice in this file.`);
      seen.add(entry.id);
    }
  }
  const wrong = wrongReference(survey);
  if (!wrong) return { ok: true, survey };
  const { list } = entryKinds[wrong.entry.type];
  const k = (survey[list] ?? []).findIndex((e) => e.id === wrong.entry.body.id);
  return refuse(`${list}[${k}].${wrong.field}`, wrong.message);
}

const pathOf = (path: readonly PropertyKey[]): string =>
  path
    .map((p) => (typeof p === 'number' ? `[${p}]` : `.${String(p)}`))
    .join('')
    .replace(/^\./, '');

const sentence = (message: string): string => {
  const plain = message
    .replace(/^Invalid input: /, 'It has the wrong kind of value: ')
    .replace(/^Unrecognized key/, 'It has a field that is not known here');
  return plain.charAt(0).toUpperCase() + plain.slice(1) + (/[.!?]$/.test(plain) ? '' : '.');
};
