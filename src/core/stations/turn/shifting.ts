import type { Context } from '../../findings/context.ts';
import { isAfter } from '../../units/instant.ts';
import type { TurnBasis, TurnFact } from './facts.ts';

/** It jumped out of gear after somebody had set the linkage. */
const slipsAfterSetting = (c: Context): boolean =>
  (['turn.forward', 'turn.reverse'] as const).some((item) => {
    const last = c.record.last(item);
    return last?.value === 'slips' && c.renewed(item).some((at) => isAfter(last.at, at));
  });

/** What was said of each position. */
export const shiftsOf = ({ record }: Context): TurnBasis['shifts'] => ({
  neutral: record.value('turn.neutral'),
  forward: record.value('turn.forward'),
  reverse: record.value('turn.reverse'),
  lock: record.value('turn.reverseLock')
});

/** It slipped in gear while the propeller was said to slip on its hub, and was not tried since that was mended. */
function slippedOnItsHub(c: Context): boolean {
  const hub = c.record.all('look.twist').findLast((r) => r.value === 'slips');
  if (!hub) return false;
  return (['turn.forward', 'turn.reverse'] as const).every((item) => {
    const last = c.record.last(item);
    return last?.value !== 'slips' || c.worked('look').some((w) => isAfter(w, last.at) && isAfter(w, hub.at));
  });
}

/** What jumping out of gear comes from, as far as it is known. */
function slipping(c: Context): TurnFact {
  // What the propeller does says nothing of the gears where it slips on its own hub.
  if (c.record.value('look.twist') === 'slips')
    return { kind: 'slips', id: 'dog', condition: 'cannot-tell', values: { why: 'hub' } };
  if (slippedOnItsHub(c)) return { kind: 'slips', id: 'dog', condition: 'cannot-tell', values: { why: 'hub-mended' } };
  if (!slipsAfterSetting(c)) return { kind: 'slips', id: 'dog', condition: 'fault', values: { why: 'linkage' } };
  // A hub or a shear pin that slips looks like this: two minutes before a case is opened.
  const condition = c.record.asked('look.twist') ? 'fault' : 'cannot-tell';
  return { kind: 'slips', id: 'dog-worn', condition, values: { why: 'set' } };
}

/** Neutral, forward, reverse and the reverse lock, as the propeller shows them. */
export function shiftFacts(c: Context): TurnFact[] {
  const { neutral, forward, reverse, lock } = shiftsOf(c);
  const missing = [
    ...(forward === 'no' ? (['forward'] as const) : []),
    ...(reverse === 'no' ? (['reverse'] as const) : [])
  ];
  return [
    ...(neutral === 'drives' || neutral === 'drags'
      ? [{ kind: 'shift', condition: neutral === 'drives' ? 'fault' : 'watch', values: { neutral } } as const]
      : []),
    ...(missing.length ? [{ kind: 'gear', condition: 'fault', values: { missing } } as const] : []),
    ...(forward === 'slips' || reverse === 'slips' ? [slipping(c)] : []),
    ...(lock === 'no' ? [{ kind: 'reverse-lock', condition: 'fault', values: {} } as const] : [])
  ];
}
