import type { Context } from '../../findings/context.ts';
import { isAfter, latestAt } from '../../units/instant.ts';

/** A second thermometer at the same spot read normal after the last temperature: one of the two is wrong, and nobody knows which. */
export function thermometersDiffer(c: Context): boolean {
  const second = c.record.last('run.second');
  const taken = latestAt((['run.temperature', 'cooling.head'] as const).flatMap((what) => c.record.last(what) ?? []));
  return second?.value === 'normal' && isAfter(second.at, taken);
}
