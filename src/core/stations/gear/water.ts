import { known } from '../../engine/profile.ts';
import { school } from '../../house-rules/rules.ts';
import type { Context } from '../../findings/context.ts';

const wetFirst = new Set<unknown>(['water', 'milky']);
const wetLook = new Set<unknown>(['milky', 'creamy']);

/** Whether the latest look at the gear oil shows water. */
export function waterSeen(c: Context): boolean {
  const caught = known(c.record.value('gear.water')) ?? 0;
  return wetFirst.has(c.record.value('gear.first')) || wetLook.has(c.record.value('gear.look')) || caught > 0;
}

/** Whether any look so far did: fresh oil is clear for a while, whatever let the water in. */
export function waterEver(c: Context): boolean {
  return (
    c.record.all('gear.first').some((r) => wetFirst.has(r.value)) ||
    c.record.all('gear.look').some((r) => wetLook.has(r.value)) ||
    c.record.all('gear.water').some((r) => typeof r.value === 'number' && r.value > 0)
  );
}

/** Whether this shop looks at fresh washers before it case-tests. */
export const washersFirst = (c: Context): boolean =>
  school(c.rules, 'gearWater') === 'washers' && c.record.value('gear.pressureTest') !== 'leaked';

/** The way in is dealt with: by a held case test, or by the house's rule with fresh washers and a later clean look. */
export function waterCured(c: Context): boolean {
  if (c.record.value('gear.refill') !== 'service') return false;
  if (c.record.value('gear.pressureTest') === 'held') return true;
  return washersFirst(c) && c.record.value('gear.washers') === 'yes' && !waterSeen(c);
}
