import { entriesOf, entryKinds, type Entry } from '../record/entries.ts';
import type { SurveyFile } from '../record/survey-file.ts';

/** Where a reference is wrong: the entry, the field, and why in a sentence. */
export interface WrongReference {
  readonly entry: Entry;
  readonly field: string;
  readonly message: string;
}

type Named = Entry['body'] & { readonly supersedes?: string; readonly what?: string };

/**
 * The first reference of a survey that cannot be: an entry that takes its own place, two that take each other's, one that takes the place
 * of another kind of entry or of another measurement. What names an entry that is not there is kept: it may have been left out of the
 * file, or not have arrived yet.
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
export const wrongReferenceOf = (survey: SurveyFile, entry: Entry): WrongReference | undefined => {
  const body = entry.body as Named;
  if (body.supersedes === undefined && !entryKinds[entry.type].names.some((f) => f in body)) return undefined;
  const byId = new Map(entriesOf(survey).map((e) => [e.body.id, e]));
  return wrongIn(entry, byId.set(body.id, entry));
};

function wrongIn(entry: Entry, byId: ReadonlyMap<string, Entry>): WrongReference | undefined {
  const body = entry.body as Named & Readonly<Record<string, unknown>>;
  for (const field of entryKinds[entry.type].names) {
    const named = body[field];
    if (typeof named !== 'string') continue;
    const wrong = (message: string): WrongReference => ({ entry, field, message });
    if (named === body.id) return wrong('It names itself.');
    const other = byId.get(named);
    if (field !== 'supersedes' || !other) continue;
    if (other.type !== entry.type) return wrong('It takes the place of another kind of entry.');
    const theirs = other.body as Named;
    if (body.what !== undefined && theirs.what !== body.what)
      return wrong(`It takes the place of another measurement (${theirs.what ?? 'none'}).`);
    // Walked to its end: a circle would leave nothing that counts.
    const seen = new Set([body.id]);
    for (
      let at: Named | undefined = theirs;
      at;
      at = at.supersedes ? (byId.get(at.supersedes)?.body as Named) : undefined
    ) {
      if (seen.has(at.id)) return wrong('It and others take each other’s place in a circle.');
      seen.add(at.id);
    }
  }
  return undefined;
}
