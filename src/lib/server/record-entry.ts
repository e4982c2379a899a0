import { randomUUID } from 'node:crypto';
import type { EntryType } from '../../core/record/entries.ts';
import { appendBatch } from './store/append.ts';
import type { StoreOptions } from './store/context.ts';

/** An entry that is not stamped yet: its kind, and what it says. */
export type Unstamped = readonly [type: EntryType, body: object];

/** Writes entries for a form sent without scripts, checked and held like any other, together. The sentence says why the first was refused. */
export function recordEntries(
  surveyId: string,
  list: readonly Unstamped[],
  by: string,
  o: StoreOptions = {}
): string | undefined {
  const at = (o.now ?? new Date()).toISOString();
  const batch = {
    since: Number.MAX_SAFE_INTEGER,
    factSince: Number.MAX_SAFE_INTEGER,
    entries: list.map(([type, body]) => ({ type, body: { id: randomUUID(), at, ...(by ? { by } : {}), ...body } })),
    facts: []
  };
  const result = appendBatch(surveyId, batch, o);
  return result ? result.refused[0]?.message : 'This engine is not in the yard any more.';
}

/** The same of one entry. */
export const recordEntry = (
  surveyId: string,
  type: EntryType,
  body: object,
  by: string,
  o: StoreOptions = {}
): string | undefined => recordEntries(surveyId, [[type, body]], by, o);
