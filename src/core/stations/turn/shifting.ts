import type { Context } from '../../findings/context.ts';
import { goodRuns } from '../../findings/ran.ts';
import { isAfter, latestInstant, latestOf } from '../../units/instant.ts';
import { apartSince } from '../../findings/apart-since.ts';
import { ofThisPart } from '../../findings/renewed.ts';
import { unmended } from '../../findings/unmended.ts';
import { hubSlip } from '../look/hub-slip.ts';
import { items as lookItems } from '../look/readings.ts';
import type { AfterSetting, ThroughLinkage, TurnBasis, TurnFact } from './facts.ts';
import { badThoughSet, gearsThoughSet, rodSeen, type ShiftItem } from './shift-rod.ts';

/** What was said of each position. */
export const shiftsOf = ({ record }: Context): TurnBasis['shifts'] => ({
  neutral: record.value('turn.neutral'),
  forward: record.value('turn.forward'),
  reverse: record.value('turn.reverse'),
  lock: record.value('turn.reverseLock')
});

/** It slipped in gear while the propeller was said to slip on its hub, and was not tried since that was mended. */
const slippedOnItsHub = (c: Context): boolean =>
  (['turn.forward', 'turn.reverse'] as const).every((item) => {
    const last = c.record.last(item);
    return last?.value !== 'slips' || hubSlip(c, last.at) === 'mended';
  });

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
  const twist = c.record.value('look.twist');
  const hub = twist === 'holds' || twist === 'not-fitted' ? { hubHolds: true as const } : {};
  if (!gearsThoughSet(c))
    return { kind: 'slips', id: 'dog', condition: 'fault', values: { why: 'linkage', ...hub, ...through } };
  const rod = rodSeen(c);
  // A hub or a shear pin that slips looks like this, and so does the joint of the shift rod: minutes before a case is opened.
  const condition = c.record.asked('look.twist') && rod === 'follows' ? 'fault' : 'cannot-tell';
  return { kind: 'slips', id: 'dog-worn', condition, values: { why: 'set', ...(rod ? { rod } : {}) } };
}

/** Wrong though the linkage was set, and what the shift rod was seen to do; its id says what comes next. */
function afterSetting(c: Context, items: readonly ShiftItem[], kind: 'shift' | 'gear'): AfterSetting & { id?: string } {
  const rod = rodSeen(c);
  // Setting the linkage mends no joint that slips.
  if (rod === 'slips') return { id: `${kind}-joint`, rod };
  if (!items.some((item) => badThoughSet(c, item))) return {};
  return { set: true, ...(rod ? { rod, id: `${kind}-inside` } : {}) };
}

/** The joint of the shift rod was seen to slip: while a gear is bad it is that, and where none is it still wants its work. */
const joint = (c: Context): TurnFact[] =>
  rodSeen(c) === 'slips' ? [{ kind: 'joint', condition: 'fault', values: {} }] : [];

/** It drags in neutral and does all else: cold oil does that, and says so by going away once the engine has run. */
function dragsCold(c: Context): boolean {
  const { neutral, forward, reverse } = shiftsOf(c);
  const bad = [forward, reverse].some((x) => x === 'no' || x === 'slips');
  // Dragged once warm from a run, it is no oil; set or not since, a cold drag is not excused by it any more.
  const warm = c.record
    .all('turn.neutral')
    .filter((r) => r.value === 'drags')
    .some((r) => goodRuns(c).some((x) => isAfter(r.at, x.at)));
  return neutral === 'drags' && !bad && !warm;
}

/** Shifted well, the leg was off since, and neither a hand nor a run has tried the gears again. */
function untriedSinceLegOff(c: Context): boolean {
  const off = latestInstant(c.disturbed('turn.forward'));
  const tried = shiftItems.filter((item) => item !== 'turn.reverseLock' && c.record.last(item) !== undefined);
  if (!tried.some((item) => apartSince(c, [item]))) return false;
  return !c.record.all('run.gears').some((r) => r.value === 'both' && isAfter(r.at, off));
}

/** Neutral, forward, reverse and the reverse lock, as the propeller shows them; sound where all of it was tried and nothing is amiss. */
export function shiftFacts(c: Context): TurnFact[] {
  const { neutral, forward, reverse } = shiftsOf(c);
  const amiss = shiftsAmiss(c);
  const whole = neutral === 'spins' && forward === 'follows' && (reverse === 'follows' || reverse === 'not-fitted');
  return whole && !amiss.length ? [{ kind: 'shifts', condition: 'sound', values: {} }] : amiss;
}

function shiftsAmiss(c: Context): TurnFact[] {
  const { neutral, forward, reverse, lock } = shiftsOf(c);
  const through = throughLinkage(c);
  const missing = [
    ...(forward === 'no' ? (['forward'] as const) : []),
    ...(reverse === 'no' ? (['reverse'] as const) : [])
  ];
  const { id: neutralId, ...neutralSet } = dragsCold(c) ? {} : afterSetting(c, ['turn.neutral'], 'shift');
  const { id: gearId, ...gearSet } = afterSetting(c, ['turn.forward', 'turn.reverse'], 'gear');
  const bad = missing.length > 0 || [neutral, forward, reverse].some((x) => x === 'drives' || x === 'slips');
  return [
    ...(!bad && untriedSinceLegOff(c) ? [{ kind: 'leg-was-off', condition: 'cannot-tell', values: {} } as const] : []),
    ...(neutral === 'drives' || neutral === 'drags'
      ? [
          {
            kind: 'shift',
            ...(neutralId ? { id: neutralId } : {}),
            condition: dragsCold(c) ? 'watch' : 'fault',
            values: { neutral, ...(dragsCold(c) ? { cold: true as const } : {}), ...neutralSet, ...through }
          } as const
        ]
      : []),
    ...(missing.length
      ? [
          {
            kind: 'gear',
            ...(gearId ? { id: gearId } : {}),
            condition: 'fault',
            values: { missing, ...gearSet, ...through }
          } as const
        ]
      : []),
    ...(forward === 'slips' || reverse === 'slips' ? [slipping(c, through)] : []),
    ...joint(c),
    ...(ofThisPart(c, 'turn.startLock') === 'turns'
      ? [{ kind: 'start-lock', condition: 'fault', values: {} } as const]
      : []),
    ...(lock === 'no' ? [{ kind: 'reverse-lock', condition: 'fault', values: through } as const] : [])
  ];
}
