import type { Context } from '../../findings/context.ts';
import { isAfter, latestOf } from '../../units/instant.ts';
import { unmended } from '../../findings/unmended.ts';
import { items as lookItems } from '../look/readings.ts';
import type { ThroughLinkage, TurnBasis, TurnFact } from './facts.ts';

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

const shiftItems = ['turn.neutral', 'turn.forward', 'turn.reverse', 'turn.reverseLock'] as const;

/** How the linkage stood when it was shifted: what is judged by its feel says little while that is stiff. */
export function throughLinkage(c: Context): ThroughLinkage {
  const stiff = c.record.all('look.linkage').findLast((r) => r.value === 'stiff');
  if (!stiff) return {};
  const freed = c.worked('look').find((w) => isAfter(w, stiff.at));
  if (!freed)
    return c.record.value('look.linkage') === 'stiff' || unmended(c, 'look.linkage', lookItems.linkage)
      ? { linkage: 'stiff' }
      : {};
  const shifted = latestOf(shiftItems.flatMap((item) => c.record.last(item) ?? []));
  return shifted && isAfter(freed, shifted.at) ? { linkage: 'freed' } : {};
}

/** What jumping out of gear comes from, as far as it is known. */
function slipping(c: Context, through: ThroughLinkage): TurnFact {
  // What the propeller does says nothing of the gears where it slips on its own hub.
  if (c.record.value('look.twist') === 'slips')
    return { kind: 'slips', id: 'dog', condition: 'cannot-tell', values: { why: 'hub' } };
  if (slippedOnItsHub(c)) return { kind: 'slips', id: 'dog', condition: 'cannot-tell', values: { why: 'hub-mended' } };
  if (!slipsAfterSetting(c))
    return { kind: 'slips', id: 'dog', condition: 'fault', values: { why: 'linkage', ...through } };
  // A hub or a shear pin that slips looks like this: two minutes before a case is opened.
  const condition = c.record.asked('look.twist') ? 'fault' : 'cannot-tell';
  return { kind: 'slips', id: 'dog-worn', condition, values: { why: 'set' } };
}

/** It drags in neutral and does all else: cold oil does that, and says so by going away once the engine has run. */
function dragsCold(c: Context): boolean {
  const { neutral, forward, reverse } = shiftsOf(c);
  const bad = [forward, reverse].some((x) => x === 'no' || x === 'slips');
  // Dragged once warm from a run, it is no oil; set or not since, a cold drag is not excused by it any more.
  const warm = c.record
    .all('turn.neutral')
    .filter((r) => r.value === 'drags')
    .some((r) => c.record.all('run.outcome').some((x) => x.value === 'ran' && isAfter(r.at, x.at)));
  return neutral === 'drags' && !bad && !warm;
}

/** Neutral, forward, reverse and the reverse lock, as the propeller shows them. */
export function shiftFacts(c: Context): TurnFact[] {
  const { neutral, forward, reverse, lock } = shiftsOf(c);
  const through = throughLinkage(c);
  const missing = [
    ...(forward === 'no' ? (['forward'] as const) : []),
    ...(reverse === 'no' ? (['reverse'] as const) : [])
  ];
  return [
    ...(neutral === 'drives' || neutral === 'drags'
      ? [
          {
            kind: 'shift',
            condition: dragsCold(c) ? 'watch' : 'fault',
            values: { neutral, ...(dragsCold(c) ? { cold: true as const } : {}), ...through }
          } as const
        ]
      : []),
    ...(missing.length ? [{ kind: 'gear', condition: 'fault', values: { missing, ...through } } as const] : []),
    ...(forward === 'slips' || reverse === 'slips' ? [slipping(c, through)] : []),
    ...(lock === 'no' ? [{ kind: 'reverse-lock', condition: 'fault', values: through } as const] : [])
  ];
}
