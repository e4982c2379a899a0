import type { Context } from '../../findings/context.ts';
import { isAfter, latestAt, type Instant } from '../../units/instant.ts';
import type { ItemId } from '../items.ts';
import { passages } from './passages.ts';
import { pumpWear } from './pump.ts';
import { thermostats } from './thermostat.ts';

/** What keeps water from a head, by the answer that says so. `byItself`: the latest answer is the whole of what is known of it. */
const keepsWater: readonly {
  readonly item: ItemId;
  readonly bad: (v: unknown) => boolean;
  readonly byItself?: true;
}[] = [
  { item: 'cooling.thermostatPan', bad: (v) => v === 'shut' },
  { item: 'cooling.passages', bad: (v) => v === 'slow' },
  { item: 'cooling.screen', bad: (v) => v === 'blocked', byItself: true },
  { item: 'cooling.strainer', bad: (v) => v === 'blocked', byItself: true },
  { item: 'cooling.outlet', bad: (v) => v === 'shut', byItself: true },
  { item: 'cooling.tube', bad: (v) => v === 'leaking', byItself: true },
  { item: 'cooling.bush', bad: (v) => v === 'spins' || v === 'key' },
  { item: 'cooling.housing', bad: (v) => v === 'grooved' || v === 'melted' },
  { item: 'cooling.missing', bad: (v) => typeof v === 'number' && v > 0 },
  { item: 'cooling.cracked', bad: (v) => typeof v === 'number' && v > 0 }
];

/** A cause of the heat, or of the stream that is gone, is found already: it is mended before anything else is looked for. */
export function heatExplained(c: Context): boolean {
  const poor = (['run.stream', 'cooling.stream'] as const).flatMap((i) =>
    c.record.all(i).filter((r) => r.value === 'none' || r.value === 'weak')
  );
  const hot = latestAt([...c.record.all('run.temperature'), ...c.record.all('cooling.head'), ...poor]);
  // Seen, mended, and hot once more: it explains that heat no more.
  const stands = (at: Instant | undefined): boolean =>
    !c.worked('cooling').some((w) => isAfter(w, at) && isAfter(hot, w));
  const seen = (item: ItemId, bad: (v: unknown) => boolean): boolean => {
    const last = c.record.last(item);
    return bad(last?.value) && stands(last?.at);
  };
  const tried = latestAt([...c.record.all('cooling.thermostatPan'), ...c.record.all('cooling.thermostatOpens')]);
  return (
    keepsWater.some((k) => k.byItself && seen(k.item, k.bad)) ||
    // Cleared as it was found: it explains what was read before that.
    (c.record.value('cooling.outlet') === 'blocked' && isAfter(c.record.last('cooling.outlet')!.at, hot)) ||
    pumpWear(c).marks.length > 0 ||
    passages(c).some((p) => p.is === 'slow') ||
    (thermostats(c).some((t) => t.is === 'shut' || t.is === 'late') && stands(tried))
  );
}

/** Something that keeps water from a head was seen, and mended after an instant: why it ran hot then is on record. */
export const causeMended = (c: Context, at: Instant): boolean =>
  keepsWater.some(({ item, bad }) =>
    c.record.all(item).some((r) => bad(r.value) && c.touched(item).some((w) => isAfter(w, r.at) && isAfter(w, at)))
  );
