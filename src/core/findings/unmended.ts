import { staysTold, type Item } from '../items/item.ts';
import type { ItemId, StationId } from '../items/register.ts';
import { roundOf } from '../record/current.ts';
import type { Reading } from '../record/reading.ts';
import { isAfter } from '../units/instant.ts';
import type { Context } from './context.ts';

/** So many better looks in a row close the doubt: it was the first one that was wrong (C). */
const SETTLES = 2;

/** Answers to what is work, that no work was done by (C): old fuel left in, none poured. */
const NO_WORK: ReadonlySet<unknown> = new Set(['unknown', 'no', 'old', 'not-fitted', 0]);

/** A crack, a leak or water that was seen, and the better look after it. */
export interface Unmended {
  readonly was: Reading;
  readonly now: Reading;
}

/**
 * What was seen that does not go away by itself, and is not there at the next look, though nothing was done to it between: no job, none of
 * the readings that are work, no new round. Nothing where it still stands, was mended, or was looked at well twice since.
 */
export function unmended(
  c: Context,
  what: ItemId,
  item: Item,
  of: { readonly cylinder?: number; readonly bank?: string } = {}
): Unmended | undefined {
  if (!item.stays) return undefined;
  const told = c.record
    .all(what, of.cylinder === undefined ? {} : { cylinder: of.cylinder })
    .filter((r) => r.value !== 'unknown' && (!item.perBank || r.conditions?.bank === of.bank));
  const was = told.findLast((r) => staysTold(item, r.value, told.at(-1)?.value));
  const later = told.filter((r) => was && isAfter(r.at, was.at));
  const [now] = later;
  if (later.some((r) => item.stays?.work?.includes(String(r.value)))) return undefined;
  if (!was || !now || later.length >= SETTLES || roundOf(now) > roundOf(was)) return undefined;
  const station = what.slice(0, what.indexOf('.')) as StationId;
  const work = [
    ...c.renewed(what),
    ...c.worked(station),
    ...(item.stays.undoneBy ?? []).flatMap((i) => [
      ...c.touched(i as ItemId),
      ...c.record.all(i as ItemId).flatMap((r) => (NO_WORK.has(r.value) ? [] : [r.at]))
    ])
  ];
  return work.some((at) => !isAfter(was.at, at)) ? undefined : { was, now };
}

/** Whether an answer stands: said last, or gone at one later look with nothing done between, so that one of the two is wrong. */
export const stillStands = (c: Context, what: ItemId, item: Item, answer: string): boolean =>
  c.record.value(what) === answer || unmended(c, what, item)?.was.value === answer;
