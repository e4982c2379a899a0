import { gravest, type Condition, type Finding } from '../findings/finding.ts';
import type { Context } from '../findings/context.ts';
import type { StationId } from './items.ts';
import { judgings } from './judging.ts';

/** Whether a finding is of the whole of its check, and of no part of it only. */
const speaksForWhole = (c: Context, station: StationId, f: Finding): boolean => !judgings[station].aside?.(c, f);

/** Whether something good was seen that speaks for the whole of a check. */
export const seenGood = (c: Context, station: StationId, mine: readonly Finding[]): boolean =>
  mine.some((f) => f.condition === 'sound' && speaksForWhole(c, station, f));

/**
 * What a check comes to: the gravest of its findings. One of which only something aside was seen is not sound by that: cannot tell,
 * though every finding of it is good.
 */
export function conditionOfCheck(c: Context, station: StationId, mine: readonly Finding[]): Condition {
  const told = mine.filter((f) => f.condition !== 'sound' || speaksForWhole(c, station, f));
  return told.length || !mine.length ? gravest(told.map((f) => f.condition)) : 'cannot-tell';
}
