import type { Context } from '../findings/context.ts';
import type { Finding } from '../findings/finding.ts';
import type { Elimination } from '../findings/elimination.ts';
import type { JobId } from '../jobs/register.ts';
import { actionOf } from '../holds/against.ts';
import { jobOf } from '../jobs/register.ts';
import { lastMarks } from '../jobs/done.ts';
import type { Action } from '../holds/hold.ts';
import type { Conditions } from '../record/reading.ts';
import { allItems, stationOf, type ItemId, type StationId } from '../stations/items.ts';
import { checkById, signKinds } from '../diagnosis/knowledge/index.ts';
import { stations } from '../stations/register.ts';
import { isAfter } from '../units/instant.ts';

/**
 * What a finding asks for next. repeat: the measurement that closes its doubt. continue: a test that is half done. look: what would
 * settle it, cheapest first in the trade's order. job: the work that it has established.
 */
export type AskKind = 'repeat' | 'continue' | 'look' | 'job';

/** One thing a finding may ask for: data of the trade, in one table a system. C: common practice. */
export interface AskRule {
  readonly kind: AskKind;
  readonly title: string | ((c: Context, f: Finding) => string | undefined);
  readonly station: StationId;
  readonly minutes: number | ((c: Context, f: Finding) => number);
  /** Whether it is still to be made; a look that was asked for and could not be told counts as made, so that the next one comes. */
  readonly open: (c: Context, f: Finding) => boolean;
  /** What it reads, where that is more definite than the whole check. */
  readonly items?: readonly ItemId[] | ((c: Context, f: Finding) => readonly ItemId[]);
  /** Under which conditions it is read, where they are what makes it another measurement. */
  readonly conditions?: Conditions;
  /** What making it does to the engine. */
  readonly needs?: Action;
  readonly job?: JobId;
  /**
   * What decides nothing waits until what decides has been looked at; start: what only has to be known before it is started; release:
   * before it goes back.
   */
  readonly late?: true | 'start' | 'release';
  /** It doubts the measurement that the finding rests on: dear work waits for it, however likely its fault. */
  readonly doubts?: true;
  /** What others are measured by: before whatever else is asked for of its kind. */
  readonly first?: true;
  /** To be written down, not found out: behind whatever else is asked for. */
  readonly last?: true;
  /** The moment before which it says nothing, ms since 1970. */
  readonly from?: (c: Context) => number | undefined;
  /** The moment past which it shows nothing any more, ms since 1970: a clock runs for it. */
  readonly by?: (c: Context) => number | undefined;
  /** In these conditions of the finding only. */
  readonly only?: readonly Finding['condition'][];
}

/** What kinds of finding ask for, each in its order: "station.kind". */
export type Asks = Readonly<Record<string, readonly AskRule[]>>;

type Title = AskRule['title'];

/** Asked since the last work that may have changed it; of the finding's cylinder where the item belongs to one. */
export function asked(c: Context, item: ItemId, cylinder?: number): boolean {
  const worked = c.touched(item);
  const where = cylinder !== undefined && allItems[item].perCylinder ? { cylinder } : {};
  return c.record.all(item, where).some((r) => !worked.some((at) => isAfter(at, r.at)));
}

const needing = (needs: Action | undefined): { readonly needs?: Action } => (needs ? { needs } : {});

/** " of cylinder 2"; nothing of what is said of the engine. */
export const at = (f: Finding): string => (f.cylinder === undefined ? '' : ` of cylinder ${f.cylinder}`);

/** A look that some items answer: open until one of them was asked since the last work. */
export const look = (
  title: Title,
  items: readonly ItemId[],
  minutes: number,
  more: Partial<AskRule> = {}
): AskRule => ({
  kind: 'look',
  title,
  station: stationOf(items[0]!),
  minutes,
  open: (c: Context, f: Finding) => !items.some((i) => asked(c, i, f.cylinder)),
  items,
  ...needing(actionOf(items[0]!)),
  ...more
});

/** A look at several parts, each an answer of its own: open while one that this engine has was not asked, and asks for that one alone. */
export const lookEach = (
  title: Title,
  items: readonly ItemId[],
  minutes: number,
  more: Partial<AskRule> = {}
): AskRule => {
  const missing = (c: Context, cylinder?: number): ItemId[] =>
    items.filter((i) => (allItems[i].when?.(c.survey.engine.profile) ?? true) && !asked(c, i, cylinder));
  return look(title, items, minutes, {
    open: (c, f) => missing(c, f.cylinder).length > 0,
    items: (c, f) => missing(c, f.cylinder),
    ...more
  });
};

/** Open for as long as the finding stands: a repeat that closes a doubt, a test that is half done. */
const whileItStands =
  (kind: 'repeat' | 'continue') =>
  (title: Title, station: AskRule['station'], minutes: AskRule['minutes'], more: Partial<AskRule> = {}): AskRule => ({
    kind,
    title,
    station,
    minutes,
    open: () => true,
    ...needing(stations[station].act),
    ...more
  });
export const repeat = whileItStands('repeat');
export const goOn = whileItStands('continue');

/** The work that a finding has established. Marked done, it is proved next, and not done again before its check was read anew. */
export const job = (id: JobId, more: Partial<AskRule> = {}): AskRule => ({
  kind: 'job',
  title: jobOf(id).title,
  station: jobOf(id).proof.station,
  minutes: jobOf(id).minutes,
  job: id,
  open: (c, f) => {
    const mark = lastMarks(c.survey).get(id);
    if (mark?.state !== 'done') return (mark?.state ?? 'open') === 'open';
    // Found again since, at its place or another one.
    const read = c.survey.readings.findLast((r) => r.what.startsWith(`${f.station}.`));
    return read !== undefined && isAfter(read.at, mark.at);
  },
  ...more
});

/** What a look at one item is called: by the check that is made of it alone, else by the item. */
export function titleOf(item: ItemId): string {
  const mine = signKinds.filter((s) => s.reads?.some((r) => r.item === item));
  const check = mine.length ? checkById.get(mine[0]!.check) : undefined;
  const alone =
    check &&
    signKinds.filter((s) => s.check === check.id).every((s) => s.reads?.every((r) => r.item === item) ?? false);
  return alone ? check.title : allItems[item].label;
}

/** The next trial of a search by elimination, while it is going on. */
export const trial = (tree: (c: Context) => Elimination | undefined, more: Partial<AskRule> = {}): AskRule => ({
  kind: 'continue',
  title: (c) => {
    const next = tree(c)?.next;
    return next && titleOf(next.item);
  },
  station: 'turn',
  minutes: (c) => tree(c)?.next?.minutes ?? 1,
  open: (c) => tree(c)?.next !== undefined,
  items: (c) => {
    const next = tree(c)?.next;
    return next ? [next.item] : [];
  },
  ...more
});
