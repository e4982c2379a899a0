import type { Context } from '../../findings/context.ts';
import type { ItemId, ReadingValue } from '../items.ts';
import { isAfter } from '../../units/instant.ts';

export type Damaged = 'lead' | 'coil';

/** The latest word on a part of a cylinder that is still the part it was: what was seen before it was renewed is of the old one. */
export function current<I extends ItemId>(
  c: Context,
  item: I,
  cylinder: number
): Exclude<ReadingValue<I>, 'unknown'> | undefined {
  const r = c.record.last(item, cylinder);
  if (!r || c.renewed(item).some((at) => isAfter(at, r.at))) return undefined;
  return r.value as Exclude<ReadingValue<I>, 'unknown'>;
}

/** The part of a cylinder that was seen damaged or arcing: it explains a poor spark there before anything is swapped. */
export function damagedPart(c: Context, cylinder: number): Damaged | undefined {
  const stray = current(c, 'spark.stray', cylinder);
  if (current(c, 'spark.leadLook', cylinder) === 'damaged' || stray === 'lead' || stray === 'cap') return 'lead';
  return current(c, 'spark.coilLook', cylinder) === 'cracked' || stray === 'coil' ? 'coil' : undefined;
}
