import { gravest, type Condition, type Finding } from '../findings/finding.ts';
import type { Context } from '../findings/context.ts';
import type { StationId } from './items.ts';
import { judgings } from './judging.ts';

/**
 * What a check comes to: the gravest of its findings. One of which only something aside was seen is not sound by that: cannot tell,
 * though every finding of it is good.
 */
export function conditionOfCheck(c: Context, station: StationId, mine: readonly Finding[]): Condition {
  const { aside } = judgings[station];
  const told = mine.filter((f) => f.condition !== 'sound' || !aside?.(c, f));
  return told.length || !mine.length ? gravest(told.map((f) => f.condition)) : 'cannot-tell';
}
