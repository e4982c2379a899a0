import { leaksBeyondBest, type FitConditions, type LeakFit, type Observed } from '../../physics/cranking-fit.ts';
import type { LeakTask } from './leak.ts';

/** Fits made lately, by what they were made from: a survey is judged several times for one page. */
const kept = new Map<string, LeakFit>();
const KEEP = 64;

/**
 * Fits the leaks beyond the best cylinder, half a hundred to two hundred milliseconds; the same readings twice are one
 * fit. It stands apart from what is said of it, so that a page does not carry the numerics that its worker has.
 * @throws RangeError without at least two cylinders
 */
export function fitLeaks(observed: readonly Observed[], conditions: FitConditions): LeakFit {
  const key = JSON.stringify([observed, conditions]);
  const old = kept.get(key);
  if (old) return old;
  const fit = leaksBeyondBest(observed, conditions);
  if (kept.size >= KEEP) kept.delete(kept.keys().next().value ?? '');
  kept.set(key, fit);
  return fit;
}

/** The fit of a task; nothing where it says why none can be made. */
export const fitOf = (task: LeakTask): LeakFit | undefined =>
  task.ok ? fitLeaks(task.observed, task.conditions) : undefined;
