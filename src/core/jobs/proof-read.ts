import type { Context } from '../findings/context.ts';
import { allItems, itemsOf, type ItemId } from '../stations/items.ts';
import { isAfter, type Instant } from '../units/instant.ts';
import type { Proof } from './job.ts';

/**
 * Whether what proves a piece of work was read after a moment: an answer, not an "unknown", of what says so, at every cylinder that the work was
 * for. That it shows what it should is for the findings to say.
 */
export function readSince(
  c: Context,
  proof: Pick<Proof, 'station' | 'reads'>,
  since: Instant,
  cylinders: readonly number[] = []
): boolean {
  const items = proof.reads ?? Object.keys(itemsOf(proof.station)).map((key) => `${proof.station}.${key}` as ItemId);
  const told = items.flatMap((item) => c.record.all(item).filter((r) => r.value !== 'unknown' && isAfter(r.at, since)));
  if (!told.length || !proof.reads) return told.length > 0;
  return cylinders.every((k) => told.some((r) => r.cylinder === k || !allItems[r.what].perCylinder));
}
