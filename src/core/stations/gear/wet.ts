import type { Context } from '../../findings/context.ts';
import { latestAt, isAfter, type Instant } from '../../units/instant.ts';

export const wetFirst: ReadonlySet<unknown> = new Set(['water', 'milky']);
export const wetLook: ReadonlySet<unknown> = new Set(['milky', 'creamy']);

/** When water was last seen in the gear oil, an empty text where it never was. */
export const lastWater = (c: Context): Instant =>
  latestAt([
    ...c.record.all('gear.first').filter((r) => wetFirst.has(r.value)),
    ...c.record.all('gear.look').filter((r) => wetLook.has(r.value)),
    ...c.record.all('gear.water').filter((r) => typeof r.value === 'number' && r.value > 0)
  ]);

/** The latest fill after which water was seen: it came into a closed case, and what was tested before says how that was then. */
export function wetSinceFill(c: Context): Instant | undefined {
  const water = lastWater(c);
  return c.record
    .all('gear.refill')
    .findLast((r) => (r.value === 'service' || r.value === 'stand') && isAfter(water, r.at))?.at;
}
