import type { Context } from '../../findings/context.ts';
import { runs } from '../../findings/ran.ts';
import type { Reading } from '../../record/reading.ts';
import { isAfter, latestAt } from '../../units/instant.ts';

/** What was read since it last ran, where all of it is worse than what was read before that by more than `most`, drop over supply. */
export function worseSinceRun(c: Context, readings: readonly Reading[], most: number): readonly Reading[] | undefined {
  const last = readings.at(-1)!.at;
  const at = latestAt(runs(c).filter((r) => isAfter(last, r.at)));
  const since = readings.filter((r) => isAfter(r.at, at));
  const before = readings.filter((r) => !isAfter(r.at, at));
  const share = (r: Reading): number => r.value as number;
  return before.length && Math.min(...since.map(share)) > Math.max(...before.map(share)) + most ? since : undefined;
}
