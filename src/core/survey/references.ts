import { entriesOf, type Entry } from '../record/entries.ts';
import type { Reading } from '../record/reading.ts';
import type { SurveyFile } from '../record/survey-file.ts';

/** Where a reference is wrong: the reading, the field, and why in a sentence. */
export interface WrongReference {
  readonly entry: Entry;
  readonly field: 'supersedes';
  readonly message: string;
}

/**
 * The first reading of a survey that cannot take the place it says: its own, in a circle with others, that of another kind of entry or of
 * another measurement. What was read would be gone by it. A reading that names one that is not there is kept: it may have been left out of
 * the file, or not have arrived yet. Parts and waits that name themselves change nothing and are left alone.
 */
export function wrongReference(survey: SurveyFile): WrongReference | undefined {
  const all = entriesOf(survey);
  const byId = new Map(all.map((e) => [e.body.id, e]));
  for (const entry of all) {
    const found = wrongIn(entry, byId);
    if (found) return found;
  }
  return undefined;
}

/** The same for one entry that is added to a survey. */
export const wrongReferenceOf = (survey: SurveyFile, entry: Entry): WrongReference | undefined =>
  entry.type === 'reading' && entry.body.supersedes !== undefined
    ? wrongIn(entry, new Map(entriesOf(survey).map((e) => [e.body.id, e])).set(entry.body.id, entry))
    : undefined;

function wrongIn(entry: Entry, byId: ReadonlyMap<string, Entry>): WrongReference | undefined {
  if (entry.type !== 'reading' || entry.body.supersedes === undefined) return undefined;
  const { id, what, supersedes } = entry.body;
  const wrong = (message: string): WrongReference => ({ entry, field: 'supersedes', message });
  if (supersedes === id) return wrong('It names itself.');
  const other = byId.get(supersedes);
  if (!other) return undefined;
  if (other.type !== 'reading') return wrong('It takes the place of another kind of entry.');
  if (other.body.what !== what) return wrong(`It takes the place of another measurement (${other.body.what}).`);
  // Walked to its end: a circle would leave nothing that counts.
  const seen = new Set([id]);
  for (let at: Reading | undefined = other.body; at; at = before(at, byId)) {
    if (seen.has(at.id)) return wrong('It and others take each other’s place in a circle.');
    seen.add(at.id);
  }
  return undefined;
}

function before(reading: Reading, byId: ReadonlyMap<string, Entry>): Reading | undefined {
  const entry = reading.supersedes === undefined ? undefined : byId.get(reading.supersedes);
  return entry?.type === 'reading' ? entry.body : undefined;
}
