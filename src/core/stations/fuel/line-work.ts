import { known } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';
import { ranWellAfter } from '../../findings/ran.ts';
import type { ItemId } from '../../items/register.ts';
import { isAfter, latestInstant, type Instant } from '../../units/instant.ts';

/** What can hold the fuel back before the bulb. */
const UPSTREAM = ['fuel.level', 'fuel.vent', 'fuel.pickup', 'fuel.shutoff', 'fuel.filter'] as const;
/** What else lies on its way to the pump. */
const REST = ['fuel.hose', 'fuel.couplings', 'fuel.pump'] as const;

/** What shows how the fuel flows: a bulb by how it feels, a gauge at the pump. */
export type Flow = 'flat' | 'soft' | 'vacuum';

const touched = (c: Context, items: readonly ItemId[]): readonly Instant[] => items.flatMap((i) => c.touched(i));

/** When what such a reading can tell of was last worked on: until then it says how the line was. New hoses unblock no pick-up. */
function lineWork(c: Context, flow: Flow): Instant {
  if (flow === 'vacuum') return latestInstant(touched(c, [...UPSTREAM, ...REST, 'fuel.vacuumSpeed']));
  if (flow === 'soft') return latestInstant(touched(c, [...UPSTREAM, ...REST, 'fuel.bulb']));
  const elsewhere = new Set(touched(c, ['fuel.hose', 'fuel.bowlLook']));
  return latestInstant([...touched(c, UPSTREAM), ...c.touched('fuel.bulb').filter((at) => !elsewhere.has(at))]);
}

/** Read before the line was last worked on. */
export const beforeLineWork = (c: Context, flow: Flow, at: Instant | undefined): boolean =>
  isAfter(lineWork(c, flow), at);

/** A line that starves an engine does so within its first minutes (M); a shorter run, or one that nobody timed, shows nothing of it. */
const SHOWS_MINUTES = 5;
const ranForIt = (c: Context, since: Instant): boolean =>
  ranWellAfter(c, since) &&
  c.record.all('run.minutes').some((r) => isAfter(r.at, since) && (known(r.value as number) ?? 0) >= SHOWS_MINUTES);

/** Read before the line was last worked on, and neither a look nor a run has shown since whether that helped. */
export const unseenSinceLineWork = (c: Context, flow: Flow, at: Instant | undefined): boolean =>
  beforeLineWork(c, flow, at) && !ranForIt(c, lineWork(c, flow));
