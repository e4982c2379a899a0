import { known } from '../../engine/profile.ts';
import { gearCapacity } from './capacity.ts';
import type { Context } from '../../findings/context.ts';
import { isAfter } from '../../units/instant.ts';
import type { GearFact } from './facts.ts';
import { foundEmpty, oilLow, waterSeen } from './water.ts';

/** Share by which drained oil may differ from capacity before it means something (M: what clings, and the jug). */
export const DRAIN_TOLERANCE = 0.1;

/** Filled for service after what came out was measured. */
function refilledSince(c: Context): boolean {
  const filled = c.record.last('gear.refill');
  const drained = c.record.last('gear.drained');
  return filled?.value === 'service' && drained !== undefined && isAfter(filled.at, drained.at);
}

/** How much oil came out, against what the case holds. */
export function amountFacts(c: Context): GearFact[] {
  const drained = known(c.record.value('gear.drained'));
  if (drained === undefined || foundEmpty(c)) return unmeasured(c);
  const capacity = gearCapacity(c);
  const id = 'amount';
  // Nothing is nothing, whatever it holds.
  if (!capacity && (drained <= 0 || c.record.value('gear.look') === 'none'))
    return [{ kind: 'amount-none', id, condition: 'fault', values: {} }];
  if (!capacity) return [{ kind: 'amount-alone', id, condition: 'cannot-tell', values: { drained } }];
  const share = drained / capacity.value;
  const values = { drained, capacity };
  if (drained <= 0 || c.record.value('gear.look') === 'none')
    return [{ kind: 'amount-empty', id, condition: 'fault', values }];
  if (share > 1 + DRAIN_TOLERANCE) {
    // Too much of an oil that is gone asks for nothing; too little does, until it is known where it went.
    if (refilledSince(c)) return [];
    const water = waterSeen(c);
    return [{ kind: 'amount-over', id, condition: water ? 'watch' : 'cannot-tell', values: { ...values, water } }];
  }
  return share < 1 - DRAIN_TOLERANCE
    ? [{ kind: 'amount-under', id, condition: 'watch', values }]
    : [{ kind: 'amount-whole', id, condition: 'sound', values }];
}

/** Oil that did not come, before anybody measured it: nothing at a cracked plug may be oil that has set, an empty case is a leak. */
function unmeasured(c: Context): GearFact[] {
  if (!oilLow(c)) return [];
  return c.record.value('gear.look') === 'none'
    ? [{ kind: 'amount-none', id: 'amount', condition: 'fault', values: {} }]
    : [{ kind: 'nothing', condition: 'cannot-tell', values: {} }];
}
