import { cylinderCount } from '../engine/profile.ts';
import { byTime } from '../units/instant.ts';
import { type ItemId, type ReadingValue } from '../items/register.ts';
import type { Reading } from './reading.ts';
import type { SurveyFile } from './survey-file.ts';

export type ReadingOf<I extends ItemId> = Reading & { readonly what: I; readonly value: ReadingValue<I> };

export const roundOf = (r: Reading): number => r.round ?? 1;

/** Readings of one moment stand in the order of their ids: in which order they were entered means nothing. */
const byTimeThenId = (a: Reading, b: Reading): number => byTime(a, b) || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0);

/**
 * The readings that count: not superseded, not withdrawn, in order of time. If two people corrected the same reading,
 * both corrections stand here and the later one wins where one value is asked for.
 */
export function standing(survey: SurveyFile): readonly Reading[] {
  const replaced = new Set(survey.readings.map((r) => r.supersedes).filter(Boolean));
  const list = survey.readings.filter((r) => !replaced.has(r.id) && !r.withdrawn);
  // Nearly every record is in order of time already: sorting only where it is not.
  return list.some((r, k) => k > 0 && byTimeThenId(list[k - 1]!, r) > 0) ? list.sort(byTimeThenId) : list;
}

/** Whether the engine has the cylinder that a reading is of; an unknown number of cylinders has every one. */
export function hasCylinder({ engine }: SurveyFile, r: Pick<Reading, 'cylinder'>): boolean {
  const count = cylinderCount(engine.profile);
  return r.cylinder === undefined || count === undefined || r.cylinder <= count;
}

/** The last of a list in order of time; a later round wins over an earlier one. */
const latestRound = <R extends Reading>(list: readonly R[]): R | undefined =>
  list.reduce<R | undefined>((best, r) => (best && roundOf(best) > roundOf(r) ? best : r), undefined);

type Index = ReadonlyMap<ItemId, readonly Reading[]>;

/** What a piece of judgement looked at: lists of readings as they stood, and stations of which it asked whether they were read. */
export interface LookedAt {
  readonly lists: Map<ItemId, readonly Reading[] | undefined>;
  readonly touched: Map<string, boolean>;
  /** Instants, ms, of which it asked whether they lay behind. */
  readonly moments: Map<number, boolean>;
  /** It asked for the time itself, or for something that is answered later: it holds for this judgement only. */
  passing: boolean;
}

function indexed(survey: SurveyFile): Index {
  const index = new Map<ItemId, Reading[]>();
  for (const r of standing(survey)) {
    if (!hasCylinder(survey, r)) continue;
    const list = index.get(r.what);
    if (list) list.push(r);
    else index.set(r.what, [r]);
  }
  return index;
}

/** How many readings may be added to an index before it is built anew. */
const FEW = 20;

/**
 * The index of a survey that only adds a few readings to one that was indexed before: lists of items that nothing was added to
 * are the very same arrays, so that what was judged from them alone still holds. Nothing where it is not such a survey.
 */
function extended(survey: SurveyFile, earlier: Readings): Index | undefined {
  const [was, is] = [earlier.survey.readings, survey.readings];
  if (is.length < was.length || is.length - was.length > FEW) return undefined;
  if (survey.engine !== earlier.survey.engine) return undefined;
  for (let k = was.length - 1; k >= 0; k--) if (was[k] !== is[k]) return undefined;
  const index = new Map(earlier.index);
  for (const r of is.slice(was.length)) {
    // One that corrects another, or is corrected already, changes what stands: that is worked out from the whole.
    if (r.supersedes || r.withdrawn || earlier.replaced.has(r.id)) return undefined;
    if (!hasCylinder(survey, r)) continue;
    const list = [...(index.get(r.what) ?? []), r];
    index.set(r.what, list.length > 1 && byTimeThenId(list.at(-2)!, r) > 0 ? list.sort(byTimeThenId) : list);
  }
  return index;
}

/** The last surveys that were indexed: the next one is nearly always one of them with an entry more. */
const recent: Readings[] = [];
const RECENT = 3;

/** An index over the standing readings of one survey, built once for one judgement. */
export class Readings {
  readonly index: Index;
  /** Ids that another reading takes the place of. */
  readonly replaced: ReadonlySet<string>;
  /** The index it was made from by adding readings, until what was kept of that one has been taken over. */
  from?: Readings | undefined;
  private watching: LookedAt[] = [];

  /** `grows`: the next survey will be this one with a reading more, so it is kept in reach. */
  constructor(
    readonly survey: SurveyFile,
    grows = false
  ) {
    for (const [k, earlier] of recent.entries()) {
      const index = extended(survey, earlier);
      if (!index) continue;
      // What is added to again and again stays in reach, however many were made of it meanwhile.
      recent.splice(k, 1);
      recent.unshift(earlier);
      this.index = index;
      this.replaced = earlier.replaced;
      this.from = earlier;
      break;
    }
    this.index ??= indexed(survey);
    this.replaced ??= new Set(survey.readings.flatMap((r) => r.supersedes ?? []));
    if (!grows) return;
    recent.unshift(this);
    recent.length = Math.min(recent.length, RECENT);
  }

  /** The standing readings of an item, oldest first: the same array for as long as nothing is added to it. */
  private list(what: ItemId): readonly Reading[] {
    const list = this.index.get(what);
    for (const w of this.watching) w.lists.set(what, list);
    return list ?? [];
  }

  /** Does something, and tells what it looked at on the way. */
  watch<T>(make: () => T): readonly [T, LookedAt] {
    const looked: LookedAt = { lists: new Map(), touched: new Map(), moments: new Map(), passing: false };
    this.watching.push(looked);
    try {
      return [make(), looked];
    } finally {
      this.watching.splice(this.watching.indexOf(looked), 1);
    }
  }

  /** Notes what something kept from before had looked at, as if it were done anew. */
  lookedAt(looked: LookedAt): void {
    for (const w of this.watching) {
      for (const [what, list] of looked.lists) w.lists.set(what, list);
      for (const [station, was] of looked.touched) w.touched.set(station, was);
      for (const [moment, was] of looked.moments) w.moments.set(moment, was);
      w.passing ||= looked.passing;
    }
  }

  /** Notes that what is being worked out holds for this judgement only. */
  passing(): void {
    for (const w of this.watching) w.passing = true;
  }

  /** Notes that it was asked whether an instant, ms, lies behind. */
  askedPast(moment: number, past: boolean): void {
    for (const w of this.watching) w.moments.set(moment, past);
  }

  /** Whether everything that was looked at still stands as it did, at the time it is now, ms. */
  stands(looked: LookedAt, now: number): boolean {
    if (looked.passing) return false;
    for (const [moment, was] of looked.moments) if (now > moment !== was) return false;
    for (const [what, list] of looked.lists) if (this.index.get(what) !== list) return false;
    for (const [station, was] of looked.touched) if (this.wasTouched(station) !== was) return false;
    return true;
  }

  /** Every standing reading of an item, oldest first; of one cylinder, of one round, or of a round and those after it where asked. */
  all<I extends ItemId>(
    what: I,
    where: { cylinder?: number; round?: number; fromRound?: number } = {}
  ): ReadingOf<I>[] {
    const list = this.list(what) as readonly ReadingOf<I>[];
    return list.filter(
      (r) =>
        (where.cylinder === undefined || r.cylinder === where.cylinder) &&
        (where.round === undefined || roundOf(r) === where.round) &&
        (where.fromRound === undefined || roundOf(r) >= where.fromRound)
    );
  }

  /** The latest reading of an item, "unknown" among them: whether it was asked, and what was said. Later rounds win. */
  asked<I extends ItemId>(what: I, cylinder?: number): ReadingOf<I> | undefined {
    return latestRound(this.all(what, cylinder === undefined ? {} : { cylinder }));
  }

  /** The latest reading that says something: "unknown" takes nothing away that was seen before. Later rounds win. */
  last<I extends ItemId>(what: I, cylinder?: number): ReadingOf<I> | undefined {
    const list = this.all(what, cylinder === undefined ? {} : { cylinder });
    return latestRound(list.filter((r) => r.value !== 'unknown'));
  }

  /** The latest value that says something; nothing when it was not looked at or could never be told. */
  value<I extends ItemId>(what: I, cylinder?: number): Exclude<ReadingValue<I>, 'unknown'> | undefined {
    return this.last(what, cylinder)?.value as Exclude<ReadingValue<I>, 'unknown'> | undefined;
  }

  /** The latest round in which an item was read. */
  round(what: ItemId): number {
    return Math.max(1, ...this.all(what).map(roundOf));
  }

  /** Whether anything of a station was read at all. */
  touched(station: string): boolean {
    const touched = this.wasTouched(station);
    for (const w of this.watching) w.touched.set(station, touched);
    return touched;
  }

  private wasTouched(station: string): boolean {
    for (const what of this.index.keys()) if (what.startsWith(`${station}.`)) return true;
    return false;
  }
}
