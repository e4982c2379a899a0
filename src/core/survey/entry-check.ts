import type { Entry, EntryType } from '../record/entries.ts';
import { schemas } from './schema.ts';

export type EntryCheck =
  | { readonly ok: true; readonly entry: Entry }
  | { readonly ok: false; readonly message: string };

/** Checks an entry from outside; the sentence names what is wrong with it. */
export function checkEntryBody(type: unknown, body: unknown): EntryCheck {
  if (typeof type !== 'string' || !Object.hasOwn(schemas, type))
    return { ok: false, message: 'This kind of entry is not known.' };
  const result = schemas[type as EntryType].safeParse(body);
  if (result.success) return { ok: true, entry: { type, body: result.data } as Entry };
  const issue = result.error.issues[0];
  const message = issue?.message ?? 'it is not well formed';
  return { ok: false, message: `Not saved: ${message}${issue?.path.length ? ` (${issue.path.join('.')})` : ''}.` };
}
