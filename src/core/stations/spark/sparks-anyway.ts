import type { Said } from '../../engine/profile.ts';
import { cylindersOf, type Context } from '../../findings/context.ts';
import { sparkSeen } from './seen.ts';
import type { WindingId } from './windings.ts';

/** Complaints, and what a run showed, that a winding on its way out explains: then what the meter says of it counts. */
const complaints: ReadonlySet<Said> = new Set(['no-start', 'dies', 'dies-warm', 'idles', 'shakes', 'power']);
const shown: ReadonlySet<unknown> = new Set(['hot', 'shakes', 'spits', 'kicks']);

const misses = ({ survey, record }: Context): boolean =>
  [survey.engine.history.said ?? []].flat().some((x) => x !== 'unknown' && complaints.has(x)) ||
  record.all('run.idles').some((r) => shown.has(r.value)) ||
  record.all('run.outcome').some((r) => r.value === 'died' || r.value === 'failed');

/**
 * Whether what a winding makes was seen to be as it should: the spark of its cylinder; the spark of all of them where it is shared. A
 * meter outside the manual's range is not what an engine is repaired by that sparks and does nothing else amiss (C).
 */
export function sparksAnyway(c: Context, winding: WindingId, cylinder: number | undefined): boolean {
  const seen = sparkSeen(c);
  const good = (k: number): boolean =>
    seen.some((s) => s.cylinder === k && s.result === 'good' && !s.mixed && !s.failsWarm && s.path !== 'bolt');
  const all = cylindersOf(c);
  const own = winding === 'primary' || winding === 'secondary';
  const fed = own && cylinder !== undefined ? [cylinder] : all;
  return fed.length > 0 && fed.every(good) && !misses(c);
}
