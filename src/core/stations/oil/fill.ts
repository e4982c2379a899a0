import { known } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';

/** What was poured in at the last change, m³: one figure, or the range it is known to lie in. */
export interface Fill {
  readonly low: number;
  readonly high: number;
}

/** The last fill; a range whose ends were swapped is taken in its order. Nothing where nobody knows it. */
export function lastFill(c: Context): Fill | undefined {
  const least = known(c.record.value('oil.lastFill'));
  const most = known(c.record.value('oil.lastFillMost'));
  const [a, b] = [least ?? most, most ?? least];
  return a === undefined || b === undefined ? undefined : { low: Math.min(a, b), high: Math.max(a, b) };
}
