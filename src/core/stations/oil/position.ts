import { known } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';
import { runs } from '../../findings/ran.ts';
import { roundOf } from '../../record/current.ts';
import type { Reading } from '../../record/reading.ts';
import { byTime, isAfter, latestAt, type Instant } from '../../units/instant.ts';

export type Mark = 'below' | 'between' | 'above' | 'none';

export interface Dip {
  readonly mark: Mark;
  /** m over the low mark, where it was measured. */
  readonly at?: number;
  readonly taken: string;
}

export interface Dips {
  readonly last: readonly Dip[];
  readonly agree: boolean;
  /** Where two agreeing dips put it. */
  readonly position: Mark | undefined;
  /** m over the low mark, mean of the two that agree. */
  readonly at?: number;
  /** There are dips, and none of them can say anything. */
  readonly useless?: Why;
}

/** Two dips this close are one level, m (M: the meniscus, and where the stick rests). */
export const DIP_AGREES = 2e-3;
/** Mark to mark of an ordinary stick, where nobody measured it, m (M). */
const USUAL_GAP = 12e-3;

export const markGap = (c: Context): number => known(c.record.value('oil.markGap')) ?? USUAL_GAP;

/** Minutes after filling, trimming or running before which the stick does not show the level (C: a few; from memory). */
export const SETTLED = 5;

type Why = 'tilted' | 'early';

/**
 * The answer that was true of a moment: the one given last before it, or, where none was, the first one after it that was given
 * of the same dips. A "no" noted after the dips speaks of them too.
 */
function answersOf<V>(list: readonly { readonly at: Instant; readonly value: V }[], at: Instant): V[] {
  const before = list.findLast((r) => !isAfter(r.at, at));
  const after = list.find((r) => isAfter(r.at, at));
  return [before, after].flatMap((r) => (r ? [r.value] : []));
}

/** Why a dip can say nothing: not upright and level, or before the oil had settled. */
function voided(c: Context, at: Instant): Why | undefined {
  const level = c.record.all('oil.level').filter((r) => r.value !== 'unknown');
  const [was, then] = [level.findLast((r) => !isAfter(r.at, at)), level.find((r) => isAfter(r.at, at))];
  if (was?.value === 'no' || then?.value === 'no') return 'tilted';
  const waited = c.record.all('oil.waited').filter((r) => typeof r.value === 'number');
  const [said] = answersOf(waited, at);
  return typeof said === 'number' && said < SETTLED ? 'early' : undefined;
}

/** Oil poured in or drawn out; "unknown" is neither. */
const filled = (c: Context): { readonly at: Instant }[] =>
  [...c.record.all('oil.poured'), ...c.record.all('oil.drained')].filter((r) => r.value !== 'unknown');

/** Whether the engine was run, filled or drained between two moments: two dips across it are not of one level. */
function changedBetween(c: Context, a: Instant, b: Instant): boolean {
  const events = [...filled(c), ...runs(c)];
  return events.some((r) => isAfter(r.at, a) && !isAfter(r.at, b));
}

/** Each dip since oil was last poured or drawn and the last work on it, in their order. */
function taken(c: Context): readonly Reading[] {
  const since = latestAt([...filled(c), ...c.worked('oil').map((at) => ({ at }))]);
  return [...c.record.all('oil.dip'), ...c.record.all('oil.dipAt')]
    .filter((r) => r.value !== 'unknown' && isAfter(r.at, since || undefined))
    .sort((a, b) => byTime(a, b) || (a.id < b.id ? -1 : 1));
}

function dipOf({ value, at }: Reading, gap: number): Dip {
  if (typeof value !== 'number') return { mark: value as Mark, taken: at };
  return { mark: value < 0 ? 'below' : value > gap ? 'above' : 'between', at: value, taken: at };
}

/**
 * Whether it was seen to rise: two dips in a row stood between the marks, and nothing was poured or drawn between them and
 * those that agree above. Measured, by more than two dips of one level may differ.
 */
export function seenToRise(c: Context): boolean {
  const { position, last, at } = dips(c);
  if (position !== 'above') return false;
  const earlier = taken(c)
    .filter((r) => isAfter(last[0]!.taken, r.at) && !voided(c, r.at))
    .map((r) => dipOf(r, markGap(c)));
  const under = (d: Dip | undefined): boolean =>
    d?.mark === 'between' && (d.at === undefined || at === undefined || at - d.at > DIP_AGREES);
  return earlier.some((d, k) => under(d) && under(earlier[k - 1]));
}

/** Brought right by work, and over its mark again at the dips after that: something fills it. */
export function overAgain(c: Context): boolean {
  const { position, last } = dips(c);
  if (position !== 'above') return false;
  const first = last[0]!.taken;
  const before = [...c.record.all('oil.dip'), ...c.record.all('oil.dipAt')].filter((r) => r.value !== 'unknown');
  return c
    .worked('oil')
    .some((w) => isAfter(first, w) && before.some((r) => isAfter(w, r.at) && dipOf(r, markGap(c)).mark === 'above'));
}

/**
 * Whether it was seen to fall: two dips in a row stood between the marks or over them, nothing was drawn off, and those that agree now
 * stand under them.
 */
export function seenToFall(c: Context): boolean {
  const { position, last } = dips(c);
  if (position !== 'below' && position !== 'none') return false;
  const earlier = taken(c)
    .filter((r) => isAfter(last[0]!.taken, r.at) && !voided(c, r.at))
    .map((r) => dipOf(r, markGap(c)));
  const over = (d: Dip | undefined): boolean => d?.mark === 'between' || d?.mark === 'above';
  return earlier.some((d, k) => over(d) && over(earlier[k - 1]));
}

/**
 * The dips that count, in words or measured, and whether the last two agree: of the latest look, since oil was last poured or
 * drawn and the last work on it, taken level and settled; two across a run are no repeat of one another.
 */
export function dips(c: Context): Dips {
  const gap = markGap(c);
  const read = taken(c);
  const round = Math.max(1, ...read.map(roundOf));
  const latest = read.filter((r) => roundOf(r) === round);
  const why = latest.map((r) => voided(c, r.at));
  const all = latest.filter((_, k) => !why[k]).map((r) => dipOf(r, gap));
  const pair = all.slice(-2);
  const last = pair.length === 2 && changedBetween(c, pair[0]!.taken, pair[1]!.taken) ? pair.slice(1) : pair;
  const useless = why.findLast((w) => w !== undefined);
  const [a, b] = last;
  const agree =
    a !== undefined &&
    b !== undefined &&
    (a.at !== undefined && b.at !== undefined ? Math.abs(a.at - b.at) <= DIP_AGREES : a.mark === b.mark);
  const at = agree && a.at !== undefined && b.at !== undefined ? (a.at + b.at) / 2 : undefined;
  return {
    last,
    agree,
    position: !agree ? undefined : at === undefined ? b.mark : standsAt(at, gap),
    ...(at === undefined ? {} : { at }),
    ...(useless && !last.length ? { useless } : {})
  };
}

/** Over the mark only by more than the dips can be off; under it at once: too little oil is what ruins it. */
const standsAt = (at: number, gap: number): Mark =>
  at < 0 ? 'below' : at - DIP_AGREES / Math.SQRT2 > gap ? 'above' : 'between';

export interface LevelVolume {
  /** m³ over the high mark (above zero) or under the low mark (below zero); zero between. */
  readonly beyond: number;
  /** m³ to add, or to draw where below zero, to stand in the middle. */
  readonly toMiddle: number;
  readonly uncertainty: number;
}

/** What the measured level means in oil; nothing without two measured dips that agree and the oil between the marks. */
export function levelVolume(c: Context): LevelVolume | undefined {
  const d = dips(c);
  const between = known(c.record.value('oil.markVolume'));
  if (d.at === undefined || between === undefined) return undefined;
  const perMetre = between / markGap(c);
  const beyond = d.position === 'above' ? (d.at - markGap(c)) * perMetre : d.at < 0 ? d.at * perMetre : 0;
  return {
    beyond,
    toMiddle: (markGap(c) / 2 - d.at) * perMetre,
    uncertainty: (DIP_AGREES / Math.SQRT2) * perMetre
  };
}
