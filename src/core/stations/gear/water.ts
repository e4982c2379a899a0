import type { ItemId } from '../items.ts';
import { isAfter, latestAt, type Instant } from '../../units/instant.ts';
import { known } from '../../engine/profile.ts';
import { school } from '../../house-rules/rules.ts';
import { gearCapacity } from './capacity.ts';
import type { Context } from '../../findings/context.ts';
import { caseResult, heldSince, stageIds } from './case-test.ts';
import { lastWater, wetFirst, wetLook } from './wet.ts';

const LOOKS = ['gear.first', 'gear.look', 'gear.water'] as const;

/** The last word on each look at the oil. What was filled since is other oil: once that was looked at, it alone speaks. */
function looksAtOil(c: Context): readonly { readonly what: ItemId; readonly value: unknown; readonly at: Instant }[] {
  const last = LOOKS.flatMap((what) => c.record.last(what) ?? []);
  const filled = c.record.last('gear.refill');
  if (filled?.value !== 'service' && filled?.value !== 'stand') return last;
  const since = last.filter((r) => isAfter(r.at, filled.at));
  return since.length ? since : last;
}

/** Whether the latest look at the gear oil shows water. */
export const waterSeen = (c: Context): boolean =>
  looksAtOil(c).some(
    ({ what, value }) =>
      (what === 'gear.first' && wetFirst.has(value)) ||
      (what === 'gear.look' && wetLook.has(value)) ||
      (what === 'gear.water' && typeof value === 'number' && value > 0)
  );

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
  school(c.rules, 'gearWater') === 'washers' && caseResult(c).verdict !== 'leaked';

/** Fresh washers in and filled for service since water was last seen, where the house takes the washers for it first. */
export const washersTried = (c: Context): boolean => {
  const filled = c.record.last('gear.refill');
  return (
    washersFirst(c) &&
    filled?.value === 'service' &&
    c.record.value('gear.washers') === 'yes' &&
    !isAfter(lastWater(c), filled.at)
  );
};

/** Oil under this share of the capacity is missing, not clinging: it went somewhere (M). */
export const FAR_UNDER = 2 / 3;

/** Drained volume over the capacity, where both are known; none is none whatever it holds. */
export function drainedShare(c: Context): number | undefined {
  const drained = known(c.record.value('gear.drained'));
  const capacity = gearCapacity(c)?.value;
  if (drained === undefined) return undefined;
  return capacity ? drained / capacity : drained <= 0 ? 0 : undefined;
}

/**
 * When little or no oil was last found in a case that had been filled for service before that, in this record: it has gone somewhere since,
 * whatever a test of before said. Nothing where it never was.
 */
export function oilLost(c: Context): Instant | undefined {
  const filled = c.record.all('gear.refill').find((r) => r.value === 'service')?.at;
  if (filled === undefined) return undefined;
  const capacity = gearCapacity(c)?.value;
  const low = [
    ...c.record.all('gear.first').filter((r) => r.value === 'nothing'),
    ...c.record.all('gear.look').filter((r) => r.value === 'none'),
    ...c.record
      .all('gear.drained')
      .filter(
        (r) =>
          typeof r.value === 'number' && (r.value <= 0 || (capacity !== undefined && r.value < FAR_UNDER * capacity))
      )
  ];
  return latestAt(low.filter((r) => isAfter(r.at, filled))) || undefined;
}

/** The same, while it was neither measured nor filled since. */
export const foundEmpty = (c: Context): boolean => {
  const nothing = c.record.last('gear.first');
  const later = [c.record.last('gear.drained'), c.record.last('gear.refill')];
  return (
    nothing?.value === 'nothing' && oilLost(c) === nothing.at && later.every((r) => !r || isAfter(nothing.at, r.at))
  );
};

/** Whether the latest look shows little or no oil: what was measured counts before what was glimpsed at the plug. */
export function oilLow(c: Context): boolean {
  if (foundEmpty(c)) return true;
  const share = drainedShare(c);
  if (share !== undefined) return share < FAR_UNDER;
  return c.record.value('gear.look') === 'none' || c.record.value('gear.first') === 'nothing';
}

/** Whether any round so far showed it, unless a measured volume of the same round says it was all there. */
export function oilLowEver(c: Context): boolean {
  const capacity = gearCapacity(c)?.value;
  const rounds = new Set([
    1,
    c.record.round('gear.drained'),
    c.record.round('gear.look'),
    c.record.round('gear.first')
  ]);
  return [...rounds].some((round) => {
    const drained = c.record
      .all('gear.drained', { round })
      .flatMap((r) => (typeof r.value === 'number' && (capacity || r.value <= 0) ? [r.value / (capacity ?? 1)] : []));
    if (drained.length) return Math.min(...drained) < FAR_UNDER;
    return (
      c.record.all('gear.look', { round }).some((r) => r.value === 'none') ||
      c.record.all('gear.first', { round }).some((r) => r.value === 'nothing')
    );
  });
}

/** The way in is dealt with: by a held case test, or by the house's rule with fresh washers and a later clean look. */
export function waterCured(c: Context): boolean {
  const filled = c.record.last('gear.refill');
  if (filled?.value !== 'service') return false;
  // Water seen again after the fill came in since.
  if (isAfter(lastWater(c), filled.at)) return false;
  // Filled, and gone again: a test of before that says nothing of it.
  const lost = oilLost(c);
  if (lost !== undefined && !stageIds.every((s) => heldSince(c, s, lost))) return false;
  if (caseResult(c).verdict === 'held') return true;
  return washersTried(c) && !waterSeen(c) && !oilLow(c);
}
