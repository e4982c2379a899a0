import type { Entry, EntryType } from './entry.ts';
import { decisionEntrySchema, gateReasonSchema, overrideSchema, readingSchema, stepMarkSchema } from './reading.ts';
import { waitSchema } from './wait.ts';
import { jobEditSchema, partLineSchema, trayMarkSchema, trayPartSchema } from './work.ts';

// Apart from the entries themselves: a page builds entries, the server checks them, and only one of them carries the schemas.
const schemas = {
  reading: readingSchema,
  override: overrideSchema,
  step: stepMarkSchema,
  reason: gateReasonSchema,
  wait: waitSchema,
  decision: decisionEntrySchema,
  job: jobEditSchema,
  part: partLineSchema,
  tray: trayPartSchema,
  trayMark: trayMarkSchema
} as const;
export type EntryCheck =
  { readonly ok: true; readonly entry: Entry } | { readonly ok: false; readonly message: string };

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
