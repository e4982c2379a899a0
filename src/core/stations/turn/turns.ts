import type { Context } from '../../findings/context.ts';
import { ruleNumber } from '../../house-rules/rules.ts';
import type { ItemId } from '../../items/register.ts';
import { isAfter } from '../../units/instant.ts';
import { plugsAt } from './plugs-out.ts';
import { lastSoak } from './soak.ts';

/** Turned smoothly: with bumps, or without them while the plugs were out. */
export const smooth: ReadonlySet<string> = new Set(['bumps', 'free']);

interface Turn {
  readonly result: string;
  readonly at: string;
}

export interface Turning {
  readonly turns: readonly Turn[];
  /** Smooth turns since the last one that was not. */
  readonly smoothSince: number;
  readonly everBad: boolean;
  /** Smooth again at least the house's hours after the first smooth turn that followed a bad one. */
  readonly provedNextDay: boolean;
}

/** Locked with the plugs in, smooth with them out, and liquid seen to come out: that was the lock, and no rust. */
const liquidLock = (c: Context, t: Turn, next: Turn | undefined): boolean =>
  t.result === 'locked' &&
  plugsAt(c, t.at) === 'in' &&
  next !== undefined &&
  smooth.has(next.result) &&
  plugsAt(c, next.at) === 'out' &&
  c.record.all('turn.water').some((r) => isAfter(r.at, t.at) && ['some', 'much', 'oil'].includes(String(r.value)));

/** What came free by being taken out of it, of a bad turn: a gear that was engaged, the propeller, a pinion in the ring. None of them rusts bores. */
const outside: Readonly<Record<string, readonly (readonly [ItemId, string])[]>> = {
  locked: [
    ['turn.lockNeutral', 'free'],
    ['turn.lockPinion', 'free']
  ],
  gritty: [['turn.roughPinion', 'smooth']]
};

/** What showed a bad turn to sit in the leg. Work there that ends it ends it: no oil hides grit of a gear. */
const inLeg: Readonly<Record<string, readonly (readonly [ItemId, string])[]>> = {
  locked: [['turn.lockLeg', 'free']],
  gritty: [
    ['turn.roughNeutral', 'smooth'],
    ['turn.roughLeg', 'smooth']
  ]
};
const mendedInLeg = (c: Context, t: Turn, next: Turn | undefined): boolean =>
  next !== undefined &&
  smooth.has(next.result) &&
  (inLeg[t.result] ?? []).some(
    ([item, answer]) =>
      c.record.all(item).some((r) => r.value === answer && !isAfter(t.at, r.at) && !isAfter(r.at, next.at)) &&
      // Fresh oil alone hides grit as well: its gears were opened.
      c.renewed(item).some((at) => isAfter(at, t.at) && !isAfter(at, next.at))
  );

/** Locked or rough by what lies outside the power head and is out of its way, answered before it was bad again. */
const cameFree = (c: Context, t: Turn, next: Turn | undefined, worse: Turn | undefined): boolean =>
  next !== undefined &&
  smooth.has(next.result) &&
  (outside[t.result] ?? []).some(([item, answer]) =>
    c.record.all(item).some((r) => r.value === answer && !isAfter(t.at, r.at) && !(worse && isAfter(r.at, worse.at)))
  );

/** The history of hand turns, as the holds need it. */
export function turning(c: Context): Turning {
  const turns = c.record
    .all('turn.result')
    .filter((r) => r.value !== 'unknown')
    .map((r) => ({ result: r.value as string, at: r.at }));
  const rough = (t: Turn): boolean => !smooth.has(t.result);
  const lastBad = turns.findLastIndex((t, k) => {
    if (!rough(t)) return false;
    const later = turns.slice(k + 1);
    // Said again while the search for it goes on, it is the same lock.
    const next = later.find((x) => x.result !== t.result);
    return (
      !liquidLock(c, t, later[0]) &&
      !cameFree(c, t, next, later.slice(later.indexOf(next!)).find(rough)) &&
      !mendedInLeg(c, t, next)
    );
  });
  const soaked = lastSoak(c);
  const since = turns
    .slice(lastBad + 1)
    .filter((t) => smooth.has(t.result))
    .filter((t) => soaked === '' || isAfter(t.at, soaked));
  const first = since[0];
  const last = since[since.length - 1];
  const hours = first && last ? (Date.parse(last.at) - Date.parse(first.at)) / 3.6e6 : 0;
  return {
    turns,
    smoothSince: turns.slice(lastBad + 1).filter((t) => smooth.has(t.result)).length,
    everBad: lastBad >= 0,
    provedNextDay: since.length > 0 && hours >= ruleNumber(c.rules, 'nextDay')
  };
}

/** What the latest turn by hand was like, by its time: what the searches for its cause go by as well. */
export const lastTurn = (c: Context): string | undefined => turning(c).turns.at(-1)?.result;
