import type { Said } from '../../engine/profile.ts';
import { cylindersOf, type Context } from '../../findings/context.ts';
import { sparkSeen } from './seen.ts';
import type { WindingId } from './windings.ts';

/** Complaints, and what a run showed, that a winding on its way out explains: then what the meter says of it counts. */
const complaints: ReadonlySet<Said> = new Set(['no-start', 'dies', 'dies-warm', 'idles', 'shakes', 'power']);
const shown: ReadonlySet<unknown> = new Set(['hot', 'shakes', 'spits', 'kicks']);

/** Whether the engine was said or seen to miss, die, kick or not to start: sparking at the stand, it may lose its spark all the same. */
export const misses = ({ survey, record }: Context): boolean =>
  [survey.engine.history.said ?? []].flat().some((x) => x !== 'unknown' && complaints.has(x)) ||
  record.all('run.idles').some((r) => shown.has(r.value)) ||
  record.all('run.outcome').some((r) => r.value === 'died' || r.value === 'failed');

/** Good at each of these cylinders, along a path that shows it, at every look and warm as well. */
export function sparkGoodAt(c: Context, cylinders: readonly number[]): boolean {
  const seen = sparkSeen(c);
  const good = (k: number): boolean =>
    seen.some((s) => s.cylinder === k && s.result === 'good' && !s.mixed && !s.failsWarm && s.path !== 'bolt');
  return cylinders.length > 0 && cylinders.every(good);
}

/**
 * Whether what a part makes was seen to be as it should: the spark of the cylinders that it feeds. A meter outside the manual's range is
 * not what an engine is repaired by that sparks and does nothing else amiss (C).
 */
export const sparksAnyway = (c: Context, fed: readonly number[]): boolean => sparkGoodAt(c, fed) && !misses(c);

/** The cylinders that a winding feeds: its own, or all of them where it is shared. */
export const fedBy = (c: Context, winding: WindingId, cylinder: number | undefined): readonly number[] =>
  (winding === 'primary' || winding === 'secondary') && cylinder !== undefined ? [cylinder] : cylindersOf(c);
