import type { ItemId, ReadingValue } from '../items/register.ts';
import { isAfter } from '../units/instant.ts';
import type { Context } from './context.ts';

/** The latest word on a part that is still the part it was: what was read of it before it was renewed or set is of the old one. */
export function ofThisPart<I extends ItemId>(
  c: Context,
  item: I,
  cylinder?: number
): Exclude<ReadingValue<I>, 'unknown'> | undefined {
  const r = c.record.last(item, cylinder);
  if (!r || c.renewed(item).some((at) => isAfter(at, r.at))) return undefined;
  return r.value as Exclude<ReadingValue<I>, 'unknown'>;
}
