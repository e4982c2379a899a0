import type { ItemId, ReadingValue } from '../items/register.ts';
import { isAfter } from '../units/instant.ts';
import type { Context } from './context.ts';

const FIRED = ['run.event', 'run.outcome'] as const;

/**
 * The latest reading that tells of the engine: one of parts that were cleaned since, and on which nothing has burnt yet, says only
 * that they are clean. Then what they showed before is what is known.
 */
export function lastTelling(c: Context, item: ItemId, cylinder?: number): ReturnType<Context['record']['last']> {
  const last = c.record.last(item, cylinder);
  const wiped = c.wiped(item);
  if (!last || !wiped.length) return last;
  const fired = FIRED.flatMap((what) => c.record.all(what)).filter((r) => r.value !== 'unknown');
  const blank = ({ at, value }: { readonly at: string; readonly value: unknown }): boolean =>
    wiped.some(
      (w) =>
        isAfter(at, w.at) &&
        [value].flat().every((v) => w.clean.includes(String(v))) &&
        !fired.some((f) => isAfter(f.at, w.at) && !isAfter(f.at, at))
    );
  return c.record
    .all(item, cylinder === undefined ? {} : { cylinder })
    .toReversed()
    .find((r) => !blank(r));
}

/** The latest word on a part that is still the part it was: what was read of it before it was renewed or set is of the old one. */
export function ofThisPart<I extends ItemId>(
  c: Context,
  item: I,
  cylinder?: number
): Exclude<ReadingValue<I>, 'unknown'> | undefined {
  const r = c.record.last(item, cylinder);
  if (!r || c.renewed(item, r.value).some((at) => isAfter(at, r.at))) return undefined;
  return r.value as Exclude<ReadingValue<I>, 'unknown'>;
}
