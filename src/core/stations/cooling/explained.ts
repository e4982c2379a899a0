import type { Context } from '../../findings/context.ts';
import { isAfter, latestAt, type Instant } from '../../units/instant.ts';
import type { ItemId } from '../items.ts';
import { passages } from './passages.ts';
import { pumpWear } from './pump.ts';
import { thermostats } from './thermostat.ts';

/** A cause of the heat that is found already: it is mended before anything else is looked for. */
export function heatExplained(c: Context): boolean {
  const hot = latestAt([...c.record.all('run.temperature'), ...c.record.all('cooling.head')]);
  // Seen, mended, and hot once more: it explains that heat no more.
  const stands = (at: Instant | undefined): boolean =>
    !c.worked('cooling').some((w) => isAfter(w, at) && isAfter(hot, w));
  const seen = (item: ItemId, value: string): boolean => {
    const last = c.record.last(item);
    return last?.value === value && stands(last.at);
  };
  const tried = latestAt([...c.record.all('cooling.thermostatPan'), ...c.record.all('cooling.thermostatOpens')]);
  return (
    seen('cooling.screen', 'blocked') ||
    seen('cooling.strainer', 'blocked') ||
    seen('cooling.outlet', 'shut') ||
    // Cleared as it was found: it explains what was read before that.
    (c.record.value('cooling.outlet') === 'blocked' && isAfter(c.record.last('cooling.outlet')!.at, hot)) ||
    seen('cooling.tube', 'leaking') ||
    pumpWear(c).marks.length > 0 ||
    passages(c).some((p) => p.is === 'slow') ||
    (thermostats(c).some((t) => t.is === 'shut' || t.is === 'late') && stands(tried))
  );
}
