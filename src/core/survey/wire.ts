import * as z from 'zod/mini';
import type { Fact } from '../engine/fact.ts';
import type { Entry, EntryType } from '../record/entries.ts';

/**
 * What a browser sends and is answered. Entries and facts are checked one by one when they are taken, so that a wrong one
 * is refused with its sentence and the others are kept: here they are unknown.
 */
export const batchSchema = z.object({
  /** The last entry and the last fact that the sender has. */
  since: z.int().check(z.gte(0)),
  factSince: z.int().check(z.gte(0)),
  entries: z.array(z.object({ type: z.unknown(), body: z.unknown() })).check(z.maxLength(500)),
  facts: z.array(z.unknown()).check(z.maxLength(500)),
  /** Ids of both, in the order in which they were made. Left out, the order of their times counts. */
  order: z.optional(z.array(z.string().check(z.maxLength(64))).check(z.maxLength(1000)))
});
export type Batch = z.infer<typeof batchSchema>;

/** An entry or a fact with its place in the order in which the store took them. */
export interface StoredEntry {
  readonly seq: number;
  readonly type: EntryType;
  readonly body: Entry['body'];
}
export interface StoredFact extends Fact {
  readonly seq: number;
}

/** Everything new since what the sender had, and what was not taken, by id with its sentence. */
export interface BatchAnswer {
  readonly entries: readonly StoredEntry[];
  readonly facts: readonly StoredFact[];
  readonly refused: readonly { readonly id: string; readonly message: string }[];
  /** The server's clock when it answered. */
  readonly now?: string;
}
