import type { Context } from '../../findings/context.ts';
import type { Reading } from '../../record/reading.ts';
import { isAfter, type Instant } from '../../units/instant.ts';
import { symptoms } from './symptoms.ts';

/** Minutes in which an engine that died warm is still warm (M). */
const HOT_FOR = 30;
/** Until when it is hot. */
export const hotUntil = (died: Instant): Instant => new Date(Date.parse(died) + HOT_FOR * 60_000).toISOString();

/** Read only on an engine that runs. */
const RUNNING = ['fuel.vacuumIdle', 'fuel.vacuumSpeed', 'fuel.vacuumPortable', 'fuel.vacuumOpen', 'run.rpm'] as const;

/** It was started again after it died, or something was read since that only a running engine shows. */
export const runsAgain = (c: Context, died: Instant): boolean =>
  c.record.all('run.event').some((r) => r.value === 'start' && isAfter(r.at, died)) ||
  RUNNING.some((item) => c.record.all(item).some((r) => typeof r.value === 'number' && isAfter(r.at, died))) ||
  c.record.all('fuel.revived').some((r) => r.value === 'yes' && isAfter(r.at, died));

/** Looks at spark after it died, and before it was cold. */
export const sparkWhileHot = (c: Context, died: Instant): readonly Reading[] =>
  c.record.all('spark.result').filter((r) => !isAfter(died, r.at) && !isAfter(r.at, hotUntil(died)));

/** When it last died warm and was dead until it was cold, while that is open. */
export const diedWarm = (c: Context): Instant | undefined => symptoms(c).find((s) => s.id === 'dies-warm')?.at;

/** Every cylinder that was tried while it was hot and would not run sparked well: no coil and no sensor fails warm. */
export function sparkHeldHot(c: Context): boolean {
  const died = diedWarm(c);
  const tried = died === undefined ? [] : sparkWhileHot(c, died).filter((r) => r.value !== 'unknown');
  return tried.length > 0 && tried.every((r) => r.value === 'good');
}
