import type { ItemId } from '../items/register.ts';
import { isAfter, type Instant } from '../units/instant.ts';
import type { Context } from './context.ts';

/**
 * Whether one of these items was asked of the engine as it is since a moment, whatever the answer: what was answered before something went
 * wrong, ran dry or was mended was said of another state.
 * @param at the latest of the moments that count; without one, any answer does
 */
export const askedAfter = (
  c: Context,
  items: ItemId | readonly ItemId[],
  at: Instant | undefined,
  where: { readonly cylinder?: number } = {}
): boolean => [items].flat().some((item) => c.record.all(item, where).some((r) => isAfter(r.at, at)));
