import type { ItemId } from '../items/register.ts';
import { isAfter, latestInstant, type Instant } from '../units/instant.ts';
import { askedAfter } from './asked-after.ts';
import type { Context } from './context.ts';

type Where = { readonly cylinder?: number };

/** When what these items tell of was last taken apart and put together again; an empty text for never. */
const apartAt = (c: Context, items: readonly ItemId[]): Instant =>
  latestInstant(items.flatMap((item) => c.disturbed(item)));

/**
 * Whether what these items tell of was taken apart and put together again, and none of them was seen since: that it could not be told
 * says nothing of how it was put together.
 */
export function apartSince(c: Context, items: readonly ItemId[], where: Where = {}): boolean {
  const apart = apartAt(c, items);
  const seen = (item: ItemId): boolean =>
    c.record.all(item, where).some((r) => r.value !== 'unknown' && isAfter(r.at, apart));
  return apart !== '' && !items.some(seen);
}

/** Whether one of them was asked since, whatever the answer: it is not asked again by itself. */
export const askedSinceApart = (c: Context, items: readonly ItemId[], where: Where = {}): boolean =>
  askedAfter(c, items, apartAt(c, items), where);
