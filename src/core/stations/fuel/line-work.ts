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

/** Read before the line was last worked on, and neither a look nor a run has shown since whether that helped. */
export const unseenSinceLineWork = (c: Context, flow: Flow, at: Instant | undefined): boolean =>
  beforeLineWork(c, flow, at) && !ranWellAfter(c, lineWork(c, flow));
