import { randomUUID } from 'node:crypto';
import type { EntryType } from '../../core/record/entries.ts';
import { appendBatch } from './store/append.ts';
import type { StoreOptions } from './store/context.ts';

/** Writes one entry for a form sent without scripts, checked and held like any other. The sentence says why it was refused. */
export function recordEntry(
  surveyId: string,
  type: EntryType,
  body: object,
  by: string,
  o: StoreOptions = {}
): string | undefined {
  const at = (o.now ?? new Date()).toISOString();
  const stamped = { id: randomUUID(), at, ...(by ? { by } : {}), ...body };
  const batch = {
    since: Number.MAX_SAFE_INTEGER,
    factSince: Number.MAX_SAFE_INTEGER,
    entries: [{ type, body: stamped }],
    facts: []
  };
  const result = appendBatch(surveyId, batch, o);
  return result ? result.refused[0]?.message : 'This engine is not in the yard any more.';
}
