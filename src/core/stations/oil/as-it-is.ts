import type { Context } from '../../findings/context.ts';
import { isAfter } from '../../units/instant.ts';
import type { ReadingValue } from '../items.ts';
import { takenOut } from './sump.ts';

/**
 * What was said of the oil that is in the engine now, by eye or nose; nothing where that was of oil that is out of it: seen before it was
 * drained or changed, or in the pan, while there was none in the sump.
 */
export function ofThisOil<I extends 'oil.look' | 'oil.smell'>(c: Context, what: I): ReadingValue<I> | undefined {
  const seen = c.record.last(what);
  const value = c.record.value(what);
  if (!seen || value === undefined) return undefined;
  const changed = [
    ...c.record.all('oil.sump').flatMap((r) => (r.value === 'drained' ? [r.at] : [])),
    // Ticked as a job it was changed as well.
    ...c.renewed(what)
  ];
  if (changed.some((at) => isAfter(at, seen.at))) return undefined;
  const out = takenOut(c);
  if (out?.how !== 'emptied') return value;
  if (isAfter(out.at, seen.at)) return undefined;
  const filled = [
    ...changed,
    ...(['oil.poured', 'oil.dip', 'oil.dipAt'] as const).flatMap((i) =>
      c.record.all(i).flatMap((r) => (r.value === 'unknown' || r.value === 'none' ? [] : [r.at]))
    )
  ];
  return filled.some((at) => isAfter(at, out.at) && !isAfter(at, seen.at)) ? value : undefined;
}
